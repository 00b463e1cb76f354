<script lang="ts">
  import type { Snippet } from 'svelte';
  import Action from '../shell/Action.svelte';
  import FileChoice from '../shell/FileChoice.svelte';
  import Trouble from '../shell/Trouble.svelte';
  import type { Problem } from '../api/client';
  import { duration, minute } from '../sentence/quantity';
  import ColumnMap from './ColumnMap.svelte';
  import type { Looked } from './fileLook.svelte';
  import FoundColumns from './FoundColumns.svelte';
  import LayoutFields from './LayoutFields.svelte';
  import Icon from '../shell/Icon.svelte';

  /** A file looked at before it is taken: what it holds, which column is what, how it is written. */
  interface Props {
    looked: Looked;
    says: string;
    accept?: string;
    /** Contacts of outputs that a column can be, by their ids. */
    contacts?: Record<string, string>;
    /** Takes it as it is laid out; what was refused, if it was. */
    take: (file: File, layout: string | undefined) => Promise<Problem | undefined>;
    /** What else is to be said before it is taken. */
    more?: Snippet;
  }
  let {
    looked,
    says,
    accept = '.csv,.txt,.tsv,.epw,text/csv,text/plain',
    contacts = {},
    take,
    more,
  }: Props = $props();

  let taking = $state(false);
  let refused = $state.raw<Problem>();
  const look = $derived(looked.look);

  async function chosen(event: Event & { currentTarget: HTMLInputElement }) {
    const [file] = event.currentTarget.files ?? [];
    event.currentTarget.value = '';
    refused = undefined;
    if (file) await looked.choose(file);
  }

  async function takeIt() {
    if (!looked.file) return;
    taking = true;
    refused = await take(looked.file, looked.sent);
    taking = false;
    if (!refused) looked.close();
  }
</script>

<FileChoice {says} {accept} take={chosen} />
{#if looked.busy}<p class="text-soft" role="status">{looked.busy}</p>{/if}
{#if looked.problem}<Trouble problem={looked.problem} />{/if}
{#if look && looked.file}
  {@const found = look.found}
  <section class="border-l-4 border-rule-strong pl-4" aria-label="the file {looked.file.name}">
    <p class="text-lg font-bold" role="status">
      {#if found}
        {looked.file.name}: <span class="number">{found.lines}</span> lines
        {found.from ? `from ${minute(Date.parse(found.from), looked.zone)}` : ''} over
        <span class="number">{duration(Math.round(found.spanSeconds / 60) * 60)}</span>
      {:else}
        {look.badLineCount}
        {look.badLineCount === 1 ? 'line' : 'lines'} of {looked.file.name} cannot be read: nothing is taken
      {/if}
    </p>
    {#if look.remembered && !looked.changed}<p class="text-soft">
        Laid out as the last file with these headings was.
      </p>{/if}
    {#if !looked.changed}{#each look.notes as note (note)}<p><Icon sign="caution" /> {note}</p>{/each}{/if}
    {#if !found}
      <ul class="mt-1" role="alert">
        {#each look.badLines.slice(0, 8) as bad, i (i)}
          <li>line <span class="number">{bad.line}</span>: {bad.reason}</li>
        {/each}
        {#if look.badLineCount > 8}<li>
            and {look.badLineCount - Math.min(8, look.badLines.length)} more
          </li>{/if}
      </ul>
    {/if}
    <ColumnMap {looked} {contacts} />
    <LayoutFields {looked} />
    {#if found}<FoundColumns {found} />{/if}
    {#if more}{@render more()}{/if}
    <div class="mt-3 flex flex-wrap items-center gap-3">
      <Action main disabled={!found || taking || looked.busy !== ''} onclick={takeIt}>Take it</Action>
      <Action onclick={() => looked.close()}>Cancel</Action>
      {#if taking}<span class="text-soft" role="status">Taking it</span>{/if}
    </div>
    {#if refused}<Trouble problem={refused} />{/if}
  </section>
{/if}
