/**
 * Runs the field model over a network as the application does, visit by visit, and writes down what it says: when each
 * planted fault was found, what was named after one, two and four days, what was said without cause, what was advised.
 */
import { habitSignal, HABIT } from '@/core/cafes/habits';
import { CafesModel } from '@/core/cafes/model';
import { nextAtCafe } from '@/core/cafes/nextAtCafe';
import { missedShare, SILENCE, silenceOdds } from '@/core/cafes/silence';
import { BATCH, batchContrast } from '@/core/cafes/acrossCafes';
import { INTERVAL_SDS } from '@/core/cafes/cafeRules';
import { chanceFrom } from '@/core/random';
import {
  HALF_WINDOW,
  OLD_YIELD_OFF_G,
  TARGET,
  type Fault,
  type FaultKind,
  type Network,
  type TrueBatch,
  type Visit,
} from './network';

/** What a way of watching says: with a coffee where it means one alone. */
export interface Said {
  readonly cafe: number | null;
  readonly kind: 'step' | 'dose' | 'yield' | 'silence' | 'batch';
  readonly coffee: string | null;
  readonly batch?: string;
  readonly atDay: number;
}

/** What is asked of any way of watching a network. */
export interface Watcher {
  readonly take: (visit: Visit) => readonly Said[];
  readonly newDay?: (atDay: number) => void;
  /** Probability of the component that a fault of this kind belongs to. */
  readonly chanceOf?: (fault: Fault) => number;
  readonly chanceOfBatch?: (batch: TrueBatch) => number;
  readonly advise?: (cafe: number, coffee: number) => Advised | null;
}

export interface Advised {
  readonly steps: number;
  readonly offLn: number;
  readonly sd: number;
}

export function fieldWatcher(network: Network, isPooled = true): Watcher {
  const { plan } = network;
  const models = Array.from({ length: isPooled ? 1 : plan.cafes }, () => new CafesModel());
  const modelOf = (cafe: number) => models[isPooled ? 0 : cafe]!;
  const habits = Array.from({ length: plan.cafes }, () => new Habits());
  const missed = Array.from({ length: plan.cafes }, () => new Missed());
  for (let i = 0; i < plan.cafes; i++)
    modelOf(i).addCafe({
      id: String(i),
      region: network.regionOf(i),
      checksADay: plan.checksADay,
    });
  const saidBatches = new Set<string>();
  let day = 0;
  return {
    // Once a day everything is fitted anew; the application does it at night.
    newDay: (atDay) => {
      if (Math.floor(atDay) === day) return;
      day = Math.floor(atDay);
      for (const model of models) model.refit(atDay);
    },
    take: ({ cafe, atDay, checks }) => {
      const said: Said[] = [];
      if (missed[cafe]!.add(checks !== null, atDay))
        said.push({ cafe, kind: 'silence', coffee: null, atDay });
      if (checks === null) return said;
      const model = modelOf(cafe);
      for (const alarm of model.addVisit(String(cafe), checks))
        if (alarm.state === 'open') said.push({ cafe, kind: 'step', coffee: alarm.coffee, atDay });
      for (const { kind, coffee } of habits[cafe]!.add(checks))
        said.push({ cafe, kind, coffee, atDay });
      if (isPooled)
        for (const { coffee, batch } of checks) {
          const before = network.batchOn(Number(coffee.split(' ')[1]), atDay).before;
          if (before === null || saidBatches.has(`${coffee} ${batch}`)) continue;
          const contrast = batchContrast(model, coffee, batch, before);
          if (contrast === null || contrast.probability < BATCH.opensAt) continue;
          saidBatches.add(`${coffee} ${batch}`);
          said.push({ cafe: null, kind: 'batch', coffee, batch: batch!, atDay });
        }
      return said;
    },
    chanceOf: ({ cafe, kind, coffee, fromDay }) => {
      if (kind === 'silence') return missed[cafe]!.chance();
      if (kind === 'dose') return habits[cafe]!.chance('dose', null, fromDay);
      if (kind === 'oldYield') return habits[cafe]!.chance('yield', `coffee ${coffee}`, fromDay);
      const model = modelOf(cafe);
      const alarm = model
        .alarms(String(cafe))
        .findLast((one) => one.state !== 'withdrawn' && one.openedDay > fromDay);
      if (alarm !== undefined) return alarm.coffee === null ? alarm.probability : 0;
      return model.signals(String(cafe)).find((signal) => signal.coffee === null)?.probability ?? 0;
    },
    chanceOfBatch: ({ coffee, name, before }) =>
      batchContrast(models[0]!, `coffee ${coffee}`, name, before)?.probability ?? 0,
    advise: (cafe, coffee) => {
      const next = nextAtCafe(modelOf(cafe), String(cafe), `coffee ${coffee}`, [
        -HALF_WINDOW,
        HALF_WINDOW,
      ]);
      return next === null ? null : { steps: next.move.steps, offLn: next.offLn, sd: next.sd };
    },
  };
}

const WINDOW_VISITS = 84;

