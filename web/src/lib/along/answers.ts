import type { LoadedRevision } from '../api/api';
import { inTodaysWords } from '../plan/todaysWords';
import { asIf } from './asIf';
import type { Made } from './changes/change';
import type { Store, Taken, Waiting } from './store';
import { answering, follows, NoCore, NotTaken, renewed, type AskCore } from './views';

/** Views of which something else can be asked than was kept: what a level can be set to as the battery is now. */
const WITH_QUERY = /\/bench-tests\/[^/]+$/;

/** The end of an address behind its site, and the address up to there. */
const parts = (path: string) => /^(\/api\/sites\/[^/?]+)\/([^?]+)\??(.*)$/.exec(path) ?? [];

/** Path and query of an address. */
export const pathOf = (url: string) => {
  const { pathname, search } = new URL(url, location.origin);
  return pathname + search;
};

export const siteOf = (path: string) => /^\/api\/(?:sites|reading)\/([^/?]+)/.exec(path)?.[1];

/** What was kept of the server's answers, with all that waits as if it were done. */
export class Answers {
  constructor(
    private readonly store: Store,
    private readonly account: () => string,
    private readonly askCore: AskCore,
  ) {}

  async keep(path: string, body: string, type: string, at: string, site = siteOf(path) ?? '') {
    await this.store.put('answers', { account: this.account(), path, site, type, body, at });
  }

  async isKept(path: string): Promise<boolean> {
    return (await this.store.getKey('answers', [this.account(), path])) !== undefined;
  }

  /** As the server said it, or would have it once what waits is sent. */
  private async applied(path: string, waiting: Waiting[], by: string) {
    const found =
      (await this.store.get('answers', [this.account(), path])) ??
      (WITH_QUERY.test(path.replace(/\?.*/, ''))
        ? await this.store.get('answers', [this.account(), path.replace(/\?.*/, '')])
        : undefined);
    if (!found) return undefined;
    const kept = { ...found, body: inTodaysWords(found.body) };
    let view: unknown;
    for (const one of waiting.filter((waits) => !waits.refused && waits.site === kept.site)) {
      const made: Made = { by, at: one.at };
      for (const { path: shown, apply } of asIf(one.method, one.path, one.body)?.shows ?? []) {
        if (shown === kept.path) view = apply((view ?? JSON.parse(kept.body)) as never, made);
      }
    }
    return { kept, view };
  }

  /**
   * The answer to a question; undefined where none was kept.
   *
   * @param more something that is about to wait
   * @throws NotTaken when the core does not take that
   */
  async answer(path: string, waits: Waiting[], by: string, more?: Waiting): Promise<Response | undefined> {
    const waiting = more ? [...waits, more] : waits;
    const found = await this.applied(path, waiting, by);
    if (!found) return undefined;
    const { kept } = found;
    const [, site, end, query = ''] = parts(path);
    const isOwn = waiting.some((one) => !one.refused && one.site === kept.site);
    let { view } = found;
    if (site && end && follows(end) && (isOwn || query !== '')) {
      const typed = view ?? JSON.parse(kept.body);
      const beside = async <V>(other: string) => {
        const there = await this.applied(`${site}/${other}`, waiting, by);
        return there && ((there.view ?? JSON.parse(there.kept.body)) as V);
      };
      const latest = await beside<LoadedRevision>('revisions/latest');
      try {
        view =
          latest &&
          (await renewed(end, typed, {
            plan: latest.plan,
            revision: latest.revision,
            query: new URLSearchParams(query),
            core: answering(this.askCore),
            beside,
          }));
      } catch (failure) {
        // Without the core, or where the plan has changed since, it is shown as it was typed.
        if (!(failure instanceof NoCore || (failure instanceof NotTaken && !more))) throw failure;
        view = typed;
      }
    }
    const body = view === undefined ? kept.body : JSON.stringify(view);
    return new Response(body, { headers: { 'Content-Type': kept.type } });
  }
}

/** The list of sites, of those that were taken along. */
export function listed(taken: Taken[], path: string) {
  const search = decodeURIComponent(/[?&]search=([^&]*)/.exec(path)?.[1] ?? '').toLowerCase();
  const sites = taken
    .map((one) => one.row)
    .filter((one) => one.name.toLowerCase().includes(search))
    .sort((one, other) => other.rank - one.rank || one.name.localeCompare(other.name));
  return { sites, total: sites.length, putAway: 0 };
}
