/**
 * Simpler ways of watching a network, for comparison. Each looks at one café by itself: its coffees' times with dose,
 * yield and the house's ageing taken out, against what they were while it was learnt. A change of the dial is not known
 * to them, as on a chart that is kept by hand.
 */
import { responseOf, type CafeCheck } from '@/core/cafes/check';
import { TARGET } from './network';
import type { Said, Watcher } from './watch';

const LEARNING_VISITS = 40;
/** After an alarm a chart is begun anew. */
const QUIET_VISITS = 9;

interface Line {
  readonly learnt: number[];
  quiet: number;
  ewma: number;
}

/** A chart of each café: the mean of its coffees, learnt over the first visits and after every alarm. */
function chart(judge: (line: Line, value: number, mean: number, sd: number) => boolean): Watcher {
  const lines = new Map<number, Line>();
  return {
    take: ({ cafe, atDay, checks }) => {
      if (checks === null) return [];
      const line = lines.get(cafe) ?? { learnt: [], quiet: 0, ewma: 0 };
      lines.set(cafe, line);
      const value = meanOf(checks);
      if (line.quiet > 0) line.quiet -= 1;
      if (line.learnt.length < LEARNING_VISITS) {
        line.learnt.push(value);
        return [];
      }
      const { mean, sd } = momentsOf(line.learnt);
      if (!judge(line, value, mean, sd) || line.quiet > 0) return [];
      line.learnt.splice(0, line.learnt.length - QUIET_VISITS);
      line.quiet = QUIET_VISITS;
      line.ewma = 0;
      const said: Said = { cafe, kind: 'step', coffee: null, atDay };
      return [said];
    },
  };
}

const meanOf = (checks: readonly CafeCheck[]) =>
  checks.reduce((sum, check) => sum + responseOf(check, TARGET), 0) / checks.length;

function momentsOf(values: readonly number[]) {
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  const squares = values.reduce((sum, value) => sum + (value - mean) ** 2, 0);
  return { mean, sd: Math.sqrt(squares / (values.length - 1)) };
}

/** Three standard deviations from the mean (published: Shewhart). */
export const threeSigma = () => chart((_, value, mean, sd) => Math.abs(value - mean) > 3 * sd);

const WEIGHT = 0.2;

/** Exponentially weighted mean, limits at three of its standard deviations (published: Roberts). */
export const ewma = () =>
  chart((line, value, mean, sd) => {
    line.ewma = (1 - WEIGHT) * line.ewma + WEIGHT * (value - mean);
    return Math.abs(line.ewma) > 3 * sd * Math.sqrt(WEIGHT / (2 - WEIGHT));
  });
