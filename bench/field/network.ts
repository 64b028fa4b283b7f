/**
 * A simulated network of cafés: grinders of their own, coffees in batches, ageing, weather, people who move their dial
 * by the last shot. Faults are planted. All of it is invented; it shares the model's form, which flatters the model.
 */
import { chanceFrom, type Chance } from '@/core/random';
import type { CafeCheck, CafeTarget } from '@/core/cafes/check';

export const FAULTS = ['grinder', 'machine', 'scale', 'oldYield', 'dose', 'silence'] as const;
export type FaultKind = (typeof FAULTS)[number];

export interface Fault {
  readonly kind: FaultKind;
  readonly cafe: number;
  readonly fromDay: number;
  readonly toDay: number;
  readonly sign: 1 | -1;
  readonly coffee: number;
}

export interface NetworkPlan {
  readonly seed: number;
  readonly cafes: number;
  readonly days: number;
  readonly checksADay: number;
  readonly dialMissing: number;
  readonly noiseSd: number;
  /** Days between the planted faults of one café; 0: none are planted. */
  readonly daysBetweenFaults: number;
}

const COFFEES = 4;
const REGION_SIZE = 10;
const FIRST_FAULT_DAY = 30;
const FAULT_DAYS = 30;
const BAD_BATCH_RATE = 0.12;
export const TARGET: CafeTarget = { doseG: 18, yieldG: 36, timeS: 28 };
/** The former recipe's yield, g less than today's: what a café with the old card aims at. */
export const OLD_YIELD_OFF_G = -4;
/** Half the window, ln time: 2 s of 28. */
export const HALF_WINDOW = 0.071;

export interface TrueBatch {
  readonly coffee: number;
  readonly name: string;
  readonly before: string | null;
  readonly fromDay: number;
  readonly beta: number;
  readonly isBad: boolean;
}

interface TrueCafe {
  readonly slope: number;
  readonly levels: readonly number[];
  readonly doseOffG: number;
  readonly yieldOffG: number;
  readonly missed: number;
  readonly faults: readonly Fault[];
  readonly dials: number[];
  /** Steps each dial was moved after its last check. */
  readonly moved: number[];
  readonly chance: Chance;
}

/** A visit as it arrives: null checks are a visit that was not made. */
export interface Visit {
  readonly cafe: number;
  readonly atDay: number;
  readonly checks: readonly CafeCheck[] | null;
}

export class Network {
  readonly batches: readonly TrueBatch[];
  readonly faults: readonly Fault[];
  private readonly cafes: readonly TrueCafe[];
  private readonly weather: readonly (readonly number[])[];
  private readonly ageing: readonly number[];

  constructor(readonly plan: NetworkPlan) {
    const chance = chanceFrom(plan.seed);
    this.ageing = Array.from({ length: COFFEES }, () => -0.008 + 0.002 * chance.normal());
    this.batches = drawBatches(plan.days, chance);
    this.weather = Array.from({ length: Math.ceil(plan.cafes / REGION_SIZE) }, () =>
      drawWeather(plan.days, chance),
    );
    this.cafes = Array.from({ length: plan.cafes }, (_, i) => drawCafe(i, plan));
    this.faults = this.cafes.flatMap(({ faults }) => faults);
  }

  regionOf(cafe: number): string {
    return `region ${Math.floor(cafe / REGION_SIZE)}`;
  }

  /** All visits in order of time; cafés move their dials as they go. */
  *visits(): Generator<Visit> {
    for (let day = 0; day < this.plan.days; day++)
      for (let slot = 0; slot < this.plan.checksADay; slot++)
        for (let cafe = 0; cafe < this.plan.cafes; cafe++) {
          const atDay = day + (slot + 1) / 8 + cafe * 1e-5;
          yield { cafe, atDay, checks: this.checksOf(cafe, atDay) };
        }
  }

  batchOn(coffee: number, atDay: number): TrueBatch {
    return this.batches.findLast((batch) => batch.coffee === coffee && batch.fromDay <= atDay)!;
  }

  /** ln of the true mean time ÷ the recipe's at the café's usual weights, `steps` of the dial further. */
  offLn(cafe: number, coffee: number, atDay: number, steps = 0): number {
    const { doseOffG, yieldOffG } = this.weightsOf(cafe, coffee, atDay);
    return (
      this.levelLn(cafe, coffee, atDay) +
      this.cafes[cafe]!.slope * steps +
      1.2 * Math.log(1 + doseOffG / TARGET.doseG) +
      Math.log(1 + yieldOffG / TARGET.yieldG)
    );
  }

  movedSince(cafe: number, coffee: number): number {
    return this.cafes[cafe]!.moved[coffee]!;
  }

  slopeOf(cafe: number): number {
    return this.cafes[cafe]!.slope;
  }

  private weightsOf(cafe: number, coffee: number, atDay: number) {
    const { doseOffG, yieldOffG, faults } = this.cafes[cafe]!;
    const active = faults.filter((f) => f.fromDay <= atDay && atDay < f.toDay);
    const habit = active.find(({ kind }) => kind === 'dose');
    const old = active.find((f) => f.kind === 'oldYield' && f.coffee === coffee);
    return {
      doseOffG: doseOffG + (habit === undefined ? 0 : 0.6 * habit.sign),
      yieldOffG: yieldOffG + (old === undefined ? 0 : OLD_YIELD_OFF_G),
    };
  }

