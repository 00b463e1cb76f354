<script lang="ts">
  import { Button, type ButtonProps } from 'flowbite-svelte';

  /** A button in our look: Flowbite's, drawn with our tokens. */
  let { main = false, class: more = '', children, ...rest }: ButtonProps & { main?: boolean } = $props();

  const LOOK =
    'min-h-11 gap-2 rounded-[3px] border px-4 py-0 text-base font-bold whitespace-nowrap focus-within:ring-0 focus:ring-0 ' +
    'disabled:cursor-default disabled:border-dashed disabled:border-rule-strong disabled:bg-transparent disabled:text-soft disabled:opacity-100';
  const ground = $derived(
    main
      ? 'border-ink bg-ink text-paper hover:bg-ink dark:bg-ink dark:text-paper dark:hover:bg-ink'
      : 'border-rule-strong bg-raised text-ink hover:border-ink hover:bg-raised hover:text-ink dark:border-rule-strong dark:bg-raised dark:text-ink dark:hover:bg-raised dark:hover:text-ink',
  );
</script>

<Button {...rest} color={main ? 'dark' : 'alternative'} class={[LOOK, ground, more]}
  >{@render children?.()}</Button
>
