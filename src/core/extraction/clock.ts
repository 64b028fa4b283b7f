/**
 * The two clocks of the trade. Seconds from the pump and seconds from the first drip look alike and
 * must never be compared, so pump time is a type of its own.
 */
import type { Clock } from '../vocabulary';

export type PumpSeconds = number & { readonly __clock: 'pump' };

/** A value already known to count from the pump. */
export function pumpSeconds(seconds: number): PumpSeconds {
  return seconds as PumpSeconds;
}

/**
 * Time from the pump: timePump = timeFirstDrip + firstDripS (model: arithmetic).
 * Null when the shot was timed from the first drip and the first drip was not noted.
 */
export function toPumpSeconds(
  timeS: number,
  clock: Clock,
  firstDripS: number | undefined,
): PumpSeconds | null {
  if (clock === 'pump') return pumpSeconds(timeS);
  return firstDripS === undefined ? null : pumpSeconds(timeS + firstDripS);
}

/** The same moment on the asked clock; `firstDripS` is the delay between the two. */
export function fromPumpSeconds(timeS: PumpSeconds, clock: Clock, firstDripS: number): number {
  return clock === 'pump' ? timeS : timeS - firstDripS;
}

/**
 * Usual delay between pump and first drip, used only where none was measured.
 * House heuristic: middle of the trade's 5-10 s.
 */
export const USUAL_FIRST_DRIP_S = 7;

/** Seconds from the pump of a shot on either clock; a drip nobody noted is a usual one. */
export const fromPump = (timeS: number, clock: Clock, firstDripS = USUAL_FIRST_DRIP_S) =>
  pumpSeconds(clock === 'pump' ? timeS : timeS + firstDripS);
