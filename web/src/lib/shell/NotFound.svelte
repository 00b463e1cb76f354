<script lang="ts">
  import Frame from './Frame.svelte';
</script>

<Frame title="Not here">
  <p class="p-6">There is no such place. <a class="underline" href="#/">Go to the sites</a>.</p>
</Frame>
