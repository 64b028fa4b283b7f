/** What a publication still lacks, in the words of the screen: asked before the confirmation, and at the edge. */
import type { Fault } from '@/core/errors';
import type { PublishWords } from './document';
import { GATE_LABELS } from './gateLabels';
import type { PassText } from './passText';
import type { Readiness } from './readiness';

export const WORD_LABELS = {
  right: 'How it tastes when right',
  short: 'When short, and what to do',
  long: 'When long, and what to do',
} as const;

/** The card carries one recipe: the straight one. */
export const FOR_MILK_WORDS =
  'The recipe on the bench is for milk drinks, and the card carries the straight one. Go to the straight recipe at Taste, then publish.';

/** The label of what changed against the version before. */
export const changedLabel = (version: number) => `What changed from version ${version}, and why`;

/** Words the card still needs. @param lastVersion the newest published one, or null before the first. */
export function wordsLacking(words: PublishWords, lastVersion: number | null): Fault[] {
  const names = Object.keys(WORD_LABELS) as (keyof typeof WORD_LABELS)[];
  const empty = names.flatMap((name) =>
    words[name].trim() === ''
      ? [{ field: name, message: `${WORD_LABELS[name]} is empty. A stranger needs it in the cup.` }]
      : [],
  );
  const changed =
    lastVersion !== null && words.whatChanged.trim() === ''
      ? [
          {
            field: 'whatChanged',
            message: `${changedLabel(lastVersion)} is empty. Say what is different.`,
          },
        ]
      : [];
  return [...empty, ...changed];
}

/** Gates that are neither met nor passed with a reason. */
export function gapsOf(readiness: readonly Readiness[], passed: PassText): Fault[] {
  return readiness.flatMap(({ gate, isMet, words }) =>
    isMet || (passed[gate] ?? '').trim() !== ''
      ? []
      : [
          {
            field: `passed.${gate}`,
            message: `${GATE_LABELS[gate]}: ${words} Mend it, or say why it is passed.`,
          },
        ],
  );
}
