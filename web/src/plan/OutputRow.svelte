<script lang="ts">
  import type { Finding, Output, OutputFigures, OutputReading } from '../lib/api/api';
  import ContactSymbol from '../lib/contact/ContactSymbol.svelte';
  import { lit } from '../lib/gauge/lit.svelte';
  import { levelsOf, plain } from '../lib/sentence/plain';
  import SeverityMark from '../lib/shell/SeverityMark.svelte';
  import WeekLane from './WeekLane.svelte';

  /** An output in two lines: its contact, its name, its rule in short, its first week, what is wrong; it opens the output. */
  interface Props {
    output: Output;
    reading: OutputReading | undefined;
    /** What it acts on. */
    acts: string;
    figures: OutputFigures | undefined;
    /** When the run ends (s since its start). */
    end: number;
    findings: Finding[];
    open: boolean;
    toggle: () => void;
  }
  let { output, reading, acts, figures, end, findings, open, toggle }: Props = $props();

  const SEVERITIES = ['DANGER', 'CAUTION', 'NOTE'] as const;
  const worst = $derived(SEVERITIES.find((one) => findings.some((finding) => finding.severity === one)));
  /** Its rule and what guards it in one line. */
  const summary = $derived.by(() => {
    if (output.mode === 'OFF') return 'Off';
    const said = (['automatic', 'protection'] as const).map((slot) => {
      const [sentence, rule] = [reading?.[slot], output[slot]];
      if (!sentence || !rule || (slot === 'automatic' && output.mode === 'ON')) return '';
      return levelsOf(sentence, rule) || plain(sentence, rule);
    });
    return [output.mode === 'ON' ? 'On' : '', ...said].filter(Boolean).join('; ');
  });
  /** What a contact does at rest with a full battery: what the symbol shows. */
  const closed = $derived(output.testForce === 'NONE' ? output.mode === 'ON' : output.testForce === 'CLOSED');
  /** One of its levels is looked at, on the gauge, on the tape or in a sentence. */
  const lights = $derived(lit.path?.startsWith(`program/outputs/${output.id}/`) ?? false);
</script>

<button
  class="row {open ? 'bg-raised' : 'hover:bg-raised'} {lights ? 'lit' : ''}"
  aria-expanded={open}
  aria-controls="open-{output.id}"
  onclick={toggle}
>
  <ContactSymbol {closed} label={output.name} />
  <span class="min-w-0 grow text-left">
    <span class="flex items-baseline gap-x-3">
      <span id="output-{output.id}" class="max-w-full shrink-0 truncate font-bold">{output.name}</span>
      {#if !open}<span class="hidden truncate text-sm text-soft sm:block">{acts}</span>{/if}
    </span>
    {#if output.testForce !== 'NONE'}
      <span class="block truncate text-sm font-bold text-danger"
        >Forced {output.testForce.toLowerCase()} for a test</span
      >
    {:else}<span class="block truncate text-sm text-soft">{open ? acts : summary}</span>{/if}
  </span>
  {#if figures}<span class="hidden w-24 shrink-0 sm:block"><WeekLane {figures} {end} /></span>{/if}
  <span class="w-6 shrink-0">
    {#if worst}<SeverityMark severity={worst} count={findings.length} brief />{/if}
  </span>
</button>

<style>
  .row {
    display: flex;
    width: 100%;
    min-height: 3rem;
    align-items: center;
    gap: 0.75rem;
    padding: 0.125rem 1rem;
  }
  @media (min-width: 48rem) {
    .row {
      padding-inline: 1.5rem;
    }
  }
  @media (pointer: coarse) {
    .row {
      min-height: 3.5rem;
    }
  }
  .lit {
    box-shadow: inset 4px 0 var(--focus);
  }
</style>
