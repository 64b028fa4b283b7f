/**
 * One linear model of all cafés, kept between checks: a visit renews its own café, its region and the columns of the
 * whole field; `refit` renews everything and forgets what is older than the window. Intervals of a café's level are
 * 1.44 sd (simulated). No clock: moments come with the checks.
 */
import { groupBy } from '../groupBy';
import {
  ALARM,
  alarmsInWindow,
  judged,
  opening,
  withRoom,
  type CafeAlarm,
  type CafeVisit,
} from './alarms';
import { cafeBlock, rowWeight, type CafeBlock, type CafeNoise, type SlopePrior } from './block';
import { fitCafe, type CafeFit } from './cafeFit';
import type { CafeCheck } from './check';
import type { Dense } from './dense';
import { stepSignals, type StepSignal } from './evidence';
import { CAFE_RULES } from './cafeRules';
import { learntShotSd, learntVisitSd, noiseSums, NO_NOISE, type NoiseSums } from './noise';
import { cafeRows, type CafeRows, type CoffeeAtCafe, type SharedKey } from './rows';
import type { GlobalFit, RegionFit, RegionSums, SharedPart } from './shared';
import { SharedFit } from './sharedFit';
import { rowVariance } from './uncertainty';

export interface ModelCafe {
  readonly id: string;
  /** Cafés of one region share their weather. */
  readonly region: string;
  readonly checksADay: number;
  /** ln time a step of its grinder, where known. */
  readonly slope?: SlopePrior;
  /** Its dial turns freely. */
  readonly isStepless?: boolean;
}

/** What was known of a café when the model was last put away. */
export interface CafeBefore {
  readonly alarms?: readonly CafeAlarm[];
  readonly taught?: LearntSlope;
}

/** What full windows of checks have taught of a café's grinder. */
export interface LearntSlope extends SlopePrior {
  readonly sinceDay: number;
  readonly firstDay: number;
}

/** What a fit says of one café. */
export interface FittedCafe {
  readonly rows: CafeRows;
  readonly block: CafeBlock;
  readonly fit: CafeFit;
  readonly covariance: Dense;
}

interface State {
  readonly cafe: ModelCafe;
  checks: CafeCheck[];
  readonly known: Map<string, CoffeeAtCafe>;
  alarms: CafeAlarm[];
  signals: StepSignal[];
  slope: SlopePrior;
  /** As it is believed now. */
  slopeMean: number;
  slopeDay: number | null;
  firstDay: number | null;
  shotSd: number;
  sums: NoiseSums;
  /** What the last fit left of each row; null of a new one. */
  left: readonly (readonly (number | null)[])[];
  /** Of the shared columns, as long as these rows and this solution stand. */
  covariance: {
    readonly known: { readonly rows: CafeRows; readonly solution: GlobalFit };
    readonly value: Dense;
  } | null;
  rows: CafeRows | null;
  block: CafeBlock | null;
  fit: CafeFit | null;
}

export class CafesModel {
  private readonly states = new Map<string, State>();
  private readonly shared = new SharedFit();
  private visitSd: number = CAFE_RULES.visit.sd;

  addCafe(cafe: ModelCafe, before: CafeBefore = {}): void {
    const { mean, sd } = before.taught ?? cafe.slope ?? CAFE_RULES.slope;
    const slope = { mean, sd };
    this.states.set(cafe.id, {
      cafe,
      checks: [],
      known: new Map(),
      alarms: [...(before.alarms ?? [])],
      signals: [],
      slope,
      slopeMean: slope.mean,
      slopeDay: before.taught?.sinceDay ?? null,
      firstDay: before.taught?.firstDay ?? null,
      shotSd: CAFE_RULES.noise.sd,
      sums: NO_NOISE,
      left: [],
      covariance: null,
      rows: null,
      block: null,
      fit: null,
    });
  }

