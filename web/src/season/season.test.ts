import { expect, it, vi } from 'vitest';

vi.mock('../lib/api/client', () => ({ api: {}, outcome: () => Promise.resolve({}) }));

async function season() {
  const { Season } = await import('./season.svelte');
  return new Season('hallgrund');
}

const DAY = 86_400;

it('shows the whole run until something is chosen', async () => {
  const one = await season();
  expect(one.shown).toEqual({ from: 0, to: 14 * DAY });
  one.days = 1;
  expect(one.shown.to).toBe(DAY);
});

it('zooms about a point and never leaves the run', async () => {
  const one = await season();
  one.zoom(0.5);
  expect(one.shown).toEqual({ from: 3.5 * DAY, to: 10.5 * DAY });
  one.zoom(0.5, 3.5 * DAY);
  expect(one.shown).toEqual({ from: 3.5 * DAY, to: 7 * DAY });
  one.pan(-5);
  expect(one.shown).toEqual({ from: 0, to: 3.5 * DAY });
  one.pan(9);
  expect(one.shown.to).toBe(14 * DAY);
  one.zoom(100);
  expect(one.span).toBeUndefined();
});

it('goes down to two seconds and no further', async () => {
  const one = await season();
  for (let i = 0; i < 60; i++) one.zoom(0.5, 1000);
  expect(one.shown.to - one.shown.from).toBeCloseTo(2, 9);
  expect(one.shown.from).toBeLessThanOrEqual(1000);
  expect(one.shown.to).toBeGreaterThanOrEqual(1000);
});

it('keeps a chosen span inside the run', async () => {
  const one = await season();
  one.show({ from: -40, to: 40 });
  expect(one.shown).toEqual({ from: 0, to: 80 });
});
