/** The life of an alarm at one café: opened, then withdrawn or kept (house heuristic, tuned on simulated networks). */
import type { StepSignal } from './evidence';
import { CAFE_RULES } from './cafeRules';
import type { CafeStep } from './rows';

export const ALARM_STATES = ['open', 'kept', 'withdrawn'] as const;
export type AlarmState = (typeof ALARM_STATES)[number];

export interface CafeAlarm extends CafeStep {
  readonly openedDay: number;
  readonly state: AlarmState;
  /** That something at the café has changed at all, when it was last judged. */
  readonly probability: number;
  readonly size: number;
  readonly sd: number;
}

export const ALARM = {
  opensAt: 0.85,
  withdrawnUnder: 0.3,
  openDays: 5,
  apartDays: 2,
  /** So many visits of the coffees it is about before its start: else there is nothing to have changed from. */
  visitsBefore: 3,
} as const;

export function isInForce({ state }: Pick<CafeAlarm, 'state'>): boolean {
  return state !== 'withdrawn';
}

/** Alarms that still stand as steps: one leaves the fit when its start leaves the window. */
export function alarmsInWindow(alarms: readonly CafeAlarm[], nowDay: number): CafeAlarm[] {
  return alarms.filter(
    (alarm) => isInForce(alarm) && alarm.fromDay >= nowDay - CAFE_RULES.windowDays,
  );
}

/** What an open alarm is after a look at the evidence without it. */
export function judged(
  alarm: CafeAlarm,
  withoutIt: readonly StepSignal[],
  nowDay: number,
): CafeAlarm {
  const probability = totalOf(withoutIt);
  if (probability < ALARM.withdrawnUnder) return { ...alarm, probability, state: 'withdrawn' };
  const state = nowDay - alarm.openedDay >= ALARM.openDays ? 'kept' : 'open';
  const best = withoutIt[0];
  return best === undefined
    ? { ...alarm, probability, state }
    : { ...asStep(best), openedDay: alarm.openedDay, probability, state };
}

/**
 * The alarm that the evidence opens now, if any (model.md §6, ready).
 * @param visits of this café by their own day, whenever they arrived.
 */
export function opening(
  signals: readonly StepSignal[],
  standing: readonly CafeAlarm[],
  { nowDay, visits }: { nowDay: number; visits: readonly CafeVisit[] },
): CafeAlarm | null {
  const best = signals[0];
  if (best === undefined || !isReady(best, visits)) return null;
  if (standing.some(({ openedDay }) => nowDay - openedDay < ALARM.apartDays)) return null;
  const probability = totalOf(signals);
  if (probability < ALARM.opensAt) return null;
  return { ...asStep(best), openedDay: nowDay, state: 'open', probability };
}

/** With every slot taken the oldest start makes room. */
export function withRoom(standing: readonly CafeAlarm[]): CafeAlarm[] {
  return [...standing].sort((a, b) => a.fromDay - b.fromDay).slice(-(CAFE_RULES.mostSteps - 1));
}

export function totalOf(signals: readonly StepSignal[]): number {
  return signals.reduce((sum, { probability }) => sum + probability, 0);
}

/** A visit's day and the coffees checked. */
export interface CafeVisit {
  readonly atDay: number;
  readonly coffees: readonly string[];
}

const isReady = ({ coffee, fromDay }: StepSignal, visits: readonly CafeVisit[]) =>
  visits.filter(
    ({ atDay, coffees }) => atDay < fromDay && (coffee === null || coffees.includes(coffee)),
  ).length >= ALARM.visitsBefore;

function asStep({ coffee, fromDay, size, sd }: StepSignal) {
  return { coffee, fromDay, size, sd };
}