  /** Without weights: dial, level, batch, age, weather and what is wrong with the café. */
  private levelLn(cafe: number, coffee: number, atDay: number): number {
    const { slope, levels, dials, faults } = this.cafes[cafe]!;
    const batch = this.batchOn(coffee, atDay);
    const day = Math.floor(atDay);
    const wrong = faults
      .filter((f) => f.fromDay <= atDay && atDay < f.toDay)
      .reduce((sum, { kind, sign }) => sum + faultLn(kind) * sign, 0);
    return (
      levels[coffee]! +
      slope * dials[coffee]! +
      batch.beta +
      this.ageing[coffee]! * (ageOf(batch, atDay) - 10) +
      this.weather[Math.floor(cafe / REGION_SIZE)]![day]! +
      wrong
    );
  }

  private checksOf(cafe: number, atDay: number): CafeCheck[] | null {
    const state = this.cafes[cafe]!;
    const { chance } = state;
    const isSilent = state.faults.some(
      (f) => f.kind === 'silence' && f.fromDay <= atDay && atDay < f.toDay,
    );
    if (isSilent || chance.isWithin(state.missed)) return null;
    const visitLn = 0.02 * chance.normal();
    return Array.from({ length: COFFEES }, (_, coffee) => {
      const { doseOffG, yieldOffG } = this.weightsOf(cafe, coffee, atDay);
      const doseG = TARGET.doseG + doseOffG + 0.3 * chance.normal();
      const yieldG = TARGET.yieldG + yieldOffG + 1.5 * chance.normal();
      const oddSd = chance.isWithin(0.04) ? 0.25 : 0;
      const noise = Math.hypot(this.plan.noiseSd, oddSd) * chance.normal();
      const lnTime =
        Math.log(TARGET.timeS) +
        this.levelLn(cafe, coffee, atDay) +
        1.2 * Math.log(doseG / TARGET.doseG) +
        Math.log(yieldG / TARGET.yieldG) +
        visitLn +
        noise;
      const batch = this.batchOn(coffee, atDay);
      const dial = state.dials[coffee]!;
      this.moveByHand(state, coffee, lnTime - Math.log(TARGET.timeS));
      return {
        id: `${cafe} ${atDay} ${coffee}`,
        visit: `${cafe} ${atDay}`,
        atDay,
        coffee: `coffee ${coffee}`,
        batch: batch.name,
        doseG,
        yieldG,
        timeS: Math.exp(lnTime),
        dial: chance.isWithin(this.plan.dialMissing) ? null : dial,
        shots: 1,
        ageDays: ageOf(batch, atDay),
        target: TARGET,
      };
    });
  }

  /** The habit of a bar: outside 2.5 s the dial is moved by the last shot, mostly. */
  private moveByHand({ chance, dials, moved }: TrueCafe, coffee: number, offLn: number): void {
    moved[coffee] = 0;
    if (Math.abs(offLn) <= 1.25 * HALF_WINDOW || !chance.isWithin(0.5)) return;
    moved[coffee] = Math.max(-2, Math.min(2, Math.round(offLn / 0.1)));
    dials[coffee]! += moved[coffee];
  }
}

/** What each fault does to ln time; a dose or a yield is written as it is weighed, a wrong scale is not. */
function faultLn(kind: FaultKind): number {
  if (kind === 'grinder') return 0.1;
  if (kind === 'machine') return 0.07;
  return kind === 'scale' ? 1.2 * Math.log(1 + 0.7 / TARGET.doseG) : 0;
}

export function ageOf({ fromDay }: TrueBatch, atDay: number): number {
  return 8 + Math.floor(atDay) - fromDay;
}

function drawBatches(days: number, chance: Chance): TrueBatch[] {
  return Array.from({ length: COFFEES }, (_, coffee) => {
    const batches: TrueBatch[] = [];
    for (let day = -Math.floor(10 * chance.uniform()); day < days;) {
      const isBad = day > FIRST_FAULT_DAY && chance.isWithin(BAD_BATCH_RATE);
      const last = batches.at(-1);
      const usual = 0.02 * chance.normal();
      const sign = chance.isWithin(0.5) ? 1 : -1;
      batches.push({
        coffee,
        name: `batch ${batches.length}`,
        before: last?.name ?? null,
        fromDay: day,
        // A bad batch is .08 from the one before it, and a batch after a bad one is as usual again.
        beta: isBad && last?.isBad === false ? last.beta + 0.08 * sign : usual,
        isBad: isBad && last?.isBad === false,
      });
      day += 10 + Math.floor(5 * chance.uniform());
    }
    return batches;
  }).flat();
}

function drawWeather(days: number, chance: Chance): number[] {
  let now = 0.02 * chance.normal();
  return Array.from({ length: days }, () => {
    now = 0.8 * now + 0.02 * 0.6 * chance.normal();
    return now;
  });
}

function drawCafe(cafe: number, plan: NetworkPlan): TrueCafe {
  const chance = chanceFrom(plan.seed * 1000 + cafe + 1);
  const slope = -Math.max(0.04, 0.1 + 0.03 * chance.normal());
  const levels = Array.from({ length: COFFEES }, () => 0.2 * chance.normal());
  const faults: Fault[] = [];
  const { daysBetweenFaults } = plan;
  let day = FIRST_FAULT_DAY + chance.uniform() * daysBetweenFaults;
  while (daysBetweenFaults > 0 && day < plan.days - 14) {
    faults.push({
      kind: chance.oneOf(FAULTS),
      cafe,
      fromDay: day,
      toDay: day + FAULT_DAYS,
      sign: chance.isWithin(0.5) ? 1 : -1,
      coffee: Math.floor(COFFEES * chance.uniform()),
    });
    day += FAULT_DAYS + daysBetweenFaults * (0.5 + chance.uniform());
  }
  return {
    slope,
    levels,
    doseOffG: 0.2 * chance.normal(),
    yieldOffG: chance.normal(),
    missed: 0.02 + 0.16 * chance.uniform(),
    faults,
    dials: levels.map((level) => Math.round(-level / slope)),
    moved: levels.map(() => 0),
    chance,
  };
}
