<script lang="ts">
  import Action from '../lib/shell/Action.svelte';

  /** Something that is told once: to be copied now, as nobody can see it again. */
  let { what, secret, until, done }: { what: string; secret: string; until?: string; done: () => void } =
    $props();

  let copied = $state(false);
  async function copy() {
    await navigator.clipboard.writeText(secret);
    copied = true;
  }
</script>

<section class="my-3 border-l-4 border-ink bg-raised p-4" aria-label={what}>
  <p class="font-bold">{what}</p>
  <p class="my-2 font-mono text-base break-all whitespace-pre-line select-all">{secret}</p>
  <p class="text-soft">Nobody can see it again.{until ? ` It holds until ${until}.` : ''}</p>
  <div class="mt-3 flex gap-3">
    <Action main onclick={copy}>{copied ? 'Copied' : 'Copy'}</Action>
    <Action onclick={done}>Done</Action>
  </div>
</section>
