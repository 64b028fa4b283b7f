import type { About } from './records';
import { roastBandOf } from '@/core/coffee/roastBand';
import { isLetThrough, readFilters } from './patternFilters';

const coffee: About = {
  releaseId: 'r',
  name: 'Lot',
  day: '2026-03-10',
  style: 'classic',
  setupId: 'window',
  processes: ['washed', 'natural'],
  roastLevel: -0.5,
  varieties: ['Red Catuaí', 'Bourbon'],
};
const lets = (search: Record<string, string>, about = coffee) =>
  isLetThrough(about, readFilters(search));

describe('the filters of Patterns', () => {
  it('let everything through when none is set, or none that is known', () => {
    expect(lets({})).toBe(true);
    expect(lets({ style: 'moon', process: '', roast: 'grey', from: 'yesterday' })).toBe(true);
  });

  it.each([
    [{ style: 'classic' }, true],
    [{ style: 'declining' }, false],
    [{ process: 'natural' }, true],
    [{ process: 'honey' }, false],
    [{ variety: 'catuai' }, true],
    [{ variety: 'gesha' }, false],
    [{ roast: 'light' }, true],
    [{ roast: 'medium' }, false],
    [{ setup: 'window' }, true],
    [{ setup: 'back' }, false],
    [{ from: '2026-03-10', to: '2026-03-10' }, true],
    [{ from: '2026-03-11' }, false],
    [{ to: '2026-03-09' }, false],
    [{ process: 'natural', roast: 'dark' }, false],
  ])('%j: %s', (search, through) => {
    expect(lets(search as Record<string, string>)).toBe(through);
  });

  it('leave out a coffee of unknown roast once a roast is asked for', () => {
    const unknown = { ...coffee, roastLevel: null };
    expect(lets({}, unknown)).toBe(true);
    expect(lets({ roast: 'medium' }, unknown)).toBe(false);
  });

  it('put the half words with light and dark', () => {
    expect([-2, -0.5, -0.25, 0, 0.25, 0.5, 2].map(roastBandOf)).toEqual([
      'light',
      'light',
      'medium',
      'medium',
      'medium',
      'dark',
      'dark',
    ]);
  });
});
