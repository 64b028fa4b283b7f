/**
 * A simulated espresso shot: pump, bed and cup (model.md §7). Stands in for machine, scale and
 * refractometer, and is the bench on which the advice is tried. Parameters are effective, several forms
 * are heuristic (see parameters.ts, bed.ts); no figure of it is a measurement of any coffee.
 */
import { chanceFrom } from '../random';
import { commandAt } from '../programme/commandAt';
import { bedOf, NO_CHANCE, type Bed, type BedChance } from './bed';
import { Cup } from './cup';
import * as parameters from './parameters';
import {
  advance,
  conductance,
  dissolve,
  dryTube,
  isWetThrough,
  putOutOfReach,
  solutesIn,
  type Tube,
} from './tube';
import type { ShotResult, SimulatedBasket, SimulatedCoffee, SimulatedShot } from './types';

// As in tube.ts: local names for the inner loop.
const { BED, BEAN_TEMPERATURE, DISSOLVING, GAS, HEAT, MACHINE, NOISE } = parameters;
const { SOLUTES, STEP_S, TUBES, UNEVEN } = parameters;

export interface SimulateInput {
  readonly coffee: SimulatedCoffee;
  readonly basket: SimulatedBasket;
  readonly shot: SimulatedShot;
  /** Draws what differs between like shots; null gives the mean shot, without noise of instruments. */
  readonly seed: number | null;
  /** s; .05 when absent, at most .1. */
  readonly stepS?: number;
}

/** A cold portafilter, °C. House heuristic. */
const COLD_METAL_C = 35;
/** Grounds take this much of the beans' departure from room temperature. */
const GROUNDS_FOLLOW_BEANS = 0.3;
const MOST_SHOT_S = 120;
/** Under this pressure a wet bed soaks rather than brews, bar. */
const SOAK_BELOW_BAR = 3;
/** Flow below which the cup no longer fills, ml/s. */
const STILL_MLS = 0.05;
/** After the pump, at the longest, s. */
const DRAIN_S = 4;

/** Pulls one shot. Deterministic for a seed. */
export function simulateShot({
  coffee,
  basket,
  shot,
  seed,
  stepS = STEP_S,
}: SimulateInput): ShotResult {
  const chance = seed === null ? null : chanceFrom(seed);
  const draw = (sd: number) => (chance ? sd * chance.normal() : 0);
  const scatter = GAS.scatter * Math.exp(-coffee.restDays / GAS.scatterFadesOverDays);
  const bedChance: BedChance = chance
    ? {
        lnPermeability: draw(Math.hypot(NOISE.lnPermeability, scatter)),
        lnSolubles: draw(NOISE.lnSolubles),
        lnChannel: draw(NOISE.lnChannel),
      }
    : NO_CHANCE;
  const poured = { ...shot, doseG: Math.max(1, shot.doseG + draw(NOISE.doseG)) };
  const aimG = Math.max(0.5, shot.yieldG + draw(NOISE.yieldG));
  const bed = bedOf(coffee, poured, basket, bedChance);
  const tubes = tubesOf(bed, poured);
  const before = tubes.reduce((sum, tube) => sum + solutesIn(tube), 0);
  const cup = new Cup({ stepS, cutsS: shot.cutsS ?? [], chance });
  const run = pull({ bed, tubes, cup, shot: poured, aimG, stepS });
  const left = tubes.reduce((sum, tube) => sum + solutesIn(tube), 0);
  const tdsPct = Math.max(0, cup.tdsPct() + (cup.weightG > 0 ? draw(NOISE.refractometerPct) : 0));
  return {
    timeS: run.stoppedS,
    firstDripS: cup.firstDripS,
    yieldG: cup.weightG,
    tdsPct,
    extractionPct: (tdsPct * cup.weightG) / shot.doseG,
    trace: cup.trace,
    stages: cup.parts(),
    channelled: run.throughMl > 0 ? run.channelMl / run.throughMl : 0,
    balance: { before, after: left + cup.solutesG() },
  };
}

