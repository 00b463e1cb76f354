import { expect, it } from 'vitest';
import { perSite } from './perSite';

it('makes one for each site, and it stays', () => {
  const of = perSite((site) => ({ site }));
  expect(of('kvarno')).toBe(of('kvarno'));
  expect(of('kvarno')).not.toBe(of('skarvholm'));
  expect(of('skarvholm').site).toBe('skarvholm');
});
