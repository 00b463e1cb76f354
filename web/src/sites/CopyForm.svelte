<script lang="ts">
  import type { SiteInList } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';

  /** Asks what the copy of a site is to be called. */
  interface Props {
    site: SiteInList;
    /** Makes the copy; whether it was made. */
    copy: (name: string) => Promise<boolean>;
    done: () => void;
  }
  let { site, copy, done }: Props = $props();

  const LONGEST_NAME = 120;
  /** A form that was asked for begins in its field. */
  function begun(field: HTMLInputElement) {
    field.select();
  }
</script>

<form
  class="mb-4 flex flex-wrap items-end gap-3"
  onsubmit={(event) => {
    event.preventDefault();
    const name = String(new FormData(event.currentTarget).get('name'));
    // What could not be made keeps its form and its name.
    void copy(name).then((made) => made && done());
  }}
>
  <label class="grid gap-1 text-sm text-soft"
    >name of the copy<input
      use:begun
      class="{FIELD} w-72 max-w-full"
      name="name"
      required
      maxlength={LONGEST_NAME}
      pattern=".*\S.*"
      title="a name, not all blank"
      value="{site.name.slice(0, LONGEST_NAME - 2)} 2"
    /></label
  >
  <Action type="submit">Make the copy</Action>
  <Action onclick={done}>Cancel</Action>
</form>
