<script lang="ts">
  import type { Plan } from '../../lib/api/api';
  import type { PlanEditor } from '../planEditor.svelte';
  import Fields from './Fields.svelte';
  import { inWords, schemaOf } from './schema';
  import { layoutOf } from './themes';

  /** The form of a part: the numbers that matter first, the rest folded by theme, each with a line that sums it up. */
  interface Props {
    editor: PlanEditor;
    plan: Plan;
    schema: string;
    value: Record<string, unknown>;
    path: string;
    of: string;
    readonly: boolean;
  }
  let { editor, plan, schema: kind, value, path, of, readonly }: Props = $props();

  const schema = $derived(schemaOf(kind));
  const layout = $derived(layoutOf(kind, Object.keys(schema.properties ?? {})));
  const common = $derived({ editor, plan, schema, value, path, of, readonly });
  /** Themes that were opened stay so until they are folded. */
  let opened = $state<Record<string, boolean>>({});
  /** What a refused field stands in is not folded away, nor when it is mended. */
  const isWanted = (fields: string[]) =>
    editor.refused.some((one) => fields.some((field) => `${one.pointer}/`.startsWith(`/${path}/${field}/`)));
  const isOpen = (theme: string, fields: string[]) => opened[theme] === true || isWanted(fields);
  $effect(() => {
    for (const [theme, fields] of Object.entries(layout.themes)) if (isWanted(fields)) opened[theme] = true;
  });
  const summed = (fields: string[]) =>
    fields
      .map((field) => inWords(schema.properties?.[field] ?? {}, field, value[field]))
      .filter(Boolean)
      .join(', ');
  const guesses = (fields: string[]) =>
    Object.entries(plan.origins).filter(
      ([at, origin]) =>
        origin.kind === 'GUESS' && fields.some((field) => `${at}/`.startsWith(`${path}/${field}/`)),
    ).length;
</script>

<Fields {...common} fields={layout.first} />
{#each Object.entries(layout.themes) as [theme, fields] (theme)}
  <details class="mt-1 border-t border-rule" open={isOpen(theme, fields)}>
    <summary
      onclick={(event) => {
        // The form itself keeps what is open: an event that comes later could meet a plan that has changed by then.
        event.preventDefault();
        opened[theme] = !isOpen(theme, fields);
      }}
      class="opens flex min-h-11 cursor-pointer items-center gap-x-3 py-1"
    >
      <span class="shrink-0 font-bold">{theme}</span>
      {#if guesses(fields) > 0}<span class="font-bold text-caution">? {guesses(fields)}</span>{/if}
      <span class="number min-w-0 grow truncate text-right text-sm text-soft"
        >{summed(fields) || 'not set'}</span
      >
    </summary>
    <div class="pb-3"><Fields {...common} {fields} /></div>
  </details>
{/each}