class Habits {
  private readonly offs = new Map<string, { offG: number[]; days: number[]; isSaid: boolean }>();

  add(checks: NonNullable<Visit['checks']>): { kind: 'dose' | 'yield'; coffee: string | null }[] {
    const atDay = checks[0]!.atDay;
    const news = this.push(
      'dose',
      null,
      checks.map((c) => c.doseG - c.target.doseG),
      atDay,
    );
    const others = checks.map((c) =>
      this.push('yield', c.coffee, [c.yieldG - c.target.yieldG], atDay),
    );
    return [news, ...others].flatMap((one) => one ?? []);
  }

  chance(kind: 'dose' | 'yield', coffee: string | null, fromDay: number): number {
    const line = this.offs.get(`${kind} ${coffee ?? ''}`);
    if (line === undefined) return 0;
    const signal = signalOf(kind, line.offG);
    return signal !== null && line.days[signal.from]! > fromDay - 3 ? signal.probability : 0;
  }

  private push(kind: 'dose' | 'yield', coffee: string | null, offG: number[], atDay: number) {
    const name = `${kind} ${coffee ?? ''}`;
    const line = this.offs.get(name) ?? { offG: [], days: [], isSaid: false };
    this.offs.set(name, line);
    for (const off of offG) {
      line.offG.push(off);
      line.days.push(atDay);
    }
    const most = WINDOW_VISITS * offG.length;
    line.offG.splice(0, line.offG.length - most);
    line.days.splice(0, line.days.length - most);
    const isOn = (signalOf(kind, line.offG)?.probability ?? 0) >= HABIT_CHANCE && atDay > 14;
    const isNew = isOn && !line.isSaid;
    line.isSaid = isOn;
    return isNew ? { kind, coffee } : null;
  }
}

const HABIT_CHANCE = HABIT.opensAt / (1 + HABIT.opensAt);

function signalOf(kind: 'dose' | 'yield', offG: readonly number[]) {
  return habitSignal(offG, kind, kind === 'yield' ? OLD_YIELD_OFF_G : undefined);
}

class Missed {
  private readonly made: boolean[] = [];
  private inARow = 0;
  private isSaid = false;

  add(isMade: boolean, atDay: number): boolean {
    this.made.push(isMade);
    this.inARow = isMade ? 0 : this.inARow + 1;
    if (isMade) this.isSaid = false;
    if (this.isSaid || atDay < 14 || this.odds() <= SILENCE.opensAt) return false;
    this.isSaid = true;
    return true;
  }

  chance(): number {
    const odds = this.odds();
    return odds / (1 + odds);
  }

  private odds(): number {
    const before = this.made.slice(0, this.made.length - this.inARow);
    return silenceOdds(this.inARow, missedShare(before));
  }
}

export interface Found {
  readonly kind: FaultKind | 'batch';
  /** Checks of the café (rounds of the field, for a batch) until it was said; null: missed. */
  readonly checks: number | null;
  /** Was the right component at .5 or more after 1, 2 and 4 days? */
  readonly right: readonly boolean[];
}

export interface Outcome {
  readonly found: readonly Found[];
  readonly falsePer100CafeWeeks: number;
  readonly falseByKind: Readonly<Record<string, number>>;
  /** Of coffees truly outside ± 2 s: inside after the advice, and after the last shot's rule. */
  readonly broughtIn: number;
  readonly broughtInByHand: number;
  /** Of coffees truly inside: still inside after the advice. */
  readonly leftIn: number;
  readonly coverage: number;
  readonly msPerVisit: number;
}

const VERDICT_DAYS = [1, 2, 4];
/** An alarm this long after a fault began or was mended is no false one. */
const HAS_CAUSE_DAYS = 14;
const ADVICE_SHARE = 0.1;
const TRUE_BATCH_LN = 0.03;

interface Open {
  readonly of: Fault | TrueBatch;
  readonly kind: FaultKind | 'batch';
  checks: number;
  found: number | null;
  readonly right: boolean[];
}

