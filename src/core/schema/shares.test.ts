import { inWords } from '@/words/faults';
import { batchSharesFault, blendedOf, readShares, sharesFault } from './shares';

const BLEND = [
  { name: 'a', sharePct: 60 },
  { name: 'b', sharePct: 40 },
];

describe('shares of a blend', () => {
  it('make the whole coffee', () => {
    expect(sharesFault([60, 40])).toBeNull();
    expect(inWords(sharesFault([60, 30])!)).toMatch(/90 %/);
  });

  it.each(['70 / 30', '70,30', '70 % 30 %', ' 70 30 '])('of a batch are read from %s', (text) => {
    expect(readShares(text)).toEqual([70, 30]);
    expect(batchSharesFault(text, BLEND)).toBeNull();
    expect(blendedOf(BLEND, text).map(({ sharePct }) => sharePct)).toEqual([70, 30]);
  });

  it('of a batch are the blend’s where it says none', () => {
    expect(batchSharesFault('', BLEND)).toBeNull();
    expect(blendedOf(BLEND, '')).toBe(BLEND);
  });

  it.each([
    ['70', /2 shares.*60 \/ 40/],
    ['70 / 20', /90 %/],
    ['most / rest', /2 shares/],
    ['100 / 0', /2 shares/],
  ])('of a batch as %s are refused with the remedy, and the blend’s stand', (text, words) => {
    expect(inWords(batchSharesFault(text, BLEND)!)).toMatch(words);
    expect(blendedOf(BLEND, text)).toBe(BLEND);
  });
});
