/**
 * The design the program had before: a quadratic with a fixed prior around the proposal, cups that tell
 * sixteen drawn optima apart (model.md §4). Kept to be measured against.
 */
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { dot, symmetric } from '@/core/linear';
import { chanceFrom } from '@/core/random';
import { PRIOR } from '@/core/trials/surface';
import { placed, TASTERS, type Coffee } from './coffee';
import { FLIGHT, LOOKS } from './ways';

const MEAN = [6.5, 0, 0, 0, -0.7, -0.5, -0.6, 0, 0, 0];
const SD = [1, 0.7, 0.55, 0.65, 0.4, 0.3, 0.35, 0.25, 0.25, 0.2];
const TERMS = MEAN.length;
const DRAWS = 16;
/** Half the box of a trial on each side, and the places looked at in it. */
const GRID = Array.from({ length: 9 }, (_, i) => -2 + i / 2);
const NEAR = [-1.5, -0.75, 0, 0.75, 1.5];

const termsAt = ([a, b, c]: readonly number[]): number[] => [
  1,
  a!,
  b!,
  c!,
  (a! * a!) / 2,
  (b! * b!) / 2,
  (c! * c!) / 2,
  a! * b!,
  a! * c!,
  b! * c!,
];

const places = (along: readonly (readonly number[])[]) =>
  along[0]!.flatMap((a) => along[1]!.flatMap((b) => along[2]!.map((c) => [a, b, c])));
const BOX_PLACES = places([GRID, GRID, GRID]).map((x) => ({ x, terms: termsAt(x) }));

/** Where a fitted quadratic is highest in the box. */
function highest(beta: readonly number[]): (typeof BOX_PLACES)[number] {
  let best = BOX_PLACES[0]!;
  let most = -Infinity;
  for (const place of BOX_PLACES) {
    const value = dot(beta, place.terms);
    if (value > most) [most, best] = [value, place];
  }
  return best;
}

/** Points under the best at each look. */
export function byFixedPrior(coffee: Coffee, centre: readonly number[], seed: number): number[] {
  const chance = chanceFrom(seed);
  const size = TERMS + TASTERS.length;
  const A = Matrix.diag([...SD.map((sd) => sd ** -2), ...TASTERS.map(() => PRIOR.tasterSd ** -2)]);
  const b = [...MEAN.map((mean, j) => mean / SD[j]! ** 2), ...TASTERS.map(() => 0)];
  const left: number[] = [];
  for (let nth = 0; ; nth += FLIGHT) {
    const V = symmetric(new CholeskyDecomposition(symmetric(A)).solve(Matrix.eye(size)));
    const beta = V.mmul(Matrix.columnVector(b)).to1DArray();
    const top = highest(beta.slice(0, TERMS));
    left.push(coffee.lossAt(placed(top.x, centre)));
    if (nth >= LOOKS.at(-1)!) return left;
    const flight = flightAround({ beta, V, isFirst: nth === 0, normal: () => chance.normal() });
    for (const [k, x] of flight.entries())
      for (const [taster, { liking }] of coffee.taste(placed(x, centre), nth + k).entries()) {
        const row = [...termsAt(x), ...TASTERS.map((_, i) => (i === taster ? 1 : 0))];
        row.forEach((value, i) => {
          b[i]! += (value * liking) / PRIOR.cupSd ** 2;
          row.forEach((other, j) => A.set(i, j, A.get(i, j) + (value * other) / PRIOR.cupSd ** 2));
        });
      }
  }
}

interface Fitted {
  readonly beta: readonly number[];
  readonly V: Matrix;
  readonly isFirst: boolean;
  readonly normal: () => number;
}

/** Three cups, most telling first; the very first is the centre. */
function flightAround({ beta, V: all, isFirst, normal }: Fitted): (readonly number[])[] {
  let V = all.subMatrix(0, TERMS - 1, 0, TERMS - 1);
  const mean = beta.slice(0, TERMS);
  const top = highest(mean);
  const root = new CholeskyDecomposition(symmetric(V)).lowerTriangularMatrix;
  const drawn = Array.from({ length: DRAWS }, () => {
    const z = Matrix.columnVector(mean.map(normal));
    const off = root.mmul(z).to1DArray();
    return highest(mean.map((value, j) => value + off[j]!)).terms;
  });
  const candidates = places(
    top.x.map((middle) => NEAR.map((off) => Math.min(2, Math.max(-2, middle + off)))),
  );
  const noise = PRIOR.cupSd ** 2 / TASTERS.length;
  const flight: (readonly number[])[] = [];
  while (flight.length < FLIGHT) {
    const rows = V.to2DArray();
    const pulledBy = (x: readonly number[]) => {
      const terms = termsAt(x);
      const pulled = rows.map((row) => dot(row, terms));
      return { x, pulled, spread: dot(terms, pulled) + noise };
    };
    const worth = ({ pulled, spread }: ReturnType<typeof pulledBy>) =>
      drawn.reduce((sum, terms) => {
        const told = terms.reduce((all_, term, j) => all_ + (term - top.terms[j]!) * pulled[j]!, 0);
        return sum + told ** 2 / spread;
      }, 0);
    const choice =
      isFirst && flight.length === 0
        ? pulledBy([0, 0, 0])
        : candidates.map(pulledBy).reduce((most, one) => (worth(one) > worth(most) ? one : most));
    flight.push(choice.x);
    const pulled = Matrix.columnVector(choice.pulled);
    V = Matrix.sub(V, pulled.mmul(pulled.transpose()).div(choice.spread));
  }
  return flight;
}
