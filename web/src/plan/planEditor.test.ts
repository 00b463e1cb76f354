import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Plan, Revision } from '../lib/api/api';

const server = vi.hoisted(() => ({
  latest: 1,
  lvd: 11.7,
  saves: [] as unknown[],
  draft: undefined as unknown,
}));

function plan(lvd: number): Plan {
  const protection = { kind: 'voltageDisconnect', sensePoint: 'bus', lvdVolts: lvd, lvrVolts: 12.7 };
  return { program: { outputs: [{ id: 'radio', name: 'Radio', protection }] } } as unknown as Plan;
}

function revision(number: number): Revision {
  return { number, note: '', author: 'Liv', savedAt: '2026-11-24T00:00:00Z', changes: [] };
}

vi.mock('../lib/api/client', () => ({
  whenSignedOut: () => {},
  api: {
    GET: (path: string, { params }: { params: { path: { number?: number } } }) => {
      if (path.endsWith('/drafts')) return { data: { mine: server.draft, others: [] } };
      const number = params.path.number ?? server.latest;
      return { data: { revision: revision(number), plan: plan(number === 1 ? 11.7 : server.lvd) } };
    },
    PUT: (_: string, { body }: { body: { plan: Plan; parent: number } }) => {
      server.draft = { ...body, savedAt: new Date().toISOString() };
      return { data: { savedAt: '2026-11-24T00:00:00Z' } };
    },
    DELETE: () => {
      server.draft = undefined;
      return {};
    },
    POST: (path: string, { body }: { body: { plan: Plan; parent: number } }) => {
      if (path.startsWith('/api/reading')) return { data: { outputs: [], findings: [] } };
      server.saves.push(body);
      if (body.parent !== server.latest) {
        return { problem: { type: 'urn:sparen:problem:outdated-revision', status: 409, detail: '' } };
      }
      server.latest += 1;
      return { data: { revision: revision(server.latest), plan: body.plan } };
    },
  },
  outcome: (call: unknown) => Promise.resolve(call),
}));

const LVD = ['program', 'outputs', 0, 'protection', 'lvdVolts'];
const say = (before: unknown, after: unknown) => `LVD of Radio ${before} V → ${after} V`;

async function opened() {
  const { PlanEditor } = await import('./planEditor.svelte');
  const editor = new PlanEditor('hallgrund');
  await editor.load();
  return editor;
}

type Shown = { plan: Plan | undefined };
const lvd = (editor: Shown) => {
  const rule = editor.plan?.program.outputs[0]?.protection;
  return rule?.kind === 'voltageDisconnect' ? rule.lvdVolts : undefined;
};

