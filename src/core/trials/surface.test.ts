import { Matrix } from 'ml-matrix';
import { WORKED, WORKED_H } from '../../../tests/support/workedCups';
import { tasteEvidenceOf } from './tasteEvidence';
import { fitSurface } from './surface';

/** As far as the worked figures are printed. */
function near(actual: number, expected: number): void {
  expect(actual).toBeCloseTo(expected, 4);
}

describe('a surface with a known curvature: worked figures (14)', () => {
  const surface = fitSurface(WORKED);

  it('finds the best point, how sure it is, and who scores high', () => {
    [0.7684, 0.0988, -0.356].forEach((value, j) => near(surface.optimum[j]!, value));
    [0.7183, 0.9445, 0.7201].forEach((sd, j) => near(Math.sqrt(surface.covariance.get(j, j)), sd));
    near(surface.tasters.first!, 0.3583);
    near(surface.tasters.second!, -0.3384);
    near(surface.lnEvidence, -8.0511);
    near(surface.fits[0]!.chi2, 2.2088);
    near(surface.expectedLeft, 0.5529);
  });

  it('teaches what the cups say and not what the proposal had said', () => {
    const { P, h } = tasteEvidenceOf(surface, WORKED.prior, [0, 0, 0]);
    [1.0418, 0.0213, 0.7654].forEach((value, j) => expect(P.get(j, j)).toBeCloseTo(value, 4));
    expect(P.get(0, 1)).toBeCloseTo(0.1488, 4);
    expect(P.get(0, 2)).toBeCloseTo(-0.4196, 4);
    [1.733, 0.2476, -1.0458].forEach((value, j) => expect(h[j]).toBeCloseTo(value, 4));
  });

  it('takes the signs of the cup sheet as evidence', () => {
    const cups = WORKED.cups.map((cup, i) => ({ ...cup, u: i < 2 ? [2, 1][i] : undefined }));
    const signed = fitSurface({ ...WORKED, cups });
    [0.9473, 0.2887, -0.1464].forEach((value, j) => near(signed.optimum[j]!, value));
    near(signed.signOffset.mean, 0.3255);
    expect(fitSurface({ ...WORKED, cups, useSigns: false }).optimum).toEqual(surface.optimum);
  });

  it('takes a side that others told like a sign of its own whose zero is known', () => {
    const cups = WORKED.cups.map((cup, i) => ({ ...cup, u: i < 2 ? [2, 1][i] : undefined }));
    const own = fitSurface({ ...WORKED, cups, signOffset: { mean: 0, sd: 1e-5 } });
    const told = [2, 1].map((u, i) => ({ x: WORKED.cups[i]!.x, u, sd: 1.5 }));
    const others = fitSurface({ ...WORKED, told });
    others.optimum.forEach((value, j) => expect(value).toBeCloseTo(own.optimum[j]!, 6));
    expect(others.expectedLeft).toBeCloseTo(own.expectedLeft, 6);
    // What others call sour says nothing of where this house's zero is.
    expect(others.signOffset.mean).toBe(0);
    expect(others.expectedLeft).toBeLessThan(surface.expectedLeft);
    const unsure = fitSurface({ ...WORKED, told: told.map((sign) => ({ ...sign, sd: 1e4 })) });
    unsure.optimum.forEach((value, j) => expect(value).toBeCloseTo(surface.optimum[j]!, 5));
  });

  it('moves to the middle of the cups where all are liked alike', () => {
    const cups = WORKED.cups.map((cup) => ({ ...cup, liking: 6.5 }));
    const { optimum } = fitSurface({ ...WORKED, cups });
    [0.176, 0.0226, 0.1231].forEach((value, j) => near(optimum[j]!, value));
  });
});

describe('curvatures that are not known', () => {
  it('weighs two by their evidence: worked figures (15)', () => {
    const curvatures = [
      { H: new Matrix(WORKED_H), a: 1, weight: 0.5 },
      { H: Matrix.mul(new Matrix(WORKED_H), 2), a: 1, weight: 0.5 },
    ];
    const { fits, mean, optimum } = fitSurface({ ...WORKED, curvatures });
    [0.6188, 0.3812].forEach((share, s) => near(fits[s]!.share, share));
    [0.7593, 0.0976, -0.2622].forEach((value, j) => near(mean[j]!, value));
    [0.7552, 0.0971, -0.2201].forEach((value, j) => near(optimum[j]!, value));
  });
});
