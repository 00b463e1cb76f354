<script lang="ts">
  import type { PlanEditor } from '../plan/planEditor.svelte';
  import FitSection from './FitSection.svelte';
  import type { Recorded } from './recorded.svelte';
  import ReplaySection from './ReplaySection.svelte';

  /** What recorded days teach: the battery that made them, and what the rules would have made of them. */
  interface Props {
    recorded: Recorded;
    editor: PlanEditor;
    readonly: boolean;
    zone: string;
  }
  let { recorded, editor, readonly, zone }: Props = $props();
</script>

<FitSection {recorded} {editor} {readonly} {zone} />
<ReplaySection {recorded} {editor} {zone} />
