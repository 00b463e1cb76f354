<script lang="ts">
  import { fixed } from '../lib/sentence/quantity';
  import { happened } from '../lib/tape/events';
  import type { Differs } from './differences';

  /** What moves at another instant, or only on one of two revisions. */
  interface Props {
    differs: Differs[];
    /** The other revision, as a person numbers it. */
    against: string;
    /** What each part is called, by its id. */
    names: Record<string, string>;
  }
  let { differs, against, names }: Props = $props();

  const when = (seconds: number | undefined) => (seconds === undefined ? 'never' : `${fixed(seconds, 1)} s`);
</script>

<table class="w-full max-w-3xl text-left">
  <thead class="text-sm text-soft">
    <tr>
      <th class="py-1 font-normal">what moves</th>
      <th class="py-1 text-right font-normal">here</th>
      <th class="py-1 text-right font-normal">on revision {against}</th>
    </tr>
  </thead>
  <tbody>
    {#each differs as one, i (i)}
      <tr class="border-t border-rule">
        <td class="py-1">{names[one.subject] ?? 'Bus'} {happened(one.kind)}</td>
        <td class="number py-1 text-right">{when(one.first)}</td>
        <td class="number py-1 text-right">{when(one.second)}</td>
      </tr>
    {/each}
  </tbody>
</table>
