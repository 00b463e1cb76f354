<script lang="ts">
  import type { Offer, Output, Rule } from '../lib/api/api';
  import type { Problem } from '../lib/api/client';
  import { ask } from '../lib/engine/engine';
  import { capital } from '../lib/sentence/quantity';
  import Action from '../lib/shell/Action.svelte';
  import Trouble from '../lib/shell/Trouble.svelte';
  import type { PlanEditor } from './planEditor.svelte';

  /** Chooses a rule by what the output is for; it comes with usual numbers, to be adapted. */
  interface Props {
    editor: PlanEditor;
    output: Output;
    close: () => void;
  }
  let { editor, output, close }: Props = $props();

  const purposes: [Offer['purpose'], string][] = [
    ['PROTECT_BATTERY', 'Keep the battery from emptying'],
    ['USE_SURPLUS', 'Use what would be thrown away'],
    ['SAFE_CHARGING', 'Keep charging safe'],
    ['COOL_AND_VENT', 'Keep it cool and clear of gas'],
    ['LIGHT_AND_TIME', 'Light and time'],
    ['BRING_HELP', 'Bring in help'],
    ['TELL_SOMEONE', 'Tell someone'],
    ['BY_HAND', 'By hand or by another device'],
  ];
  let offers = $state.raw<Offer[]>();
  let problem = $state<Problem>();

  async function look() {
    if (!editor.plan) return;
    const answer = await ask('/api/offers/{siteId}', editor.site, { plan: editor.plan, output: output.id });
    offers = answer.data;
    problem = answer.problem;
  }

  void look();

  function escape(event: KeyboardEvent) {
    if (event.key === 'Escape' && !event.defaultPrevented) close();
  }

  function take(slot: 'automatic' | 'protection', offer: Offer) {
    const place = ['program', 'outputs', output.id];
    const note = () =>
      slot === 'automatic'
        ? `${output.name} goes by ${offer.title}`
        : `${output.name} is protected by ${offer.title}`;
    if (slot === 'automatic') {
      editor.set(place, { ...output, automatic: offer.rule as Rule, mode: 'BY_RULE' }, note);
    } else {
      // What guards an output that is off would never act: it goes on with it, and that is said.
      const off = output.mode === 'OFF';
      const guarded = { ...output, protection: offer.rule as Rule, mode: off ? 'ON' : output.mode };
      editor.set(place, guarded, () => (off ? `${note()}, and its mode is on` : note()));
    }
    close();
  }

  function remove(slot: 'automatic' | 'protection') {
    const mode = slot === 'automatic' && output.mode === 'BY_RULE' ? 'OFF' : output.mode;
    const without = Object.fromEntries(Object.entries({ ...output, mode }).filter(([key]) => key !== slot));
    editor.set(['program', 'outputs', output.id], without, () => `${output.name} loses its ${slot} rule`);
    close();
  }

  function lockOut() {
    const lockout = {
      trips: 3,
      withinSeconds: 3600,
      growthFactor: 2,
      firstWaitSeconds: 60,
      release: 'DAWN',
      waitSeconds: 0,
    };
    const without: Partial<Output> = { ...output };
    if (output.lockout) delete without.lockout;
    const changed = output.lockout ? without : { ...output, lockout };
    editor.set(['program', 'outputs', output.id], changed, () =>
      output.lockout ? `${output.name} loses its lockout` : `${output.name} locks out after 3 trips`,
    );
    close();
  }
</script>

<svelte:window onkeydown={escape} />

<div id="rules-{output.id}" class="mt-2 border-l-4 border-ink bg-raised p-3">
  {#if problem}<Trouble {problem} retry={look} />{/if}
  {#if !offers && !problem}<p role="status">Asking which rules suit this site</p>{/if}
  {#each purposes as [purpose, title] (purpose)}
    {@const some = (offers ?? []).filter((offer) => offer.purpose === purpose)}
    {#if some.length > 0}
      <details class="border-t border-rule first:border-t-0">
        <summary class="opens flex min-h-11 cursor-pointer items-center font-bold">{title}</summary>
        <ul class="pb-2">
          {#each some as offer (offer.name)}
            <li class="border-t border-rule py-2">
              <p class="font-bold">{capital(offer.title)}</p>
              {#if offer.rule}
                <p class="text-sm text-soft">{offer.sentence}</p>
                <div class="mt-1 flex flex-wrap gap-2">
                  <Action onclick={() => take('automatic', offer)}>As its rule</Action>
                  <Action onclick={() => take('protection', offer)}>As its protection</Action>
                </div>
              {:else}
                <p class="text-sm text-soft">
                  The site lacks what it needs: a monitor, a charger, arrays with told voltages, or another
                  output.
                </p>
              {/if}
            </li>
          {/each}
        </ul>
      </details>
    {/if}
  {/each}
  <div class="mt-2 flex flex-wrap gap-2 border-t border-rule pt-3">
    <Action onclick={lockOut}>{output.lockout ? 'Without lockout' : 'Lock out after 3 trips'}</Action>
    {#if output.automatic}<Action onclick={() => remove('automatic')}>Without automatic rule</Action>{/if}
    {#if output.protection}<Action onclick={() => remove('protection')}>Without protection</Action>{/if}
  </div>
</div>
