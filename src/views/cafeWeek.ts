/** The week of the field on one page: what was checked, what drifts, which recipes forgive, three things to do. Server only. */
import { checkState } from '@/core/cafes/checkState';
import { spreadOfCafes, type CafeSpread } from '@/core/cafes/spread';
import { groupBy } from '@/core/groupBy';
import type { Db } from '@/data/database';
import type { StoredCheck } from '@/data/cafeChecks';
import { listSettled } from '@/data/cafesLearnt';
import type { House } from '@/data/house';
import { openHelp } from '@/data/cafeChecks';
import { now } from '@/data/rows';
import { readCafesNow, signalViews, type SignalView } from './cafes';

export interface WeekCoffee {
  readonly releaseId: string;
  readonly name: string;
  readonly checks: number;
  readonly insidePct: number;
  /** Tasted fine though dose, yield or time was off, of those tasted while off; null under five. */
  readonly forgivesPct: number | null;
}

export interface WeekView {
  readonly from: string;
  readonly to: string;
  readonly checks: number;
  readonly inside: number;
  readonly cafes: number;
  readonly drifting: readonly SignalView[];
  readonly answered: number;
  readonly coffees: readonly WeekCoffee[];
  readonly dose: CafeSpread;
  readonly yield: CafeSpread;
  readonly toDo: readonly string[];
}

const WEEK_MS = 7 * 86_400_000;
const LEAST_TASTED = 5;
const MOST_TO_DO = 3;

export function readCafeWeek(db: Db, house: House): WeekView {
  const reading = readCafesNow(db, house);
  const { state, checks, names } = reading;
  const from = new Date(Date.parse(now()) - WEEK_MS).toISOString();
  const all = state.partners.flatMap(({ id }) => checks(id));
  const week = all.filter(({ visitedAt }) => visitedAt > from);
  const signals = signalViews(db, reading);
  const drifting = signals.filter(({ settled }) => settled === null);
  const coffees = [...groupBy(all, ({ releaseId }) => releaseId)].map(([releaseId, own]) =>
    weekCoffee(releaseId, names.coffee(releaseId), own, from),
  );
  const byCafe = [...groupBy(all, ({ partnerId }) => partnerId).values()];
  return {
    from,
    to: now(),
    checks: week.length,
    inside: week.filter((check) => checkState(check) === 'inside').length,
    cafes: new Set(week.map(({ partnerId }) => partnerId)).size,
    drifting,
    answered: listSettled(db).filter(({ settledAt }) => settledAt >= from).length,
    coffees: coffees.sort((a, b) => b.insidePct - a.insidePct),
    dose: spreadOfCafes(
      byCafe.map((own) => own.map(({ doseG, target }) => doseG - target.doseG)),
      'dose',
    ),
    yield: spreadOfCafes(
      byCafe.map((own) => own.map(({ yieldG, target }) => yieldG - target.yieldG)),
      'yield',
    ),
    toDo: toDo(db, names.cafe, drifting, coffees),
  };
}

function weekCoffee(
  releaseId: string,
  name: string,
  own: readonly StoredCheck[],
  from: string,
): WeekCoffee {
  const week = own.filter(({ visitedAt }) => visitedAt > from);
  const inside = week.filter((check) => checkState(check) === 'inside').length;
  const off = own.filter(
    (check) => check.taste !== undefined && !['inside', 'taste'].includes(checkState(check)),
  );
  const fine = off.filter(({ taste }) => taste === 'fine').length;
  return {
    releaseId,
    name,
    checks: week.length,
    insidePct: week.length === 0 ? 0 : (100 * inside) / week.length,
    forgivesPct: off.length < LEAST_TASTED ? null : (100 * fine) / off.length,
  };
}

/** Calls for help first, then the surest signals, then the recipe that is missed most. */
function toDo(
  db: Db,
  cafeName: (id: string) => string,
  drifting: readonly SignalView[],
  coffees: readonly WeekCoffee[],
): string[] {
  const calls = openHelp(db).map(
    ({ partnerId, help }) => `Answer ${cafeName(partnerId)}: “${help}”`,
  );
  const signals = drifting
    .filter(({ kind }) => kind !== 'weather')
    .map(({ title, kind }) => (kind === 'silence' ? `Call: ${title}.` : `Answer: ${title}.`));
  const worst = coffees.filter(({ checks }) => checks >= 10).at(-1);
  const recipe =
    worst !== undefined && worst.insidePct < 60
      ? [
          `Look at the recipe of ${worst.name}: ${Math.round(worst.insidePct)} of 100 checks were inside.`,
        ]
      : [];
  return [...calls, ...signals, ...recipe].slice(0, MOST_TO_DO);
}
