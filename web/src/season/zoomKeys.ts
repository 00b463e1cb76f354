import type { Spans } from './spans.svelte';

/** Arrow keys move, plus and minus zoom, 0 shows the whole run. */
export function zoomKeys(spans: Spans) {
  return (event: KeyboardEvent) => {
    const act: Record<string, () => void> = {
      ArrowLeft: () => spans.pan(-0.25),
      ArrowRight: () => spans.pan(0.25),
      '+': () => spans.zoom(0.5),
      '-': () => spans.zoom(2),
      '0': () => spans.show(undefined),
    };
    const chosen = act[event.key];
    if (!chosen || event.ctrlKey || event.metaKey || event.target !== event.currentTarget) return;
    event.preventDefault();
    chosen();
  };
}
