/**
 * Which setting to pull next (model.md §3b): the one from which a proof is expected to cost least. Staying
 * is a repeat. House heuristic, prototyped; the dose moves only where the house trims.
 */
import { OVER_RATING_G } from '../extraction/settable';
import { roundDial, settingLimits } from '../grinder/dial';
import { lnWindow, settledAt, shotsAt } from './onTarget';
import { LEAST_SHOTS, proofCost } from './proofCost';
import { landing, purgeBefore } from './grind';
import type { Judged } from './judge';
import type { Setting } from './types';

/** A gram off the recipe, any change, a whole dose of purge: each in shots. */
const PER_GRAM_OFF = 0.1;
const ANY_CHANGE = 0.1;
const DOSE_OF_PURGE_G = 18;

/** Steps tried around where the bench stands, and around the dial that should give the centre. */
const STEPS_HERE = 1;
const STEPS_CENTRE = 2;
/** Farthest move considered, in steps: beyond it the straight line is not believed. */
const FARTHEST_STEPS = 40;

/** Dose trim: at most this off the recipe, and within these of the basket's rating, as a lead may go. */
const TRIM_LIMIT_G = 1;
export const UNDER_RATING_G = 2;
/** However little the shots seem to mind the dose, it is not moved by more than this says. */
const LEAST_DOSE_EXPONENT = 0.5;

/** Shown once a setting that cannot be brought on target is the best there is. */
const NEAREST_FROM_SHOTS = 3;
const NEAREST_SD = 0.03;
const NEAREST_COST = 8;

export interface NextSetting {
  readonly setting: Setting;
  /** The setting cannot be brought on target, and no better one is known. */
  readonly isNearest: boolean;
}

/** What is asked more than once is worked out once. */
const known = new WeakMap<Judged, NextSetting>();

/** The setting to pull next. */
export function nextSettingOf(judged: Judged): NextSetting {
  const found = known.get(judged) ?? findNextSetting(judged);
  known.set(judged, found);
  return found;
}

function findNextSetting(judged: Judged): NextSetting {
  const here: Setting = { dial: judged.dial, doseG: judged.aimDoseG };
  const scored = candidates(judged, here)
    .filter((setting) => isSensible(judged, setting))
    .map((setting) => ({ setting, cost: costOf(judged, setting, here) }));
  const best = scored.reduce((a, b) => (b.cost < a.cost - 1e-9 ? b : a));
  return {
    setting: best.setting,
    isNearest: best.setting === here && isNearest(judged, here),
  };
}

function isNearest(judged: Judged, here: Setting): boolean {
  const { variance } = settledAt(judged, here);
  return (
    shotsAt(judged, here).valid >= NEAREST_FROM_SHOTS &&
    Math.sqrt(variance) <= NEAREST_SD &&
    proofAt(judged, here, LEAST_SHOTS).cost >= NEAREST_COST
  );
}

function proofAt(judged: Judged, setting: Setting, have: number) {
  const { lnTimeS, variance } = settledAt(judged, setting);
  const [low, high] = lnWindow(judged);
  return proofCost({
    offset: lnTimeS - (low + high) / 2,
    variance,
    noiseSd: judged.model.noiseSd,
    have,
    halfWindow: (high - low) / 2,
    goal: judged.goal,
    landing: landing(judged, setting),
  });
}

function costOf(judged: Judged, setting: Setting, here: Setting): number {
  const { cost } = proofAt(judged, setting, shotsAt(judged, setting).valid);
  const off = Math.abs(setting.doseG - judged.input.target.doseG);
  return (
    cost +
    PER_GRAM_OFF * off +
    (setting === here ? 0 : ANY_CHANGE) +
    purgeBefore(judged, setting) / DOSE_OF_PURGE_G
  );
}

