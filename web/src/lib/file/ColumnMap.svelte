<script lang="ts">
  import { FIELD } from '../shell/fieldLook';
  import type { Looked } from './fileLook.svelte';

  /** Which column is what, in which unit, above the first lines of the file. */
  let { looked, contacts }: { looked: Looked; contacts: Record<string, string> } = $props();

  const rows = $derived(looked.look?.rows ?? []);
  const width = $derived(
    Math.min(
      looked.layout?.width ?? 0,
      Math.max(looked.layout?.width ?? 0, ...rows.map((row) => row.length)),
    ),
  );
  const columns = $derived(Array.from({ length: width }, (_, i) => i));
  const heading = (i: number) => looked.look?.headings[i] ?? '';

  function value(i: number): string {
    const said = looked.saidOf(i);
    return said.is !== 'taken'
      ? said.is
      : said.column.part
        ? `CONTACT ${said.column.part}`
        : said.column.meaning;
  }

  function say(i: number, chosen: string) {
    const [meaning = 'nothing', part] = chosen.split(' ');
    void looked.say(i, meaning, part);
  }

  function units(i: number) {
    const said = looked.saidOf(i);
    return said.is === 'taken'
      ? (looked.offered.find((one) => one.meaning === said.column.meaning)?.units ?? [])
      : [];
  }

  function unit(i: number) {
    const said = looked.saidOf(i);
    return said.is === 'taken' ? said.column.unit : '';
  }
</script>

<div class="mt-3 overflow-x-auto" tabindex="-1">
  <table class="w-auto border-collapse text-sm">
    <thead>
      <tr class="align-bottom">
        {#each columns as i (i)}
          <th class="px-2 pb-1 text-left font-bold whitespace-nowrap">{heading(i) || `column ${i + 1}`}</th>
        {/each}
      </tr>
      <tr class="align-top">
        {#each columns as i (i)}
          {@const name = heading(i) || `column ${i + 1}`}
          <td class="px-1 pb-2">
            <select
              class="{FIELD} w-44 text-sm"
              aria-label="what {name} is"
              value={value(i)}
              onchange={(event) => say(i, event.currentTarget.value)}
            >
              <option value="nothing">– not taken</option>
              <option value="time">time</option>
              {#each looked.offered as one (one.meaning)}
                {#if one.meaning === 'CONTACT'}
                  {#each Object.entries(contacts) as [id, called] (id)}
                    <option value="CONTACT {id}">contact of {called}</option>
                  {/each}
                {:else}
                  <option value={one.meaning}>{one.words}</option>
                {/if}
              {/each}
            </select>
            {#if units(i).length > 1}
              <select
                class="{FIELD} mt-1 w-44 text-sm"
                aria-label="unit of {name}"
                value={unit(i)}
                onchange={(event) => looked.unit(i, event.currentTarget.value)}
              >
                {#each units(i) as one (one.unit)}<option value={one.unit}>{one.symbol}</option>{/each}
              </select>
            {/if}
          </td>
        {/each}
      </tr>
    </thead>
    <tbody>
      {#each rows as row, r (r)}
        <tr class="border-t border-rule">
          {#each columns as i (i)}
            <td
              class="number px-2 py-0.5 whitespace-nowrap {looked.saidOf(i).is === 'nothing'
                ? 'text-soft'
                : ''}">{row[i] ?? ''}</td
            >
          {/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>
