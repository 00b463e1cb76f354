import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { SiteInList } from '../lib/api/api';
import type { Problem } from '../lib/api/client';

const server = vi.hoisted(() => ({ refuses: undefined as Problem | undefined, asked: [] as unknown[] }));

vi.mock('../lib/api/client', () => ({
  whenSignedOut: () => {},
  api: {
    GET: () => ({ data: { sites: [], total: 0, putAway: 0 } }),
    POST: (path: string, { params, body }: { params: { path: { siteId: string } }; body: object }) => {
      server.asked.push(body);
      if (server.refuses) return { problem: server.refuses };
      const id = path.endsWith('/copies') ? `${params.path.siteId}-2` : params.path.siteId;
      return { data: { id, name: id, state: 'ACTIVE', ...body } };
    },
  },
  outcome: (call: unknown) => Promise.resolve(call),
}));

const { SiteList } = await import('./siteList.svelte');
const { ActsOnSites } = await import('./siteActs.svelte');

const site = (id: string, state = 'ACTIVE') => ({ id, name: id, state }) as unknown as SiteInList;

function listed() {
  const list = new SiteList();
  list.sites = [site('kvarno'), site('skarvholm')];
  list.total = 2;
  return { list, acts: new ActsOnSites(list), shown: () => list.sites?.map((one) => one.id) };
}

describe('what is done with a site in the list', () => {
  beforeEach(() => {
    server.refuses = undefined;
    server.asked = [];
  });

  it('deleted, it leaves the list, and can be put back', async () => {
    const { list, acts, shown } = listed();
    await acts.setState(site('kvarno'), 'DELETED');
    expect([shown(), list.total, acts.deleted?.id]).toEqual([['skarvholm'], 1, 'kvarno']);
    await acts.setState(acts.deleted ?? site(''), 'ACTIVE');
    expect([shown(), list.total, acts.deleted]).toEqual([['kvarno', 'skarvholm'], 2, undefined]);
  });

  it('archived and brought back, it is counted among those put away', async () => {
    const { list, acts } = listed();
    await acts.setState(site('kvarno'), 'ARCHIVED');
    expect(list.putAway).toBe(1);
    await acts.setState(site('kvarno', 'ARCHIVED'), 'ACTIVE');
    expect(list.putAway).toBe(0);
  });

  it('refused, it stays as it was with the reason; the next act that is taken clears that', async () => {
    const { list, acts, shown } = listed();
    server.refuses = { type: 'about:blank', status: 409, detail: 'Somebody runs it.' } as Problem;
    await acts.setState(site('kvarno'), 'DELETED');
    expect([shown(), list.putAway, acts.deleted]).toEqual([['kvarno', 'skarvholm'], 0, undefined]);
    expect(acts.problem?.detail).toBe('Somebody runs it.');
    expect(await acts.copy(site('kvarno'), 'Twin')).toBe(false);
    server.refuses = undefined;
    expect(await acts.copy(site('kvarno'), 'Twin')).toBe(true);
    expect([shown(), acts.problem]).toEqual([['kvarno-2', 'kvarno', 'skarvholm'], undefined]);
  });

  it('its care is sent as far as it is told', async () => {
    const { acts } = listed();
    await acts.setCare(site('kvarno'), '2027-05-01', '');
    await acts.setCare(site('kvarno'), '', '');
    expect(server.asked).toEqual([{ benchTest: '2027-05-01' }, {}]);
  });
});
