<script module lang="ts">
  import type { Crew, Member } from '../lib/api/api';

  /** A crew that is worked on; no id for a new one. */
  export interface EditedCrew {
    id?: string;
    name: string;
    version: number;
    members: Member[];
    sites: string[];
  }
</script>

<script lang="ts">
  import { untrack } from 'svelte';
  import { api, outcome, type Problem } from '../lib/api/client';
  import type { AccountInList, Named } from '../lib/api/api';
  import Action from '../lib/shell/Action.svelte';
  import { FIELD } from '../lib/shell/fieldLook';
  import Said from '../lib/shell/Said.svelte';

  /** Who is in a crew, and which sites are theirs. */
  interface Props {
    begin: EditedCrew;
    accounts: AccountInList[];
    sites: Named[];
    /** Takes all crews as they are now; none when nothing was saved. */
    done: (crews?: Crew[]) => void;
  }
  let { begin, accounts, sites, done }: Props = $props();

  let crew = $state.raw(untrack(() => begin));
  let refused = $state.raw<Problem>();

  async function save(event: SubmitEvent) {
    event.preventDefault();
    const { id, ...others } = crew;
    const body = { ...others, name: crew.name.trim() };
    const answer = await outcome(
      id
        ? api.PUT('/api/crews/{crew}', { params: { path: { crew: id } }, body })
        : api.POST('/api/crews', { body }),
    );
    refused = answer.problem;
    if (answer.data) done(answer.data);
  }

  /** In the crew or not; who is in may change, or only see. */
  function put(account: string, standing: 'out' | 'sees' | 'changes') {
    const others = crew.members.filter((one) => one.account !== account);
    crew = {
      ...crew,
      members: standing === 'out' ? others : [...others, { account, changes: standing === 'changes' }],
    };
  }
  const standingOf = (account: string) => {
    const member = crew.members.find((one) => one.account === account);
    return member ? (member.changes ? 'changes' : 'sees') : 'out';
  };
</script>

<form class="grid gap-5 border-l-4 border-ink bg-raised p-4" onsubmit={save}>
  <label class="grid max-w-sm gap-1 font-bold"
    >Name of the crew
    <input
      class="{FIELD} font-normal"
      required
      maxlength="120"
      value={crew.name}
      oninput={(event) => (crew = { ...crew, name: event.currentTarget.value })}
    /></label
  >
  <fieldset>
    <legend class="font-bold">People</legend>
    <ul class="grid gap-x-8 sm:grid-cols-2">
      {#each accounts as one (one.name)}
        <li class="flex items-center gap-3 py-0.5">
          <span class="grow">{one.fullName}</span>
          <select
            class="{FIELD} w-52"
            aria-label="{one.fullName} in this crew"
            value={standingOf(one.name)}
            onchange={(event) => put(one.name, event.currentTarget.value as 'out' | 'sees' | 'changes')}
          >
            <option value="out">not in it</option>
            <option value="sees">sees</option>
            <option value="changes">sees and changes</option>
          </select>
        </li>
      {/each}
    </ul>
  </fieldset>
  <fieldset>
    <legend class="font-bold">Sites</legend>
    <ul class="grid gap-x-8 sm:grid-cols-2">
      {#each sites as site (site.id)}
        <li>
          <label class="flex min-h-11 items-center gap-2"
            ><input
              type="checkbox"
              class="h-5 w-5"
              checked={crew.sites.includes(site.id)}
              onchange={(event) =>
                (crew = {
                  ...crew,
                  sites: event.currentTarget.checked
                    ? [...crew.sites, site.id]
                    : crew.sites.filter((id) => id !== site.id),
                })}
            />{site.name}</label
          >
        </li>
      {/each}
    </ul>
  </fieldset>
  <Said problem={refused} />
  <div class="flex gap-3">
    <Action main type="submit">Save the crew</Action>
    <Action onclick={() => done()}>Leave it</Action>
  </div>
</form>
