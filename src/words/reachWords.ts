/** What of a programme a machine cannot make, and what comes nearest. */
import type { Reach } from '@/core/programme/reach';
import { programmeWords, shortProgrammeWords } from '@/core/programme/words';
import { say } from './say';

const listed = new Intl.ListFormat('en-GB');

/** Nothing where all of it is made. */
export function reachWords({ made, isWhole, nearest }: Reach): string {
  if (isWhole) return '';
  const count = made.length;
  const steps = made.flatMap((isMade, i) => (isMade ? [] : [String(i + 1)]));
  const all = count === 1 ? 'it' : 'all';
  const some = steps.length === 1 ? 'step' : 'steps';
  const isShort = count === 1 || nearest.length === 1;
  return say({
    id: 'programme.reach',
    values: {
      missed: steps.length === count ? all : some,
      steps: listed.format(steps),
      count,
      nearest: isShort ? shortProgrammeWords(nearest) : programmeWords(nearest),
    },
  });
}
