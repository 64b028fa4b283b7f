/** `bench field`: the field model on simulated networks, beside simpler ways of watching one. */
import type { Measure } from '../measure';
import type { CafeCheck } from '@/core/cafes/check';
import { CafesModel } from '@/core/cafes/model';
import { FAULTS, Network, type NetworkPlan, type Visit } from './network';
import { ewma, threeSigma } from './rivals';
import { fieldWatcher, follow, type Found, type Outcome, type Watcher } from './watch';

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
  '200 cafés': { cafes: 200, days: 60, seed: 5, daysBetweenFaults: 20 },
  'noise × 2': { noiseSd: 0.12, days: 180, seed: 6 },
};

/** Other ways to watch the same network: only what they can say is measured of them. */
const RIVALS: Readonly<Record<string, (network: Network) => Watcher>> = {
  'no pooling': (network) => fieldWatcher(network, false),
  'three sigma': threeSigma,
  EWMA: ewma,
};

export function benchField(): Measure[] {
  const rivals = Object.entries(RIVALS).flatMap(([name, rival]) => {
    const network = new Network({ ...USUAL, days: 120 });
    const { found, falseByKind } = follow(network, rival(network));
    const those = found.filter(({ kind }) => kind === 'grinder');
    return [
      line(name, 'grinder: checks to detection, median', quantile(those, 0.5), 'checks'),
      line(name, 'grinder: checks to detection, 90th', quantile(those, 0.9), 'checks'),
      line(name, 'false alarms of steps', falseByKind.step ?? 0, 'per 100 café-weeks'),
    ];
  });
  const cases = Object.entries(CASES).flatMap(([name, change]) => {
    const network = new Network({ ...USUAL, ...change });
    return measuresOf(name, follow(network, fieldWatcher(network)));
  });
  return [...cases, ...rivals, ...benchThousand()];
}

const THOUSAND: NetworkPlan = { ...USUAL, seed: 7, cafes: 1000, days: 16, daysBetweenFaults: 0 };
const MEASURED_VISITS = 400;

/** What one check costs a house of a thousand cafés that have sent theirs for two weeks. */
function benchThousand(): Measure[] {
  const network = new Network(THOUSAND);
  const model = new CafesModel();
  for (let i = 0; i < THOUSAND.cafes; i++)
    model.addCafe({ id: String(i), region: network.regionOf(i), checksADay: 3 });
  const lastDay = THOUSAND.days - 1;
  const known = new Map<number, CafeCheck[]>();
  const fresh: Visit[] = [];
  for (const visit of network.visits()) {
    if (visit.checks === null) continue;
    if (visit.atDay >= lastDay) fresh.push(visit);
    else known.set(visit.cafe, [...(known.get(visit.cafe) ?? []), ...visit.checks]);
  }
  for (const [cafe, checks] of known) model.remember(String(cafe), checks);
  const refitStart = performance.now();
  model.refit(lastDay);
  const refitMs = performance.now() - refitStart;
  const measured = fresh.slice(0, MEASURED_VISITS);
  const start = performance.now();
  for (const { cafe, checks } of measured) model.addVisit(String(cafe), checks!);
  return [
    line('1,000 cafés', 'time of one check', (performance.now() - start) / measured.length, 'ms'),
    line('1,000 cafés', 'the whole field anew, once a day', refitMs, 'ms'),
  ];
}

function line(name: string, metric: string, value: number, unit: string): Measure {
  return { part: 'field', case: name, metric, value, unit };
}

function measuresOf(name: string, outcome: Outcome): Measure[] {
  const byKind = [...FAULTS, 'batch' as const].flatMap((kind) => {
    const those = outcome.found.filter((one) => one.kind === kind);
    if (those.length === 0) return [];
    return [
      line(name, `${kind}: checks to detection, median`, quantile(those, 0.5), 'checks'),
      line(name, `${kind}: checks to detection, 90th`, quantile(those, 0.9), 'checks'),
      line(
        name,
        `${kind}: missed`,
        those.filter(({ checks }) => checks === null).length / those.length,
        'share',
      ),
      ...[1, 2, 4].map((days, i) =>
        line(
          name,
          `${kind}: right after ${days} d`,
          shareRight(those, i),
          `share of ${those.length}`,
        ),
      ),
    ];
  });
  return [
    ...byKind,
    line(name, 'false alarms', outcome.falsePer100CafeWeeks, 'per 100 café-weeks'),
    ...Object.entries(outcome.falseByKind).map(([kind, value]) =>
      line(name, `of these ${kind}`, value, 'per 100 café-weeks'),
    ),
    line(name, 'advice brings inside ± 2 s', outcome.broughtIn, 'share'),
    line(name, "last shot's rule brings inside", outcome.broughtInByHand, 'share'),
    line(name, 'advice leaves inside', outcome.leftIn, 'share'),
    line(name, 'coverage of 80 % intervals', outcome.coverage, 'share'),
    line(name, 'time of one check', outcome.msPerVisit, 'ms'),
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
