/**
 * The table of rules, entered a second time from the model's text as what each rule does to a
 * proposal, so that a slip in `priors.ts` cannot hide.
 */
import { featuresOf } from '@/core/coffee/features';
import { propose } from '@/core/start/propose';
import { FACTORS, NOISE_SD, OUTPUTS, priorFor } from '@/core/start/priors';
import type { BrewStyle, Process, VarietyClass } from '@/core/vocabulary';
import { PROCESSES, STYLES } from '@/core/vocabulary';

const REFERENCE = {
  roastLevel: 0,
  process: 'washed',
  varietyClass: 'ordinary',
  densityGPerL: 700,
  restDays: 14,
} as const;

type Change = Partial<{
  roastLevel: number;
  process: Process;
  varietyClass: VarietyClass;
  densityGPerL: number | undefined;
  altitudeM: number;
  restDays: number;
}>;

function means(change: Change = {}, style: BrewStyle = 'classic') {
  const release = { ...REFERENCE, ...change };
  return propose({ release, style, temperatureSchool: 'both', history: [] }).mean;
}

/** What a change of one fact does to ln ratio, °C, ln time, grind and ln dose. */
function effect(change: Change, style: BrewStyle = 'classic'): number[] {
  const [changed, base] = [means(change, style), means({}, style)];
  return OUTPUTS.map((output) => Number((changed[output] - base[output]).toFixed(10)));
}

const ln = Math.log;
const close = (actual: readonly number[], expected: readonly number[]) =>
  expected.forEach((value, i) => expect(actual[i]).toBeCloseTo(value, 9));

describe('what each rule does to a classic', () => {
  it('begins at 1:2, 92 °C, 28 s', () => {
    close(Object.values(means()), [ln(2), 92, ln(28), 0, 0]);
  });

  it.each<[string, Change, number[]]>([
    ['one step lighter', { roastLevel: -1 }, [0.2, 2, 0, 1.5, 0.01]],
    ['two steps lighter', { roastLevel: -2 }, [0.4, 4, 0, 3, 0.02]],
    ['one step darker', { roastLevel: 1 }, [-0.28, -2, 0, -1, -0.015]],
    ['two steps darker: half as far again', { roastLevel: 2 }, [-0.42, -3, 0, -1.5, -0.0225]],
    ['half a step darker', { roastLevel: 0.5 }, [-0.14, -1, 0, -0.5, -0.0075]],
    ['honey', { process: 'honey' }, [-0.03, -0.4, -0.01, -0.4, 0]],
    ['natural', { process: 'natural' }, [-0.06, -0.8, -0.02, -0.8, 0]],
    ['anaerobic washed', { process: 'anaerobicWashed' }, [-0.06, -0.8, -0.02, -0.8, 0]],
    ['wet-hulled', { process: 'wetHulled' }, [-0.06, -0.8, -0.02, -0.8, 0]],
    ['barrel-aged', { process: 'barrelAged' }, [-0.06, -0.8, -0.02, -0.8, 0]],
    ['decaf', { process: 'decaf' }, [0, 0, 0, 0.8, 0]],
    ['anaerobic natural', { process: 'anaerobicNatural' }, [-0.105, -1.4, -0.035, -1.4, 0]],
    ['carbonic', { process: 'carbonicMaceration' }, [-0.105, -1.4, -0.035, -1.4, 0]],
    ['infused', { process: 'infused' }, [-0.12, -1.6, -0.04, -1.6, 0]],
    ['an unlisted process', { process: 'other' }, [-0.09, -1.2, -0.03, -1.2, 0]],
    ['landrace', { varietyClass: 'landrace' }, [0.05, 0.5, 0, 0.7, 0]],
    ['big bean', { varietyClass: 'bigBean' }, [-0.05, -0.5, 0, -0.7, 0]],
    ['robusta', { varietyClass: 'robusta' }, [-0.1, -1, 0, 0, 0]],
    ['30 g/L denser', { densityGPerL: 730 }, [0.03, 0.3, 0, 0.3, 0]],
    ['300 m higher', { densityGPerL: undefined, altitudeM: 1900 }, [0.02, 0.2, 0, 0.2, 0]],
    ['a week older', { restDays: 21 }, [0, 0, 0, 0.5, 0]],
    ['much older, clipped', { restDays: 90 }, [0, 0, 0, 1.5, 0]],
    ['on the day, clipped', { restDays: 0 }, [0, 0, 0, -1, 0]],
  ])('%s', (_name, change, expected) => close(effect(change), expected));
});

