<script lang="ts">
  /** What a fill or a hatch on the tape stands for. */
  let { look, says }: { look: string; says: string } = $props();
</script>

<span><i class="mr-[0.35rem] inline-block h-[0.7rem] w-[1.1rem] {look}"></i>{says}</span>