  /** Takes in checks without judging them: for what is already known when the model is made. */
  remember(cafeId: string, checks: readonly CafeCheck[]): void {
    const state = this.state(cafeId);
    state.checks = [...state.checks, ...checks].sort((a, b) => a.atDay - b.atDay);
    for (const { coffee, target, dial } of state.checks) {
      const seen = state.known.get(coffee);
      if (seen === undefined || (Number.isNaN(seen.firstDial) && dial !== null))
        state.known.set(coffee, { reference: seen?.reference ?? target, firstDial: dial ?? NaN });
    }
    for (const [coffee, seen] of state.known)
      if (Number.isNaN(seen.firstDial)) state.known.set(coffee, { ...seen, firstDial: 0 });
    state.firstDay ??= state.checks[0]?.atDay ?? null;
    state.slopeDay ??= state.firstDay;
  }

  /** Takes in the checks of one visit and says what that opened, withdrew or kept. */
  addVisit(cafeId: string, checks: readonly CafeCheck[]): CafeAlarm[] {
    if (checks.length === 0) return [];
    this.remember(cafeId, checks);
    const state = this.state(cafeId);
    const nowDay = state.checks.at(-1)!.atDay;
    state.checks = state.checks.filter(({ atDay }) => atDay >= nowDay - CAFE_RULES.windowDays);
    const others = this.fitOne(state);
    this.passSlopeOn(state, nowDay);
    const news = this.judge(state, nowDay, others);
    this.measureSteps(state);
    return news.map((told) => state.alarms.find((one) => one.openedDay === told.openedDay) ?? told);
  }

  /** Fits all cafés anew on the days up to `nowDay`. Opens and withdraws nothing. */
  refit(nowDay: number): void {
    const used = [...this.states.values()];
    for (const state of used) {
      state.checks = state.checks.filter(({ atDay }) => atDay >= nowDay - CAFE_RULES.windowDays);
      this.setRows(state);
    }
    for (let pass = 0; pass < CAFE_RULES.passes; pass++) {
      for (const state of used) this.weigh(state);
      this.shared.renew(this.partsByRegion());
      for (const state of used) this.settle(state);
      this.learnVisits();
    }
    for (const state of used) this.measureSteps(state);
    for (const state of used)
      if (state.rows !== null && state.checks.length > 0)
        state.signals = stepSignals(this.question(state, state.rows, state.block!, state.fit!));
  }

  cafe(cafeId: string): ModelCafe {
    return this.state(cafeId).cafe;
  }

  alarms(cafeId: string): readonly CafeAlarm[] {
    return this.state(cafeId).alarms;
  }

  /** Chances of a change by kind that no alarm has taken up yet. */
  signals(cafeId: string): readonly StepSignal[] {
    return this.state(cafeId).signals;
  }

  /** Null before a café has sent anything. */
  fitted(cafeId: string): FittedCafe | null {
    const state = this.state(cafeId);
    const { rows, block, fit } = state;
    if (rows === null || block === null || fit === null) return null;
    return { rows, block, fit, covariance: this.covarianceOf(state) };
  }

  noise(cafeId: string): CafeNoise {
    return { shotSd: this.state(cafeId).shotSd, visitSd: this.visitSd };
  }

  slope(cafeId: string): SlopePrior {
    const state = this.state(cafeId);
    const { rows, block, fit } = state;
    if (rows === null || block === null || fit === null) return state.slope;
    const x = { columns: [rows.slopeAt], values: [1] };
    const variance = rowVariance(x, block, this.covarianceOf(state));
    return { mean: fit.effects[rows.slopeAt]!, sd: Math.sqrt(variance) };
  }

  /** Null before the café has sent anything. */
  taught(cafeId: string): LearntSlope | null {
    const { slope, slopeDay, firstDay } = this.state(cafeId);
    if (slopeDay === null || firstDay === null) return null;
    return { ...slope, sinceDay: slopeDay, firstDay };
  }

  known(cafeId: string, coffee: string): CoffeeAtCafe | null {
    return this.state(cafeId).known.get(coffee) ?? null;
  }

  /** Means and covariance of the columns of the whole field: batches and ageing. */
  wholeField(): { readonly keys: readonly SharedKey[]; readonly fit: GlobalFit } | null {
    const fit = this.shared.solution;
    return fit === null ? null : { keys: this.shared.keys, fit };
  }

