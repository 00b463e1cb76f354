const ROLES: [string, string][] = [
  ['thead, tbody, tfoot', 'rowgroup'],
  ['tr', 'row'],
  ['tbody th, tfoot th', 'rowheader'],
  ['td', 'cell'],
];

/**
 * A table that is a list on a phone: each row stands by itself, each number in it with the head of its column before it (app.css, `.listed`).
 * What it is to somebody who cannot see it is said again, for a table that is laid out otherwise is none to a browser.
 */
export function listed(table: HTMLTableElement) {
  function name() {
    const heads = [...(table.tHead?.rows[0]?.cells ?? [])].map((head) => head.textContent.trim());
    for (const body of [...table.tBodies, ...(table.tFoot ? [table.tFoot] : [])]) {
      for (const row of body.rows) {
        [...row.cells].forEach((cell, i) => {
          const head = cell.tagName === 'TD' ? (heads[i] ?? '') : '';
          if (cell.dataset.head !== head) cell.dataset.head = head;
        });
      }
    }
    for (const [which, role] of ROLES) {
      for (const one of table.querySelectorAll(which))
        if (!one.hasAttribute('role')) one.setAttribute('role', role);
    }
  }
  table.classList.add('listed');
  table.setAttribute('role', 'table');
  for (const head of table.querySelectorAll('thead th')) head.setAttribute('role', 'columnheader');
  name();
  const watcher = new MutationObserver(name);
  watcher.observe(table, { childList: true, subtree: true, characterData: true });
  return () => watcher.disconnect();
}
