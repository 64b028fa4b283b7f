/** A past release in a few words, for lists that point to it. */
import { featuresOf } from '@/core/coffee/features';
import { PROCESS_LABELS, roastWord, STYLE_LABELS, type Process } from '@/core/vocabulary';
import type { ReleaseFacts } from '@/core/coffee/features';
import { similarTo } from '@/core/start/similar';
import type { BrewStyle } from '@/core/vocabulary';
import type { DecidedRecipe } from './history';
import type { HouseKnowledge } from './houseModel';

export interface PastWords {
  readonly releaseId: string;
  readonly name: string;
  /** "Natural, light; classic". */
  readonly kind: string;
  readonly ratio: number;
  readonly temperatureC: number;
  /** Day it was decided, yyyy-mm-dd. */
  readonly day: string;
  /** From the house's own records, not published here. */
  readonly isRecord: boolean;
}

export function pastWords(past: DecidedRecipe): PastWords {
  const { roastLevel, processShare } = featuresOf(past.facts);
  const { releaseId, style, recipe } = past.draft;
  const processes = (Object.keys(processShare) as Process[])
    .sort((a, b) => processShare[b]! - processShare[a]!)
    .map((process) => PROCESS_LABELS[process]);
  const words = [
    processes.slice(0, 2).join(' and '),
    roastLevel === null ? '' : roastWord(roastLevel),
    STYLE_LABELS[style],
  ]
    .filter((word) => word !== '')
    .join(', ')
    .toLowerCase();
  return {
    releaseId,
    name: past.name,
    kind: words.charAt(0).toUpperCase() + words.slice(1),
    ratio: recipe.ratio,
    temperatureC: recipe.temperatureC,
    day: past.decidedAt.slice(0, 10),
    isRecord: past.version === null,
  };
}

export interface NearRow extends PastWords {
  readonly distance: number;
}

const MOST_NEAREST = 4;
/** Farther than this the rules see no likeness. House heuristic: three noises apart. */
const NEAR_WITHIN = 3;

/** Past releases most like a coffee, nearest first; none that the rules see no likeness in, nor itself. */
export function nearestTo(
  { decided, history }: HouseKnowledge,
  release: ReleaseFacts,
  style: BrewStyle,
): NearRow[] {
  return similarTo(history, release, style)
    .filter(({ place, distance }) => {
      return distance <= NEAR_WITHIN && decided[place]!.draft.releaseId !== release.id;
    })
    .slice(0, MOST_NEAREST)
    .map(({ place, distance }) => ({ ...pastWords(decided[place]!), distance }));
}
