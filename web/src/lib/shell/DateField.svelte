<script lang="ts">
  import { dayTyped, daysLater, dayWritten } from '../sentence/days';
  import { FIELD } from './fieldLook';
  import Icon from './Icon.svelte';

  /** A day: typed as people write it, stepped by arrows, or taken from the calendar. */
  interface Props {
    label: string;
    /** As documents write it; empty for none. */
    value: string;
    /** Name in a form. */
    name?: string;
    required?: boolean;
    least?: string;
    most?: string;
    change?: (day: string) => void;
  }
  let {
    label,
    value,
    name,
    required = false,
    least = '2000-01-01',
    most = '2099-12-31',
    change,
  }: Props = $props();

  // Taken anew when the day that is kept is another one.
  let kept = $derived(value);
  let trouble = $state('');
  let calendar = $state<HTMLInputElement>();
  const id = $props.id();

  function take(day: string) {
    trouble = '';
    kept = day;
    if (day !== value) change?.(day);
  }

  function typed(field: HTMLInputElement) {
    const text = field.value;
    const day = text.trim() === '' && !required ? '' : dayTyped(text);
    if (day === undefined) trouble = `${label}: “${text}” is no day; write it like 5 Oct 2026`;
    else if (day !== '' && (day < least || day > most))
      trouble = `${label}: ${dayWritten(day)} is outside ${dayWritten(least)} to ${dayWritten(most)}`;
    else {
      take(day);
      field.value = day && dayWritten(day);
      return;
    }
    // The last good day is what counts on, and what the field goes back to.
    field.value = kept && dayWritten(kept);
  }

  function keys(event: KeyboardEvent & { currentTarget: HTMLInputElement }) {
    const by = { ArrowUp: 1, ArrowDown: -1 }[event.key];
    const day = dayTyped(event.currentTarget.value);
    if (!by || !day) return;
    event.preventDefault();
    const next = daysLater(day, by);
    if (next >= least && next <= most) take(next);
  }
</script>

<div class="flex flex-col">
  <label id="{id}-label" for="{id}-day">{label}</label>
  <span class="relative flex">
    <input
      id="{id}-day"
      class="{FIELD} number w-40 pr-9"
      autocomplete="off"
      {required}
      value={kept && dayWritten(kept)}
      placeholder="5 Oct 2026"
      aria-invalid={trouble ? 'true' : undefined}
      aria-describedby={trouble ? `${id}-trouble` : undefined}
      onchange={(event) => typed(event.currentTarget)}
      onkeydown={keys}
    />
    <input
      bind:this={calendar}
      class="pointer-events-none absolute right-0 bottom-0 h-full w-9 opacity-0"
      type="date"
      tabindex="-1"
      aria-hidden="true"
      min={least}
      max={most}
      value={kept}
      onchange={(event) => event.currentTarget.value && take(event.currentTarget.value)}
    />
    <button
      type="button"
      class="absolute right-0 flex h-full w-9 items-center justify-center"
      aria-label="Calendar"
      aria-describedby="{id}-label"
      onclick={() => calendar?.showPicker()}><Icon sign="calendar" class="size-4" /></button
    >
  </span>
  {#if trouble}<span id="{id}-trouble" class="max-w-64 text-sm text-danger" role="alert">{trouble}</span>{/if}
  {#if name}<input type="hidden" {name} value={kept} />{/if}
</div>
