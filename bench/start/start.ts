/**
 * `npm run bench -- start`: how far the first recipe is from what a house would publish in the end, on
 * simulated houses, against what a house could do instead; how often the 80 % interval holds it; and
 * how long learning takes. The figures of docs/model.md come from here.
 */
import { learn, type PastRelease } from '@/core/start/fit';
import { proposeFrom } from '@/core/start/propose';
import { DEFAULT_HALF_LIFE, recencyWeight } from '@/core/start/recency';
import type { Measure } from '../measure';
import { JUDGED, RIVALS, type Judged } from './rivals';
import { KINDS, simulateHouse, type HouseKind } from './simulatedHouse';

const HOUSES_PER_KIND = 34;
const SIZES = [0, 5, 20, 100] as const;
/** Coffees asked of each house at each size. */
const ASKED = 20;

const UNITS: Record<Judged, string> = { lnRatio: 'ln', temperatureC: '°C' };

/** Sums of squared errors and hits of one case. */
class Tally {
  private readonly squares: Record<string, number> = {};
  private readonly counts: Record<string, number> = {};
  add(key: string, value: number): void {
    this.squares[key] = (this.squares[key] ?? 0) + value;
    this.counts[key] = (this.counts[key] ?? 0) + 1;
  }
  mean(key: string): number {
    return this.squares[key]! / this.counts[key]!;
  }
}

export async function benchStart(): Promise<Measure[]> {
  const measures: Measure[] = [];
  const overall = new Tally();
  for (const kind of KINDS) {
    const own = new Tally();
    for (let house = 0; house < HOUSES_PER_KIND; house++) judgeHouse(kind, house, [own, overall]);
    measures.push(...tableOf(`${kind} houses`, own));
  }
  measures.push(...tableOf('all houses', overall), ...timings());
  return Promise.resolve(measures);
}

function judgeHouse(kind: HouseKind, house: number, tallies: readonly Tally[]): void {
  const { next } = simulateHouse(kind, 1000 * KINDS.indexOf(kind) + house + 1);
  const coffees = Array.from({ length: Math.max(...SIZES) }, next);
  const asked = Array.from({ length: ASKED }, next);
  for (const n of SIZES) {
    // Newest last, as they were published.
    const history = coffees.slice(0, n);
    const fading = history.map((past, i) => ({
      ...past,
      weight: recencyWeight(n - 1 - i, DEFAULT_HALF_LIFE),
    }));
    const models = { model: learn(history, 'both'), 'model, half-life 50': learn(fading, 'both') };
    for (const coffee of asked) {
      for (const output of JUDGED) {
        const truth = valueOf(coffee, output);
        const error = (name: string, value: number) =>
          tallies.forEach((tally) => tally.add(`${name} ${output} ${n}`, (value - truth) ** 2));
        for (const [name, rival] of Object.entries(RIVALS))
          error(name, rival(history, coffee, output));
        for (const [name, model] of Object.entries(models)) {
          const { mean, halfWidth80 } = proposeFrom(model, coffee);
          error(name, mean[output]);
          const isInside = Math.abs(truth - mean[output]) <= halfWidth80[output];
          tallies.forEach((tally) => tally.add(`${name} inside ${output} ${n}`, Number(isInside)));
        }
      }
    }
  }
}

function valueOf({ recipe }: PastRelease, output: Judged): number {
  return output === 'lnRatio' ? Math.log(recipe.ratio) : recipe.temperatureC!;
}

function tableOf(houses: string, tally: Tally): Measure[] {
  const line = (name: string, metric: string, value: number, unit: string): Measure => ({
    part: 'start',
    case: `${houses}, ${name}`,
    metric,
    value,
    unit,
  });
  return SIZES.flatMap((n) =>
    JUDGED.flatMap((output) => [
      ...[...Object.keys(RIVALS), 'model', 'model, half-life 50'].map((name) =>
        line(
          name,
          `rms error of ${output}, n ${n}`,
          Math.sqrt(tally.mean(`${name} ${output} ${n}`)),
          UNITS[output],
        ),
      ),
      ...['model', 'model, half-life 50'].map((name) =>
        line(
          name,
          `share inside 80 % of ${output}, n ${n}`,
          tally.mean(`${name} inside ${output} ${n}`),
          '',
        ),
      ),
    ]),
  );
}

const RUNS = 7;

/** Median of a few runs, after one to warm up. */
function medianMs(run: () => void): number {
  run();
  const times = Array.from({ length: RUNS }, () => {
    const begin = performance.now();
    run();
    return performance.now() - begin;
  });
  return times.sort((a, b) => a - b)[Math.floor(RUNS / 2)]!;
}

function timings(): Measure[] {
  const { next } = simulateHouse('rules', 7);
  return [20, 1000].flatMap((n) => {
    const history = Array.from({ length: n }, next);
    const model = learn(history, 'both');
    const question = next();
    const line = (metric: string, value: number): Measure => ({
      part: 'start',
      case: `${n} releases × 5 outputs`,
      metric,
      value,
      unit: 'ms',
    });
    return [
      line(
        'learn, with trust averaging',
        medianMs(() => learn(history, 'both')),
      ),
      line(
        'propose from a learnt model, with evidence',
        medianMs(() => proposeFrom(model, question)),
      ),
    ];
  });
}
