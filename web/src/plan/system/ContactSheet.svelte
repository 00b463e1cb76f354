<script lang="ts">
  import type { Output, Sentence } from '../../lib/api/api';
  import ContactSymbol from '../../lib/contact/ContactSymbol.svelte';
  import { plain } from '../../lib/sentence/plain';
  import { capital } from '../../lib/sentence/quantity';
  import Action from '../../lib/shell/Action.svelte';
  import type { Part } from './tree';

  /** What a contact cuts off while it is open, when it does, and the way to its rule. */
  interface Props {
    output: Output;
    automatic?: Sentence;
    protection?: Sentence;
    cut: Part[];
    /** Outputs whose deciding device loses its feed with it. */
    deciders: string[];
    /** Whether the AC side can be fed past it. */
    hasAc: boolean;
    go: () => void;
  }
  let { output, automatic, protection, cut, deciders, hasAc, go }: Props = $props();

  const said = $derived(
    [
      output.mode === 'OFF' ? 'Off: it stays open.' : '',
      output.mode === 'ON' ? 'On: closed unless its protection opens it.' : '',
      output.mode === 'BY_RULE' && automatic && output.automatic
        ? capital(plain(automatic, output.automatic))
        : '',
      protection && output.protection ? `Protection: ${plain(protection, output.protection)}` : '',
    ].filter(Boolean),
  );
</script>

<div class="flex items-center gap-3">
  <ContactSymbol closed={output.mode === 'ON'} label={output.name} />
  <h2 tabindex="-1">{output.name}</h2>
</div>
{#each said as one (one)}<p class="mt-2">{one}</p>{/each}
<h3 class="mt-4">Cut off while it is open</h3>
{#if cut.length > 0}
  <ul class="mt-1">
    {#each cut as one (one.path)}
      <li class="flex justify-between gap-4 border-t border-rule py-1">
        <span>{one.name}</span><span class="number min-w-0 text-right whitespace-normal text-soft"
          >{one.detail}</span
        >
      </li>
    {/each}
  </ul>
  {#if hasAc}<p class="mt-1 text-sm text-soft">What hangs on the inverter is fed while AC is present.</p>{/if}
{:else}<p class="text-soft">It switches no part of this site.</p>{/if}
{#if deciders.length > 0}
  <p class="mt-2">Without its feed then: what decides {deciders.join(', ')}.</p>
{/if}
<div class="mt-4"><Action onclick={go}>To its rule</Action></div>
