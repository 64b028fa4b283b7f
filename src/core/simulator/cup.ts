/** Spout, cup and scale of the simulator: what arrives when, cut into parts, and the trace of it. */
import type { Chance } from '../random';
import { DISSOLVING, MACHINE, NOISE, SOLUTES, type Solute } from './parameters';
import type { CupPart, TracePoint } from './types';

/** Density of water near 90 °C, g/ml (published tables). */
const HOT_WATER_G_ML = 0.965;
/** The trace has a point each tenth of a second. */
const TRACE_S = 0.1;

interface Parcel {
  readonly grams: number;
  readonly solutesG: Float64Array;
}

interface Portion {
  grams: number;
  readonly solutesG: Float64Array;
}

export interface Arrival {
  readonly timeS: number;
  readonly ml: number;
  readonly solutesG: Float64Array;
  readonly bar: number;
  readonly pumpedMlS: number;
  readonly temperatureC: number;
}

export class Cup {
  readonly trace: TracePoint[] = [];
  firstDripS: number | null = null;
  weightG = 0;
  readonly #spout: Parcel[] = [];
  readonly #portions: Portion[] = [newPortion()];
  readonly #delaySteps: number;
  #density = HOT_WATER_G_ML;
  #nextTraceS = TRACE_S;

  constructor(
    private readonly options: {
      readonly stepS: number;
      readonly cutsS: readonly number[];
      readonly chance: Chance | null;
    },
  ) {
    this.#delaySteps = Math.round(MACHINE.spoutS / options.stepS);
  }

  /** Takes what leaves the bed in one step; it reaches the cup through the spout. */
  take({ timeS, ml, solutesG, bar, pumpedMlS, temperatureC }: Arrival): void {
    const solute = sum(solutesG);
    const grams = ml * HOT_WATER_G_ML + solute * (1 - DISSOLVING.volumeMlG * HOT_WATER_G_ML);
    if (ml > 0) this.#density = grams / ml;
    this.#spout.push({ grams, solutesG });
    if (this.#spout.length > this.#delaySteps) this.#pour(this.#spout.shift()!, timeS);
    if (timeS < this.#nextTraceS - 1e-9) return;
    this.#nextTraceS += TRACE_S;
    this.trace.push({
      timeS: rounded(timeS, 10),
      weightG: rounded(this.#read(this.weightG, NOISE.weightG), 100),
      pressureBar: rounded(Math.max(0, this.#read(bar, NOISE.pressureBar)), 100),
      flowMlS: rounded(Math.max(0, this.#read(pumpedMlS, NOISE.flowMlS)), 100),
      temperatureC: rounded(temperatureC, 10),
    });
  }

  #pour({ grams, solutesG }: Parcel, timeS: number): void {
    this.weightG += grams;
    if (this.firstDripS === null && this.weightG >= MACHINE.firstDripG) this.firstDripS = timeS;
    const { cutsS } = this.options;
    const cut = cutsS[this.#portions.length - 1];
    if (cut !== undefined && timeS > cut + 1e-9) this.#portions.push(newPortion());
    const portion = this.#portions.at(-1)!;
    portion.grams += grams;
    for (let k = 0; k < solutesG.length; k++)
      portion.solutesG[k] = portion.solutesG[k]! + solutesG[k]!;
  }

  /** What still hangs in the spout falls into the cup. */
  drain(): void {
    const atS = this.trace.at(-1)?.timeS ?? 0;
    for (const parcel of this.#spout.splice(0)) this.#pour(parcel, atS);
  }

  /** What an instrument makes of a value. */
  #read(value: number, sd: number): number {
    const { chance } = this.options;
    return chance ? value + sd * chance.normal() : value;
  }

  inSpoutG(): number {
    let grams = 0;
    for (const parcel of this.#spout) grams += parcel.grams;
    return grams;
  }

  gramsPerMl(): number {
    return this.#density;
  }

  solutesG(): number {
    return this.#portions.reduce((grams, portion) => grams + sum(portion.solutesG), 0);
  }

  /** Strength of the whole cup in % of its mass; 0 for an empty one. */
  tdsPct(): number {
    return this.weightG > 0 ? (100 * this.solutesG()) / this.weightG : 0;
  }

  parts(): CupPart[] {
    return this.#portions.map(({ grams, solutesG }) => ({
      yieldG: grams,
      tdsPct: grams > 0 ? (100 * sum(solutesG)) / grams : 0,
      solutesG: Object.fromEntries(SOLUTES.map((kind, k) => [kind, solutesG[k]!])) as Record<
        Solute,
        number
      >,
    }));
  }
}

/** Instruments show no more digits than this. */
function rounded(value: number, parts: number): number {
  return Math.round(value * parts) / parts;
}

function newPortion(): Portion {
  return { grams: 0, solutesG: new Float64Array(SOLUTES.length) };
}

function sum(values: Float64Array): number {
  let total = 0;
  for (const value of values) total += value;
  return total;
}
