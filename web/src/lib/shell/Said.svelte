<script lang="ts">
  import type { Problem } from '../api/client';

  /** Beside a form: what was refused, in the server's words. */
  let { problem }: { problem: Problem | undefined } = $props();
</script>

<p class="min-h-6 text-danger empty:min-h-0" role="alert">{problem?.detail ?? ''}</p>
