import { Matrix } from 'ml-matrix';
import { chanceFrom } from '../random';
import { WORKED } from '../../../tests/support/workedCups';
import { STEP } from '../trials/coding';
import { tasteEvidenceOf } from '../trials/tasteEvidence';
import { fitSurface } from '../trials/surface';
import { byJointOutput, learnJoint, predictJoint, evidenceOfRecipe } from './joint';
import { priorFor } from './priors';

const RULES = byJointOutput((output) => priorFor(output, 'both'));
const WIDTH = RULES.lnRatio.length;
/** A medium washed ordinary coffee in classic style. */
const BASE = Array.from({ length: WIDTH }, (_, j) => (RULES.lnRatio[j]!.factor === 'base' ? 1 : 0));
const CENTRE = [Math.log(2) / STEP.lnRatio, 92 / STEP.temperatureC, Math.log(28) / STEP.lnTimeS];

it('one site moves the next proposal: worked figures (14) and (16)', () => {
  const site = { ...tasteEvidenceOf(fitSurface(WORKED), WORKED.prior, CENTRE), row: BASE };
  const model = learnJoint({ sites: [site], rules: RULES, keepsSpread: true });
  const { mean, covariance } = predictJoint(model, BASE);
  expect(Math.exp(mean[0]! * STEP.lnRatio)).toBeCloseTo(2.131, 3);
  expect(mean[1]! * STEP.temperatureC).toBeCloseTo(92.08, 2);
  expect(Math.exp(mean[2]! * STEP.lnTimeS)).toBeCloseTo(27.05, 2);
  [0.7849, 0.8124, 0.7129].forEach((sd, j) =>
    expect(Math.sqrt(covariance.get(j, j))).toBeCloseTo(sd, 4),
  );
});

it('without sites it is the rules, with their own doubt', () => {
  const { mean, covariance } = predictJoint(learnJoint({ sites: [], rules: RULES }), BASE);
  mean.forEach((value, j) => expect(value).toBeCloseTo(CENTRE[j]!, 10));
  // Base and noise of ln ratio: .10² + .07².
  expect(Math.sqrt(covariance.get(0, 0)) * STEP.lnRatio).toBeCloseTo(Math.hypot(0.1, 0.07), 10);
});

it('learns a house that differs from the rules, and is surer with more releases', () => {
  const chance = chanceFrom(7);
  const truth = [CENTRE[0]! + 1.2, CENTRE[1]! - 0.8, CENTRE[2]! + 0.5];
  const sites = (n: number) =>
    Array.from({ length: n }, () => ({
      ...evidenceOfRecipe(truth.map((value) => value + 0.4 * chance.normal())),
      row: BASE,
    }));
  const few = predictJoint(learnJoint({ sites: sites(4), rules: RULES }), BASE);
  const many = predictJoint(learnJoint({ sites: sites(60), rules: RULES }), BASE);
  many.mean.forEach((value, j) => expect(Math.abs(value - truth[j]!)).toBeLessThan(0.2));
  for (const j of [0, 1, 2])
    expect(many.covariance.get(j, j)).toBeLessThan(few.covariance.get(j, j));
});

it('leaves one release out as if it had never been there', () => {
  const chance = chanceFrom(11);
  const rowOf = (light: number) =>
    BASE.map((value, j) => (RULES.lnRatio[j]!.factor === 'light' ? light : value));
  const sites = Array.from({ length: 4 }, (_, i) => ({
    ...evidenceOfRecipe(CENTRE.map((value) => value + 0.5 * chance.normal())),
    row: rowOf(i / 3),
    weight: i === 2 ? 0.5 : 1,
  }));
  // In one direction it says nothing.
  const own = { ...sites[2]!, P: Matrix.diag([2, 0, 1]), h: [2 * CENTRE[0]!, 0, CENTRE[2]!] };
  const model = learnJoint({ sites: [sites[0]!, sites[1]!, own], rules: RULES, keepsSpread: true });
  const apart = learnJoint({ sites: sites.slice(0, 2), rules: RULES, keepsSpread: true });
  for (const row of [rowOf(0.4), own.row]) {
    const [left, never] = [predictJoint(model, row, own), predictJoint(apart, row)];
    never.mean.forEach((value, j) => expect(left.mean[j]).toBeCloseTo(value, 8));
    for (const j of [0, 1, 2])
      for (const k of [0, 1, 2])
        expect(left.covariance.get(j, k)).toBeCloseTo(never.covariance.get(j, k), 8);
  }
});

it('a site that knows nothing teaches nothing, and weight 0 is none', () => {
  const nothing = { P: Matrix.zeros(3, 3), h: [0, 0, 0], row: BASE };
  const ignored = { ...evidenceOfRecipe([9, 9, 9]), row: BASE, weight: 0 };
  const { mean } = predictJoint(learnJoint({ sites: [nothing, ignored], rules: RULES }), BASE);
  mean.forEach((value, j) => expect(value).toBeCloseTo(CENTRE[j]!, 8));
});
