<script lang="ts">
  import type { SiteInList } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import DateField from '../lib/shell/DateField.svelte';

  /** When a site was tried last, and when it is to be looked after next. */
  interface Props {
    site: SiteInList;
    setCare: (benchTest: string, upkeep: string) => void;
    done: () => void;
  }
  let { site, setCare, done }: Props = $props();
</script>

<form
  class="mb-4 flex flex-wrap items-end gap-3"
  onsubmit={(event) => {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    setCare(String(data.get('benchTest')), String(data.get('upkeep')));
    done();
  }}
>
  <DateField label="last bench test" name="benchTest" value={site.benchTest ?? ''} />
  <DateField label="next upkeep" name="upkeep" value={site.upkeep ?? ''} />
  <Action type="submit">Note it</Action>
  <Action onclick={done}>Cancel</Action>
</form>
