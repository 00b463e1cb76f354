<script lang="ts">
  /** The parts of a place, side by side. */
  interface Tab {
    key: string;
    name: string;
    count?: number | undefined;
    /** Whether the count is to be seen first. */
    grave?: boolean;
  }
  interface Props {
    tabs: Tab[];
    part: string;
    /** Address of the place, to which a part's key is added. */
    address: string;
    label: string;
  }
  let { tabs, part, address, label }: Props = $props();
  let bar = $state<HTMLElement>();

  // The one that is open is seen, also where the others do not fit beside it.
  $effect(() => {
    void part;
    const open = bar?.querySelector<HTMLElement>('[aria-current]');
    if (bar && open) bar.scrollLeft = open.offsetLeft - (bar.clientWidth - open.offsetWidth) / 2;
  });
</script>

<nav
  bind:this={bar}
  class="more-aside no-print relative flex overflow-x-auto border-b border-rule px-2 md:px-4"
  aria-label={label}
>
  {#each tabs as one (one.key)}
    <a
      href="#{address}/{one.key}"
      class="flex min-h-11 items-center gap-2 px-3 whitespace-nowrap {part === one.key
        ? 'border-b-4 border-ink font-bold'
        : 'border-b-4 border-transparent'}"
      aria-current={part === one.key ? 'page' : undefined}
      >{one.name}{#if one.count !== undefined}<span
          class="number text-sm {one.grave ? 'bg-danger px-1.5 text-paper' : 'text-soft'}">{one.count}</span
        >{/if}</a
    >
  {/each}
</nav>
