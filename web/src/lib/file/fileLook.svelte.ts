import { api, outcome, type Problem } from '../api/client';
import type { Column, FileLook, Layout, MeaningOffered } from '../api/api';
import { Newest } from '../api/newest';

/** What files are taken for. */
export type FileKind = 'WEATHER' | 'CONSUMPTION' | 'LOGGER' | 'DAILY';

/** What a column is said to be: the time, one of the things such a file holds, or nothing that is taken. */
export type ColumnSaid = { is: 'time' } | { is: 'nothing' } | { is: 'taken'; column: Column };

/** A file that somebody looks at before it is taken: how it is laid out, changed until it is right. */
export class Looked {
  file = $state.raw<File>();
  look = $state.raw<FileLook>();
  offered = $state.raw<MeaningOffered[]>([]);
  problem = $state.raw<Problem>();
  busy = $state('');
  /** Whether somebody has said that it is laid out otherwise. */
  changed = $state(false);
  /** As it was laid out last by somebody, while that is on its way: the next change is made to this. */
  private asked = $state.raw<Layout>();
  private readonly newest = new Newest();

  constructor(
    readonly site: string,
    readonly kind: FileKind,
    readonly zone: string,
  ) {}

  get layout(): Layout | undefined {
    return this.asked ?? this.look?.layout;
  }

  /** How it is sent when it is taken: as it was found, or as somebody has said. */
  get sent(): string | undefined {
    return this.layout && (this.changed || !this.look?.remembered) ? JSON.stringify(this.layout) : undefined;
  }

  async choose(file: File) {
    this.close();
    this.file = file;
    this.busy = `Reading ${file.name}`;
    const columns = await outcome(api.GET('/api/file-columns', { params: { query: { kind: this.kind } } }));
    this.offered = columns.data ?? [];
    this.problem = columns.problem;
    if (columns.data) await this.ask(undefined);
  }

  close() {
    this.file = undefined;
    this.look = undefined;
    this.asked = undefined;
    this.problem = undefined;
    this.changed = false;
    this.busy = '';
  }

  /** Lays it out otherwise, and reads it anew. */
  async change(what: Partial<Layout>) {
    if (!this.layout) return;
    this.changed = true;
    await this.ask({ ...this.layout, ...what });
  }

  private async ask(layout: Layout | undefined) {
    const file = this.file;
    if (!file) return;
    this.busy = `Reading ${file.name}`;
    this.asked = layout;
    const answer = await this.newest.ask((signal) =>
      outcome(
        api.POST('/api/reading/{siteId}/file', {
          params: {
            path: { siteId: this.site },
            query: { kind: this.kind, zone: this.zone, layout: layout && JSON.stringify(layout) },
          },
          ...bytes(file),
          signal,
        }),
      ),
    );
    if (!answer) return;
    this.busy = '';
    this.asked = undefined;
    this.problem = answer.problem;
    if (answer.data) this.look = answer.data;
  }

  saidOf(index: number): ColumnSaid {
    const layout = this.layout;
    if (layout?.time.columns.includes(index)) return { is: 'time' };
    const column = layout?.columns.find((one) => one.index === index);
    return column ? { is: 'taken', column } : { is: 'nothing' };
  }

  /** Says what a column is; what it was said of before is nothing then. */
  async say(index: number, meaning: string, part?: string) {
    const layout = this.layout;
    if (!layout) return;
    const others = layout.columns.filter(
      (one) => one.index !== index && (one.meaning !== meaning || one.part !== part),
    );
    if (meaning === 'time') {
      // A date and a time apart stand side by side.
      const beside =
        layout.time.columns.length === 1 && Math.abs((layout.time.columns[0] ?? 0) - index) === 1;
      const columns = beside ? [...layout.time.columns, index].sort((one, other) => one - other) : [index];
      await this.change({ columns: others, time: { ...layout.time, columns } });
      return;
    }
    const time = layout.time.columns.includes(index)
      ? { ...layout.time, columns: layout.time.columns.filter((one) => one !== index) }
      : layout.time;
    const kept = time.columns.length === 0 ? layout.time : time;
    const unit = this.offered.find((one) => one.meaning === meaning)?.units.at(-1)?.unit;
    const columns = unit
      ? [...others, { index, meaning: meaning as Column['meaning'], unit, ...(part ? { part } : {}) }]
      : others;
    await this.change({ columns, time: kept });
  }

  async unit(index: number, unit: string) {
    await this.change({
      columns: (this.layout?.columns ?? []).map((one) =>
        one.index === index ? { ...one, unit: unit as Column['unit'] } : one,
      ),
    });
  }
}

/** A file as it is, whatever its encoding. */
export function bytes(file: Blob, type = 'text/csv') {
  return {
    body: file as unknown as string,
    bodySerializer: (content: unknown) => content as Blob,
    headers: { 'Content-Type': type },
  };
}
