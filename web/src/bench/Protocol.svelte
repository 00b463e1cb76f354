<script lang="ts">
  import type { BenchState } from '../lib/api/api';
  import { fixed } from '../lib/sentence/quantity';
  import { happened } from '../lib/tape/events';
  import { shownValue, type Bench } from './bench.svelte';
  import Icon from '../lib/shell/Icon.svelte';

  /** On paper only: what is expected of the script and of every level walked, with room for what is measured on site. */
  interface Props {
    bench: Bench;
    names: Record<string, string>;
    events: BenchState['events'];
  }
  let { bench, names, events }: Props = $props();
</script>

<section class="protocol px-6 py-4" aria-hidden="true">
  <h2>Test protocol</h2>
  <p>
    Expected by simulation, measured on site. A simulated result is no proof of safety; work on batteries
    follows local code and licensed practice.
  </p>
  <table class="mt-3 w-full text-left">
    <thead>
      <tr><th>expected</th><th>at</th><th class="w-40">measured</th><th class="w-40">by, when</th></tr>
    </thead>
    <tbody>
      {#each events as event, i (i)}
        <tr>
          <td>{names[event.subject] ?? 'Bus'} {happened(event.kind)}</td>
          <td class="number">{fixed(event.seconds, 1)} s</td>
          <td></td>
          <td></td>
        </tr>
      {/each}
      {#each bench.walked ?? [] as { row } (row.output + row.term + row.knob.id)}
        <tr>
          <td>{names[row.output] ?? row.output} <Icon sign={row.falling ? 'falls' : 'rises'} /> {row.term}</td
          >
          <td class="number"
            >{shownValue(row.knob, row.expected)}{row.movedAfterSeconds === undefined
              ? ''
              : `, after ${fixed(row.movedAfterSeconds, 1)} s`}</td
          >
          <td></td>
          <td></td>
        </tr>
      {/each}
    </tbody>
  </table>
</section>

<style>
  .protocol {
    display: none;
  }
  @media print {
    .protocol {
      display: block;
    }
  }
  td,
  th {
    border: 1px solid var(--rule-strong);
    padding: 0.35rem 0.5rem;
  }
</style>
