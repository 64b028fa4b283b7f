import { itemsWith, paletteItems, releaseItems } from './palette';

const RELEASES = [
  { id: 'r1', name: 'Dembi Ridge' },
  { id: 'r2', name: 'Serra do Lume' },
];
const words = (items: readonly { words: string }[]) => items.map((item) => item.words);

describe('the command palette', () => {
  it('offers the stages of the open release first, then releases at hand, then places', () => {
    const items = paletteItems({ recent: RELEASES, current: RELEASES[1], role: 'lead' });
    expect(words(items).slice(0, 10)).toEqual([
      'Read',
      'Start',
      'Pull',
      'Taste',
      'Rest',
      'Publish',
      'Field',
      'Who did what when',
      'Dembi Ridge',
      'Serra do Lume',
    ]);
    expect(items[0]!.href).toBe('/releases/r2/read');
    expect(new Set(items.map(({ id }) => id)).size).toBe(items.length);
  });

  it('offers nobody what they may not do', () => {
    const bench = paletteItems({ recent: [], current: undefined, role: 'bench' });
    expect(words(bench)).toEqual([
      'Today',
      'Open today: what to pull, and how',
      'Find anything',
      'Releases',
      'Field: who is off, and why',
      'The week of the field',
      'Patterns',
      'Practice',
      'Equipment',
      'Programmes of the machine',
      'Messages: what readers said, what goes out',
      'People',
      'House',
    ]);
  });

  it('finds by any words, in any order, without accents', () => {
    const items = releaseItems([...RELEASES, { id: 'r3', name: 'Río Lindo' }]);
    expect(words(itemsWith(items, 'lume ser'))).toEqual(['Serra do Lume']);
    expect(words(itemsWith(items, 'rio'))).toEqual(['Río Lindo']);
    expect(itemsWith(items, 'nowhere')).toEqual([]);
  });
});
