/**
 * The bed of ground coffee: how finely it is ground, how permeable it is, how much liquid it holds.
 * Sources: Kozeny-Carman for permeability; fines, compaction, opening and clogging are effective forms
 * (heuristic) with the parameters of model.md §7. Valid from about 150 to 900 µm.
 */
import { BEAN_TEMPERATURE, BED, DEAD, GAS, ROASTS, UNEVEN } from './parameters';
import type { SimulatedBasket, SimulatedCoffee, SimulatedShot } from './types';

export interface Bed {
  readonly areaM2: number;
  readonly depthM: number;
  /** Size of the larger grains after bean temperature, µm. */
  readonly grainUm: number;
  readonly fines: number;
  readonly porosity: number;
  /** m², at 9 bar, before anything dissolved or clogged. */
  readonly permeabilityM2: number;
  /** Liquid between the grains and within them, ml for the whole bed. */
  readonly betweenMl: number;
  readonly withinMl: number;
  /** Solubles, g, and how willingly they come. */
  readonly solublesG: number;
  readonly ease: number;
  /** Area share of the channel, 0-1. */
  readonly channelShare: number;
  /** sd in ln of permeability between loose and dense halves. */
  readonly spread: number;
}

/** What varies from shot to shot, in ln; all zero for the mean shot. */
export interface BedChance {
  readonly lnPermeability: number;
  readonly lnSolubles: number;
  readonly lnChannel: number;
}

export const NO_CHANCE: BedChance = { lnPermeability: 0, lnSolubles: 0, lnChannel: 0 };

/** Misted grounds clump: house heuristic. */
const MISTED_LN_RESISTANCE = 0.08;
/** Process intensity opens the bean: house heuristic, per unit of I. */
const EASE_PER_INTENSITY = 0.06;
const LN_RESISTANCE_PER_INTENSITY = -0.02;

export function bedOf(
  coffee: SimulatedCoffee,
  shot: SimulatedShot,
  basket: SimulatedBasket,
  chance: BedChance,
): Bed {
  const roast = roastOf(coffee.roastLevel);
  const grainUm = shot.grindUm + beanTemperatureUm(shot.beanC ?? BEAN_TEMPERATURE.roomC);
  const fines = finesOf(grainUm, roast.fines);
  const porosity = porosityOf(fines);
  const areaM2 = (Math.PI / 4) * (basket.diameterMm / 1000) ** 2;
  const volumeMl = shot.doseG / (BED.bulk * (1 + roast.density));
  const { intensity, lnResistance = 0, lnEase = 0 } = coffee;
  const lnOther =
    lnResistance +
    LN_RESISTANCE_PER_INTENSITY * intensity +
    BED.overfillPerG * (shot.doseG - basket.ratedG) +
    (shot.isMisted ? MISTED_LN_RESISTANCE : 0) -
    chance.lnPermeability;
  const unevenPrep = UNEVEN.referencePrep - (shot.prep ?? UNEVEN.referencePrep);
  return {
    areaM2,
    depthM: (volumeMl * 1e-6) / areaM2,
    grainUm,
    fines,
    porosity,
    permeabilityM2:
      (BED.permeabilityM2 * kozeny(grainUm, fines, porosity) * Math.exp(-lnOther)) /
      gasResistance(coffee.restDays),
    betweenMl: (shot.doseG * BED.liquidMlG * porosity) / BED.porosity,
    withinMl: shot.doseG * BED.poresMlG,
    solublesG: shot.doseG * roast.solubles * Math.exp(chance.lnSolubles),
    ease: roast.ease * Math.exp(EASE_PER_INTENSITY * intensity + lnEase),
    channelShare: Math.min(
      0.2,
      UNEVEN.channelShare *
        Math.exp(UNEVEN.prepGain * unevenPrep + chance.lnChannel) *
        (BED.referenceUm / grainUm) ** UNEVEN.channelPower,
    ),
    spread: Math.max(0, UNEVEN.spread + UNEVEN.spreadPerPrep * unevenPrep),
  };
}

function beanTemperatureUm(beanC: number): number {
  const { roomC, warmUmPerC, coldUmPerC } = BEAN_TEMPERATURE;
  const above = beanC - roomC;
  return above * (above > 0 ? warmUmPerC : coldUmPerC);
}

function finesOf(grainUm: number, roastFines: number): number {
  const share = BED.fines * (1 + roastFines) * (BED.referenceUm / grainUm) ** BED.finesPower;
  return Math.min(0.6, share);
}

function porosityOf(fines: number): number {
  return Math.max(0.05, BED.porosity - BED.porosityPerFines * (fines - BED.fines));
}

/** Kozeny-Carman relative to the reference grind: (d32/ref)²·[φ³/(1 − φ)²]/ref. */
function kozeny(grainUm: number, fines: number, porosity: number): number {
  const d32 = (share: number, um: number) => 1 / (share / BED.finesUm + (1 - share) / um);
  const size = d32(fines, grainUm) / d32(BED.fines, BED.referenceUm);
  return (size ** 2 * openness(porosity)) / openness(BED.porosity);
}

/** φ³/(1 − φ)². */
export function openness(porosity: number): number {
  const solid = 1 - porosity;
  return (porosity * porosity * porosity) / (solid * solid);
}

/** Gas between the grains, relative to a coffee of the reference age. */
function gasResistance(restDays: number): number {
  const at = (days: number) => 1 + GAS.resistance * Math.exp(-days / GAS.fadesOverDays);
  return at(restDays) / at(GAS.referenceDays);
}

/** Share of the solubles that is out of reach at this grind and the highest pressure so far, 0-1. */
export function deadShare(grainUm: number, peakBar: number): number {
  const share =
    DEAD.share *
    (BED.referenceUm / grainUm) ** DEAD.grindPower *
    (peakBar / 9) ** DEAD.pressurePower;
  return Math.min(0.7, share);
}

interface Roast {
  readonly solubles: number;
  readonly ease: number;
  readonly fines: number;
  readonly density: number;
}

function roastOf(level: number): Roast {
  const { light, medium, dark } = ROASTS;
  const end = level < 0 ? light : dark;
  const share = Math.abs(level);
  const between = (key: keyof Roast) => medium[key] + share * (end[key] - medium[key]);
  return {
    solubles: between('solubles'),
    ease: between('ease'),
    fines: between('fines'),
    density: between('density'),
  };
}
