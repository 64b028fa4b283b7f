import { paletteItems } from './palette';

const RELEASES = [
  { id: 'r1', name: 'Dembi Ridge' },
  { id: 'r2', name: 'Serra do Lume' },
];
const words = (items: readonly { words: string }[]) => items.map((item) => item.words);

describe('the command palette', () => {
  it('offers the stages of the open release first, then places, then every release', () => {
    const items = paletteItems({ releases: RELEASES, currentId: 'r2', role: 'lead' });
    expect(words(items).slice(0, 6)).toEqual([
      'Read',
      'Start',
      'Pull',
      'Taste',
      'Publish',
      'Who did what when',
    ]);
    expect(items[0]!.href).toBe('/releases/r2/read');
    expect(words(items).slice(-2)).toEqual(['Dembi Ridge', 'Serra do Lume']);
    expect(new Set(items.map(({ id }) => id)).size).toBe(items.length);
  });

  it('offers nobody what they may not do', () => {
    const bench = paletteItems({ releases: RELEASES, currentId: undefined, role: 'bench' });
    expect(words(bench)).toEqual([
      'Today',
      'Patterns',
      'Practice',
      'Equipment',
      'Programmes of the machine',
      'People',
      'House',
      'Dembi Ridge',
      'Serra do Lume',
    ]);
  });
});
