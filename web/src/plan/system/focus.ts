/** The focus goes into a sheet: to what is refused there if anything is. */
export function focusIn(sheet: HTMLElement | undefined): void {
  const refused = sheet?.querySelector<HTMLElement>('[aria-invalid="true"]');
  if (refused) refused.focus();
  else sheet?.querySelector<HTMLElement>('h2')?.focus({ preventScroll: true });
}

/** The focus goes to what stands on the sketch at a path; where nothing does any more, to adding a part. */
export function focusAt(path: string): void {
  const there = path.startsWith('program/outputs/')
    ? document.querySelector<SVGElement>(`[id^="contact-${path.split('/').at(-1)}-"]`)
    : document.getElementById(`part-${path.replaceAll('/', '-')}`);
  (there ?? document.getElementById('add-part'))?.focus({ preventScroll: true });
}
