/**
 * One of the parallel ways through the bed: layers that wet, warm, give their solubles and pass them on.
 * Sources: Darcy flow with a Green-Ampt wetting front, Vogel viscosity, Einstein-Batchelor for what is
 * dissolved, linear driving force out of the grains, implicit upwind transport. Solutes are only moved,
 * never made: the balance holds to rounding.
 */
import * as bedModel from './bed';
import type { Bed } from './bed';
import * as parameters from './parameters';

// Some builds look an import up anew at each use: a local name makes the inner loops four times as fast.
const { BED, DISSOLVING, HEAT, LAYERS } = parameters;
const { deadShare, openness } = bedModel;
const KINDS = parameters.SOLUTES.length;
/** A front that has only just entered a layer still meets this much of it. */
const LEAST_WET = 0.25;

export interface Tube {
  readonly share: number;
  /** Share of each layer that is wet, 0-1. */
  readonly wet: Float64Array;
  readonly temperatureC: Float64Array;
  /** g, by layer × kind: dissolved, in the grains' surface and fines, in their kernels, out of reach. */
  readonly liquid: Float64Array;
  readonly fast: Float64Array;
  readonly kernel: Float64Array;
  readonly dead: Float64Array;
  /** g per layer × kind at the beginning. */
  readonly fastAtFirst: Float64Array;
  throughMl: number;
}

/** A dry tube with its share of the solubles. `extra` is what each class gains by temperature. */
export function dryTube(bed: Bed, share: number, groundsC: number, extra: readonly number[]): Tube {
  const cells = LAYERS * KINDS;
  const fast = new Float64Array(cells);
  const kernel = new Float64Array(cells);
  const fastShare = fastShareOf(bed);
  for (let i = 0; i < LAYERS; i++)
    for (let k = 0; k < KINDS; k++) {
      const solubles = (bed.solublesG * share * DISSOLVING.share[k]! * extra[k]!) / LAYERS;
      fast[i * KINDS + k] = solubles * fastShare;
      kernel[i * KINDS + k] = solubles * (1 - fastShare);
    }
  return {
    share,
    wet: new Float64Array(LAYERS),
    temperatureC: new Float64Array(LAYERS).fill(groundsC),
    liquid: new Float64Array(cells),
    fast,
    kernel,
    dead: new Float64Array(cells),
    fastAtFirst: fast.slice(),
    throughMl: 0,
  };
}

/** Fines, and the outer shell of the larger grains: f + (1 − f)[1 − (1 − 2δ/d)³]. */
function fastShareOf({ fines, grainUm }: Bed): number {
  const core = Math.max(0, 1 - (2 * DISSOLVING.surfaceUm) / grainUm);
  return fines + (1 - fines) * (1 - core ** 3);
}

export const isWetThrough = (tube: Tube) => tube.wet[LAYERS - 1]! >= 1;

const PA_PER_BAR = 1e5;
const ML_PER_M3 = 1e6;

export interface Resistance {
  /** Permeability of the tube before opening and clogging, m². */
  readonly permeabilityM2: number;
  readonly bed: Bed;
}

/** ml/s that pass for each bar: aA / Σ(μ dz/K) over what is wet. */
export function conductance(tube: Tube, { permeabilityM2, bed }: Resistance): number {
  const dry = isWetThrough(tube) ? 1 : BED.dryPermeability;
  const clogged = 1 + BED.clogging * (1 - Math.exp(-tube.throughMl / tube.share / BED.cloggingMl));
  const dz = bed.depthM / LAYERS;
  const layerMl = (bed.betweenMl * tube.share) / LAYERS;
  const closed = openness(bed.porosity);
  let resistance = 0;
  for (let i = 0; i < LAYERS; i++) {
    const wet = tube.wet[i]!;
    if (wet === 0 && i > 0) break;
    const opened = openness(bed.porosity * (1 + BED.opening * dissolvedFast(tube, i))) / closed;
    const viscosity = viscosityOf(tube.temperatureC[i]!, concentration(tube, i, layerMl));
    resistance += (viscosity * dz * Math.max(wet, LEAST_WET)) / opened;
  }
  return (
    (PA_PER_BAR * ML_PER_M3 * tube.share * bed.areaM2 * permeabilityM2 * dry) / clogged / resistance
  );
}

