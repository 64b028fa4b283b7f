import fc from 'fast-check';
import { CAFE_TASTE, cafeSigns, leanOf, type TastedAt } from './cafeTaste';

const PLACE = { ratio: 2, temperatureC: 93, timeS: 28 };
const said = (part: Partial<TastedAt>): TastedAt => ({
  ...PLACE,
  cafe: 'corner',
  coffee: 'asked',
  ...{ fine: 0, sour: 0, bitter: 0 },
  ...part,
});

it('leans to the side its cups are called, by four points a word', () => {
  expect(leanOf({ fine: 10, sour: 10, bitter: 0 })).toEqual({ u: 2, variance: 6.25 / 20 });
  expect(leanOf({ fine: 10, sour: 0, bitter: 10 })!.u).toBe(-2);
  expect(leanOf({ fine: 4, sour: 0, bitter: 0 })).toBeNull();
});

it('takes out what a café says of its other coffees', () => {
  const sour = said({ fine: 10, sour: 10 });
  const [alone] = cafeSigns('asked', [sour]);
  const [beside] = cafeSigns('asked', [
    sour,
    said({ coffee: 'other', fine: 10, sour: 10 }),
    said({ coffee: 'third', fine: 10, sour: 10 }),
  ]);
  expect(alone!.u).toBe(2);
  // By hand: two leans of 2 at weight 1/(.3125 + .36), the café's own 0 at 1/.64.
  const weight = 2 / (0.3125 + 0.36);
  const precision = weight + 1 / 0.64;
  expect(beside!.u).toBeCloseTo(2 - (2 * weight) / precision, 10);
  expect(beside!.sd).toBeCloseTo(Math.sqrt(0.3125 + 1 / precision + 0.16), 10);
  expect(beside!.sd).toBeLessThan(alone!.sd);
});

it('lies at the middle of the cups, over all versions of the card', () => {
  const [sign] = cafeSigns('asked', [
    said({ fine: 5, ratio: 2, timeS: 26 }),
    said({ fine: 15, ratio: 2.4, timeS: 30 }),
  ]);
  expect(sign!.cups).toBe(20);
  expect(sign!.ratio).toBeCloseTo(2 ** 0.25 * 2.4 ** 0.75, 10);
  expect(sign!.timeS).toBeCloseTo(26 ** 0.25 * 30 ** 0.75, 10);
});

it('says nothing of a coffee that too few cups were tasted of, whoever else tasted', () => {
  expect(cafeSigns('asked', [said({ fine: 4 }), said({ coffee: 'other', sour: 50 })])).toEqual([]);
  expect(cafeSigns('nobody’s', [said({ fine: 40 })])).toEqual([]);
});

it('never weighs twenty cafés more than six', () => {
  const cafes = (n: number) =>
    cafeSigns(
      'asked',
      Array.from({ length: n }, (_, i) => said({ cafe: `${i}`, fine: 20, sour: 5 })),
    );
  const precision = (n: number) => cafes(n).reduce((sum, { sd }) => sum + sd ** -2, 0);
  expect(precision(20)).toBeCloseTo(precision(CAFE_TASTE.mostCafes), 8);
  expect(precision(3)).toBeCloseTo(precision(6) / 2, 8);
});

it('turns round when sour and bitter are exchanged, and is surer with more cups', () => {
  const count = fc.integer({ min: 0, max: 60 });
  fc.assert(
    fc.property(
      count,
      count,
      count,
      fc.integer({ min: 2, max: 5 }),
      (fine, sour, bitter, times) => {
        fc.pre(fine + sour + bitter >= CAFE_TASTE.leastCups);
        const [sign] = cafeSigns('asked', [said({ fine, sour, bitter })]);
        const [turned] = cafeSigns('asked', [said({ fine, sour: bitter, bitter: sour })]);
        expect(turned!.u).toBeCloseTo(-sign!.u, 10);
        const [more] = cafeSigns('asked', [
          said({ fine: times * fine, sour: times * sour, bitter: times * bitter }),
        ]);
        expect(more!.u).toBeCloseTo(sign!.u, 10);
        expect(more!.sd).toBeLessThan(sign!.sd);
      },
    ),
  );
});
