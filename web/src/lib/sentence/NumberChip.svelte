<script lang="ts">
  import type { NumberChip } from '../api/api';
  import { lit } from '../gauge/lit.svelte';
  import { written } from './quantity';
  import { Typing } from './typing.svelte';

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

  const typing = new Typing(() => ({ chip, value, readonly, change }));
  const shownError = $derived(typing.trouble || error);
  const errorId = $props.id();
</script>

<span class="inline-flex flex-col items-start" {...path ? lit.by(path) : {}}>
  <span class="place">
    {#if typing.on}
      <input
        bind:this={typing.input}
        bind:value={typing.text}
        class="chip number typed"
        size={Math.max(5, typing.text.length + 1)}
        inputmode="decimal"
        aria-label="{chip.label} in {chip.unit}"
        aria-invalid={typing.trouble ? 'true' : undefined}
        aria-describedby={shownError ? errorId : undefined}
        onkeydown={(event) => typing.inputKeys(event)}
        onblur={() => typing.take(false)}
      />
    {/if}
    <span
      bind:this={typing.face}
      class="chip number"
      class:under={typing.on}
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
      onkeydown={(event) => typing.faceKeys(event)}
      onclick={() => typing.open()}>{written(value, chip.unit)}</span
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
