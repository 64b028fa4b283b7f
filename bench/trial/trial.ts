/**
 * `npm run bench -- trial`: how many points under its best a coffee is left, after so many recipes were tasted by
 * two people, in made-up houses (cases.ts); some 30 minutes on two cores.
 */
import { execFile } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { availableParallelism } from 'node:os';
import { promisify } from 'node:util';
import type { Measure } from '../measure';
import type { Tally } from './cases';

const HALF = fileURLToPath(new URL('./half.ts', import.meta.url));
const MOST_BYTES = 50_000_000;

export async function benchTrial(): Promise<Measure[]> {
  const parts = availableParallelism();
  const printed = await Promise.all(
    Array.from({ length: parts }, (_, part) =>
      promisify(execFile)(
        process.execPath,
        [...process.execArgv, HALF, String(part), String(parts)],
        { maxBuffer: MOST_BYTES },
      ),
    ),
  );
  const all = new Map<string, Tally>();
  for (const tally of printed.flatMap(({ stdout }) => JSON.parse(stdout) as Tally[])) {
    const key = `${tally.case} ${tally.metric}`;
    const known = all.get(key);
    all.set(
      key,
      known ? { ...tally, sum: known.sum + tally.sum, count: known.count + tally.count } : tally,
    );
  }
  return [...all.values()].map(({ case: name, metric, sum, count }) => ({
    part: 'trial',
    case: name,
    metric,
    value: sum / count,
    unit: /^(expected )?left/.test(metric) ? 'points' : '',
  }));
}
