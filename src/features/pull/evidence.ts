/** What a shot's evidence lacks, as letters beside its point and in words in the ledger. */
import type { BenchShot } from '@/views/release';

export const EVIDENCE_WORDS = {
  P: 'unpurged',
  O: 'odd one out: check puck prep',
  B: 'beans in another state',
  D: 'another rest day',
  C: 'cold portafilter',
  F: 'first after a break',
  S: 'simulated',
} as const;
export type ShotEvidence = keyof typeof EVIDENCE_WORDS;

/** The letters of one shot among all of its dial-in; `firsts` are the ids of first shots after a break. */
export function evidenceOf(
  shot: BenchShot,
  all: readonly BenchShot[],
  firsts: readonly string[],
): ShotEvidence[] {
  const latestDay = all.at(-1)?.restDays;
  const has: Record<ShotEvidence, boolean> = {
    P: shot.mark.unpurged,
    O: shot.mark.outlier,
    B: shot.mark.otherBeans,
    D: shot.restDays !== latestDay,
    C: shot.seen.includes('coldMetal'),
    F: firsts.includes(shot.id),
    // Where all are, it tells nothing apart.
    S: shot.isSimulated && !all.every((other) => other.isSimulated),
  };
  return (Object.keys(has) as ShotEvidence[]).filter((letter) => has[letter]);
}
