import { say } from '@/words/say';
import fc from 'fast-check';
import { builtUp, cutOf, likenessMessage, type StagedCup } from './staged';

const CUPS: readonly StagedCup[] = [
  { massG: 12, tdsPct: 18, taste: 'sour' },
  { massG: 12, tdsPct: 10, taste: 'sweet' },
  { massG: 12, tdsPct: 4, taste: 'thin' },
];

it('adds the cups up: mass, strength, extraction', () => {
  const [first, second, whole] = builtUp(CUPS, 18);
  expect(first).toEqual({ massG: 12, strengthPct: 18, extractionPct: 12 });
  expect(second!.strengthPct).toBeCloseTo(14, 9);
  expect(whole!.massG).toBe(36);
  expect(whole!.extractionPct).toBeCloseTo((100 * (2.16 + 1.2 + 0.48)) / 18, 9);
  const unread = builtUp([CUPS[0]!, { massG: 12 }, CUPS[2]!], 18);
  expect(unread.map(({ strengthPct }) => strengthPct)).toEqual([18, null, null]);
});

it('the whole is what its parts dissolve, in whatever cups it is caught', () => {
  const cup = fc.record({
    massG: fc.double({ min: 0.1, max: 40, noNaN: true }),
    tdsPct: fc.double({ min: 0, max: 25, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(cup, { minLength: 1, maxLength: 8 }), (cups) => {
      const last = builtUp(cups, 18).at(-1)!;
      expect((last.strengthPct! * last.massG) / 18).toBeCloseTo(last.extractionPct!, 6);
      const once = builtUp([{ massG: last.massG, tdsPct: last.strengthPct! }], 18)[0]!;
      expect(once.extractionPct).toBeCloseTo(last.extractionPct!, 6);
    }),
  );
});

it('cuts after the last sweet cup, or says what is missing', () => {
  expect(cutOf(CUPS)!.yieldG).toBe(24);
  expect(say(cutOf(CUPS)!.message)).toMatch(/Cut at about 24 g/);
  expect(say(cutOf(CUPS.slice(0, 2))!.message)).toMatch(/still sweet/);
  const all = (taste: 'sour' | 'thin') => CUPS.map((cup) => ({ ...cup, taste }));
  expect(cutOf(all('sour'))!.yieldG).toBe(null);
  expect(say(cutOf(all('sour'))!.message)).toMatch(/longer/);
  expect(say(cutOf(all('thin'))!.message)).toMatch(/coarser/);
  expect(say(cutOf([CUPS[0]!, CUPS[2]!])!.message)).toMatch(/uneven/);
  expect(cutOf([{ massG: 12 }])).toBeNull();
});

it('says the way by the cup the whole is like', () => {
  expect(say(likenessMessage('first'))).toMatch(/under/);
  expect(say(likenessMessage('last'))).toMatch(/over/);
});
