/**
 * The best dial setting: the one most likely to land in the window (model.md §3, Move and Dose trim).
 */
import jStat from 'jstat';
import { fromPumpSeconds, pumpSeconds } from '../extraction/clock';
import { grindWord, settingsAround, Z_80 } from '../grinder/dial';
import { purgeFor } from '../grinder/retention';
import { massFigure, massWords } from '../units';
import type { Judged } from './judge';
import type { Expectation, Move, Setting } from './types';

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

/** Expected time and its interval at a setting, purged if the dial moves. */
export function expectAt(judged: Judged, { dial, doseG }: Setting): Expectation {
  const { lnTimeS, variance } = predictAt(judged, { dial, doseG });
  const sd = Math.sqrt(variance);
  const { clock } = judged.input.target;
  const shown = (ln: number) =>
    fromPumpSeconds(pumpSeconds(Math.exp(ln)), clock, judged.firstDripS);
  return {
    timeS: shown(lnTimeS),
    interval80: [shown(lnTimeS - Z_80 * sd), shown(lnTimeS + Z_80 * sd)],
    clock,
    landing: landing(judged, { dial, doseG }),
  };
}

/** Probability of landing in the time window at a setting, 0-1. */
export function landing(judged: Judged, setting: Setting): number {
  const { lnTimeS, variance } = predictAt(judged, setting);
  const [low, high] = judged.pumpWindowS;
  const sd = Math.sqrt(variance);
  return (
    jStat.normal.cdf(Math.log(high), lnTimeS, sd) - jStat.normal.cdf(Math.log(low), lnTimeS, sd)
  );
}

function predictAt(judged: Judged, { dial, doseG }: Setting) {
  return judged.model.predict({
    dial,
    doseG,
    yieldG: judged.input.target.yieldG,
    restDays: judged.restDays,
    purgeG: purgeBefore(judged, { dial, doseG }),
  });
}

/** Grams to purge before a shot at a setting; nothing is purged while the dial stays. */
export function purgeBefore(judged: Judged, { dial, doseG }: Setting): number {
  if (dial === judged.dial) return 0;
  const { coefficients, covariance, chamberDial } = judged.model;
  const steepest = Math.abs(coefficients[1]) + Math.sqrt(covariance.get(1, 1));
  return purgeFor({
    retentionG: judged.input.grinder.retentionG,
    doseG,
    lnTimeChange: steepest * (dial - chamberDial),
  });
}

/** The most likely setting at the aimed dose, with a dose trim where one step is too coarse. */
export function bestSetting(judged: Judged): Setting {
  const { grinder } = judged.input;
  const doseG = judged.aimDoseG;
  const stay = { dial: judged.dial, doseG };
  const lastLanded = judged.marks[judged.marks.length - 1]?.landed ?? false;
  const scored = settingsAround(grinder, judged.dial)
    .map((dial) => ({ dial, doseG }))
    .filter((setting) => isSensible(judged, setting))
    .map((setting) => ({ setting, score: landing(judged, setting) }))
    .sort((a, b) => b.score - a.score);
  const top = scored[0]!;
  const equal = scored.filter(({ score }) => top.score - score <= EQUAL_LANDING);
  const distance = (dial: number) => Math.abs(dial - judged.dial);
  const bold = judged.marks.length < BRACKET_BELOW_SHOTS;
  const best = bold
    ? equal.reduce((a, b) => (distance(b.setting.dial) > distance(a.setting.dial) ? b : a))
    : top;
  const needed = lastLanded ? GAIN_TO_LEAVE_A_HIT : GAIN_TO_MOVE;
  const stayScore = landing(judged, stay);
  const chosen = best.score - stayScore > needed ? best : { setting: stay, score: stayScore };
  if (lastLanded && chosen.setting.dial === judged.dial) return stay;
  return trimmed(judged, chosen) ?? chosen.setting;
}

/**
 * After a sound shot that ran too fast nobody is told to make the next one faster, nor after a slow one
 * slower: at most to pull it again, if the shots before speak against it.
 */
