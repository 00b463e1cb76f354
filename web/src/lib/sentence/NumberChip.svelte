<script lang="ts">
  import { tick } from 'svelte';
  import type { NumberChip } from '../api/api';
  import { lit } from '../gauge/lit.svelte';
  import { stepped, typed, written } from './quantity';

  interface Props {
    chip: NumberChip;
    /** The value in the plan being edited; the chip's own is what the server last read. */
    value: number;
    /** What the server refused about it, if anything. */
    error?: string;
    readonly?: boolean;
    /** Path of a level in the plan: it lights up with its peg and its line. */
    path?: string;
    change: (value: number) => void;
  }
  let { chip, value, error, readonly = false, path, change }: Props = $props();

  let typing = $state(false);
  let text = $state('');
  let trouble = $state('');
  let input = $state<HTMLInputElement>();
  let face = $state<HTMLElement>();
  const shownError = $derived(trouble || error);
  const errorId = $props.id();

  async function open(first?: string) {
    if (readonly) return;
    text = first ?? written(value, chip.unit);
    typing = true;
    await tick();
    input?.focus();
    if (!first) input?.select();
  }

  async function take(keepFocus: boolean) {
    if (!typing) return;
    const read = typed(text, chip.unit);
    if (read === undefined) {
      trouble = `${chip.label}: “${text}” is not a number in ${chip.unit}`;
      if (!keepFocus) typing = false;
      return;
    }
    if (read < chip.least || read > chip.most) {
      trouble = `${chip.label}: ${written(read, chip.unit)} is outside ${chip.least} to ${written(chip.most, chip.unit)}`;
      if (!keepFocus) typing = false;
      return;
    }
    trouble = '';
    typing = false;
    if (read !== value) change(read);
    await tick();
    if (keepFocus) face?.focus();
  }

  async function leave() {
    typing = false;
    trouble = '';
    await tick();
    face?.focus();
  }

  function faceKeys(event: KeyboardEvent) {
    if (readonly || event.ctrlKey || event.metaKey || event.altKey) return;
    const size = event.shiftKey ? chip.bigStep : chip.step;
    if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      trouble = '';
      change(stepped(value, event.key === 'ArrowUp' ? size : -size, chip.least, chip.most));
    } else if (event.key === 'Enter') {
      event.preventDefault();
      open();
    } else if (/^[0-9.,-]$/.test(event.key)) {
      event.preventDefault();
      open(event.key);
    }
  }

  function inputKeys(event: KeyboardEvent) {
    if (event.key === 'Enter') {
      event.preventDefault();
      take(true);
    } else if (event.key === 'Escape') {
      event.stopPropagation();
      leave();
    }
  }
</script>

<span class="inline-flex flex-col items-start" {...path ? lit.by(path) : {}}>
  <span class="place">
    {#if typing}
      <input
        bind:this={input}
        bind:value={text}
        class="chip number typed"
        size={Math.max(5, text.length + 1)}
        inputmode="decimal"
        aria-label="{chip.label} in {chip.unit}"
        aria-invalid={trouble ? 'true' : undefined}
        aria-describedby={shownError ? errorId : undefined}
        onkeydown={inputKeys}
        onblur={() => take(false)}
      />
    {/if}
    <span
      bind:this={face}
      class="chip number"
      class:under={typing}
      class:refused={shownError}
      class:lit={path !== undefined && lit.path === path}
      role="spinbutton"
      tabindex="0"
      aria-label={chip.label}
      aria-valuenow={value}
      aria-valuemin={chip.least}
      aria-valuemax={chip.most}
      aria-valuetext={written(value, chip.unit)}
      aria-readonly={readonly}
      aria-invalid={shownError ? 'true' : undefined}
      aria-describedby={shownError ? errorId : undefined}
      onkeydown={faceKeys}
      onclick={() => open()}>{written(value, chip.unit)}</span
    >
  </span>
  {#if shownError}<span class="error" id={errorId} role="alert">{shownError}</span>{/if}
</span>

<style>
  .chip {
    display: inline-block;
    min-height: 2rem;
    padding: 0 0.5rem;
    line-height: 1.9rem;
    border: 1px solid var(--rule-strong);
    border-bottom-width: 3px;
    border-radius: 3px;
    background: var(--paper-raised);
    color: var(--ink);
    font-weight: 700;
    white-space: nowrap;
    cursor: text;
  }
  /* What is typed lies over the number, so that the sentence around it does not wrap anew. */
  .place {
    position: relative;
  }
  .typed {
    position: absolute;
    z-index: 5;
    inset: 0 auto 0 0;
    min-width: 100%;
  }
  .under {
    visibility: hidden;
  }
  @media (pointer: coarse) {
    .chip {
      min-height: 44px;
      line-height: 40px;
      min-width: 44px;
    }
  }
  .chip[aria-readonly='true'] {
    border-color: transparent;
    cursor: default;
  }
  .lit {
    border-color: var(--focus);
    box-shadow: 0 0 0 1px var(--focus);
  }
  .refused {
    border-color: var(--danger);
  }
  .error {
    display: block;
    font-size: 0.875rem;
    line-height: 1.4;
    color: var(--danger);
  }
</style>
