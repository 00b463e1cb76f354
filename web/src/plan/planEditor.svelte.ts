import { api, outcome, type FieldError, type Problem } from '../lib/api/client';
import { Newest } from '../lib/api/newest';
import { ask } from '../lib/engine/engine';
import { gate } from '../lib/along/gate.svelte';
import { isLocal } from '../lib/along/local';
import type { Plan, Reading, Revision } from '../lib/api/api';
import { meet, type Conflict } from './conflict';
import { KeptDraft, type Draft, isNewer } from './keptDraft';
import { Steps } from './steps.svelte';
import { atPlace, merge, withPlace, type Path, type Side } from '../lib/plan/planPath';

/** Says a change in the trade's words: from what, to what. */
export type Say = (before: unknown, after: unknown) => string;

const KEEP_AFTER_MS = 700;

/**
 * A plan being edited: what is saved, what has been changed since, and how to go back. Unsaved changes also lie in the browser's
 * storage and on the server until they are saved or discarded, so closing the window loses nothing and they can be gone on with
 * elsewhere.
 */
export class PlanEditor {
  plan = $state.raw<Plan>();
  revision = $state.raw<Revision>();
  reading = $state.raw<Reading>();
  problem = $state<Problem>();
  refused = $state<FieldError[]>([]);
  saving = $state<'idle' | 'saving' | 'failed'>('idle');
  saveProblem = $state<Problem>();
  conflict = $state.raw<Conflict>();
  restored = $state(false);
  /** Why unsaved changes could not be brought back; empty where all were. */
  lost = $state('');
  /** When the server last kept the unsaved changes, and whether it could. */
  keptAt = $state<string>();
  keeping = $state<'idle' | 'waiting' | 'failed'>('idle');
  /** Who else has unsaved changes here. */
  others = $state.raw<{ author: string; savedAt: string }[]>([]);

  private saved = $state.raw<Plan>();
  private readonly steps = new Steps();
  private readonly draft: KeptDraft;
  private readonly newest = new Newest();
  private timer?: ReturnType<typeof setTimeout>;
  /** What was sent to be saved last, and by which name: sent again, it is saved once. */
  private request?: { plan: Plan; id: string };
  /** How much that waited was sent when the plan was loaded. */
  private sentBefore = gate.sent;

  constructor(readonly site: string) {
    this.draft = new KeptDraft(site);
  }

  get dirty() {
    return this.plan !== this.saved && JSON.stringify(this.plan) !== JSON.stringify(this.saved);
  }
  get canUndo() {
    return this.steps.canUndo;
  }
  get canRedo() {
    return this.steps.canRedo;
  }
  get lastStep() {
    return this.steps.last?.label;
  }

  async load() {
    this.problem = undefined;
    const { data, problem } = await outcome(
      api.GET('/api/sites/{siteId}/revisions/latest', { params: { path: { siteId: this.site } } }),
    );
    this.problem = problem;
    if (!data) return;
    const drafts = await outcome(
      api.GET('/api/sites/{siteId}/drafts', { params: { path: { siteId: this.site } } }),
    );
    this.problem = drafts.problem;
    this.accept(data.revision, data.plan);
    this.others = drafts.data?.others ?? [];
    this.lost = drafts.data?.unreadable ?? '';
    this.draft.known = drafts.data?.mine?.savedAt ?? null;
    this.restore(drafts.data?.mine);
    await this.read();
  }

  /** Something that waited was sent, and perhaps joined with what others saved: goes on from what is saved now. */
  async rejoin() {
    if (this.sentBefore === gate.sent || !this.revision || !isLocal(this.revision.number)) return;
    this.sentBefore = gate.sent;
    const { plan: mine, saved: before } = this;
    const draft = this.local();
    if (draft && !isLocal(draft.parent) && mine && mine !== before) {
      // What was saved here clashed, and there is more since: all of it is asked about when it is saved.
      this.revision = { ...this.revision, number: draft.parent };
      this.show(mine);
      return;
    }
    const { data } = await outcome(
      api.GET('/api/sites/{siteId}/revisions/latest', { params: { path: { siteId: this.site } } }),
    );
    if (!data || isLocal(data.revision.number) || this.plan !== mine) return;
    const { value, clashes } = merge(before, mine, data.plan);
    // What clashes is asked about when it is saved.
    if (clashes.length > 0) return;
    this.accept(data.revision, data.plan);
    this.restore(this.local());
    if (mine !== before) this.show(value as Plan);
    else await this.read();
  }

  private accept(revision: Revision, plan: Plan) {
    this.revision = revision;
    this.saved = plan;
    this.plan = plan;
    this.conflict = undefined;
    this.saving = 'idle';
    this.saveProblem = undefined;
  }

  /** Changes one place of the plan. Steps on the same place one after the other count as one for undo. */
  set(path: Path, value: unknown, say: Say, also: Path[] = []) {
    if (!this.plan) return;
    const place = path.join('/');
    const before = atPlace(this.steps.at(place)?.plan ?? this.plan, path);
    const changed = [path, ...also].reduce((plan, one) => withPlace(plan, one, value), this.plan);
    this.change(changed, say(before, value), place);
  }

  private change(plan: Plan, label: string, place: string) {
    if (!this.plan) return;
    this.steps.add({ plan: this.plan, label, place });
    this.show(plan);
  }

  undo() {
    const plan = this.plan && this.steps.undo(this.plan);
    if (plan) this.show(plan);
  }