function isSensible(judged: Judged, setting: Setting): boolean {
  const last = judged.marks.at(-1);
  if (!last?.valid || last.inTime || judged.isRevised) return true;
  const isFast = last.timeOnTargetClockS! < judged.input.target.timeS[0];
  const stay = predictAt(judged, { dial: judged.dial, doseG: judged.aimDoseG }).lnTimeS;
  const change = predictAt(judged, setting).lnTimeS - stay;
  return isFast ? change >= -1e-9 : change <= 1e-9;
}

/** The neighbour and dose that beat the untrimmed setting, or null when no trim is called for. */
function trimmed(judged: Judged, chosen: { setting: Setting; score: number }): Setting | null {
  const [low, high] = judged.pumpWindowS;
  const halfWindow = Math.log(high / low) / 2;
  const centre = Math.log(Math.sqrt(low * high));
  const { lnTimeS } = predictAt(judged, chosen.setting);
  if (Math.abs(lnTimeS - centre) <= TRIM_FROM * halfWindow) return null;
  const { grinder } = judged.input;
  const near = [-1, 0, 1].map((step) => chosen.setting.dial + step * grinder.stepSize);
  let best: { setting: Setting; score: number } = chosen;
  for (const dial of near) {
    if (dial < grinder.min - 1e-9 || dial > grinder.max + 1e-9) continue;
    const doseG = trimmedDose(judged, dial);
    if (doseG === null) continue;
    const setting = { dial: Number(dial.toFixed(4)), doseG };
    if (!isSensible(judged, setting)) continue;
    const score = landing(judged, setting) - TRIM_COST_PER_G * Math.abs(doseG - judged.aimDoseG);
    if (score > best.score + 1e-9) best = { setting, score };
  }
  return best === chosen ? null : best.setting;
}

/** The dose, to .1 g, that puts a dial's time nearest the centre within ± 1 g and the basket. */
export function trimmedDose(judged: Judged, dial: number): number | null {
  if (judged.input.holdDose) return null;
  const [low, high] = judged.pumpWindowS;
  const { lnTimeS } = predictAt(judged, { dial, doseG: judged.aimDoseG });
  const change = doseChange(
    judged.aimDoseG,
    Math.log(Math.sqrt(low * high)) - lnTimeS,
    judged.model.coefficients[2],
  );
  const { ratedG } = judged.input.basket;
  const targetG = judged.input.target.doseG;
  const least = Math.max(targetG - TRIM_LIMIT_G, ratedG - BASKET_UNDER_G);
  const most = Math.min(targetG + TRIM_LIMIT_G, ratedG + BASKET_OVER_G);
  const heldG = Math.min(most, Math.max(least, judged.aimDoseG + change));
  const doseG = Math.round(10 * heldG) / 10;
  return least <= most && Math.abs(doseG - judged.aimDoseG) > 0.05 ? doseG : null;
}

/** Δdose = M(e^(Δln t / c) − 1), in grams: the dose change that makes a wanted change of ln time. */
export function doseChange(doseG: number, lnTimeChange: number, exponent: number): number {
  return doseG * (Math.exp(lnTimeChange / exponent) - 1);
}

/** A setting worded as the one move from where the bench stands; null when nothing changes. */
export function moveTo(judged: Judged, { dial, doseG }: Setting): Move | null {
  const { grinder } = judged.input;
  const from = judged.dial;
  const dosed = Math.abs(doseG - judged.aimDoseG) > 1e-9;
  const doseWords = `dose ${massFigure(judged.aimDoseG, judged.units)} → ${massWords(doseG, judged.units)}`;
  if (dial === from)
    return dosed
      ? { variable: 'doseG', from: judged.aimDoseG, to: doseG, words: capital(doseWords) }
      : null;
  const grind = `${capital(grindWord(grinder, from, dial))}, ${from} → ${dial}`;
  return {
    variable: 'dial',
    from,
    to: dial,
    words: dosed ? `${grind}, with ${doseWords}` : grind,
    ...(dosed && { doseTrim: { from: judged.aimDoseG, to: doseG } }),
  };
}

function capital(words: string): string {
  return words.charAt(0).toUpperCase() + words.slice(1);
}
