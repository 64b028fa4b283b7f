/**
 * The trade's rules for a starting recipe, as prior means and standard deviations of a regression.
 * House heuristic throughout (model.md §2); a house may put its own figures in their place.
 * Outputs: ln ratio; temperature °C; ln time (s, from the pump); grind G in reference steps finer than
 * the house's reference coffee (one reference step = .10 in ln time); ln(dose / basket rating).
 */
import type { BrewStyle, Headspace, TemperatureSchool } from '../vocabulary';

export const OUTPUTS = ['lnRatio', 'temperatureC', 'lnTimeS', 'grindSteps', 'lnDose'] as const;
export type Output = (typeof OUTPUTS)[number];

/** Prior mean and standard deviation of one coefficient. */
export type Rule = readonly [mean: number, sd: number];

const ln = Math.log;

/** One row of the rule table: the coefficient of a feature for each output, in the order of OUTPUTS. */
type RuleRow = readonly [Rule, Rule, Rule, Rule, Rule];

const BASE: RuleRow = [
  [ln(2), 0.1],
  [92, 1],
  [ln(28), 0.1],
  [0, 1],
  [0, 0.04],
];

export type AlteredStyle = Exclude<BrewStyle, 'classic'>;

const STYLE_ROWS: Record<AlteredStyle, RuleRow> = {
  longQuick: [
    [ln(1.45), 0.08],
    [0, 1],
    [ln(20 / 28), 0.08],
    [-4, 2],
    [0, 0.03],
  ],
  fastCoarse: [
    [ln(1.5), 0.08],
    [0, 1],
    [ln(22 / 28), 0.08],
    [-5, 2],
    [0, 0.03],
  ],
  soakFirst: [
    [ln(1.5), 0.08],
    [0, 1],
    [ln(60 / 28), 0.12],
    [-1, 2.5],
    [0, 0.03],
  ],
  shortDense: [
    [ln(0.625), 0.12],
    [0, 1],
    [0, 0.12],
    [1.5, 2],
    [0.02, 0.03],
  ],
  declining: [
    [0, 0.06],
    [0, 1],
    [ln(30 / 28), 0.08],
    [0.5, 1.5],
    [0, 0.03],
  ],
};

const LIGHT: RuleRow = [
  [0.2, 0.06],
  [2, 0.6],
  [0, 0.05],
  [1.5, 0.8],
  [0.01, 0.02],
];
const DARK: RuleRow = [
  [-0.28, 0.1],
  [-2, 1.5],
  [0, 0.06],
  [-1, 0.8],
  // A dark roast swells: the same grams take more room.
  [-0.015, 0.02],
];
const INTENSITY: RuleRow = [
  [-0.06, 0.04],
  [-0.8, 0.5],
  [-0.02, 0.04],
  [-0.8, 0.6],
  [0, 0.015],
];
const PROCESS: RuleRow = [
  [0, 0.05],
  [0, 0.6],
  [0, 0.04],
  [0, 0.7],
  [0, 0.015],
];
/** Brittle beans that run fast: finer, by how much is in doubt. */
const DECAF: RuleRow = [PROCESS[0], PROCESS[1], PROCESS[2], [0.8, 1.2], PROCESS[4]];
const LANDRACE: RuleRow = [
  [0.05, 0.08],
  [0.5, 0.8],
  [0, 0.04],
  [0.7, 1],
  [0, 0.02],
];
const BIG_BEAN: RuleRow = [
  [-0.05, 0.08],
  [-0.5, 0.8],
  [0, 0.04],
  [-0.7, 1],
  [0, 0.02],
];
const ROBUSTA: RuleRow = [
  [-0.1, 0.12],
  [-1, 1.2],
  [0, 0.06],
  [0, 1.5],
  [0, 0.03],
];
const DENSITY: RuleRow = [
  [0.03, 0.03],
  [0.3, 0.3],
  [0, 0.03],
  [0.3, 0.4],
  [0, 0.01],
];
const ALTITUDE: RuleRow = [
  [0.02, 0.03],
  [0.2, 0.3],
  [0, 0.03],
  [0.2, 0.4],
  [0, 0.01],
];
const REST: RuleRow = [
  [0, 0.03],
  [0, 0.3],
  [0, 0.03],
  [0.5, 0.4],
  [0, 0.01],
];

/** Noise s₀ of each output, in the order of OUTPUTS. */
export const NOISE_SD: Record<Output, number> = {
  lnRatio: 0.07,
  temperatureC: 0.7,
  lnTimeS: 0.06,
  grindSteps: 0.8,
  lnDose: 0.02,
};

/** Where a temperature school replaces the table's own figures. */
const SCHOOL_RULES: Record<TemperatureSchool, { base: Rule; light: Rule; dark: Rule }> = {
  both: { base: BASE[1], light: LIGHT[1], dark: DARK[1] },
  narrow: { base: [92, 1], light: [2, 0.6], dark: [-1, 0.5] },
  wide: { base: [88.5, 1.5], light: [3, 1], dark: [-4, 1.5] },
};

const MAIN_ROWS = {
  base: BASE,
  light: LIGHT,
  dark: DARK,
  intensity: INTENSITY,
  honey: PROCESS,
  natural: PROCESS,
  anaerobicWashed: PROCESS,
  anaerobicNatural: PROCESS,
  carbonicMaceration: PROCESS,
  infused: PROCESS,
  wetHulled: PROCESS,
  barrelAged: PROCESS,
  decaf: DECAF,
  landrace: LANDRACE,
  bigBean: BIG_BEAN,
  robusta: ROBUSTA,
  density: DENSITY,
  altitude: ALTITUDE,
  rest: REST,
} as const;

