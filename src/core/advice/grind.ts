/**
 * The best dial setting: the one most likely to land in the window (model.md §3, Move and Dose trim).
 */
import jStat from 'jstat';
import { fromPumpSeconds, pumpSeconds } from '../extraction/clock';
import { grindWord, settingsAround, Z_80 } from '../grinder/dial';
import { purgeFor } from '../grinder/retention';
import { massFigure, massWords } from '../units';
import type { Bench } from './bench';
import type { Expectation, Move } from './types';

/** Staying is preferred unless the gain in landing probability exceeds this; more if it landed. */
const GAIN_TO_MOVE = 0.03;
const GAIN_TO_LEAVE_A_HIT = 0.15;
/** Two moves this close count as equal; below three shots the larger is taken, to bracket. */
const EQUAL_LANDING = 0.02;
const BRACKET_BELOW_SHOTS = 3;

/** Dose trim: at most this, in tenths, and a gram of it costs this much landing probability. */
/** Off the centre by this share of half the window, a trim is looked for: more often than model.md, by the benchmark. */
const TRIM_FROM = 0.25;
const TRIM_LIMIT_G = 1;
const TRIM_COST_PER_G = 0.02;
const BASKET_UNDER_G = 2;
const BASKET_OVER_G = 1;

export interface Setting {
  readonly dial: number;
  readonly doseG: number;
}

/** Expected time and its interval at a setting, purged if the dial moves. */
export function expectAt(bench: Bench, { dial, doseG }: Setting): Expectation {
  const { lnTimeS, variance } = predictAt(bench, { dial, doseG });
  const sd = Math.sqrt(variance);
  const { clock } = bench.input.target;
  const shown = (ln: number) => fromPumpSeconds(pumpSeconds(Math.exp(ln)), clock, bench.firstDripS);
  return {
    timeS: shown(lnTimeS),
    interval80: [shown(lnTimeS - Z_80 * sd), shown(lnTimeS + Z_80 * sd)],
    clock,
    landing: landing(bench, { dial, doseG }),
  };
}

/** Probability of landing in the time window at a setting, 0-1. */
export function landing(bench: Bench, setting: Setting): number {
  const { lnTimeS, variance } = predictAt(bench, setting);
  const [low, high] = bench.pumpWindowS;
  const sd = Math.sqrt(variance);
  return (
    jStat.normal.cdf(Math.log(high), lnTimeS, sd) - jStat.normal.cdf(Math.log(low), lnTimeS, sd)
  );
}

function predictAt(bench: Bench, { dial, doseG }: Setting) {
  return bench.model.predict({
    dial,
    doseG,
    yieldG: bench.input.target.yieldG,
    restDays: bench.restDays,
    purgeG: purgeBefore(bench, { dial, doseG }),
  });
}

/** Grams to purge before a shot at a setting; nothing is purged while the dial stays. */
export function purgeBefore(bench: Bench, { dial, doseG }: Setting): number {
  if (dial === bench.dial) return 0;
  const { coefficients, covariance, chamberDial } = bench.model;
  const steepest = Math.abs(coefficients[1]) + Math.sqrt(covariance.get(1, 1));
  return purgeFor({
    retentionG: bench.input.grinder.retentionG,
    doseG,
    lnTimeChange: steepest * (dial - chamberDial),
  });
}

/** The most likely setting at the aimed dose, with a dose trim where one step is too coarse. */
export function bestSetting(bench: Bench): Setting {
  const { grinder } = bench.input;
  const doseG = bench.aimDoseG;
  const stay = { dial: bench.dial, doseG };
  const lastLanded = bench.marks[bench.marks.length - 1]?.landed ?? false;
  const scored = settingsAround(grinder, bench.dial)
    .map((dial) => ({ dial, doseG }))
    .filter((setting) => isSensible(bench, setting))
    .map((setting) => ({ setting, score: landing(bench, setting) }))
    .sort((a, b) => b.score - a.score);
  const top = scored[0]!;
  const equal = scored.filter(({ score }) => top.score - score <= EQUAL_LANDING);
  const distance = (dial: number) => Math.abs(dial - bench.dial);
  const bold = bench.marks.length < BRACKET_BELOW_SHOTS;
  const best = bold
    ? equal.reduce((a, b) => (distance(b.setting.dial) > distance(a.setting.dial) ? b : a))
    : top;
  const needed = lastLanded ? GAIN_TO_LEAVE_A_HIT : GAIN_TO_MOVE;
  const stayScore = landing(bench, stay);
  const chosen = best.score - stayScore > needed ? best : { setting: stay, score: stayScore };
  if (lastLanded && chosen.setting.dial === bench.dial) return stay;
  return trimmed(bench, chosen) ?? chosen.setting;
}

