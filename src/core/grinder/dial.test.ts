import fc from 'fast-check';
import { grinder } from '../../../tests/support/coffee';
import { finerSign, grindWord, middleSetting, roundDial, settingsAround, slopePrior } from './dial';

describe('the dial', () => {
  it('knows which way is finer, in sign and word', () => {
    const higher = { ...grinder, finerIs: 'higher' } as const;
    expect([finerSign(grinder), finerSign(higher)]).toEqual([-1, 1]);
    expect([grindWord(grinder, 11, 9), grindWord(grinder, 9, 11)]).toEqual(['finer', 'coarser']);
    expect([grindWord(higher, 11, 9), grindWord(higher, 9, 11)]).toEqual(['coarser', 'finer']);
  });

  it('expects 10 % a step, or what the burr travel says, per dial number', () => {
    expect(slopePrior(grinder)).toEqual({ mean: -0.1, sd: 0.04 });
    expect(slopePrior({ ...grinder, stepSize: 0.5 }).mean).toBeCloseTo(-0.2, 12);
    // −5.3 % time per +10 µm.
    const known = slopePrior({ ...grinder, umPerStep: 10 });
    expect(Math.exp(known.mean)).toBeCloseTo(1 - 0.053, 12);
    expect(known.sd / Math.abs(known.mean)).toBeCloseTo(0.4, 12);
  });

  it('begins in the middle of its range, on a setting it has', () => {
    expect(middleSetting({ ...grinder, min: 0, max: 30, stepSize: 0.5 })).toBe(15);
    expect(middleSetting({ ...grinder, min: 1, max: 10, stepSize: 1 })).toBe(6);
    expect(middleSetting({ ...grinder, min: 0.2, max: 1, stepSize: 0.2 })).toBe(0.6);
  });

  it('offers whole steps from where it stands, inside its range and without dust', () => {
    const tenths = { ...grinder, stepSize: 0.1, min: 10, max: 12 };
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 120 }), (tenth) => {
        const from = tenth / 10;
        const settings = settingsAround(tenths, from);
        expect(settings[0]).toBe(from);
        expect(new Set(settings).size).toBe(settings.length);
        for (const dial of settings) {
          expect(dial).toBeGreaterThanOrEqual(10);
          expect(dial).toBeLessThanOrEqual(12);
          expect(dial).toBe(roundDial(Math.round(dial * 10) / 10));
        }
      }),
    );
    expect(settingsAround(tenths, 11)).toHaveLength(21);
  });
});
