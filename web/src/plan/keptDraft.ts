import type { FittedDevice, Plan } from '../lib/api/api';
import { inTodaysWords } from '../lib/plan/todaysWords';
import { session } from '../lib/shell/session.svelte';

/** Unsaved changes: the revision they were made on, and when they were kept. */
export interface Draft {
  parent: number;
  plan: Plan;
  savedAt: string;
  /** The server has all of it, and says when: one of another window that is later may be newer. */
  isSent?: boolean;
}

/** Once every entry of a device's menu was a number, and nothing was noted. */
function withTodaysDevices(plan: Plan): Plan {
  const devices = plan.program.devices?.map((device) => ({
    ...{ noted: [] },
    ...device,
    profile: {
      ...device.profile,
      knobs: device.profile.knobs.map((knob) => ({ ...{ kind: 'number' as const }, ...knob })),
    },
  }));
  return devices ? { ...plan, program: { ...plan.program, devices: devices as FittedDevice[] } } : plan;
}

/** Unsaved changes of a site in this browser's storage. */
export class KeptDraft {
  constructor(private readonly site: string) {}

  /** An account's own: whoever signs in next at the same browser does not meet it. */
  private get key(): string {
    return `sparen.draft.${session.person?.name ?? ''}.${this.site}`;
  }

  write(draft: Draft): void {
    localStorage.setItem(this.key, JSON.stringify(draft));
  }

  remove(): void {
    localStorage.removeItem(this.key);
  }

  /** What is kept; what is damaged is taken away and said to be. */
  read(): { draft?: Draft; isDamaged: boolean } {
    const kept = localStorage.getItem(this.key);
    if (!kept) return { isDamaged: false };
    try {
      const draft = JSON.parse(inTodaysWords(kept)) as Draft;
      return { draft: { ...draft, plan: withTodaysDevices(draft.plan) }, isDamaged: false };
    } catch {
      this.remove();
      return { isDamaged: true };
    }
  }
}