function tubesOf(bed: Bed, shot: SimulatedShot): Tube[] {
  const { roomC } = BEAN_TEMPERATURE;
  const groundsC = HEAT.groundsC + GROUNDS_FOLLOW_BEANS * ((shot.beanC ?? roomC) - roomC);
  const hotterC = shot.temperatureC - DISSOLVING.referenceC;
  const extra = SOLUTES.map((_, k) => Math.max(0.2, 1 + DISSOLVING.extraPerC[k]! * hotterC));
  const half = (1 - bed.channelShare) / 2;
  return [half, half, bed.channelShare].map((share) => dryTube(bed, share, groundsC, extra));
}

interface Run {
  readonly bed: Bed;
  readonly tubes: readonly Tube[];
  readonly cup: Cup;
  readonly shot: SimulatedShot;
  readonly aimG: number;
  readonly stepS: number;
}

/** Runs pump and bed until the cup is full, the time is over, or nothing flows any more. */
function pull({ bed, tubes, cup, shot, aimG, stepS }: Run) {
  const mostS = Math.min(MOST_SHOT_S, shot.mostS ?? MOST_SHOT_S);
  const inletC = shot.temperatureC - MACHINE.lossC;
  let metalC: number = shot.isColdMetal ? COLD_METAL_C : HEAT.metalC;
  let headMl = 0;
  let bar = 0;
  let peakBar = 0;
  let wetS = 0;
  let soakS = 0;
  let stoppedS: number | null = null;
  let throughMl = 0;
  let channelMl = 0;
  const passing = new Float64Array(TUBES);
  // No closures in this loop: they would be half of its time.
  for (let step = 0; ; step++) {
    const timeS = step * stepS;
    const isOn = stoppedS === null;
    let total = 0;
    for (let i = 0; i < TUBES; i++) {
      const permeabilityM2 = permeability(i, { bed, bar, peakBar, wetS, soakS });
      passing[i] = conductance(tubes[i]!, { bed, permeabilityM2 });
      total += passing[i]!;
    }
    const pumped = isOn
      ? pumpMlS(shot, { timeS, bar, total, isFilling: headMl < MACHINE.headSpaceMl })
      : 0;
    // The space over the bed fills first; then what is pumped and not passed raises the pressure.
    const toHead = Math.min(pumped * stepS, MACHINE.headSpaceMl - headMl);
    headMl += toHead;
    const ml = flows({ bar, pumpedMl: pumped * stepS - toHead, total, tubes, stepS, isOn, headMl });
    bar = ml.bar;
    if (bar > peakBar) {
      for (const tube of tubes) putOutOfReach(tube, bed, peakBar, bar);
      peakBar = bar;
    }
    let cupMl = 0;
    let cupC = 0;
    const solutesG = new Float64Array(SOLUTES.length);
    for (let i = 0; i < TUBES; i++) {
      const tube = tubes[i]!;
      const share = total > 0 ? (ml.throughMl * passing[i]!) / total : 0;
      const out = advance(tube, bed, { ml: share, temperatureC: inletC, metalC, dtS: stepS });
      tube.throughMl += out.ml;
      if (i === TUBES - 1) channelMl += out.ml;
      cupMl += out.ml;
      cupC += out.ml * out.temperatureC;
      metalC += out.metalJ / HEAT.metalJPerK;
      for (let k = 0; k < solutesG.length; k++) solutesG[k] = solutesG[k]! + out.solutesG[k]!;
      dissolve(tube, bed, stepS);
    }
    throughMl += cupMl;
    if (isWetThrough(tubes[0]!) && isWetThrough(tubes[1]!)) wetS += stepS;
    if (tubes[0]!.wet[0]! > 0 && bar < SOAK_BELOW_BAR && isOn) soakS += stepS;
    cup.take({
      timeS: timeS + stepS,
      ml: cupMl,
      solutesG,
      bar,
      pumpedMlS: pumped,
      temperatureC: cupMl > 0 ? cupC / cupMl : inletC,
    });
    const comingG = cup.inSpoutG() + cup.gramsPerMl() * (cupMl / stepS) * MACHINE.tauDumpS;
    if (stoppedS === null && (cup.weightG + comingG >= aimG || timeS + stepS >= mostS))
      stoppedS = timeS + stepS;
    if (stoppedS === null) continue;
    const isStill = cupMl / stepS < STILL_MLS && cup.inSpoutG() < 1e-6;
    if (isStill || timeS > stoppedS + DRAIN_S) break;
  }
  cup.drain();
  return { stoppedS, throughMl, channelMl };
}

