import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Plan } from '../lib/api/api';
import { KeptDraft } from './keptDraft';

const here = vi.hoisted(() => ({ person: { name: 'Liv' }, kept: new Map<string, string>() }));

vi.mock('../lib/shell/session.svelte', () => ({ session: here }));
vi.stubGlobal('localStorage', {
  getItem: (key: string) => here.kept.get(key) ?? null,
  setItem: (key: string, value: string) => here.kept.set(key, value),
  removeItem: (key: string) => here.kept.delete(key),
});

const plan = (program: object) => ({ program: { outputs: [], ...program } }) as unknown as Plan;
const savedAt = '2026-11-24T06:00:00Z';

/** Puts down what an earlier version of the page kept. */
function keptBefore(text: string) {
  new KeptDraft('kvarno').write({ parent: 1, plan: plan({}), savedAt });
  const [key] = here.kept.keys();
  here.kept.set(key ?? '', text);
}

describe('unsaved changes in the browser', () => {
  beforeEach(() => {
    here.kept.clear();
    here.person = { name: 'Liv' };
  });

  it('are there again for who made them, at the site they were made at, and for nobody else', () => {
    new KeptDraft('kvarno').write({ parent: 3, plan: plan({}), savedAt });
    expect(new KeptDraft('kvarno').read().draft).toEqual({ parent: 3, plan: plan({}), savedAt });
    expect(new KeptDraft('skarvholm').read()).toEqual({ isDamaged: false });
    here.person = { name: 'Odd' };
    expect(new KeptDraft('kvarno').read()).toEqual({ isDamaged: false });
  });

  it('are gone once they are taken away', () => {
    const kept = new KeptDraft('kvarno');
    kept.write({ parent: 3, plan: plan({}), savedAt });
    kept.remove();
    expect(kept.read()).toEqual({ isDamaged: false });
  });

  it('are said to be damaged where they are, once', () => {
    keptBefore('{"parent": 3, "pl');
    expect(new KeptDraft('kvarno').read()).toEqual({ isDamaged: true });
    expect(new KeptDraft('kvarno').read()).toEqual({ isDamaged: false });
  });

  it('of earlier versions are read: a contact once dead, entries of devices once numbers only', () => {
    const devices = [
      { id: 'mppt', profile: { name: 'MPPT', knobs: [{ setting: 'lvdVolts', label: 'LVD' }] } },
    ];
    const outputs = [{ id: 'radio', dead: 'CLOSED' }];
    keptBefore(JSON.stringify({ parent: 3, plan: plan({ outputs, devices }), savedAt }));
    const program = new KeptDraft('kvarno').read().draft?.plan.program;
    expect(program?.outputs).toEqual([{ id: 'radio', withoutPower: 'CLOSED' }]);
    expect(program?.devices?.[0]?.noted).toEqual([]);
    expect(program?.devices?.[0]?.profile.knobs[0]?.kind).toBe('number');
  });
});
