import { api, outcome, type Outcome } from '../lib/api/client';
import type { FittedDevice, Plan } from '../lib/api/api';
import { instant } from '../lib/sentence/quantity';
import { inTodaysWords } from '../lib/plan/todaysWords';
import { session } from '../lib/shell/session.svelte';

/** Unsaved changes: the revision they were made on, and when they were kept. */
export interface Draft {
  parent: number;
  plan: Plan;
  savedAt: string;
  /** When the server last kept one, as far as was known here; null for never. Absent from what was kept before that was noted. */
  known?: string | null;
  /** One was on its way to the server, and no answer had come. */
  isSending?: boolean;
}

/**
 * Whether what the server kept is newer than what is kept here. Two clocks cannot tell: it is, where the server has kept one since that
 * did not come from here.
 */
export function isNewer(onServer: Draft, here: Draft): boolean {
  if (here.known === undefined) return here.savedAt < onServer.savedAt;
  return onServer.savedAt !== here.known && !here.isSending;
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
  /** When the server last kept a draft of this person's, as far as is known here; null for never. */
  known: string | null = null;
  /** How many are on their way to it. */
  private sending = 0;

  constructor(private readonly site: string) {}

  /** When what is kept now is kept, and what is known of the server's. */
  stands(): Pick<Draft, 'savedAt' | 'known' | 'isSending'> {
    return { savedAt: instant(), known: this.known, isSending: this.sending > 0 };
  }

  /** An account's own: whoever signs in next at the same browser does not meet it. */
  private get key(): string {
    return `sparen.draft.${session.person?.name ?? ''}.${this.site}`;
  }

  /** Has the server keep it, or none any more. */
  async send(body: Pick<Draft, 'parent' | 'plan'> | undefined): Promise<Outcome<{ savedAt?: string }>> {
    const params = { path: { siteId: this.site } };
    if (!body) {
      const { problem } = await outcome(api.DELETE('/api/sites/{siteId}/drafts', { params }));
      if (!problem) this.known = null;
      return problem ? { problem } : { data: {} };
    }
    this.sending++;
    const told = await outcome(api.PUT('/api/sites/{siteId}/drafts', { params, body }));
    // Without an answer it may have arrived.
    if (told.problem?.status !== 0) this.sending--;
    this.known = told.data?.savedAt ?? this.known;
    return told;
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