describe('what each style does', () => {
  it.each<[BrewStyle, number[]]>([
    ['longQuick', [ln(1.45), 0, ln(20 / 28), -4, 0]],
    ['fastCoarse', [ln(1.5), 0, ln(22 / 28), -5, 0]],
    ['soakFirst', [ln(1.5), 0, ln(60 / 28), -1, 0]],
    ['shortDense', [ln(0.625), 0, 0, 1.5, 0.02]],
    ['declining', [0, 0, ln(30 / 28), 0.5, 0]],
  ])('%s', (style, expected) => {
    const [styled, classic] = [means({}, style), means()];
    close(
      OUTPUTS.map((output) => styled[output] - classic[output]),
      expected,
    );
  });

  it.each(['longQuick', 'fastCoarse', 'soakFirst'] as const)(
    '%s lengthens a light roast less than a classic does',
    (style) => close(effect({ roastLevel: -1 }, style), [0.05, 2, 0, 1.5, 0.01]),
  );

  it('short and dense shortens a dark roast less than a classic does', () => {
    close(effect({ roastLevel: 1 }, 'shortDense'), [-0.08, -2, 0, -1, -0.015]);
  });
});

describe('the doubts of the rules', () => {
  const sd = (output: (typeof OUTPUTS)[number], factor: string) =>
    priorFor(output, 'both').find((rule) => rule.factor === factor)!.sd;

  it.each<[string, number[]]>([
    ['base', [0.1, 1, 0.1, 1, 0.04]],
    ['longQuick', [0.08, 1, 0.08, 2, 0.03]],
    ['fastCoarse', [0.08, 1, 0.08, 2, 0.03]],
    ['soakFirst', [0.08, 1, 0.12, 2.5, 0.03]],
    ['shortDense', [0.12, 1, 0.12, 2, 0.03]],
    ['declining', [0.06, 1, 0.08, 1.5, 0.03]],
    ['light', [0.06, 0.6, 0.05, 0.8, 0.02]],
    ['dark', [0.1, 1.5, 0.06, 0.8, 0.02]],
    ['intensity', [0.04, 0.5, 0.04, 0.6, 0.015]],
    ['natural', [0.05, 0.6, 0.04, 0.7, 0.015]],
    ['decaf', [0.05, 0.6, 0.04, 1.2, 0.015]],
    ['landrace', [0.08, 0.8, 0.04, 1, 0.02]],
    ['bigBean', [0.08, 0.8, 0.04, 1, 0.02]],
    ['robusta', [0.12, 1.2, 0.06, 1.5, 0.03]],
    ['density', [0.03, 0.3, 0.03, 0.4, 0.01]],
    ['altitude', [0.03, 0.3, 0.03, 0.4, 0.01]],
    ['rest', [0.03, 0.3, 0.03, 0.4, 0.01]],
    ['soakFirst:light', [0.05, 0.3, 0.025, 0.4, 0.01]],
    ['shortDense:dark', [0.06, 0.75, 0.03, 0.4, 0.01]],
    ['declining:intensity', [0.02, 0.25, 0.02, 0.3, 0.0075]],
  ])('%s', (factor, expected) => {
    close(
      OUTPUTS.map((output) => sd(output, factor)),
      expected,
    );
  });

  it('has the noise of the table', () => {
    expect(OUTPUTS.map((output) => NOISE_SD[output])).toEqual([0.07, 0.7, 0.06, 0.8, 0.02]);
  });

  it.each([
    ['narrow', [92, 1, 2, 0.6, -1, 0.5]],
    ['wide', [88.5, 1.5, 3, 1, -4, 1.5]],
    ['both', [92, 1, 2, 0.6, -2, 1.5]],
  ] as const)('the %s temperature school', (school, expected) => {
    const rules = priorFor('temperatureC', school);
    const figures = ['base', 'light', 'dark'].flatMap((factor) => {
      const { mean, sd: doubt } = rules.find((rule) => rule.factor === factor)!;
      return [mean, doubt];
    });
    expect(figures).toEqual(expected);
  });

  it('has one column for every process but washed and unlisted, and for every style', () => {
    const columns = PROCESSES.filter((process) => FACTORS.includes(process as never));
    expect(PROCESSES.filter((process) => !columns.includes(process))).toEqual(['washed', 'other']);
    expect(STYLES.filter((style) => !FACTORS.includes(style as never))).toEqual(['classic']);
  });
});

describe('features of a blend', () => {
  it('are weighted by share', () => {
    const features = featuresOf({
      roastLevel: 0.5,
      components: [
        { sharePct: 70, process: 'natural', varietyClass: 'ordinary', densityGPerL: 730 },
        { sharePct: 30, process: 'washed', varietyClass: 'robusta', altitudeM: 700 },
      ],
    });
    expect(features.intensity).toBeCloseTo(0.7, 12);
    expect(features.varietyShare.robusta).toBeCloseTo(0.3, 12);
    expect(features.densityZ).toBeCloseTo(0.7, 12);
    expect(features.altitudeZ).toBeCloseTo(0.3 * -3, 12);
    expect(features.missingShare).toEqual({ process: 0, variety: 0, structure: 0 });
  });

  it('split evenly when no shares are given', () => {
    const features = featuresOf({ components: [{ process: 'natural' }, { process: 'washed' }] });
    expect(features.intensity).toBe(0.5);
    expect(features.missingShare.structure).toBe(1);
  });
});
