/** A failure as it is shown somewhere on the page. */
interface Shown {
  detail: string;
  retry?: () => void;
}

let shown = $state.raw<Shown[]>([]);

/** What failed on this page: where several things failed alike it is said once, and tried again together. */
export const troubles = {
  /** Notes one that is shown; what comes back takes it away. */
  add(one: Shown): () => void {
    shown = [...shown, one];
    return () => (shown = shown.filter((other) => other !== one));
  },
  /** Whether it is the first of those that say the same. */
  isFirst: (one: Shown) => shown.find((other) => other.detail === one.detail) === one,
  /** What tries all again that say the same; none where none of them can. */
  retriesOf(detail: string): (() => void)[] {
    return shown.flatMap((one) => (one.detail === detail && one.retry ? [one.retry] : []));
  },
};
