/** Is a recipe ready to leave the house? Three gates; each can be passed by the lead's word. */
import type { Gate } from '@/data/publications';
import type { ReleaseView } from '@/data/releaseView';
import { tastersOf } from '@/data/todayView';

export interface Readiness {
  readonly gate: Gate;
  readonly isMet: boolean;
  /** What stands, or what is missing. */
  readonly words: string;
}

/** Every gate of the recipe on the bench. House heuristic: the trade's usual demands. */
export function readinessOf({ bench }: ReleaseView): Readiness[] {
  if (!bench) return [];
  const { advice, draft, shots } = bench;
  const isSimulated = shots.slice(-2).some((shot) => shot.isSimulated);
  const isConfirmed = advice.status === 'confirmed' && !isSimulated;
  const tasters = tastersOf(bench).size;
  const last = shots.findLast((shot) => shot.draftId === draft.id);
  const isRested =
    last !== undefined && last.restDays >= draft.restFrom && last.restDays <= draft.restTo;
  return [
    {
      gate: 'confirmed',
      isMet: isConfirmed,
      words: isConfirmed
        ? 'Two shots in a row on target at one setting.'
        : isSimulated
          ? 'The last two shots were simulated: pull two real ones in a row on target.'
          : 'Two shots in a row on target at one setting are missing.',
    },
    {
      gate: 'tasted',
      isMet: tasters >= 2,
      words:
        tasters >= 2
          ? `${tasters} people kept cup sheets of this recipe.`
          : `${tasters === 0 ? 'Nobody has' : 'One person has'} kept a cup sheet of this recipe; two are asked for.`,
    },
    {
      gate: 'rested',
      isMet: isRested,
      words: restWords(last?.restDays, [draft.restFrom, draft.restTo], isRested),
    },
  ];
}

function restWords(
  restDays: number | undefined,
  [from, to]: readonly [number, number],
  isRested: boolean,
): string {
  if (restDays === undefined) return 'No shot of this recipe was pulled yet.';
  const span = `day ${from}-${to}`;
  return isRested
    ? `Last pulled at day ${restDays}, inside ${span}.`
    : `Last pulled at day ${restDays}, outside ${span} that the card would promise.`;
}
