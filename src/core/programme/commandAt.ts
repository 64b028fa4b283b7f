/** What a programme asks of the machine at a moment. */
import { assert } from '../errors';
import { levelBefore, type Drive, type Programme } from './step';

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
  const from = levelBefore(programme, at);
  const share = step.ramp ? Math.min(1, (timeS - startS) / step.seconds) : 1;
  return {
    drive: step.drive,
    level: from + (step.level - from) * share,
    limitBar: step.limitBar,
  };
}
