import { session } from '../lib/shell/session.svelte';
import { PlanEditor } from './planEditor.svelte';

const editors = new Map<string, PlanEditor>();

/** The editor of a site's plan: the same one on every page, so that unsaved changes go along. */
export function editorOf(site: string): PlanEditor {
  let editor = editors.get(site);
  if (!editor) {
    editor = new PlanEditor(site);
    editors.set(site, editor);
    void editor.load();
  }
  return editor;
}

// Nothing unsaved stays behind in the browser for the next person, and nothing is lost.
session.beforeSignOut(async () => {
  await Promise.all([...editors.values()].map((editor) => editor.leave()));
});
