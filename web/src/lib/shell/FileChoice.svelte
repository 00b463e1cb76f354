<script lang="ts">
  /** Words that choose a file: pressed, or gone to by keys. */
  interface Props {
    says: string;
    accept: string;
    take: (event: Event & { currentTarget: HTMLInputElement }) => void;
  }
  let { says, accept, take }: Props = $props();
</script>

<label
  class="inline-flex min-h-11 cursor-pointer items-center underline underline-offset-4 has-focus-visible:outline-3 has-focus-visible:outline-focus"
  >{says}<input class="sr-only" type="file" {accept} onchange={take} /></label
>
