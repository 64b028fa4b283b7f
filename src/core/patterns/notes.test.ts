import fc from 'fast-check';
import { notesFound, type NotedCup } from './notes';

const cup = (releaseId: string, found: string[], groups: string[], promised: string[] = []) =>
  ({ releaseId, found, groups, promised }) satisfies NotedCup;

const naturals = Array.from({ length: 6 }, (_, i) =>
  cup(`n${i}`, i < 5 ? ['Plum'] : [], ['natural'], ['plum']),
);
const washed = Array.from({ length: 12 }, (_, i) =>
  cup(`w${i}`, i === 0 ? ['plum', 'lemon'] : ['lemon'], ['washed'], i === 1 ? ['plum'] : []),
);

it('counts coffees, not cups, however a note is written, and says where it is mostly found', () => {
  const again = Array.from({ length: 9 }, () => cup('n0', ['PLUM'], ['natural'], ['plum']));
  const [lemon, plum] = notesFound([...naturals, ...washed, ...again]);
  expect(lemon).toMatchObject({ note: 'lemon', cups: 12, kept: 0, promisedFor: 0 });
  expect(lemon!.mostIn).toEqual({ group: 'washed', here: [12, 12], elsewhere: [0, 6] });
  expect(plum).toMatchObject({ note: 'plum', cups: 15, promisedFor: 7, kept: 5 });
  expect(plum!.releaseIds[0]).toBe('n0');
  expect(plum!.mostIn).toEqual({ group: 'natural', here: [5, 6], elsewhere: [1, 12] });
});

it('says nothing of a place where a note is as common elsewhere, or that has two coffees', () => {
  const even = [...naturals, ...washed].map((one) => ({ ...one, found: ['sweet'] }));
  expect(notesFound(even)[0]!.mostIn).toBeNull();
  const two = [cup('a', ['fig'], ['honey']), cup('b', ['fig'], ['honey']), ...washed];
  expect(notesFound(two).find(({ note }) => note === 'fig')!.mostIn).toBeNull();
});

it('a coffee tasted young and old counts where its cups were', () => {
  const young = Array.from({ length: 5 }, (_, i) => cup(`c${i}`, [], ['before day 10']));
  const old = Array.from({ length: 5 }, (_, i) => cup(`c${i}`, ['cocoa'], ['after day 21']));
  expect(notesFound([...young, ...old])[0]!.mostIn).toEqual({
    group: 'after day 21',
    here: [5, 5],
    elsewhere: [0, 5],
  });
});

it('is the same whatever the order of the cups', () => {
  const cups = [...naturals, ...washed];
  fc.assert(
    fc.property(fc.shuffledSubarray(cups, { minLength: cups.length }), (shuffled) => {
      const told = (all: readonly NotedCup[]) =>
        notesFound(all).map(({ releaseIds, ...rest }) => ({ ...rest, in: releaseIds.length }));
      expect(told(shuffled)).toEqual(told(cups));
    }),
    { numRuns: 30 },
  );
});
