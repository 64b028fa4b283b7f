/** The next move in a few words. */
import type { Advice, AdviceStatus } from './types';

/** What each status asks for, in a few words. */
const STATUS_WORDS: Record<AdviceStatus, string> = {
  measure: 'Pull it again, measured',
  prep: 'Same again, with better puck prep',
  grind: 'Change the grind',
  dose: 'Change the dose',
  taste: 'Taste decides',
  repeat: 'Pull it unchanged',
  nearest: 'As near as this grinder comes',
  onTarget: 'On target: taste it',
  approved: 'Approved',
};

/** More to the point than its status, where one reason stands alone. */
const REASON_HEADS: Readonly<Record<string, string>> = {
  doseOff: 'Check the dose',
  yieldOff: 'Check the yield',
  'doseOff yieldOff': 'Check dose and yield',
  byVolume: 'Weigh the yield',
  noFirstDrip: 'Note the first drip',
  unpurged: 'Same again, purged',
  otherPeriod: 'See where the grinder stands now',
  tooFresh: 'Wait, or pull it for practice',
};

/** The one next move in a few words: the move itself, else what its reasons ask for. */
export function headOf({
  status,
  move,
  reasons,
}: Pick<Advice, 'status' | 'move' | 'reasons'>): string {
  const codes = reasons.map(({ code }) => code).join(' ');
  if (codes === 'carriesOver')
    return `The recipe carries over${move ? `: ${move.words.toLowerCase()}` : ''}`;
  return move?.words ?? REASON_HEADS[codes] ?? STATUS_WORDS[status];
}
