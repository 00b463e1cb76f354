<script lang="ts">
  import Action from '../lib/shell/Action.svelte';
  import Frame from '../lib/shell/Frame.svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';
  import { roleTold, session } from '../lib/shell/session.svelte';
  import NewPasswordField from './NewPasswordField.svelte';
  import SecondFactor from './SecondFactor.svelte';
  import Sessions from './Sessions.svelte';
  import Tokens from './Tokens.svelte';
  import UnitsPart from './UnitsPart.svelte';

  let current = $state('');
  let next = $state('');
  let problem = $state.raw<Problem>();
  let done = $state('');
  const person = $derived(session.person);

  async function setPassword(event: SubmitEvent) {
    event.preventDefault();
    done = '';
    const answer = await outcome(api.POST('/api/account/password', { body: { current, next } }));
    problem = answer.problem;
    if (problem) return;
    current = next = '';
    done = 'The password is another one. Everywhere else you are signed out.';
  }
</script>

<Frame title="Your account" place="account">
  <div class="grid max-w-3xl grid-cols-1 gap-10 px-4 py-5 md:px-6">
    {#if person}
      <p>
        <b>{person.fullName}</b>, {person.name}: {roleTold(person.role)}{person.writesToDevices
          ? ', may write to devices'
          : ''}. {person.organisation}.
      </p>
      {#if person.secondFactorWanted}
        <p class="border-l-4 border-danger bg-raised p-3" role="status">
          {person.organisation} asks everybody for a second factor. Set it up below; then everything else opens.
        </p>
      {/if}
    {/if}
    <SecondFactor />
    <section class="grid grid-cols-1 gap-4" aria-label="Password">
      <h2>Password</h2>
      <form class="grid max-w-md gap-4" onsubmit={setPassword}>
        <label class="grid gap-1 font-bold"
          >Password that holds now
          <input
            class="{FIELD} font-normal"
            type="password"
            autocomplete="current-password"
            required
            bind:value={current}
          /></label
        >
        <NewPasswordField bind:value={next} />
        <div><Action type="submit">Change the password</Action></div>
        <Said {problem} />
        <p role="status">{done}</p>
      </form>
    </section>
    {#if !person?.secondFactorWanted}
      <UnitsPart />
      <Tokens />
      <Sessions />
    {/if}
  </div>
</Frame>