function dissolvedFast(tube: Tube, layer: number): number {
  let left = 0;
  let first = 0;
  for (let k = 0; k < KINDS; k++) {
    left += tube.fast[layer * KINDS + k]!;
    first += tube.fastAtFirst[layer * KINDS + k]!;
  }
  return first > 0 ? 1 - left / first : 0;
}

/** g/ml in a layer's liquid, all classes together. */
function concentration(tube: Tube, layer: number, layerMl: number): number {
  const wet = tube.wet[layer]!;
  if (wet <= 0) return 0;
  let mass = 0;
  for (let k = 0; k < KINDS; k++) mass += tube.liquid[layer * KINDS + k]!;
  return mass / (layerMl * wet);
}

/** Pa s: Vogel for water, Einstein-Batchelor for what is dissolved. */
function viscosityOf(temperatureC: number, gMl: number): number {
  const v = DISSOLVING.volumeMlG * gMl;
  return lookUp(WATER, temperatureC) * (1 + 2.5 * v + 6.2 * v * v);
}

const TABLE_STEP_C = 0.25;
const TABLE_SIZE = 150 / TABLE_STEP_C;
const KELVIN = 273.15;
const GAS_CONSTANT = 8.314;

/** Exponentials are looked up: they would be most of the simulator's time. From −30 °C upwards. */
function tableOf(value: (temperatureC: number) => number): Float64Array {
  return Float64Array.from({ length: TABLE_SIZE + 2 }, (_, i) => value(i * TABLE_STEP_C - 30));
}

function lookUp(table: Float64Array, temperatureC: number): number {
  const at = Math.min(TABLE_SIZE, Math.max(0, (temperatureC + 30) / TABLE_STEP_C));
  const below = at | 0;
  const low = table[below]!;
  return low + (at - below) * (table[below + 1]! - low);
}

const WATER = tableOf((c) => 2.414e-5 * 10 ** (247.8 / (c + KELVIN - 140)));
const RATES = DISSOLVING.activationJ.map((joule, k) =>
  tableOf(
    (c) =>
      DISSOLVING.rate[k]! *
      Math.exp((joule / GAS_CONSTANT) * (1 / (DISSOLVING.referenceC + KELVIN) - 1 / (c + KELVIN))),
  ),
);

export interface Inflow {
  /** ml that enter from above in this step. */
  readonly ml: number;
  readonly temperatureC: number;
  readonly metalC: number;
  readonly dtS: number;
}

export interface Outflow {
  readonly ml: number;
  readonly temperatureC: number;
  /** g by class. */
  readonly solutesG: Float64Array;
  /** Heat given to the metal around, J. */
  readonly metalJ: number;
}

