<script lang="ts">
  import type { Output } from '../lib/api/api';
  import { switchableOf } from './outputs';
  import type { PlanEditor } from './planEditor.svelte';

  /** What an output's contact switches, of what no other has. */
  interface Props {
    editor: PlanEditor;
    output: Output;
    put: (value: Partial<Output>, says: string) => void;
  }
  let { editor, output, put }: Props = $props();

  /** What no other output drives. */
  const switchable = $derived.by(() => {
    if (!editor.plan) return [];
    const taken = editor.plan.program.outputs
      .filter((one) => one.id !== output.id)
      .flatMap((one) => one.loads);
    return switchableOf(editor.plan).filter((one) => !taken.includes(one.id));
  });
</script>

<fieldset class="mt-3">
  <legend class="text-sm">Behind its contact</legend>
  <div class="flex flex-wrap gap-x-5">
    {#each switchable as one (one.id)}
      <label class="flex min-h-9 items-center gap-2"
        ><input
          type="checkbox"
          class="size-5 accent-ink"
          checked={output.loads.includes(one.id)}
          onchange={(event) => {
            const others = output.loads.filter((id) => id !== one.id);
            put({ loads: event.currentTarget.checked ? [...others, one.id] : others }, 'what it drives');
          }}
        />{one.name}</label
      >
    {:else}<p class="text-soft">Everything here is behind another contact.</p>{/each}
  </div>
</fieldset>
