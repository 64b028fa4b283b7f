/** A programme as it is drawn: treads along the seconds, each on the lane of what it drives. */
import { isPause, levelBefore, startOf, type Drive, type Programme } from './step';

export interface Tread {
  readonly drive: Drive;
  readonly fromS: number;
  readonly toS: number;
  readonly fromLevel: number;
  readonly toLevel: number;
  readonly limitBar: number | undefined;
  readonly isPause: boolean;
}

/** The drawing shows at least this much of the last step, s. */
const LAST_SHOWN_S = 8;

/** s up to which a programme is drawn: to the end of the shot where that is known. */
export function drawnUntil(programme: Programme, shotS = 0): number {
  const lastFromS = startOf(programme, programme.length - 1);
  const ramp = programme.at(-1)?.ramp ? programme.at(-1)!.seconds : 0;
  return Math.max(lastFromS + Math.max(LAST_SHOWN_S, ramp + 2), shotS);
}

/** One tread a step; a last step that rises evenly goes on at its level, as a tread of its own. */
export function treadsOf(programme: Programme, untilS: number): Tread[] {
  return programme.flatMap((step, at) => {
    const fromS = startOf(programme, at);
    const isLast = at === programme.length - 1;
    const endS = isLast ? untilS : fromS + step.seconds;
    const toS = step.ramp ? Math.min(endS, fromS + step.seconds) : endS;
    const tread: Tread = {
      drive: step.drive,
      fromS,
      toS,
      fromLevel: step.ramp ? levelBefore(programme, at) : step.level,
      toLevel: step.level,
      limitBar: step.limitBar,
      isPause: isPause(step),
    };
    if (toS >= endS) return [tread];
    return [tread, { ...tread, fromS: toS, toS: endS, fromLevel: step.level }];
  });
}