/** Here first; every setting tried; some around here and around the dial that should give the centre. */
function candidates(judged: Judged, here: Setting): Setting[] {
  const { shots, target, grinder } = judged.input;
  const { min, max } = settingLimits(grinder);
  const { stepSize } = grinder;
  const around = (dial: number, steps: number) =>
    Array.from({ length: 2 * steps + 1 }, (_, i) => dial + (i - steps) * stepSize);
  const centre = Math.max(
    here.dial - FARTHEST_STEPS * stepSize,
    Math.min(
      here.dial + FARTHEST_STEPS * stepSize,
      onGrid(centreDial(judged), here.dial, stepSize),
    ),
  );
  const dials = [
    ...shots.map(({ dial }) => dial),
    ...around(here.dial, STEPS_HERE),
    ...around(centre, STEPS_CENTRE),
  ]
    .map(roundDial)
    .filter((dial) => dial >= min - 1e-9 && dial <= max + 1e-9);
  const settings = [...new Set([here.dial, ...dials])].flatMap((dial) =>
    [...new Set([here.doseG, target.doseG, trimmedDose(judged, dial)])].flatMap((doseG) =>
      doseG === null ? [] : [{ dial, doseG }],
    ),
  );
  const isHere = ({ dial, doseG }: Setting) => dial === here.dial && doseG === here.doseG;
  return [here, ...settings.filter((setting) => !isHere(setting))];
}

/** The dial, between settings too, whose mean lies at the window's centre. */
function centreDial(judged: Judged): number {
  const [low, high] = lnWindow(judged);
  const { lnTimeS } = settledAt(judged, { dial: judged.dial, doseG: judged.aimDoseG });
  return judged.dial + ((low + high) / 2 - lnTimeS) / judged.model.coefficients[1];
}

const onGrid = (dial: number, from: number, stepSize: number) =>
  from + Math.round((dial - from) / stepSize) * stepSize;

/**
 * After a shot that ran too fast nobody is told to make the next one faster, nor after a slow one slower:
 * at most to pull it again, if the shots before speak against it.
 */
export function isSensible(judged: Judged, setting: Setting): boolean {
  const { side, outlier, otherBeans } = judged.marks.at(-1) ?? {};
  if (judged.isRevised || outlier || otherBeans || (side !== 'fast' && side !== 'slow'))
    return true;
  const here = { dial: judged.dial, doseG: judged.aimDoseG };
  const change = settledAt(judged, setting).lnTimeS - settledAt(judged, here).lnTimeS;
  return side === 'fast' ? change >= -1e-9 : change <= 1e-9;
}

/** The dose that puts a dial's time nearest the centre, where this dial-in may touch it; else null. */
function trimmedDose(judged: Judged, dial: number): number | null {
  if (judged.input.doseSchool !== 'trim' || judged.input.shots.length === 0) return null;
  return doseToCentre(judged, dial);
}

/** The dose, to .1 g, that puts a dial's time nearest the centre within ± 1 g and the basket. */
export function doseToCentre(judged: Judged, dial: number): number | null {
  const [low, high] = lnWindow(judged);
  const { lnTimeS } = settledAt(judged, { dial, doseG: judged.aimDoseG });
  const exponent = Math.max(LEAST_DOSE_EXPONENT, judged.model.coefficients[2]);
  const wanted =
    judged.aimDoseG + doseChange(judged.aimDoseG, (low + high) / 2 - lnTimeS, exponent);
  const { ratedG } = judged.input.basket;
  const targetG = judged.input.target.doseG;
  const least = Math.max(targetG - TRIM_LIMIT_G, ratedG - UNDER_RATING_G);
  const most = Math.min(targetG + TRIM_LIMIT_G, ratedG + OVER_RATING_G);
  const doseG = Math.round(10 * Math.min(most, Math.max(least, wanted))) / 10;
  return least <= most && Math.abs(doseG - judged.aimDoseG) > 0.05 ? doseG : null;
}

/** Δdose = M(e^(Δln t / c) − 1), in grams: the dose change that makes a wanted change of ln time. */
export function doseChange(doseG: number, lnTimeChange: number, exponent: number): number {
  return doseG * (Math.exp(lnTimeChange / exponent) - 1);
}