/**
 * After a sound shot that ran too fast nobody is told to make the next one faster, nor after a slow one
 * slower: at most to pull it again, if the shots before speak against it.
 */
function isSensible(bench: Bench, setting: Setting): boolean {
  const last = bench.marks.at(-1);
  if (!last?.valid || last.inTime || bench.isRevised) return true;
  const isFast = last.timeOnTargetClockS! < bench.input.target.timeS[0];
  const stay = predictAt(bench, { dial: bench.dial, doseG: bench.aimDoseG }).lnTimeS;
  const change = predictAt(bench, setting).lnTimeS - stay;
  return isFast ? change >= -1e-9 : change <= 1e-9;
}

/** The neighbour and dose that beat the untrimmed setting, or null when no trim is called for. */
function trimmed(bench: Bench, chosen: { setting: Setting; score: number }): Setting | null {
  const [low, high] = bench.pumpWindowS;
  const halfWindow = Math.log(high / low) / 2;
  const centre = Math.log(Math.sqrt(low * high));
  const { lnTimeS } = predictAt(bench, chosen.setting);
  if (Math.abs(lnTimeS - centre) <= TRIM_FROM * halfWindow) return null;
  const { grinder } = bench.input;
  const near = [-1, 0, 1].map((step) => chosen.setting.dial + step * grinder.stepSize);
  let best: { setting: Setting; score: number } = chosen;
  for (const dial of near) {
    if (dial < grinder.min - 1e-9 || dial > grinder.max + 1e-9) continue;
    const doseG = trimmedDose(bench, dial);
    if (doseG === null) continue;
    const setting = { dial: Number(dial.toFixed(4)), doseG };
    if (!isSensible(bench, setting)) continue;
    const score = landing(bench, setting) - TRIM_COST_PER_G * Math.abs(doseG - bench.aimDoseG);
    if (score > best.score + 1e-9) best = { setting, score };
  }
  return best === chosen ? null : best.setting;
}

/** The dose, to .1 g, that puts a dial's time nearest the centre within ± 1 g and the basket. */
export function trimmedDose(bench: Bench, dial: number): number | null {
  if (bench.input.holdDose) return null;
  const [low, high] = bench.pumpWindowS;
  const { lnTimeS } = predictAt(bench, { dial, doseG: bench.aimDoseG });
  const change = doseChange(
    bench.aimDoseG,
    Math.log(Math.sqrt(low * high)) - lnTimeS,
    bench.model.coefficients[2],
  );
  const { ratedG } = bench.input.basket;
  const targetG = bench.input.target.doseG;
  const least = Math.max(targetG - TRIM_LIMIT_G, ratedG - BASKET_UNDER_G);
  const most = Math.min(targetG + TRIM_LIMIT_G, ratedG + BASKET_OVER_G);
  const heldG = Math.min(most, Math.max(least, bench.aimDoseG + change));
  const doseG = Math.round(10 * heldG) / 10;
  return least <= most && Math.abs(doseG - bench.aimDoseG) > 0.05 ? doseG : null;
}

/** Δdose = M(e^(Δln t / c) − 1), in grams: the dose change that makes a wanted change of ln time. */
export function doseChange(doseG: number, lnTimeChange: number, exponent: number): number {
  return doseG * (Math.exp(lnTimeChange / exponent) - 1);
}

/** A setting worded as the one move from where the bench stands; null when nothing changes. */
export function moveTo(bench: Bench, { dial, doseG }: Setting): Move | null {
  const { grinder } = bench.input;
  const from = bench.dial;
  const dosed = Math.abs(doseG - bench.aimDoseG) > 1e-9;
  const doseWords = `dose ${massFigure(bench.aimDoseG, bench.units)} → ${massWords(doseG, bench.units)}`;
  if (dial === from)
    return dosed
      ? { variable: 'doseG', from: bench.aimDoseG, to: doseG, words: capital(doseWords) }
      : null;
  const grind = `${capital(grindWord(grinder, from, dial))}, ${from} → ${dial}`;
  return {
    variable: 'dial',
    from,
    to: dial,
    words: dosed ? `${grind}, with ${doseWords}` : grind,
    ...(dosed && { doseTrim: { from: bench.aimDoseG, to: doseG } }),
  };
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
