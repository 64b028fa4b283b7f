import fc from 'fast-check';
import { chanceFrom, type Chance } from '../random';
import { zeros, type Dense } from './dense';
import type { SharedKey } from './rows';
import type { SharedPart } from './shared';
import { SharedFit } from './sharedFit';

const dayKey = (day: number): SharedKey => ({ name: `day ${day}`, day, isBatch: false });
const batchKey = (name: string): SharedKey => ({ name, day: null, isBatch: true });

/** What a café says of some columns: a positive matrix, as sums of weighted rows are. */
function said(keys: readonly SharedKey[], chance: Chance): SharedPart {
  const size = keys.length;
  const schur = zeros(size, size);
  for (let row = 0; row < 2 * size; row++) {
    const x = keys.map(() => 10 * chance.normal());
    for (let i = 0; i < size; i++)
      for (let j = 0; j < size; j++) schur.values[i * size + j]! += x[i]! * x[j]!;
  }
  return { keys, block: { schur, schurSide: Float64Array.from(keys, () => 30 * chance.normal()) } };
}

const DAYS = [10, 11, 12, 13].map(dayKey);
const KEYS = [...DAYS, batchKey('first'), batchKey('second')];

function near(a: ArrayLike<number>, b: ArrayLike<number>): void {
  expect(a).toHaveLength(b.length);
  for (let i = 0; i < b.length; i++)
    expect(Math.abs(a[i]! - b[i]!)).toBeLessThan(1e-9 + 1e-7 * Math.abs(b[i]!));
}

interface Answers {
  readonly means: readonly number[];
  readonly covariance: Dense;
}

const answersOf = (field: SharedFit, keys = KEYS): Answers => ({
  means: field.meansOf('town', keys),
  covariance: field.covarianceOf('town', keys),
});

function same(a: Answers, b: Answers): void {
  near(a.means, b.means);
  near(a.covariance.values, b.covariance.values);
}

/** Everything summed anew. */
function anew(town: readonly SharedPart[], village: readonly SharedPart[] = []): SharedFit {
  const field = new SharedFit();
  const regions: [string, readonly SharedPart[]][] = [
    ['town', town],
    ['village', village],
  ];
  field.renew(new Map(regions.filter(([, parts]) => parts.length > 0)));
  return field;
}

it('is the same whether a café is taken out of the sum and put in again, or all is summed anew', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1e6 }), (seed) => {
      const chance = chanceFrom(seed);
      const [a, b, c, far] = Array.from({ length: 4 }, () => said(KEYS, chance));
      const field = anew([a!, b!, c!], [far!]);
      const changed = said(KEYS, chance);
      const others = field.othersOf('town', { keys: KEYS, before: b!, others: [a!, c!] });
      field.fit('town', others, changed);
      same(answersOf(field), answersOf(anew([a!, changed, c!], [far!])));
    }),
    { numRuns: 40 },
  );
});

it('takes a new day and a new batch in as they come', () => {
  const chance = chanceFrom(5);
  const [a, b] = [said(KEYS, chance), said(KEYS, chance)];
  const field = anew([a, b]);
  const later = [...KEYS, dayKey(14), batchKey('third')];
  const grown = said(later, chance);
  const others = field.othersOf('town', { keys: later, before: b, others: [a] });
  field.fit('town', others, grown);
  expect(field.keys.map(({ name }) => name)).toEqual(['first', 'second', 'third']);
  same(answersOf(field, later), answersOf(anew([a, grown]), later));
});

it('keeps a region true when another one brings a batch that it has not heard of', () => {
  const chance = chanceFrom(21);
  const [town, far] = [said(KEYS, chance), said(KEYS, chance)];
  const field = anew([town], [far]);
  const later = [...KEYS, batchKey('third'), batchKey('fourth')];
  const grown = said(later, chance);
  const others = field.othersOf('village', { keys: later, before: far, others: [] });
  field.fit('village', others, grown);
  same(answersOf(field), answersOf(anew([town], [grown])));
});

it('lets what one region says of a batch be heard in the other, and its weather not', () => {
  const chance = chanceFrom(9);
  const [near1, far1, far2] = Array.from({ length: 3 }, () => said(KEYS, chance));
  const [one, other] = [anew([near1!], [far1!]), anew([near1!], [far2!])];
  const batch = KEYS.length - 1;
  expect(one.meansOf('town', KEYS)[batch]).not.toBeCloseTo(other.meansOf('town', KEYS)[batch]!, 6);
  const dayOnly = DAYS.slice(0, 1);
  const quiet = anew([near1!], [said(dayOnly, chance)]);
  near(quiet.meansOf('town', KEYS), anew([near1!]).meansOf('town', KEYS));
});

it('supposes without being changed by it', () => {
  const chance = chanceFrom(12);
  const [a, b, supposed] = Array.from({ length: 3 }, () => said(KEYS, chance));
  const field = anew([a!, b!]);
  const before = { ...answersOf(field), solution: field.solution };
  const others = field.othersOf('town', { keys: KEYS, before: b!, others: [a!] });
  const inBetween = field.supposing('town', [others, supposed!], () => answersOf(field));
  same(inBetween, answersOf(anew([a!, supposed!])));
  expect(field.solution).toBe(before.solution);
  same(answersOf(field), before);
});

it('forgets all when no café speaks', () => {
  const field = anew([said(KEYS, chanceFrom(1))]);
  field.renew(new Map());
  expect(field.solution).toBeNull();
  expect(field.region('town')).toBeNull();
  expect(field.keys).toEqual([]);
});