describe('editing a plan', () => {
  beforeEach(() => {
    const kept = new Map<string, string>();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
    });
    Object.assign(server, { latest: 1, lvd: 11.7, saves: [], draft: undefined });
  });

  it('keeps drafts by account, tells of a damaged one, and leaves none behind', async () => {
    const { session } = await import('../lib/shell/session.svelte');
    const person = (name: string) =>
      (session.person = {
        name,
        fullName: name,
        role: 'TECHNICIAN',
        organisation: 'Havørn',
        writesToDevices: false,
        hasSecondFactor: false,
        recoveryCodesLeft: 0,
        secondFactorWanted: false,
        offlineDays: 14,
        onlySees: [],
      });
    person('liv');
    const editor = await opened();
    editor.set(LVD, 11.8, say);
    server.draft = undefined;
    person('odd');
    expect((await opened()).dirty).toBe(false);
    localStorage.setItem('sparen.draft.odd.hallgrund', '{"plan": half');
    const damaged = await opened();
    expect(damaged.lost).toContain('damaged');
    expect(lvd(damaged)).toBe(11.7);
    person('liv');
    await editor.leave();
    expect(server.draft).toBeDefined();
    expect(localStorage.getItem('sparen.draft.liv.hallgrund')).toBeNull();
  });

  it('takes steps on one number as one step of undo', async () => {
    const editor = await opened();
    editor.set(LVD, 11.8, say);
    editor.set(LVD, 11.9, say);
    expect(editor.dirty).toBe(true);
    expect(editor.lastStep).toBe('LVD of Radio 11.7 V → 11.9 V');
    editor.undo();
    expect(lvd(editor)).toBe(11.7);
    expect(editor.dirty).toBe(false);
    editor.redo();
    expect(lvd(editor)).toBe(11.9);
    expect(editor.canRedo).toBe(false);
  });

  it('saves on the revision it was made from', async () => {
    const editor = await opened();
    editor.set(LVD, 11.8, say);
    await editor.save();
    expect(server.saves).toMatchObject([{ parent: 1 }]);
    expect(editor.revision?.number).toBe(2);
    expect(editor.dirty).toBe(false);
    editor.undo();
    await editor.save();
    expect(server.saves[1]).toMatchObject({ parent: 2 });
  });

  it('saves nothing when nothing has changed', async () => {
    const editor = await opened();
    await editor.save();
    editor.set(LVD, 11.7, say);
    await editor.save();
    expect(server.saves).toEqual([]);
  });

  it('meets a newer revision as a conflict and loses neither', async () => {
    const editor = await opened();
    Object.assign(server, { latest: 2, lvd: 12.1 });
    editor.set(LVD, 11.5, say);
    await editor.save();
    expect(editor.conflict?.revision.number).toBe(2);
    expect(lvd(editor)).toBe(11.5);
    editor.takeTheirs();
    expect(lvd(editor)).toBe(12.1);
    editor.undo();
    expect(lvd(editor)).toBe(11.5);
    await editor.save();
    expect(server.latest).toBe(3);
  });

  it('joins both, with the chosen one where they clash', async () => {
    const editor = await opened();
    Object.assign(server, { latest: 2, lvd: 12.1 });
    editor.set(LVD, 11.5, say);
    await editor.save();
    expect(editor.conflict?.clashes).toMatchObject([{ mine: 11.5, theirs: 12.1 }]);
    await editor.saveJoined(() => 'mine');
    expect(editor.conflict).toBeUndefined();
    expect(server.saves[1]).toMatchObject({ parent: 2, plan: plan(11.5) });
  });

  it('keeps unsaved changes on the server once nothing more comes, and forgets them when undone', async () => {
    vi.useFakeTimers();
    const editor = await opened();
    editor.set(LVD, 11.5, say);
    editor.set(LVD, 11.6, say);
    expect(server.draft).toBeUndefined();
    await vi.advanceTimersByTimeAsync(800);
    expect(server.draft).toMatchObject({ parent: 1, plan: plan(11.6) });
    expect(editor.keptAt).toBeDefined();
    editor.undo();
    await vi.advanceTimersByTimeAsync(800);
    expect(server.draft).toBeUndefined();
    vi.useRealTimers();
  });

  it('goes on with what the server kept, unless this browser has something newer', async () => {
    server.draft = { parent: 1, plan: plan(11.1), savedAt: '2026-11-24T08:00:00Z' };
    const elsewhere = await opened();
    expect(lvd(elsewhere)).toBe(11.1);
    elsewhere.set(LVD, 11.2, say);
    expect(lvd(await opened())).toBe(11.2);
  });

  it('goes by no clock: a draft that was on its way is older than what stands here, one of another window is newer', async () => {
    const later = '2999-01-01T00:00:00Z';
    const here = await opened();
    here.set(LVD, 11.2, say);
    server.draft = { parent: 1, plan: plan(11.1), savedAt: later };
    expect(lvd(await opened()), 'nothing was on its way from here').toBe(11.1);
    const kept = localStorage.getItem('sparen.draft.liv.hallgrund') ?? '';
    localStorage.setItem('sparen.draft.liv.hallgrund', kept.replace('"isSending":false', '"isSending":true'));
    expect(lvd(await opened()), 'the page went before the answer came').toBe(11.2);
    localStorage.setItem('sparen.draft.liv.hallgrund', kept.replace('"known":null', `"known":"${later}"`));
    expect(lvd(await opened()), 'the server had it before').toBe(11.2);
  });

  it('brings unsaved changes back on the revision they were made from', async () => {
    const first = await opened();
    first.set(LVD, 11.4, say);
    Object.assign(server, { latest: 2, lvd: 12.1 });
    const second = await opened();
    expect(second.restored).toBe(true);
    expect(lvd(second)).toBe(11.4);
    await second.save();
    expect(second.conflict, 'not written over the newer revision').toBeDefined();
  });

  it('brings back what was kept in the words of before', async () => {
    const kept = JSON.stringify({ parent: 1, plan: plan(11.3), savedAt: '2026-11-24T08:00:00Z' });
    localStorage.setItem(
      'sparen.draft.liv.hallgrund',
      kept.replace('"name":', '"wish":"AUTOMATIC","dead":"CLOSED","name":'),
    );
    const editor = await opened();
    expect(lvd(editor)).toBe(11.3);
    expect(editor.plan?.program.outputs[0]).toMatchObject({ mode: 'BY_RULE', withoutPower: 'CLOSED' });
    expect(JSON.stringify(editor.plan)).not.toContain('wish');
  });

  it('forgets the kept changes once they are saved', async () => {
    const editor = await opened();
    editor.set(LVD, 11.4, say);
    await editor.save();
    expect((await opened()).restored).toBe(false);
  });
});
