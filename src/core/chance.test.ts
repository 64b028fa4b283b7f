import fc from 'fast-check';
import { say } from '@/words/say';
import { chanceMessage } from './chance';

const said = (chance: number) => say(chanceMessage(chance));

it.each([
  [0.999, 'almost certain'],
  [0.98, 'almost certain'],
  [0.97, '9 in 10'],
  [0.84, '8 in 10'],
  [0.52, 'a toss-up'],
  [0.3, '3 in 10'],
  [0.03, '1 in 10'],
  [0.01, 'hardly a chance'],
])('%f is said as %s', (chance, words) => {
  expect(said(chance)).toBe(words);
});

it('never says more than the chance by a tenth, and is larger where the chance is', () => {
  const order = ['hardly a chance', '1 in 10', '2 in 10', '3 in 10', '4 in 10', 'a toss-up'];
  order.push('5 in 10', '6 in 10', '7 in 10', '8 in 10', '9 in 10', 'almost certain');
  const chance = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(chance, chance, (a, b) => {
      const [low, high] = [Math.min(a, b), Math.max(a, b)];
      const [atLow, atHigh] = [low, high].map((p) => order.indexOf(said(p)));
      // "5 in 10" lies on either side of a toss-up.
      if (said(low) !== '5 in 10' && said(high) !== '5 in 10')
        expect(atLow!).toBeLessThanOrEqual(atHigh!);
    }),
  );
});
