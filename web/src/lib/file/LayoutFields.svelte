<script lang="ts">
  import type { Layout } from '../api/api';
  import { FIELD } from '../shell/fieldLook';
  import type { Looked } from './fileLook.svelte';

  /** How a file is written: what stands around its data, between its columns, and how its times are. */
  let { looked }: { looked: Looked } = $props();

  const layout = $derived(looked.layout);
  const SEPARATORS = [
    [';', 'semicolon'],
    [',', 'comma'],
    ['\t', 'tab'],
    ['|', 'bar'],
    [' ', 'blanks'],
  ];
  const KINDS = [
    ['ISO', '2026-01-31 14:05'],
    ['PATTERN', 'by a pattern'],
    ['EPOCH_SECONDS', 'seconds since 1970'],
    ['EPOCH_MILLISECONDS', 'milliseconds since 1970'],
    ['SECONDS', 'seconds since the beginning'],
    ['PARTS', 'year, month, day, hour in columns'],
  ];
  const PATTERNS = ['dd.MM.yyyy HH:mm', 'dd/MM/yyyy HH:mm', 'MM/dd/yyyy HH:mm', 'M/d/yyyy h:mm a'];
  const id = $props.id();

  const change = (what: Partial<Layout>) => void looked.change(what);
  const whole = (event: Event & { currentTarget: HTMLInputElement }) =>
    Math.max(0, Math.round(event.currentTarget.valueAsNumber || 0));
  function kind(chosen: string) {
    if (!layout) return;
    const time = { ...layout.time, kind: chosen as Layout['time']['kind'] };
    change({ time: { ...time, pattern: chosen === 'PATTERN' ? time.pattern || 'dd.MM.yyyy HH:mm' : '' } });
  }
</script>

{#if layout}
  <details class="mt-2">
    <summary class="opens flex min-h-11 cursor-pointer items-center underline">How it is written</summary>
    <div class="grid max-w-4xl grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] gap-x-4 gap-y-2 pb-2">
      <label class="grid gap-1 text-sm text-soft"
        >between columns
        <select
          class="{FIELD} w-full min-w-0"
          value={layout.separator}
          onchange={(event) => change({ separator: event.currentTarget.value })}
        >
          {#each SEPARATORS as [one, word] (one)}<option value={one}>{word}</option>{/each}
        </select>
      </label>
      <label class="grid gap-1 text-sm text-soft"
        >before decimals
        <select
          class="{FIELD} w-full min-w-0"
          value={layout.decimal}
          onchange={(event) => change({ decimal: event.currentTarget.value })}
        >
          <option value=".">point</option><option value=",">comma</option>
        </select>
      </label>
      {#each [['skippedLines', 'lines before the heading'], ['headingLines', 'lines of heading'], ['footerLines', 'lines after the data']] as const as [field, word] (field)}
        <label class="grid gap-1 text-sm text-soft"
          >{word}
          <input
            class="{FIELD} number w-full min-w-0"
            type="number"
            min="0"
            max="200"
            value={layout[field]}
            onchange={(event) => change({ [field]: whole(event) })}
          />
        </label>
      {/each}
      <label class="grid gap-1 text-sm text-soft"
        >times are written
        <select
          class="{FIELD} w-full min-w-0"
          value={layout.time.kind}
          onchange={(event) => kind(event.currentTarget.value)}
        >
          {#each KINDS as [one, word] (one)}<option value={one}>{word}</option>{/each}
        </select>
      </label>
      {#if layout.time.kind === 'PATTERN'}
        <label class="grid gap-1 text-sm text-soft"
          >pattern of times
          <input
            class="{FIELD} number w-full min-w-0"
            list="{id}-patterns"
            value={layout.time.pattern}
            onchange={(event) => change({ time: { ...layout.time, pattern: event.currentTarget.value } })}
          />
          <datalist id="{id}-patterns">
            {#each PATTERNS as one (one)}<option value={one}></option>{/each}
          </datalist>
        </label>
      {/if}
      <label class="grid gap-1 text-sm text-soft"
        >zone of times
        <input
          class="{FIELD} w-full min-w-0"
          placeholder={looked.zone}
          value={layout.zone ?? ''}
          onchange={(event) => change({ zone: event.currentTarget.value.trim() || undefined })}
        />
      </label>
      <label class="grid gap-1 text-sm text-soft"
        >gaps filled up to, h
        <input
          class="{FIELD} number w-full min-w-0"
          type="number"
          min="0"
          max="744"
          step="0.5"
          value={layout.longestGapSeconds / 3600}
          onchange={(event) => change({ longestGapSeconds: (event.currentTarget.valueAsNumber || 0) * 3600 })}
        />
      </label>
      {#each [['standardTimeAllYear', 'standard time all year'], ['stampsEnd', 'a time is the end of its step']] as const as [field, word] (field)}
        <label class="flex min-h-11 items-center gap-2 self-end"
          ><input
            type="checkbox"
            class="size-5"
            checked={layout[field]}
            onchange={(event) => change({ [field]: event.currentTarget.checked })}
          />{word}</label
        >
      {/each}
    </div>
  </details>
{/if}
