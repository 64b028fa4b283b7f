import { fitFor, AUDIENCES } from '../fits/audience';
import type { CardWords } from './cardWords';
import { fitSentences } from './fitWords';
import { dayIn, figureIn, LANGUAGES } from './language';
import { grindIn, roastIn, wordsIn } from './words';

/** Every word of a language, those that take figures with the same ones. */
function wordsOf(node: unknown, path = ''): [string, string][] {
  if (typeof node === 'string') return [[path, node]];
  if (typeof node === 'function') {
    const said: unknown = path.includes('fits.notes')
      ? (node as (figures: object) => string)({
          steps: 'S',
          s: 'S',
          c: 'C',
          ml: 'ML',
          share: '20',
          isHotter: false,
          style: 'A',
          nearest: 'B',
        })
      : (node as (...figures: unknown[]) => string)('11', '22', '33');
    return [[path, String(said)]];
  }
  return Object.entries(node as object).flatMap(([key, child]) =>
    wordsOf(child, path === '' ? key : `${path}.${key}`),
  );
}

/** Said alike in several languages: names of things, and figures alone. */
const MAY_BE_ALIKE = 0.35;

describe('the languages of a card', () => {
  const english = new Map(wordsOf(wordsIn('en')));

  it.each(LANGUAGES.slice(1))('%s says everything English says, in its own words', (language) => {
    const own = wordsOf(wordsIn(language));
    expect(own.map(([path]) => path).sort()).toEqual([...english.keys()].sort());
    for (const [, words] of own) expect(words.trim()).not.toBe('');
    const alike = own.filter(([path, words]) => english.get(path) === words);
    expect(alike.length / own.length).toBeLessThan(MAY_BE_ALIKE);
  });

  it.each(LANGUAGES)('%s keeps the figures it is given', (language) => {
    for (const [path, words] of wordsOf(wordsIn(language)))
      if (path === 'rest' || path === 'tolerances' || path === 'phases.days')
        expect(words).toMatch(/11.*22/);
  });

  it('writes figures and days as each language does', () => {
    expect(figureIn('en', 28.45, 1)).toBe('28.5');
    expect(figureIn('de', 28.45, 1)).toBe('28,5');
    expect(figureIn('fr', -0.5, 1)).toBe('−0,5');
    expect(dayIn('en', '2026-03-05')).toBe('5 Mar 2026');
    expect(dayIn('de', '2026-03-05')).toMatch(/5\. März 2026/);
  });

  it('says a change of grind by its size, and none where it is nothing', () => {
    const say = (steps: number) => grindIn(wordsIn('en'), steps);
    expect([0.2, 0.5, 1, -2, -3, 5].map(say)).toEqual([
      null,
      'a little finer',
      'about one step finer',
      'one or two steps coarser',
      'two or three steps coarser',
      'several steps finer',
    ]);
  });

  it('has a sentence for each note of each audience, and a word for each roast', () => {
    const words: CardWords[] = LANGUAGES.map(wordsIn);
    for (const audience of AUDIENCES) {
      const fit = fitFor(audience, {
        recipe: { doseG: 18, yieldG: 45, temperatureC: 95, timeS: [18, 22], clock: 'firstDrip' },
        style: 'longQuick',
        from: { diameterMm: 58, ratedG: 20 },
      });
      for (const language of LANGUAGES)
        expect(fitSentences(language, fit, 'longQuick').every((text) => text.length > 8)).toBe(
          true,
        );
    }
    expect(words.map((one) => roastIn(one, 0.4))).toEqual([
      'Medium-dark',
      'Mitteldunkel',
      'Moyenne-foncée',
      'Medio-scura',
      'Medio oscuro',
      'Média-escura',
    ]);
  });
});