/** Moves water, heat and solutes down by one step; what leaves below is returned. */
export function advance(tube: Tube, bed: Bed, inflow: Inflow): Outflow {
  const { dtS, metalC } = inflow;
  const betweenMl = (bed.betweenMl * tube.share) / LAYERS;
  const withinMl = (bed.withinMl * tube.share) / LAYERS;
  const coffeeJ = (bed.withinMl / BED.poresMlG) * (tube.share / LAYERS) * HEAT.coffeeJPerGK;
  const carried = new Float64Array(KINDS);
  let ml = inflow.ml;
  let inC = inflow.temperatureC;
  let metalJ = 0;
  for (let i = 0; i < LAYERS; i++) {
    const wetBefore = tube.wet[i]!;
    // Heat: what flows in mixes with what is there.
    const held = coffeeJ + (betweenMl + withinMl) * wetBefore * HEAT.waterJPerGK;
    const brought = ml * HEAT.waterJPerGK;
    const exchanged = (HEAT.lossWPerK * tube.share * dtS) / LAYERS;
    const layerC =
      (held * tube.temperatureC[i]! + brought * inC + exchanged * metalC) /
      (held + brought + exchanged);
    metalJ += exchanged * (layerC - metalC);
    tube.temperatureC[i] = layerC;
    // Water: what a dry layer keeps goes between and into its grains alike.
    const kept = Math.min(ml, (1 - wetBefore) * (betweenMl + withinMl));
    const wet = Math.min(1, wetBefore + kept / (betweenMl + withinMl));
    tube.wet[i] = kept > 0 && 1 - wet < 1e-9 ? 1 : wet;
    const out = ml - kept;
    const intoGrains = kept > 0 && ml > 0 ? (kept / ml) * (withinMl / (betweenMl + withinMl)) : 0;
    const liquidMl = betweenMl * wet;
    for (let k = 0; k < KINDS; k++) {
      const cell = i * KINDS + k;
      const arriving = carried[k]!;
      tube.kernel[cell]! += arriving * intoGrains;
      const mixed = tube.liquid[cell]! + arriving * (1 - intoGrains);
      const leaving = out > 0 ? (mixed * out) / (liquidMl + out) : 0;
      tube.liquid[cell] = mixed - leaving;
      carried[k] = leaving;
    }
    ml = out;
    inC = layerC;
    if (ml <= 0 && wet < 1) break;
  }
  return { ml, temperatureC: inC, solutesG: carried, metalJ };
}

/** Dissolves for one step: the surface and fines at once, the kernels by what their liquid lacks. */
export function dissolve(tube: Tube, bed: Bed, dtS: number): void {
  const betweenMl = (bed.betweenMl * tube.share) / LAYERS;
  const withinMl = (bed.withinMl * tube.share) / LAYERS;
  const slow =
    DISSOLVING.kernelPerS *
    (BED.referenceUm / bed.grainUm) ** DISSOLVING.kernelPower *
    bed.ease *
    dtS;
  const quick = DISSOLVING.fastPerS * bed.ease * dtS;
  const { fast, kernel, liquid } = tube;
  const poreRatio = withinMl / betweenMl;
  for (let i = 0; i < LAYERS; i++) {
    const wet = tube.wet[i]!;
    if (wet <= 0) break;
    const thirst = 1 - concentration(tube, i, betweenMl) / DISSOLVING.saturationGMl;
    const room = Math.max(0, thirst);
    const temperatureC = tube.temperatureC[i]!;
    for (let k = 0; k < KINDS; k++) {
      const cell = i * KINDS + k;
      const rate = wet * lookUp(RATES[k]!, temperatureC);
      // Implicit, so that a large step can never take more than there is.
      const pull = quick * rate * room;
      const push = slow * rate;
      const fromFast = (fast[cell]! * pull) / (1 + pull);
      const fromKernel =
        (push * (kernel[cell]! - liquid[cell]! * poreRatio)) / (1 + push * (1 + poreRatio));
      fast[cell] = fast[cell]! - fromFast;
      kernel[cell] = kernel[cell]! - fromKernel;
      liquid[cell] = liquid[cell]! + fromFast + fromKernel;
    }
  }
}

/** As the pressure rises to a new peak, more of the solubles goes out of reach. */
export function putOutOfReach(tube: Tube, bed: Bed, fromBar: number, toBar: number): void {
  const before = deadShare(bed.grainUm, fromBar);
  const after = deadShare(bed.grainUm, toBar);
  if (after <= before) return;
  const lost = (after - before) / (1 - before);
  for (let cell = 0; cell < LAYERS * KINDS; cell++) {
    const fast = tube.fast[cell]! * lost;
    const kernel = tube.kernel[cell]! * lost;
    tube.fast[cell]! -= fast;
    tube.kernel[cell]! -= kernel;
    tube.dead[cell]! += fast + kernel;
  }
}

/** Everything of a tube that is or was coffee, g. */
export function solutesIn({ liquid, fast, kernel, dead }: Tube): number {
  return [liquid, fast, kernel, dead].reduce(
    (sum, pool) => pool.reduce((part, grams) => part + grams, sum),
    0,
  );
}
