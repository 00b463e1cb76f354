import { api, outcome, type Outcome, type Problem } from '../lib/api/client';
import type { SiteInList } from '../lib/api/api';
import type { SiteList } from './siteList.svelte';

/** What can be done with a site in the list, and what came of it. */
export class ActsOnSites {
  /** Why the last act was refused. */
  problem = $state<Problem>();
  /** How far a site is that is being taken along, or that it is. */
  taking = $state('');
  /** The site that was deleted last, as long as that can be undone here. */
  deleted = $state.raw<SiteInList>();

  constructor(private readonly list: SiteList) {}

  /** Shows what came of an act: the site as it is now, or why it is as it was. */
  private seen(answer: Outcome<SiteInList>): boolean {
    this.problem = answer.problem;
    if (answer.data) this.list.changed(answer.data);
    return answer.data !== undefined;
  }

  async setState(site: SiteInList, state: 'ACTIVE' | 'ARCHIVED' | 'DELETED'): Promise<void> {
    const params = { path: { siteId: site.id } };
    const wasArchived = site.state === 'ARCHIVED';
    const answer = await outcome(api.POST('/api/sites/{siteId}/state', { params, body: { state } }));
    if (!this.seen(answer)) return;
    this.deleted = state === 'DELETED' ? answer.data : undefined;
    this.list.putAway += Number(state === 'ARCHIVED') - Number(wasArchived);
  }

  async setCare(site: SiteInList, benchTest: string, upkeep: string): Promise<void> {
    const params = { path: { siteId: site.id } };
    const body = { ...(benchTest && { benchTest }), ...(upkeep && { upkeep }) };
    this.seen(await outcome(api.POST('/api/sites/{siteId}/care', { params, body })));
  }

  /** Makes a copy; whether it was made. */
  async copy(site: SiteInList, name: string): Promise<boolean> {
    const params = { path: { siteId: site.id } };
    return this.seen(await outcome(api.POST('/api/sites/{siteId}/copies', { params, body: { name } })));
  }

  async takeAlong(site: SiteInList): Promise<void> {
    const { takeAlong } = await import('../along/takeAlong');
    this.problem = await takeAlong(site, (says) => (this.taking = says));
  }

  async repair(site: SiteInList): Promise<void> {
    const params = { path: { siteId: site.id } };
    this.seen(await outcome(api.POST('/api/sites/{siteId}/repair', { params })));
  }
}
