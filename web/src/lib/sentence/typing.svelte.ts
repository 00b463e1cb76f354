import { tick } from 'svelte';
import type { NumberChip } from '../api/api';
import { stepped, typed, written } from './quantity';

/** A number that is changed: what it is, and who takes it. */
interface Changed {
  chip: NumberChip;
  /** The value in the plan being edited; the chip's own is what the server last read. */
  value: number;
  readonly: boolean;
  change: (value: number) => void;
}

/** Typing a number over another, or stepping it by keys; what is none, or out of its bounds, is told and not taken. */
export class Typing {
  on = $state(false);
  text = $state('');
  /** Why what was typed is not taken; empty when nothing is wrong. */
  trouble = $state('');
  input = $state<HTMLInputElement>();
  face = $state<HTMLElement>();

  constructor(private readonly of: () => Changed) {}

  /** Begins, with what was typed already or with the number that stands there. */
  async open(first?: string): Promise<void> {
    const { chip, value, readonly } = this.of();
    if (readonly) return;
    this.text = first ?? written(value, chip.unit);
    this.on = true;
    await tick();
    this.input?.focus();
    if (!first) this.input?.select();
  }

  /** Takes what is typed; while it cannot be taken the field stays, unless the focus went elsewhere. */
  async take(keepFocus: boolean): Promise<void> {
    if (!this.on) return;
    const { chip, value, change } = this.of();
    // What stands there as it was shown is the number itself, not what was rounded to be shown.
    const read = this.text === written(value, chip.unit) ? value : typed(this.text, chip.unit);
    this.trouble = refusal(chip, this.text, read);
    if (this.trouble !== '' || read === undefined) {
      if (!keepFocus) this.on = false;
      return;
    }
    this.on = false;
    if (read !== value) change(read);
    await tick();
    if (keepFocus) this.face?.focus();
  }

  async leave(): Promise<void> {
    this.on = false;
    this.trouble = '';
    await tick();
    this.face?.focus();
  }

  faceKeys(event: KeyboardEvent): void {
    const { chip, value, readonly, change } = this.of();
    if (readonly || event.ctrlKey || event.metaKey || event.altKey) return;
    const size = event.shiftKey ? chip.bigStep : chip.step;
    if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      this.trouble = '';
      change(stepped(value, event.key === 'ArrowUp' ? size : -size, chip.least, chip.most, chip.unit));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      void this.open();
    } else if (/^[0-9.,-]$/.test(event.key)) {
      event.preventDefault();
      void this.open(event.key);
    }
  }

  inputKeys(event: KeyboardEvent): void {
    if (event.key === 'Enter') {
      event.preventDefault();
      void this.take(true);
    } else if (event.key === 'Escape') {
      event.stopPropagation();
      void this.leave();
    }
  }
}

/** Why a text cannot be taken for a number; empty when it can. */
function refusal(chip: NumberChip, text: string, read: number | undefined): string {
  if (read === undefined) return `${chip.label}: “${text}” is not a number in ${chip.unit}`;
  if (read >= chip.least && read <= chip.most) return '';
  return `${chip.label}: ${written(read, chip.unit)} is outside ${bound(chip.least, chip.unit)} to ${written(chip.most, chip.unit)}`;
}

/** A bound without its unit where the other bound has the same one. */
const bound = (value: number, unit: string): string =>
  written(value, unit).endsWith(` ${unit}`) ? String(value) : written(value, unit);