interface BedState {
  readonly bed: Bed;
  readonly bar: number;
  readonly peakBar: number;
  readonly wetS: number;
  readonly soakS: number;
}

/** m² of the loose half, the dense half and the channel, pressed as they are now. */
function permeability(tube: number, { bed, bar, peakBar, wetS, soakS }: BedState): number {
  const meanBar = (bar + peakBar) / 2;
  const pressed =
    ((1 + meanBar / BED.compactionBar) / (1 + 9 / BED.compactionBar)) ** -BED.compactionPower;
  const inBed = bed.permeabilityM2 * pressed;
  if (tube < TUBES - 1) {
    const healed = 1 - UNEVEN.heals * (1 - Math.exp(-wetS / UNEVEN.healsOverS));
    return inBed * Math.exp((tube === 0 ? 1 : -1) * bed.spread * healed);
  }
  const opened = 1 - Math.exp(-wetS / UNEVEN.opensOverS);
  const soaked = Math.exp(-UNEVEN.soakHeals * (1 - Math.exp(-soakS / UNEVEN.soakOverS)));
  const channel = UNEVEN.channelPermeability * BED.permeabilityM2 * (bar / 9) * opened * soaked;
  return Math.max(inBed, channel);
}

interface PumpState {
  readonly timeS: number;
  readonly bar: number;
  readonly total: number;
  readonly isFilling: boolean;
}

/** ml/s of the pump: what the programme asks, as far as it can. */
function pumpMlS(shot: SimulatedShot, { timeS, bar, total, isFilling }: PumpState): number {
  const { drive, level, limitBar } = commandAt(shot.programme, timeS);
  const can = MACHINE.pumpMlS * Math.max(0, 1 - (bar / MACHINE.stallBar) ** 2);
  if (level === 0) return 0;
  const most = drive === 'flow' ? Math.min(can, level) : can;
  const wantedBar = drive === 'pressure' ? level : limitBar;
  if (wantedBar === undefined || isFilling) return most;
  const toReach = total * bar + (MACHINE.compliance * (wantedBar - bar)) / MACHINE.tauPressureS;
  return Math.min(most, Math.max(0, toReach));
}

/** Implicit in the pressure, so that a bed that hardly resists cannot make it swing. */
function flows(now: {
  bar: number;
  pumpedMl: number;
  total: number;
  tubes: readonly Tube[];
  stepS: number;
  isOn: boolean;
  headMl: number;
}): { bar: number; throughMl: number } {
  const { pumpedMl, total, stepS } = now;
  if (now.headMl < MACHINE.headSpaceMl) return { bar: now.bar, throughMl: 0 };
  const capillary = isWetThrough(now.tubes[0]!) ? 0 : BED.capillaryBar;
  if (!now.isOn) {
    const bar = now.bar * Math.exp(-stepS / MACHINE.tauDumpS);
    return { bar, throughMl: total * bar * stepS };
  }
  const { compliance } = MACHINE;
  const bar =
    (compliance * now.bar + pumpedMl - total * capillary * stepS) / (compliance + total * stepS);
  if (bar >= 0) return { bar, throughMl: total * (bar + capillary) * stepS };
  return { bar: 0, throughMl: Math.max(0, compliance * now.bar + pumpedMl) };
}
