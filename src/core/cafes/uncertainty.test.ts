import fc from 'fast-check';
import { inverse, Matrix } from 'ml-matrix';
import { chanceFrom } from '../random';
import { inverseOf, times, transposedTimes, zeros, type Dense } from './dense';
import { jointCovariance, rowVariance } from './uncertainty';

const OWN = 3;
const SHARED = 4;

const denseOf = (M: Matrix): Dense => ({
  rows: M.rows,
  columns: M.columns,
  values: Float64Array.from(M.to1DArray()),
});

/** A whole field of one café: its normal equations, and the pieces the model keeps of them. */
function field(seed: number) {
  const chance = chanceFrom(seed);
  const size = OWN + SHARED;
  const whole = Matrix.eye(size);
  for (let row = 0; row < 12; row++) {
    const x = Matrix.columnVector(Array.from({ length: size }, () => chance.normal()));
    whole.add(x.mmul(x.transpose()));
  }
  const inverseLocal = inverseOf(denseOf(whole.subMatrix(0, OWN - 1, 0, OWN - 1)));
  const cross = denseOf(whole.subMatrix(0, OWN - 1, OWN, size - 1));
  const shared = denseOf(whole.subMatrix(OWN, size - 1, OWN, size - 1));
  const taken = transposedTimes(cross, times(inverseLocal, cross));
  const schur = { ...shared, values: shared.values.map((value, i) => value - taken.values[i]!) };
  return {
    truth: inverse(whole),
    block: { inverseLocal, cross },
    covariance: inverseOf(schur),
    chance,
  };
}

it('is the covariance of the whole field, though own and shared columns are solved apart', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
      const { truth, block, covariance } = field(seed);
      const joint = jointCovariance(block, covariance);
      joint.values.forEach((value, i) =>
        expect(value).toBeCloseTo(truth.get(Math.floor(i / joint.columns), i % joint.columns), 8),
      );
    }),
    { numRuns: 50 },
  );
});

it('gives a row the variance that the joint covariance gives it', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1e6 }), (seed) => {
      const { truth, block, covariance, chance } = field(seed);
      const columns = [0, 2, OWN, OWN + 3];
      const values = columns.map(() => chance.normal());
      const x = Matrix.zeros(OWN + SHARED, 1);
      columns.forEach((at, k) => x.set(at, 0, values[k]!));
      const variance = x.transpose().mmul(truth).mmul(x).get(0, 0);
      expect(rowVariance({ columns, values }, block, covariance)).toBeCloseTo(variance, 8);
    }),
    { numRuns: 50 },
  );
});

it('leaves a café its own doubt where nothing is shared', () => {
  const { block } = field(3);
  const alone = jointCovariance(block, null);
  for (let i = 0; i < OWN; i++)
    for (let j = 0; j < OWN; j++)
      expect(alone.values[i * alone.columns + j]).toBeCloseTo(
        block.inverseLocal.values[i * OWN + j]!,
        12,
      );
  const unknown = rowVariance({ columns: [1], values: [2] }, block, zeros(SHARED, SHARED));
  expect(unknown).toBeCloseTo(4 * block.inverseLocal.values[OWN + 1]!, 12);
});
