/**
 * The house model over what is stored: learnt once for each temperature school, kept until a recipe is
 * decided, a fact corrected or a rule changed.
 */
import { learn, type HouseModel, type PastRelease } from '@/core/start/fit';
import { recencyWeight } from '@/core/start/recency';
import { grindStepsOf, inferredReference } from '@/core/start/startDial';
import type { Grinder } from '@/core/schema/setup';
import type { TemperatureSchool } from '@/core/vocabulary';
import type { Db } from './database';
import type { StoredGrinder } from './equipment';
import { historyVersion, listDecided, type DecidedRecipe } from './history';
import type { House } from './house';

export interface HouseKnowledge {
  /** Oldest first; `history` is aligned with it. */
  readonly decided: readonly DecidedRecipe[];
  readonly history: readonly PastRelease[];
  readonly modelOf: (school: TemperatureSchool) => HouseModel;
  /** A grinder with the reference dial it was calibrated to, or the one past recipes point to. */
  readonly withReference: <G extends Grinder & Pick<StoredGrinder, 'id'>>(grinder: G) => G;
}

const kept = new WeakMap<Db, { version: string; knowledge: HouseKnowledge }>();

/** Everything the house has learnt. */
export function readHouseModel(db: Db, house: House): HouseKnowledge {
  const version = `${historyVersion(db)} ${house.rowVersion}`;
  const known = kept.get(db);
  if (known?.version === version) return known.knowledge;
  const knowledge = knowledgeOf(listDecided(db, house), house);
  kept.set(db, { version, knowledge });
  return knowledge;
}

function knowledgeOf(decided: readonly DecidedRecipe[], house: House): HouseKnowledge {
  const withReference = referencesOf(decided, house);
  const history = decided.map((item, i): PastRelease => {
    const { facts, style, recipe, setup, dial } = item;
    const ago = decided.length - 1 - i;
    return {
      release: facts,
      style,
      recipe,
      ratedG: setup.basket.ratedG,
      grindSteps:
        dial === null ? undefined : (grindStepsOf(withReference(setup.grinder), dial) ?? undefined),
      weight: recencyWeight(ago, house.halfLife ?? null),
    };
  });
  const models = new Map<TemperatureSchool, HouseModel>();
  return {
    decided,
    history,
    withReference,
    modelOf: (school) => {
      let model = models.get(school);
      if (!model) models.set(school, (model = learn(history, school, house.rules)));
      return model;
    },
  };
}

/** Reference dials of grinders nobody calibrated: where the rules say the reference coffee would run. */
function referencesOf(
  decided: readonly DecidedRecipe[],
  house: House,
): HouseKnowledge['withReference'] {
  const rules = learn([], house.temperatureSchool, house.rules);
  const inferred = new Map<string, number | null>();
  return (grinder) => {
    if (grinder.referenceDial !== undefined) return grinder;
    if (!inferred.has(grinder.id)) {
      const own = decided.flatMap((item) =>
        item.dial !== null && item.setup.grinder.id === grinder.id
          ? [{ ...item, dial: item.dial }]
          : [],
      );
      inferred.set(grinder.id, inferredReference(grinder, own, rules));
    }
    const referenceDial = inferred.get(grinder.id) ?? null;
    return referenceDial === null ? grinder : { ...grinder, referenceDial };
  };
}
