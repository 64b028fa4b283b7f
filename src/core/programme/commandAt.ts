/** What a programme asks of the machine at a moment. */
import { assert } from '../errors';
import type { Drive, Programme } from './programme';

/** What the machine aims at, `timeS` after the pump started. The last step goes on for ever. */
export function commandAt(
  programme: Programme,
  timeS: number,
): { drive: Drive; level: number; limitBar: number | undefined } {
  let startS = 0;
  let at = 0;
  while (at < programme.length - 1 && timeS >= startS + programme[at]!.seconds) {
    startS += programme[at]!.seconds;
    at++;
  }
  const step = programme[at];
  assert(step, 'a programme has a step');
  const before = programme[at - 1];
  const from = before?.drive === step.drive ? before.level : 0;
  const share = step.ramp ? Math.min(1, (timeS - startS) / step.seconds) : 1;
  return {
    drive: step.drive,
    level: from + (step.level - from) * share,
    limitBar: step.limitBar,
  };
}