  redo() {
    const plan = this.plan && this.steps.redo(this.plan);
    if (plan) this.show(plan);
  }

  /** Asks for the plan with a change that was proposed at a path; the plan itself stays. */
  async proposed(path: string, says: string): Promise<Plan | undefined> {
    if (!this.plan) return undefined;
    const { data, problem } = await ask('/api/changes/{siteId}', this.site, { plan: this.plan, path, says });
    this.problem = problem;
    return data?.plan;
  }

  /** Takes a plan as it was proposed, as one step that can be undone. */
  take(plan: Plan, says: string) {
    this.change(plan, says, '');
  }

  discard() {
    if (this.saved) this.change(this.saved, 'unsaved changes discarded', '');
    this.restored = false;
  }

  private show(plan: Plan) {
    this.plan = plan;
    this.keepDraft();
    void this.read();
  }

  /** Asks what the plan says and what is wrong with it. Only the newest question counts. */
  private async read() {
    const body = this.plan;
    if (!body) return;
    const answer = await this.newest.ask((signal) => ask('/api/reading/{siteId}', this.site, body, signal));
    if (!answer) return;
    const { data, problem } = answer;
    if (data) this.reading = data;
    this.refused = problem?.errors ?? [];
    this.problem = problem && !problem.errors ? problem : undefined;
  }

  /** Saves a new revision on the one that was loaded, or on another where told. */
  async save(parent = this.revision?.number) {
    if (!this.plan || this.saving === 'saving' || !this.dirty) return;
    const plan = this.plan;
    if (this.request?.plan !== plan) this.request = { plan, id: crypto.randomUUID() };
    this.saving = 'saving';
    this.saveProblem = undefined;
    const { data, problem } = await outcome(
      api.POST('/api/sites/{siteId}/revisions', {
        params: { path: { siteId: this.site } },
        body: { parent, note: '', plan, request: this.request.id },
      }),
    );
    if (data) {
      const edited = this.plan;
      this.accept(data.revision, data.plan);
      if (edited !== plan) this.show(edited);
      else this.keepDraft();
      this.restored = false;
      return;
    }
    this.saving = 'failed';
    if (problem?.type.endsWith(':outdated-revision')) await this.meetConflict(plan);
    else this.saveProblem = problem;
  }

  private async meetConflict(mine: Plan) {
    const met = await meet(this.site, this.revision?.number ?? 0, mine);
    this.saveProblem = met.problem;
    this.conflict = met.conflict ?? this.conflict;
  }

  /** Conflict: saves both joined, where they clash as chosen. Theirs stays in the history. */
  async saveJoined(choose: (path: string) => Side) {
    if (!this.conflict) return;
    const { revision, base, plan } = this.conflict;
    const joined = merge(base, this.plan, plan, choose).value as Plan;
    this.change(joined, `joined with revision ${revision.number}`, '');
    await this.save(revision.number);
  }

  /** Conflict: takes theirs. What stood here can be brought back by undo. */
  takeTheirs() {
    if (!this.conflict || !this.plan) return;
    const { revision, plan } = this.conflict;
    this.steps.add({ plan: this.plan, label: 'theirs taken', place: '' });
    this.accept(revision, plan);
    this.show(plan);
  }

  /** Before somebody signs out: what is unsaved goes to the server, and stays here only where that could not take it. */
  async leave() {
    if (!this.dirty) return;
    clearTimeout(this.timer);
    await this.keepOnServer();
    if (this.keeping === 'idle') this.draft.remove();
  }

  /** Keeps what is unsaved at once in the browser, and on the server as soon as nothing more comes for a moment. */
  private keepDraft() {
    clearTimeout(this.timer);
    this.keepHere();
    this.keeping = 'waiting';
    this.timer = setTimeout(() => void this.keepOnServer(), KEEP_AFTER_MS);
  }

  private get unsaved() {
    return this.dirty && this.revision && this.plan
      ? { parent: this.revision.number, plan: this.plan }
      : undefined;
  }

  private keepHere() {
    const one = this.unsaved;
    if (one) this.draft.write({ ...one, ...this.draft.stands() });
    else this.draft.remove();
  }

  private async keepOnServer() {
    const body = this.unsaved;
    const sent = this.draft.send(body);
    this.keepHere();
    const { data, problem } = await sent;
    this.keptAt = body && (data?.savedAt ?? this.keptAt);
    this.keepHere();
    this.keeping = problem ? 'failed' : 'idle';
  }

  private local(): Draft | undefined {
    const { draft, isDamaged } = this.draft.read();
    if (isDamaged) {
      this.lost =
        'Unsaved changes that this browser had kept are damaged and cannot be brought back. What the server kept, or else the saved revision, is shown.';
    }
    return draft;
  }

  private restore(onServer: Draft | undefined) {
    const here = this.local();
    const newest = here && onServer && isNewer(onServer, here) ? onServer : (here ?? onServer);
    if (
      !newest ||
      !this.plan ||
      !this.revision ||
      JSON.stringify(newest.plan) === JSON.stringify(this.plan)
    ) {
      return;
    }
    this.steps.begin({ plan: this.plan, label: 'unsaved changes restored', place: '' });
    this.plan = newest.plan;
    this.keptAt = onServer?.savedAt;
    // Saved on the revision it was made from, so that a newer one is met as a conflict, not overwritten.
    this.revision = { ...this.revision, number: newest.parent };
    this.restored = true;
  }
}
