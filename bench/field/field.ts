/** `bench field`: the field model on simulated networks, beside simpler ways of watching one. */
import type { Measure } from '../measure';
import { FAULTS, Network, type NetworkPlan } from './network';
import { fieldWatcher, follow, type Found, type Outcome } from './watch';

const USUAL: NetworkPlan = {
  seed: 1,
  cafes: 20,
  days: 365,
  checksADay: 3,
  dialMissing: 0,
  noiseSd: 0.06,
  daysBetweenFaults: 45,
};

const CASES: Readonly<Record<string, Partial<NetworkPlan>>> = {
  '20 cafés': {},
  'dial missing in 30 %': { dialMissing: 0.3, days: 180, seed: 2 },
  'once a day': { checksADay: 1, seed: 3 },
  '3 cafés': { cafes: 3, seed: 4 },
  '200 cafés': { cafes: 200, days: 75, seed: 5 },
  'noise × 2': { noiseSd: 0.12, days: 180, seed: 6 },
};

export function benchField(): Measure[] {
  return Object.entries(CASES).flatMap(([name, change]) => {
    const network = new Network({ ...USUAL, ...change });
    return measuresOf(name, follow(network, fieldWatcher(network)));
  });
}

export function measuresOf(name: string, outcome: Outcome): Measure[] {
  const line = (metric: string, value: number, unit: string): Measure => ({
    part: 'field',
    case: name,
    metric,
    value,
    unit,
  });
  const byKind = [...FAULTS, 'batch' as const].flatMap((kind) => {
    const those = outcome.found.filter((one) => one.kind === kind);
    if (those.length === 0) return [];
    return [
      line(`${kind}: checks to detection, median`, quantile(those, 0.5), 'checks'),
      line(`${kind}: checks to detection, 90th`, quantile(those, 0.9), 'checks'),
      line(
        `${kind}: missed`,
        those.filter(({ checks }) => checks === null).length / those.length,
        'share',
      ),
      ...[1, 2, 4].map((days, i) =>
        line(`${kind}: right after ${days} d`, shareRight(those, i), `share of ${those.length}`),
      ),
    ];
  });
  return [
    ...byKind,
    line('false alarms', outcome.falsePer100CafeWeeks, 'per 100 café-weeks'),
    ...Object.entries(outcome.falseByKind).map(([kind, value]) =>
      line(`of these ${kind}`, value, 'per 100 café-weeks'),
    ),
    line('advice brings inside ± 2 s', outcome.broughtIn, 'share'),
    line("last shot's rule brings inside", outcome.broughtInByHand, 'share'),
    line('advice leaves inside', outcome.leftIn, 'share'),
    line('coverage of 80 % intervals', outcome.coverage, 'share'),
    line('time of one check', outcome.msPerVisit, 'ms'),
  ];
}

/** Missed ones count as later than any. */
function quantile(those: readonly Found[], share: number): number {
  const sorted = those.map(({ checks }) => checks ?? Infinity).sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]!;
}

function shareRight(those: readonly Found[], i: number): number {
  const asked = those.filter(({ right }) => right[i] !== undefined);
  return asked.filter(({ right }) => right[i]).length / asked.length;
}