/** Follows a network to its end with one way of watching it. */
export function follow(network: Network, watcher: Watcher): Outcome {
  const { plan } = network;
  const chance = chanceFrom(plan.seed + 77);
  const begun: Open[] = [];
  const ahead: Open[] = [
    ...network.faults.map((of) => ({ of, kind: of.kind, checks: 0, found: null, right: [] })),
    ...network.batches
      .filter(({ isBad }) => isBad)
      .map((of) => ({ of, kind: 'batch' as const, checks: 0, found: null, right: [] })),
  ].sort((a, b) => a.of.fromDay - b.of.fromDay);
  const falses: Record<string, number> = {};
  const advice = { out: 0, brought: 0, byHand: 0, in: 0, left: 0, covered: 0, asked: 0 };
  let ms = 0;
  let visits = 0;
  for (const visit of network.visits()) {
    const { cafe, atDay, checks } = visit;
    while (ahead[0] !== undefined && ahead[0].of.fromDay <= atDay) begun.push(ahead.shift()!);
    for (const open of begun) askVerdict(open, atDay, watcher);
    watcher.newDay?.(atDay);
    const start = performance.now();
    const said = watcher.take(visit);
    ms += performance.now() - start;
    visits += 1;
    for (const open of begun) {
      if (open.found !== null || isOver(open, atDay)) continue;
      const isOwn = open.kind === 'batch' ? cafe === 0 : (open.of as Fault).cafe === cafe;
      const counts = open.kind === 'silence' || open.kind === 'batch' || checks !== null;
      if (isOwn && counts) open.checks += 1;
      if (said.some((one) => names(one, open))) open.found = Math.max(1, open.checks);
    }
    for (const one of said)
      if (!hasCause(one, network)) falses[one.kind] = (falses[one.kind] ?? 0) + 1;
    if (checks !== null && atDay > 21 && watcher.advise && chance.isWithin(ADVICE_SHARE))
      for (const check of checks) judgeAdvice(Number(check.coffee.split(' ')[1]));

    function judgeAdvice(coffee: number) {
      const advised = watcher.advise!(cafe, coffee);
      if (advised === null) return;
      // The bar may have moved its dial after the check; the advice speaks of the check's.
      const moved = network.movedSince(cafe, coffee);
      const off = network.offLn(cafe, coffee, atDay, -moved);
      const after = network.offLn(cafe, coffee, atDay, advised.steps - moved);
      const lastShot = Math.log(checks![coffee]!.timeS / TARGET.timeS);
      const byHand = network.offLn(cafe, coffee, atDay, Math.round(lastShot / 0.1) - moved);
      const isIn = (ln: number) => Math.abs(ln) <= HALF_WINDOW;
      advice.asked += 1;
      if (Math.abs(advised.offLn - off) <= INTERVAL_SDS * advised.sd) advice.covered += 1;
      if (isIn(off)) {
        advice.in += 1;
        if (isIn(after)) advice.left += 1;
      } else {
        advice.out += 1;
        if (isIn(after)) advice.brought += 1;
        if (isIn(byHand)) advice.byHand += 1;
      }
    }
  }
  const weeks = (plan.cafes * (plan.days - 14)) / 7;
  const total = Object.values(falses).reduce((a, b) => a + b, 0);
  return {
    found: begun
      .filter(({ of }) => of.fromDay < plan.days - 7)
      .map(({ kind, found, right }) => ({ kind, checks: found, right })),
    falsePer100CafeWeeks: (100 * total) / weeks,
    falseByKind: Object.fromEntries(
      Object.entries(falses).map(([kind, count]) => [kind, (100 * count) / weeks]),
    ),
    broughtIn: advice.brought / advice.out,
    broughtInByHand: advice.byHand / advice.out,
    leftIn: advice.left / advice.in,
    coverage: advice.covered / advice.asked,
    msPerVisit: ms / visits,
  };
}

function isOver({ of, kind, checks }: Open, atDay: number): boolean {
  return kind === 'batch' ? checks > 60 : atDay >= (of as Fault).toDay;
}

/** Asked just before the first visit after each of the days has passed. */
function askVerdict(open: Open, atDay: number, watcher: Watcher): void {
  const due = VERDICT_DAYS[open.right.length];
  if (due === undefined || atDay < open.of.fromDay + due || !watcher.chanceOf) return;
  const p =
    open.kind === 'batch'
      ? watcher.chanceOfBatch!(open.of as TrueBatch)
      : watcher.chanceOf(open.of as Fault);
  open.right.push(p >= 0.5);
}

const SAYS: Readonly<Record<FaultKind, Said['kind']>> = {
  grinder: 'step',
  machine: 'step',
  scale: 'step',
  dose: 'dose',
  oldYield: 'yield',
  silence: 'silence',
};

function names(said: Said, { of, kind }: Open): boolean {
  if (kind === 'batch') {
    const { coffee, name } = of as TrueBatch;
    return said.kind === 'batch' && said.coffee === `coffee ${coffee}` && said.batch === name;
  }
  const fault = of as Fault;
  const isCoffee = kind !== 'oldYield' || said.coffee === `coffee ${fault.coffee}`;
  return said.cafe === fault.cafe && said.kind === SAYS[kind] && isCoffee;
}

function hasCause(said: Said, network: Network): boolean {
  if (said.kind === 'batch') {
    const batch = network.batches.find(
      ({ coffee, name }) => said.coffee === `coffee ${coffee}` && said.batch === name,
    )!;
    const before = network.batches.find(
      ({ coffee, name }) => coffee === batch.coffee && name === batch.before,
    );
    return before === undefined || Math.abs(batch.beta - before.beta) >= TRUE_BATCH_LN;
  }
  return network.faults.some(
    ({ cafe, kind, fromDay, toDay }) =>
      cafe === said.cafe &&
      SAYS[kind] === said.kind &&
      [fromDay, toDay].some((day) => said.atDay >= day && said.atDay < day + HAS_CAUSE_DAYS),
  );
}
