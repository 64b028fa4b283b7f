import { NOTHING_KNOWN } from '@/core/cafes/atTheBar';
import { LANGUAGES } from '@/core/language';
import { cafeWords } from '@/words/cafeWords';
import { helperWords } from '@/words/helperWords';
import type { SheetCafe, SheetCoffee } from '@/views/checkSheet';
import { barWords } from './barWords';

const CAFE: SheetCafe = {
  name: 'Quay Nine',
  language: 'en',
  heatUnit: 'c',
  notation: 'numbers',
  divisions: undefined,
  stepSize: 1,
  finerIs: 'lower',
  dialMin: 0,
  dialMax: 30,
};

const COFFEE: SheetCoffee = {
  releaseId: 'r',
  name: 'Harbour Lamp',
  version: 3,
  target: { doseG: 18, yieldG: 36, timeS: [26, 30], clock: 'pump' },
  temperatureC: 93,
  notes: [],
  habits: [],
  drinks: [],
  cardAddress: '/p/x',
  known: { ...NOTHING_KNOWN, dial: 11 },
  lastDial: 11,
  lastRoastDate: null,
};

const typed = { doseG: 18, yieldG: 36, timeS: 22, dial: 11, taste: undefined };

describe('the next move at a bar', () => {
  it('is said on the café’s own dial, whichever way is finer and however it is written', () => {
    expect(barWords(CAFE, COFFEE, typed).what).toBe(
      'It ran 4 s faster than the card’s window. Grind 2 steps finer, dial 11 → 9. Purge first.',
    );
    const higher = { ...CAFE, finerIs: 'higher' as const };
    const known = { ...NOTHING_KNOWN, dial: -11 };
    expect(barWords(higher, { ...COFFEE, known }, typed).what).toMatch(/finer, dial 11 → 13\./);
    const letters = { ...CAFE, notation: 'letters' as const, divisions: 8, dialMax: 79 };
    expect(barWords(letters, COFFEE, typed).what).toMatch(/finer, dial 1 D → 1 B\./);
  });

  it('moves a dial that turns freely by half steps, in the words of each language', () => {
    const known = {
      ...NOTHING_KNOWN,
      dial: 11,
      slope: { ...NOTHING_KNOWN.slope, isStepless: true },
    };
    const coffee = { ...COFFEE, known };
    const at = (language: SheetCafe['language'], timeS: number) =>
      barWords({ ...CAFE, language }, coffee, { ...typed, timeS }).what;
    expect(at('en', 24)).toMatch(/Grind 1\.5 steps finer, dial 11 → 9\.5\. Purge first\./);
    expect(at('fr', 24)).toMatch(/1,5 cran\b/);
    expect(at('pt', 24)).toMatch(/1,5 ponto\b/);
    expect(at('de', 24)).toMatch(/1,5 Stufen/);
    // By whole steps the same shot asks for one or two.
    expect(barWords(CAFE, COFFEE, { ...typed, timeS: 24 }).what).toMatch(/Grind [12] steps? finer/);
  });

  it('stays on the grinder: a move ends at its last setting', () => {
    expect(barWords({ ...CAFE, dialMin: 10 }, COFFEE, typed).what).toMatch(/dial 11 → 10\./);
  });

  it('names no dial where none was written down', () => {
    expect(barWords(CAFE, COFFEE, { ...typed, dial: undefined }).what).toMatch(
      /Grind 2 steps finer\. Purge first\.$/,
    );
  });

  it('reads a clock that starts at the first drip', () => {
    const target = { ...COFFEE.target, timeS: [19, 23] as const, clock: 'firstDrip' as const };
    const answer = barWords(CAFE, { ...COFFEE, target }, { ...typed, timeS: 21 });
    expect(answer).toMatchObject({ first: 'stay', caution: null });
  });

  it.each(LANGUAGES)('speaks and warns in %s', (language) => {
    const cafe = { ...CAFE, language };
    const say = cafeWords(language);
    const fast = barWords(cafe, COFFEE, typed);
    expect(fast.what).toContain(helperWords(language)('answer.from', { from: '11', to: '9' }));
    expect(fast.what).toContain(say('purge'));
    const choked = barWords(cafe, COFFEE, { ...typed, timeS: 40, yieldG: 8 });
    expect(choked.what).toContain(say('choked'));
    expect(choked.caution).toBe(say('vent'));
    const dose = barWords(cafe, COFFEE, { ...typed, doseG: 18.8 });
    expect(dose.what).toMatch(language === 'en' ? /0\.8 g off: weigh 18\.0 g/ : /0,8 g.*18,0 g/);
    expect(barWords(cafe, COFFEE, { ...typed, timeS: 28, taste: 'bitter' }).what).toBe(
      say('tasteOff'),
    );
  });
});
