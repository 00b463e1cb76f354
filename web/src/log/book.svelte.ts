import { api, outcome, type Outcome, type Problem } from '../lib/api/client';
import type { EntryKept, KindOffered, LogView, Plan } from '../lib/api/api';
import { base64, smaller } from '../lib/shell/photos';
import { instant } from '../lib/sentence/quantity';
import { Kept } from '../lib/shell/kept';

/** An entry as it is being written. */
export interface Draft {
  id: string;
  kind: string;
  part: string;
  at: string;
  numbers: Record<string, string>;
  cells: string;
  note: string;
}

/** Cells as people write them: any blanks, semicolons or lines between them; a comma before decimals. */
export function cellsTyped(text: string): number[] {
  return text
    .split(/[\s;]+/)
    .filter((one) => one !== '')
    .map((one) => Number(one.replace(',', '.')));
}

/** The log of a site: what was measured and done, and what is due. */
export class Book {
  view = $state.raw<LogView>();
  kinds = $state.raw<KindOffered[]>([]);
  problem = $state.raw<Problem>();
  refused = $state.raw<Problem>();
  busy = $state(false);
  draft = $state<Draft>(fresh('NOTE'));
  private readonly kept: Kept<Draft>;

  constructor(readonly site: string) {
    this.kept = new Kept(`log.${site}`);
    this.draft = this.kept.read() ?? fresh('NOTE');
  }

  private get path() {
    return { siteId: this.site };
  }

  get kind(): KindOffered | undefined {
    return this.kinds.find((one) => one.kind === this.draft.kind);
  }

  /** Whether somebody has begun to write. */
  get begun() {
    const { numbers, cells, note } = this.draft;
    return note !== '' || cells !== '' || Object.values(numbers).some((one) => one !== '');
  }

  write(what: Partial<Draft>) {
    this.draft = { ...this.draft, ...what };
    this.kept.write(this.draft);
  }

  begin(kind: string) {
    this.refused = undefined;
    this.write({ ...fresh(kind), note: this.draft.note });
  }

  async load() {
    const [kinds, view] = await Promise.all([
      outcome(api.GET('/api/sites/{siteId}/log/kinds', { params: { path: this.path } })),
      outcome(api.GET('/api/sites/{siteId}/log', { params: { path: this.path } })),
    ]);
    this.problem = kinds.problem ?? view.problem;
    this.kinds = kinds.data ?? this.kinds;
    this.view = view.data ?? this.view;
  }

  async older() {
    const last = this.view?.entries.at(-1)?.entry.at;
    const answer = await outcome(
      api.GET('/api/sites/{siteId}/log', { params: { path: this.path, query: { before: last } } }),
    );
    this.problem = answer.problem;
    if (answer.data && this.view)
      this.view = { ...answer.data, entries: [...this.view.entries, ...answer.data.entries] };
  }

  /** Keeps what was written; it goes nowhere until it is kept. */
  async keep() {
    const kind = this.kind;
    if (!kind) return;
    const { id, part, at, numbers, cells, note } = this.draft;
    const kept = await this.act(
      outcome(
        api.POST('/api/sites/{siteId}/log', {
          params: { path: this.path },
          body: {
            id,
            kind: kind.kind,
            at: at || instant(),
            ...(part ? { part } : {}),
            numbers: Object.fromEntries(
              Object.entries(numbers)
                .filter(([, value]) => value.trim() !== '')
                .map(([name, value]) => [name, Number(value.replace(',', '.'))]),
            ),
            cells: kind.cellUnit ? cellsTyped(cells) : [],
            note,
          },
        }),
      ),
    );
    if (!kept) return;
    this.draft = fresh('NOTE');
    this.kept.clear();
  }

  withdraw(entry: EntryKept, withdrawn: boolean) {
    return this.act(
      outcome(
        api.PUT('/api/sites/{siteId}/log/{entry}/withdrawn', {
          params: { path: { ...this.path, entry: entry.entry.id } },
          body: { withdrawn },
        }),
      ),
    );
  }

  async photo(entry: EntryKept, file: File) {
    const picture = await base64(await smaller(file));
    return this.act(
      outcome(
        api.POST('/api/sites/{siteId}/log/{entry}/photos', {
          params: { path: { ...this.path, entry: entry.entry.id } },
          body: { id: crypto.randomUUID(), picture },
        }),
      ),
    );
  }

  interval(kind: string, everyDays: number | undefined) {
    return this.act(
      outcome(
        api.PUT('/api/sites/{siteId}/upkeep/{kind}', {
          params: { path: { ...this.path, kind: kind as KindOffered['kind'] } },
          body: everyDays === undefined ? {} : { everyDays },
        }),
      ),
    );
  }

  /** The plan in which a sense point is off by what was measured. */
  async calibrated(plan: Plan, entry: EntryKept): Promise<Plan | undefined> {
    const answer = await outcome(
      api.POST('/api/reading/{siteId}/calibrated', {
        params: { path: this.path },
        body: { plan, entry: entry.entry.id },
      }),
    );
    this.refused = answer.problem;
    return answer.data;
  }

  private async act(call: Promise<Outcome<LogView>>): Promise<boolean> {
    if (this.busy) return false;
    this.busy = true;
    const answer = await call;
    this.busy = false;
    this.refused = answer.problem;
    if (answer.data) this.view = answer.data;
    return answer.data !== undefined;
  }
}

function fresh(kind: string): Draft {
  return { id: crypto.randomUUID(), kind, part: '', at: '', numbers: {}, cells: '', note: '' };
}