  region(region: string): { readonly fit: RegionFit; readonly globals: GlobalFit } | null {
    const fit = this.shared.region(region);
    const globals = this.shared.solution;
    return fit === null || globals === null ? null : { fit, globals };
  }

  private state(cafeId: string): State {
    const state = this.states.get(cafeId);
    if (state === undefined) throw new RangeError(`No café ${cafeId} in the field.`);
    return state;
  }

  /** What the other cafés of its region say does not change while one is fitted. */
  private fitOne(state: State): RegionSums {
    const { region } = state.cafe;
    const before = partOf(state);
    this.setRows(state);
    const others = this.shared.othersOf(region, {
      keys: state.rows!.sharedKeys,
      before,
      others: this.partsOf(region, state),
    });
    for (let pass = 0; pass < CAFE_RULES.passes; pass++) {
      this.weigh(state);
      this.shared.fit(region, others, partOf(state)!);
      this.settle(state);
      this.learnVisits();
    }
    return others;
  }

  private partsOf(region: string, without?: State): SharedPart[] {
    return [...this.states.values()].flatMap((state) =>
      state === without || state.cafe.region !== region ? [] : (partOf(state) ?? []),
    );
  }

  private partsByRegion(): Map<string, SharedPart[]> {
    const regions = new Set([...this.states.values()].map(({ cafe }) => cafe.region));
    const parts = [...regions].map((region) => [region, this.partsOf(region)] as const);
    return new Map(parts.filter(([, own]) => own.length > 0));
  }

  private learnVisits(): void {
    this.visitSd = learntVisitSd([...this.states.values()].map(({ sums }) => sums));
  }

  private setRows(state: State): void {
    const { checks, known, rows: before, fit } = state;
    const residuals = new Map<string, number>();
    before?.visits.forEach((visit, v) =>
      visit.forEach(({ check }, i) => residuals.set(check.id, fit!.residuals[v]![i]!)),
    );
    state.rows = checks.length === 0 ? null : cafeRows({ checks, known, steps: stepsOf(state) });
    if (state.rows === null) state.block = state.fit = null;
    state.left =
      state.rows?.visits.map((visit) =>
        visit.map(({ check }) => residuals.get(check.id) ?? null),
      ) ?? [];
  }

  /** Block of a café by its newest weights. */
  private weigh(state: State): void {
    const { rows } = state;
    if (rows === null) return;
    const noise = this.noise(state.cafe.id);
    const slope = state.slopeMean;
    const weights = rows.visits.map((visit, v) =>
      visit.map((row, i) => rowWeight(row, state.left[v]![i]!, noise, slope)),
    );
    state.block = cafeBlock(rows, weights, noise, state.slope);
  }

  /** A café's own columns, residuals and noise under the shared columns as they stand. */
  private settle(state: State): void {
    const { rows, block } = state;
    if (rows === null || block === null) return;
    state.fit = fitCafe(rows, block, this.shared.meansOf(state.cafe.region, rows.sharedKeys));
    state.left = state.fit.residuals;
    state.slopeMean = state.fit.effects[rows.slopeAt]!;
    state.sums = noiseSums(block, state.fit.residuals);
    state.shotSd = learntShotSd(state.sums);
  }

  private covarianceOf(state: State): Dense {
    const rows = state.rows!;
    const solution = this.shared.solution!;
    const { known } = state.covariance ?? {};
    if (known?.rows === rows && known.solution === solution) return state.covariance!.value;
    const value = this.shared.covarianceOf(state.cafe.region, rows.sharedKeys);
    state.covariance = { known: { rows, solution }, value };
    return value;
  }

  private question(state: State, rows: CafeRows, block: CafeBlock, { residuals }: CafeFit) {
    const { checksADay } = state.cafe;
    return { rows, block, residuals, sharedCovariance: this.covarianceOf(state), checksADay };
  }

