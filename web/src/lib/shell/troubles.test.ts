import { expect, it } from 'vitest';
import { troubles } from './troubles.svelte';

it('says once what failed alike, and tries all of it again', () => {
  const tried: string[] = [];
  const reading = { detail: 'no answer', retry: () => tried.push('read') };
  const saving = { detail: 'no answer', retry: () => tried.push('save') };
  const other = { detail: 'no such site' };
  const away = troubles.add(reading);
  [saving, other].forEach((one) => troubles.add(one));
  expect([reading, saving, other].map(troubles.isFirst)).toEqual([true, false, true]);
  troubles.retriesOf('no answer').forEach((again) => again());
  expect(tried).toEqual(['read', 'save']);
  expect(troubles.retriesOf('no such site')).toEqual([]);
  away();
  expect(troubles.isFirst(saving)).toBe(true);
});
