/** Flowbite's fields drawn with our tokens. */
export const FIELD =
  'min-h-11 rounded-[3px] border border-rule-strong bg-raised px-3 py-0 text-base text-ink placeholder:text-soft focus:border-ink focus:ring-0 ' +
  'dark:border-rule-strong dark:bg-raised dark:text-ink dark:placeholder:text-soft dark:focus:border-ink';