  /** A full window of shots: what it taught of the slope is where the next one begins, a little wider. */
  private passSlopeOn(state: State, nowDay: number): void {
    if (nowDay - state.slopeDay! < CAFE_RULES.windowDays) return;
    const { mean, sd } = this.slope(state.cafe.id);
    const { widening, leastSd } = CAFE_RULES.slope;
    state.slope = { mean, sd: Math.max(leastSd, sd * Math.sqrt(widening)) };
    state.slopeDay = nowDay;
  }

  private judge(state: State, nowDay: number, others: RegionSums): CafeAlarm[] {
    const news: CafeAlarm[] = [];
    const open = state.alarms.find((alarm) => alarm.state === 'open');
    if (open !== undefined) {
      const after = judged(open, this.signalsWithout(state, open, others), nowDay);
      state.alarms = state.alarms.map((alarm) => (alarm === open ? after : alarm));
      if (after.state !== 'open') news.push(after);
      const isMoved =
        after.state === 'withdrawn' ||
        after.fromDay !== open.fromDay ||
        after.coffee !== open.coffee;
      if (isMoved) this.fitOne(state);
    }
    state.alarms = state.alarms.filter(
      ({ fromDay }) => fromDay >= nowDay - CAFE_RULES.windowDays - ALARM.apartDays,
    );
    state.signals = stepSignals(this.question(state, state.rows!, state.block!, state.fit!));
    const standing = alarmsInWindow(state.alarms, nowDay);
    const opened = opening(state.signals, standing, { nowDay, visits: visitsOf(state.checks) });
    if (opened === null) return news;
    const kept = standing.length >= CAFE_RULES.mostSteps ? withRoom(standing) : standing;
    state.alarms = [
      ...state.alarms.filter((alarm) => !standing.includes(alarm) || kept.includes(alarm)),
      opened,
    ];
    this.fitOne(state);
    return [...news, opened];
  }

  /** The evidence as it would be had the open alarm not been entered: the whole field is fitted without it. */
  private signalsWithout(state: State, open: CafeAlarm, others: RegionSums): StepSignal[] {
    const { rows, block, fit } = state;
    const { id, region } = state.cafe;
    const steps = stepsOf(state).filter((step) => step !== open);
    const without = cafeRows({ checks: state.checks, known: state.known, steps });
    state.rows = without;
    state.block = cafeBlock(without, block!.weights, this.noise(id), state.slope);
    const signals = this.shared.supposing(region, [others, partOf(state)!], () => {
      const means = this.shared.meansOf(region, without.sharedKeys);
      const supposed = fitCafe(without, state.block!, means);
      return stepSignals(this.question(state, without, state.block!, supposed));
    });
    Object.assign(state, { rows, block, fit });
    return signals;
  }

  /** What the fit makes of the steps that were entered: nearer the truth than what opened them. */
  private measureSteps(state: State): void {
    const { rows, block, fit } = state;
    if (rows === null || block === null || fit === null) return;
    const steps = stepsOf(state);
    if (steps.length === 0) return;
    const covariance = this.covarianceOf(state);
    state.alarms = state.alarms.map((alarm) => {
      const at = steps.indexOf(alarm);
      if (at < 0) return alarm;
      const column = rows.slopeAt + 1 + at;
      const sd = Math.sqrt(rowVariance({ columns: [column], values: [1] }, block, covariance));
      return { ...alarm, size: fit.effects[column]!, sd };
    });
  }
}

/** When it was visited, and which coffees were checked. */
const visitsOf = (checks: readonly CafeCheck[]): CafeVisit[] =>
  [...groupBy(checks, ({ visit }) => visit).values()].map((own) => ({
    atDay: own[0]!.atDay,
    coffees: own.map(({ coffee }) => coffee),
  }));

/** What a café says of the shared columns; null before it is weighed. */
function partOf({ rows, block }: State): SharedPart | null {
  return rows === null || block === null ? null : { keys: rows.sharedKeys, block };
}

function stepsOf({ alarms, checks }: Pick<State, 'alarms' | 'checks'>): readonly CafeAlarm[] {
  const nowDay = checks.at(-1)?.atDay ?? 0;
  return alarmsInWindow(alarms, nowDay).slice(-CAFE_RULES.mostSteps);
}