export type MainFactor = keyof typeof MAIN_ROWS;
export type CrossedFactor = 'light' | 'dark' | 'intensity';
export const CROSSED_FACTORS: readonly CrossedFactor[] = ['light', 'dark', 'intensity'];
export const ALTERED_STYLES = Object.keys(STYLE_ROWS) as AlteredStyle[];
export type Factor = MainFactor | AlteredStyle | `${AlteredStyle}:${CrossedFactor}`;

/** Prior sd of the process column of an output; an unlisted process adds it to the variance. */
export function processSd(output: Output): number {
  return PROCESS[OUTPUTS.indexOf(output)]![1];
}

/**
 * How a style changes ln time at one setting and one yield: what its rules say of time, less what they say of
 * yield and grind. House heuristic, made of the table's own figures.
 * @param perStep change of ln time per reference step finer; @param yieldExponent of time by yield.
 */
export function styleAtOneSetting(
  style: AlteredStyle,
  { perStep, yieldExponent }: { readonly perStep: number; readonly yieldExponent: number },
): { readonly mean: number; readonly sd: number } {
  const [lnRatio, , lnTime, grind] = STYLE_ROWS[style];
  return {
    mean: lnTime[0] - yieldExponent * lnRatio[0] - perStep * grind[0],
    sd: Math.hypot(lnTime[1], yieldExponent * lnRatio[1], perStep * grind[1]),
  };
}

/** What the rules say of a style against the classic one. House heuristic, the table's own figures. */
export function styleShift(style: BrewStyle): {
  readonly lnRatio: number;
  readonly lnTimeS: number;
  readonly grindSteps: number;
} {
  if (style === 'classic') return { lnRatio: 0, lnTimeS: 0, grindSteps: 0 };
  const [lnRatio, , lnTimeS, grindSteps] = STYLE_ROWS[style];
  return { lnRatio: lnRatio[0], lnTimeS: lnTimeS[0], grindSteps: grindSteps[0] };
}

/** Rules a house may set otherwise: main effects and styles. What is crossed follows from them. */
export const EDITABLE_FACTORS = [
  ...(Object.keys(MAIN_ROWS) as MainFactor[]),
  ...ALTERED_STYLES,
] as const;
export type EditableFactor = (typeof EDITABLE_FACTORS)[number];

/** A rule of the house's own, in place of the trade's. */
export interface OwnRule {
  readonly factor: EditableFactor;
  readonly output: Output;
  readonly mean: number;
  readonly sd: number;
}

/** ln(dose / basket rating) where the house leaves room above the puck. House heuristic. */
const ROOM_ABOVE: Rule = [ln(0.95), 0.02];

/** A house's rules in force: its own, and the base of the dose by its headspace where it set none itself. */
export function rulesInForce(own: readonly OwnRule[], headspace: Headspace): readonly OwnRule[] {
  const isBase = ({ factor, output }: OwnRule) => factor === 'base' && output === 'lnDose';
  if (headspace === 'toRating' || own.some(isBase)) return own;
  const [mean, sd] = ROOM_ABOVE;
  return [...own, { factor: 'base', output: 'lnDose', mean, sd }];
}

/** Styles whose ln ratio rule with roast is not simply "half the main sd around 0". */
function crossedRatioRule(style: AlteredStyle, factor: CrossedFactor): Rule | null {
  if (factor === 'light' && ['longQuick', 'fastCoarse', 'soakFirst'].includes(style))
    return [-0.15, 0.05];
  if (factor === 'dark' && style === 'shortDense') return [0.2, 0.06];
  return null;
}

/** The trade's rule for a main effect or a style. A temperature school replaces three of them. */
export function tradeRule(
  factor: EditableFactor,
  output: Output,
  school: TemperatureSchool = 'both',
): Rule {
  if (output === 'temperatureC' && (factor === 'base' || factor === 'light' || factor === 'dark'))
    return SCHOOL_RULES[school][factor];
  const row =
    factor in MAIN_ROWS ? MAIN_ROWS[factor as MainFactor] : STYLE_ROWS[factor as AlteredStyle];
  return row[OUTPUTS.indexOf(output)]!;
}

export interface PriorRule {
  readonly factor: Factor;
  readonly mean: number;
  readonly sd: number;
}

/**
 * Every coefficient of one output with its prior, in a fixed order that `designRow` follows. A rule
 * of the house's own comes before the trade's and before any temperature school.
 */
export function priorFor(
  output: Output,
  school: TemperatureSchool,
  own: readonly OwnRule[] = [],
): PriorRule[] {
  const ruleOf = (factor: EditableFactor): Rule => {
    const found = own.find((rule) => rule.factor === factor && rule.output === output);
    return found ? [found.mean, found.sd] : tradeRule(factor, output, school);
  };
  const editable = EDITABLE_FACTORS.map((factor) => {
    const [mean, sd] = ruleOf(factor);
    return { factor, mean, sd };
  });
  const crossed = ALTERED_STYLES.flatMap((style) =>
    CROSSED_FACTORS.map((factor) => {
      const special = output === 'lnRatio' ? crossedRatioRule(style, factor) : null;
      const [mean, sd] = special ?? [0, ruleOf(factor)[1] / 2];
      return { factor: `${style}:${factor}` as const, mean, sd };
    }),
  );
  return [...editable, ...crossed];
}

/** The factors of every output, in the order of `priorFor`. */
export const FACTORS: readonly Factor[] = priorFor('lnRatio', 'both').map((rule) => rule.factor);
