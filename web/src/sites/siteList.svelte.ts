import { api, outcome, type Problem } from '../lib/api/client';
import type { SiteInList } from '../lib/api/api';

export type SiteFilter = 'all' | 'findings' | 'drafts' | 'unsent' | 'drifted' | 'upkeep';

/** The sites as the server sorts and finds them, a part at a time. */
export class SiteList {
  sites = $state.raw<SiteInList[]>();
  total = $state(0);
  putAway = $state(0);
  problem = $state.raw<Problem>();
  search = $state('');
  filter = $state<SiteFilter>('all');
  archived = $state(false);
  /** How many of those shown the server has not given in its order. */
  private putOnTop = 0;
  /** The newest question; answers to earlier ones come too late. */
  private asked = 0;

  constructor(private readonly size = 100) {}

  get hasMore() {
    return (this.sites?.length ?? 0) < this.total;
  }

  /** Whether more than the first part is shown. */
  get isFurtherDown() {
    return (this.sites?.length ?? 0) > this.size;
  }

  /** Asks for the first part anew. */
  async load() {
    await this.ask(0, this.size);
  }

  /** What was done with a site is seen where it stands; the list is not asked for anew, which would take one away from one's place. */
  changed(site: SiteInList) {
    const isHere = (site.state === 'ARCHIVED') === this.archived && site.state !== 'DELETED';
    const sites = this.sites ?? [];
    const at = sites.findIndex((one) => one.id === site.id);
    if (isHere && at < 0) this.putOnTop++;
    this.sites = isHere
      ? at < 0
        ? [site, ...sites]
        : sites.with(at, site)
      : sites.filter((one) => one.id !== site.id);
    this.total += this.sites.length - sites.length;
  }

  async more() {
    if (this.hasMore) await this.ask((this.sites?.length ?? 0) - this.putOnTop, this.size);
  }

  private async ask(offset: number, size: number) {
    const mine = ++this.asked;
    const { search, filter, archived } = this;
    const answer = await outcome(
      api.GET('/api/sites', { params: { query: { search, filter, archived, offset, size } } }),
    );
    if (mine !== this.asked) return;
    this.problem = answer.problem;
    if (!answer.data) return;
    const seen = offset === 0 ? [] : (this.sites ?? []);
    if (offset === 0) this.putOnTop = 0;
    const added = answer.data.sites.filter((site) => !seen.some((one) => one.id === site.id));
    this.sites = [...seen, ...added];
    this.total = answer.data.total;
    this.putAway = answer.data.putAway;
  }
}
