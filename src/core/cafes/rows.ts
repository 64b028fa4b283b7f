/**
 * A café's checks as rows of the linear model
 *   y = a_coffee + b·(dial − D) + Σ steps + β_batch + e·(age − 10) + w_day + visit + noise.
 * Local columns: its coffees, its slope, its steps. Shared columns: weather of its region by day, batches, ageing.
 */
import { groupBy } from '../groupBy';
import { ageOffset, batchKey, responseOf, type CafeCheck, type CafeTarget } from './check';
import { placeDials } from './dials';

/** A lasting change at one café, of all its coffees or (with its name) of one. */
export interface CafeStep {
  readonly coffee: string | null;
  /** Visits from this moment on have it. */
  readonly fromDay: number;
}

export interface CafeRow {
  readonly check: CafeCheck;
  readonly coffeeAt: number;
  readonly y: number;
  /** Columns that are not zero, shared ones after local ones, and their values. */
  readonly columns: readonly number[];
  readonly values: readonly number[];
  readonly dialVarianceSteps2: number;
}

export interface CafeRows {
  /** Rows of one visit each, oldest first. */
  readonly visits: readonly (readonly CafeRow[])[];
  readonly localSize: number;
  readonly slopeAt: number;
  readonly coffees: readonly string[];
  readonly sharedKeys: readonly SharedKey[];
}

/** A day's weather belongs to a region; batches and ageing (`day` null) belong to the whole field. */
export interface SharedKey {
  readonly name: string;
  readonly day: number | null;
  readonly isBatch: boolean;
}

export function batchColumn(of: Pick<CafeCheck, 'coffee' | 'batch'>): string {
  return `batch ${batchKey(of)}`;
}

/** What a café's coffee is compared with for as long as the field knows it. */
export interface CoffeeAtCafe {
  readonly reference: CafeTarget;
  /** The first dial seen. */
  readonly firstDial: number;
}

interface Asked {
  /** In order of time. */
  readonly checks: readonly CafeCheck[];
  readonly known: ReadonlyMap<string, CoffeeAtCafe>;
  readonly steps: readonly CafeStep[];
}

export function cafeRows({ checks, known, steps }: Asked): CafeRows {
  const coffees = [...new Set(checks.map(({ coffee }) => coffee))];
  const slopeAt = coffees.length;
  const localSize = slopeAt + 1 + steps.length;
  const places = new Map<string, number>();
  const sharedKeys: SharedKey[] = [];
  const columnOf = (name: string, day: number | null = null, isBatch = false): number => {
    let place = places.get(name);
    if (place === undefined) {
      place = localSize + sharedKeys.push({ name, day, isBatch }) - 1;
      places.set(name, place);
    }
    return place;
  };
  const dials = dialsOf(checks, known);
  const visits: CafeRow[][] = [];
  checks.forEach((check, i) => {
    const { coffee, visit } = check;
    const coffeeAt = coffees.indexOf(coffee);
    const { dial, varianceSteps2 } = dials[i]!;
    const { reference, firstDial } = known.get(coffee)!;
    const { y, day, age, names } = factsOf(check, reference);
    const columns = [coffeeAt, columnOf(names.day, day), columnOf(names.batch, null, true)];
    const values = [1, 1, 1];
    const add = (column: number, value: number) => {
      if (value === 0) return;
      columns.push(column);
      values.push(value);
    };
    add(slopeAt, dial - firstDial);
    add(columnOf(names.age), age);
    steps.forEach((step, k) => add(slopeAt + 1 + k, hasStep(step, check) ? 1 : 0));
    const row: CafeRow = {
      check,
      coffeeAt,
      y,
      columns,
      values,
      dialVarianceSteps2: varianceSteps2,
    };
    const last = visits.at(-1);
    if (last?.[0]?.check.visit === visit) last.push(row);
    else visits.push([row]);
  });
  return { visits, localSize, slopeAt, coffees, sharedKeys };
}

/** What of a check never changes. */
interface CheckFacts {
  readonly reference: CafeTarget;
  readonly y: number;
  readonly day: number;
  readonly age: number;
  readonly names: { readonly day: string; readonly batch: string; readonly age: string };
}

/** A check is fitted hundreds of times: its logarithms and names are worked out once. */
const facts = new WeakMap<CafeCheck, CheckFacts>();

function factsOf(check: CafeCheck, reference: CafeTarget): CheckFacts {
  const kept = facts.get(check);
  if (kept?.reference === reference) return kept;
  const day = Math.floor(check.atDay);
  const made = {
    reference,
    y: responseOf(check, reference),
    day,
    age: ageOffset(check),
    names: { day: `day ${day}`, batch: batchColumn(check), age: `age ${check.coffee}` },
  };
  facts.set(check, made);
  return made;
}

export function hasStep(
  { coffee, fromDay }: CafeStep,
  check: Pick<CafeCheck, 'coffee' | 'atDay'>,
): boolean {
  return check.atDay >= fromDay && (coffee === null || coffee === check.coffee);
}

function dialsOf(checks: readonly CafeCheck[], known: Asked['known']) {
  const placed = new Array<ReturnType<typeof placeDials>[number]>(checks.length);
  const byCoffee = groupBy(
    checks.map((check, i) => ({ check, i })),
    ({ check }) => check.coffee,
  );
  for (const [coffee, those] of byCoffee) {
    const dials = placeDials(
      those.map(({ check }) => check.dial),
      known.get(coffee)!.firstDial,
    );
    those.forEach(({ i }, k) => (placed[i] = dials[k]!));
  }
  return placed;
}
