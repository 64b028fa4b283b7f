import fc from 'fast-check';
import { faultOf } from '../../../tests/support/fault';
import { calibrate, REFERENCE_TIME_S } from '../grinder/calibrate';
import { settingsAround, slopePrior } from '../grinder/dial';
import type { Grinder } from '../schema/setup';
import { propose } from './propose';
import { grindStepsOf, startDialOf } from './startDial';

const grinder: Grinder = {
  stepSize: 0.5,
  finerIs: 'lower',
  min: 0,
  max: 30,
  retentionG: 2,
  secondsPerStep: 2,
  referenceDial: 14,
};

describe('the start dial', () => {
  it('turns steps finer into the dial that makes the same time, on the grinder’s own grid', () => {
    // Two seconds in 28 are .069 in ln time a step of .5, so two reference steps (.2) are 1.45 on the dial.
    expect(startDialOf(grinder, 2, 1)).toMatchObject({ dial: 12.5, heldBy: null });
    expect(startDialOf({ ...grinder, finerIs: 'higher' }, 2, 1)!.dial).toBe(15.5);
  });

  it('says nothing on a grinder nobody calibrated', () => {
    expect(startDialOf({ ...grinder, referenceDial: undefined }, 2, 1)).toBeNull();
  });

  it('is the inverse of reading steps from a dial, to half a step of the grinder', () => {
    fc.assert(
      fc.property(fc.double({ min: -8, max: 8, noNaN: true }), (steps) => {
        const { dial } = startDialOf(grinder, steps, 1)!;
        const perStep = (slopePrior(grinder).mean * grinder.stepSize) / 0.1;
        expect(Math.abs(grindStepsOf(grinder, dial)! - steps)).toBeLessThanOrEqual(
          Math.abs(perStep) / 2 + 1e-9,
        );
      }),
    );
  });

  it('never goes finer than the choke point, nor off the dial, and the proposal says why', () => {
    const choking = { ...grinder, chokesAt: 13 };
    expect(startDialOf(choking, 4, 1)).toMatchObject({ dial: 13, heldBy: 'choke' });
    expect(startDialOf({ ...grinder, min: 13 }, 8, 1)).toMatchObject({ dial: 13, heldBy: 'range' });
    const { startDial, warnings } = propose({
      release: { roastLevel: -2, process: 'washed' },
      style: 'classic',
      temperatureSchool: 'both',
      history: [],
      setup: { grinder: choking },
    });
    expect(startDial!.dial).toBe(13);
    expect(warnings.map(({ code }) => code)).toContain('chokePoint');
    expect(settingsAround(choking, 14).every((dial) => dial >= 13)).toBe(true);
  });
});

describe('calibration of a grinder', () => {
  const shotsAt = (dials: readonly number[], perDial: number, reference: number) =>
    dials.map((dial) => ({
      dial,
      timeS: REFERENCE_TIME_S * Math.exp(perDial * (dial - reference)),
    }));

  it('finds seconds per step and the reference dial from exact shots, drawn to the default', () => {
    const found = calibrate(shotsAt([10, 14, 18], -0.14, 13), grinder);
    expect(found.secondsPerStep).toBeCloseTo(2.03, 1);
    expect(found.referenceDial).toBeCloseTo(13, 1);
    expect(found.secondsPerStepHalf80).toBeLessThan(0.4);
    expect(found.referenceDialHalf80).toBeLessThan(0.5);
  });

  it('is less sure from two near shots than from three far ones', () => {
    const near = calibrate(shotsAt([13, 14], -0.14, 13), grinder);
    const far = calibrate(shotsAt([8, 13, 18], -0.14, 13), grinder);
    expect(near.secondsPerStepHalf80).toBeGreaterThan(2 * far.secondsPerStepHalf80);
  });

  it('holds the truth in its 80 % interval about four times in five', () => {
    // Deviates of a normal at the mid-points of fifteenths: a sample that is normal by construction.
    const deviates = [
      -1.83, -1.28, -0.97, -0.73, -0.52, -0.34, -0.17, 0, 0.17, 0.34, 0.52, 0.73, 0.97, 1.28, 1.83,
    ];
    let inside = 0;
    for (const first of deviates)
      for (const second of deviates) {
        const [a, b] = shotsAt([11, 17], -0.2, 13);
        const shots = [
          { ...a!, timeS: a!.timeS * Math.exp(0.045 * first) },
          { ...b!, timeS: b!.timeS * Math.exp(0.045 * second) },
        ];
        const { referenceDial, referenceDialHalf80 } = calibrate(shots, grinder);
        if (Math.abs(referenceDial - 13) <= referenceDialHalf80) inside++;
      }
    const share = inside / deviates.length ** 2;
    expect(share).toBeGreaterThan(0.72);
    expect(share).toBeLessThan(0.9);
  });

  it('refuses one setting, and shots in which finer ran faster', () => {
    const refused = (shots: Parameters<typeof calibrate>[0]) =>
      faultOf(() => calibrate(shots, grinder)).message;
    const atOneDial = [
      { dial: 12, timeS: 28 },
      { dial: 12, timeS: 27 },
    ];
    expect(refused(atOneDial)).toMatch(/two different dials/);
    expect(refused(shotsAt([10, 18], 0.14, 13))).toMatch(/finer setting ran faster/);
  });
});
