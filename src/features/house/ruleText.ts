/**
 * A rule as people write it and back. ln outputs are typed as per cent, the base of ratio and time as
 * the figure itself; ± in per cent is the sd of the logarithm. No DOM.
 */
import type { EditableFactor, Output, OwnRule, Rule } from '@/core/start/priors';
import { EDITABLE_FACTORS, tradeRule } from '@/core/start/priors';
import type { TemperatureSchool } from '@/core/vocabulary';
import { readNumber } from '@/core/readNumber';

export interface RuleText {
  readonly mean: string;
  readonly sd: string;
}

export type RuleTexts = Readonly<Record<EditableFactor, RuleText>>;

const isLog = (output: Output) => output.startsWith('ln');

/** The base of ratio and time is a figure of its own, not a change. */
export function isFigure(factor: EditableFactor, output: Output): boolean {
  return factor === 'base' && (output === 'lnRatio' || output === 'lnTimeS');
}

export function unitOf(factor: EditableFactor, output: Output): string {
  if (isFigure(factor, output)) return output === 'lnTimeS' ? 's' : ': 1';
  if (isLog(output)) return '%';
  return output === 'temperatureC' ? '°C' : 'steps';
}

/** ± is per cent wherever the rule works on the logarithm. */
export function sdUnitOf(output: Output): string {
  return isLog(output) ? '%' : output === 'temperatureC' ? '°C' : 'steps';
}

const tidy = (value: number) => String(Number(value.toFixed(2)));

export function ruleTextOf([mean, sd]: Rule, factor: EditableFactor, output: Output): RuleText {
  if (!isLog(output)) return { mean: tidy(mean), sd: tidy(sd) };
  return {
    mean: tidy(isFigure(factor, output) ? Math.exp(mean) : 100 * (Math.exp(mean) - 1)),
    sd: tidy(100 * sd),
  };
}

/** What was typed, on the model's scale; text that is no number is handed on for the server to refuse. */
function ruleOf({ mean, sd }: RuleText, factor: EditableFactor, output: Output) {
  const onScale = (text: string, convert: (value: number) => number) => {
    const value = readNumber(text);
    return typeof value === 'number' ? convert(value) : value;
  };
  if (!isLog(output)) return { mean: onScale(mean, Number), sd: onScale(sd, Number) };
  return {
    mean: onScale(mean, (value) => Math.log(isFigure(factor, output) ? value : 1 + value / 100)),
    sd: onScale(sd, (value) => value / 100),
  };
}

/** The rules of one output as they stand: the house's own, else the trade's. */
export function ruleTextsOf(
  own: readonly OwnRule[],
  output: Output,
  school: TemperatureSchool,
): RuleTexts {
  return Object.fromEntries(
    EDITABLE_FACTORS.map((factor) => {
      const found = own.find((rule) => rule.factor === factor && rule.output === output);
      const rule: Rule = found ? [found.mean, found.sd] : tradeRule(factor, output, school);
      return [factor, ruleTextOf(rule, factor, output)];
    }),
  ) as unknown as RuleTexts;
}

/** Is this not the trade's rule any more? */
export function isOwn(
  text: RuleText,
  factor: EditableFactor,
  output: Output,
  school: TemperatureSchool,
): boolean {
  const trade = ruleTextOf(tradeRule(factor, output, school), factor, output);
  return (
    readNumber(text.mean) !== readNumber(trade.mean) || readNumber(text.sd) !== readNumber(trade.sd)
  );
}

/** What is sent of one output: only what differs from the trade's. */
export function ownRulesOf(texts: RuleTexts, output: Output, school: TemperatureSchool) {
  return EDITABLE_FACTORS.filter((factor) => isOwn(texts[factor], factor, output, school)).map(
    (factor) => ({ factor, output, ...ruleOf(texts[factor], factor, output) }),
  );
}
