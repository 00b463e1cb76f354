import { expect, it } from 'vitest';
import { placesOf } from './places';

const letters = (site: string | undefined, administers: boolean) =>
  placesOf(site, administers)
    .map((one) => one.letter)
    .join('');

it('offers the places of a site where one is open, and the people only to who administers them', () => {
  expect(letters('kvarno', false)).toBe('spbehl');
  expect(letters(undefined, true)).toBe('sa');
  expect(letters(undefined, false)).toBe('s');
  expect(placesOf('kvarno', true)[2]?.address).toBe('/site/kvarno/bench');
  expect(new Set(letters('kvarno', true)).size, 'each by a letter of its own').toBe(6);
});
