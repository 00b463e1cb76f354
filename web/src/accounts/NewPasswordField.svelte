<script lang="ts">
  import { FIELD } from '../lib/shell/fieldLook';

  /** A new password, which can be looked at while it is typed. */
  let { value = $bindable() }: { value: string } = $props();
  let seen = $state(false);
</script>

<div class="grid gap-1">
  <label class="grid gap-1 font-bold"
    >New password
    <input
      class="{FIELD} font-normal"
      name="new-password"
      type={seen ? 'text' : 'password'}
      autocomplete="new-password"
      required
      minlength="12"
      bind:value
    /></label
  >
  <p class="text-sm text-soft">
    12 characters or more; several words that do not belong together are easy to remember and hard to guess.
  </p>
  <label class="flex min-h-11 items-center gap-2 text-sm"
    ><input type="checkbox" class="h-5 w-5" bind:checked={seen} />show it</label
  >
</div>
