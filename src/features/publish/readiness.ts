/** Is a recipe ready to leave the house? Three gates; each can be passed by the lead's word. */
import { isOnTargetStatus } from '@/core/advice/types';
import { proofWords } from '@/words/adviceWords';
import type { PublishCheck } from '@/data/publications';
import { reachOf } from '@/core/programme/reach';
import type { Bench, ReleaseView } from '@/views/release';
import { shotsOfThis, tastersOf } from '@/core/state/recipeState';

export interface Readiness {
  readonly gate: PublishCheck;
  readonly isMet: boolean;
  /** What stands, or what is missing. */
  readonly words: string;
}

/** Every gate of the recipe on the bench. House heuristic: the trade's usual demands. */
export function readinessOf({ bench }: ReleaseView): Readiness[] {
  if (!bench) return [];
  const { draft } = bench;
  const [from, to] = draft.recipe.restDays;
  const lacking = lacksOf(bench);
  const isOnTarget = lacking === null;
  const tasters = tastersOf(bench).size;
  const isCarried = draft.carriedFrom !== null;
  const last = shotsOfThis(bench).at(-1);
  const isRested = last !== undefined && last.restDays >= from && last.restDays <= to;
  return [
    {
      gate: 'confirmed',
      isMet: isOnTarget,
      words: lacking ?? proofWords(bench.advice.proof!),
    },
    {
      gate: 'tasted',
      isMet: tasters >= (isCarried ? 1 : 2),
      words: tastedWords(tasters, isCarried),
    },
    {
      gate: 'rested',
      isMet: isRested,
      words: restWords(last?.restDays, [from, to], isRested),
    },
  ];
}

/** The recipe of a new batch was tasted on the one before: one cup guards against gross faults. */
function tastedWords(tasters: number, isCarried: boolean): string {
  if (tasters >= 2) return `${tasters} people kept cup sheets of this recipe.`;
  const who = tasters === 0 ? 'Nobody has' : 'One person has';
  return isCarried
    ? `${who} kept a cup sheet of this batch; the recipe itself was tasted on the batch before, so one is asked for.`
    : `${who} kept a cup sheet of this recipe; two are asked for.`;
}

/** What keeps the last two shots from standing for the recipe; null when they do. */
function lacksOf(bench: Bench): string | null {
  const { advice, draft, setup } = bench;
  const shots = shotsOfThis(bench);
  if (shots.slice(-2).some((shot) => shot.isSimulated))
    return 'The last two shots were simulated: prove the setting with two real ones.';
  // Words alone do not say what the machine would have to do.
  if (draft.recipe.steps && !reachOf(draft.recipe.steps, setup.machine).isWhole)
    return `${setup.machine.name} cannot make the programme the card would promise: pull it on a machine that can, or take at Start what this one makes.`;
  if (isOnTargetStatus(advice.status)) return null;
  if (advice.proof === null || (shots.length < 2 && draft.carriedFrom === null))
    return 'No setting is on target yet: at least two sound shots at one setting show whether it holds the window.';
  return `Not on target yet. ${proofWords(advice.proof)}`;
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
