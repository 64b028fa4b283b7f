/**
 * The house model over what is stored: learnt once for each temperature school, kept until what it
 * rests on changes.
 */
import { setImmediate } from 'node:timers/promises';
import { prepareEvidence } from '@/core/start/evidence';
import { learn, type CupSite, type PastRelease } from '@/core/start/fit';
import { learningTaste, type TasteModel, type TaughtModel } from '@/core/start/learnTaste';
import { rulesInForce, type OwnRule } from '@/core/start/priors';
import { recencyWeight } from '@/core/start/recency';
import { grindStepsOf, inferredReference } from '@/core/start/startDial';
import type { Grinder } from '@/core/schema/setup';
import { runToEnd } from '@/core/runToEnd';
import type { TemperatureSchool } from '@/core/vocabulary';
import type { Db } from '@/data/database';
import type { StoredGrinder } from '@/data/equipment';
import { runInSteps, cached } from '@/data/cache';
import { listTasteEvidence } from '@/data/tasteEvidence';
import { listDecided, type DecidedRecipe } from './history';
import type { House } from '@/data/house';

export interface HouseKnowledge {
  /** Oldest first; `history` is aligned with it. */
  readonly decided: readonly DecidedRecipe[];
  readonly history: readonly PastRelease[];
  readonly modelOf: (school: TemperatureSchool) => TaughtModel;
  /** Ratio, temperature and time jointly, from recipes and cups. */
  readonly tasteOf: (school: TemperatureSchool) => TasteModel;
  /** Learns that in steps, where it is not learnt yet. */
  readonly learningTasteOf: (school: TemperatureSchool) => Generator<void, void>;
  /** A grinder with the reference dial it was calibrated to, or the one past recipes point to. */
  readonly withReference: <G extends Grinder & Pick<StoredGrinder, 'id'>>(grinder: G) => G;
}

/** The rules the house goes by, its schools among them. */
export function rulesOf({ rules, headspace }: House): readonly OwnRule[] {
  return rulesInForce(rules, headspace);
}

/** Everything the house has learnt. */
export function readHouseModel(db: Db, house: House): HouseKnowledge {
  return cached(db, { name: 'house model', tags: [...MODEL_TAGS, 'tasteEvidence'] }, () =>
    knowledgeOf(listDecided(db, house), listTasteEvidence(db), house),
  );
}

/**
 * Learns in steps what is not learnt yet, with the evidence behind it: others are answered in between. After
 * ten years all of it at once would hold the server for half a second.
 */
export async function prepareModel(db: Db, house: House): Promise<void> {
  const knowledge = readHouseModel(db, house);
  await setImmediate();
  await runInSteps(knowledge.learningTasteOf(house.temperatureSchool));
  const { fits } = knowledge.modelOf(house.temperatureSchool);
  for (const fit of Object.values(fits)) {
    await setImmediate();
    prepareEvidence(fit);
  }
}

/** Shots of decided recipes too: one that comes late changes the dial the recipe ended on. */
export const MODEL_TAGS = [
  'house',
  'equipment',
  'release',
  'batch',
  'recipe',
  'decidedShot',
  'publication',
] as const;

function knowledgeOf(
  decided: readonly DecidedRecipe[],
  sites: ReadonlyMap<string, CupSite>,
  house: House,
): HouseKnowledge {
  const withReference = referencesOf(decided, house);
  const history = decided.map((item, i): PastRelease => {
    const { facts, draft, setup, dial } = item;
    const { style, recipe } = draft;
    const ago = decided.length - 1 - i;
    return {
      release: facts,
      style,
      recipe,
      ratedG: setup.basket.ratedG,
      diameterMm: setup.basket.diameterMm,
      setupId: setup.id,
      grindSteps:
        dial === null ? undefined : (grindStepsOf(withReference(setup.grinder), dial) ?? undefined),
      weight: recencyWeight(ago, house.halfLife ?? null),
      site: sites.get(draft.releaseId),
    };
  });
  const models = new Map<TemperatureSchool, TaughtModel>();
  const tastes = new Map<TemperatureSchool, TasteModel>();
  function* learningTasteOf(school: TemperatureSchool): Generator<void, void> {
    if (!tastes.has(school))
      tastes.set(school, yield* learningTaste(history, school, rulesOf(house)));
  }
  const tasteOf = (school: TemperatureSchool) => {
    runToEnd(learningTasteOf(school));
    return tastes.get(school)!;
  };
  return {
    decided,
    history,
    withReference,
    modelOf: (school) => {
      let model = models.get(school);
      if (!model) {
        const learnt = learn(history, school, rulesOf(house));
        model = sites.size === 0 ? learnt : { ...learnt, taste: tasteOf(school) };
        models.set(school, model);
      }
      return model;
    },
    tasteOf,
    learningTasteOf,
  };
}

/** Reference dials of grinders nobody calibrated: where the rules say the reference coffee would run. */
function referencesOf(
  decided: readonly DecidedRecipe[],
  house: House,
): HouseKnowledge['withReference'] {
  const rules = learn([], house.temperatureSchool, rulesOf(house));
  const inferred = new Map<string, number | null>();
  return (grinder) => {
    if (grinder.referenceDial !== undefined) return grinder;
    if (!inferred.has(grinder.id)) {
      const own = decided.flatMap((item) =>
        item.dial !== null && item.setup.grinder.id === grinder.id
          ? [{ facts: item.facts, style: item.draft.style, dial: item.dial }]
          : [],
      );
      inferred.set(grinder.id, inferredReference(grinder, own, rules));
    }
    const referenceDial = inferred.get(grinder.id) ?? null;
    return referenceDial === null ? grinder : { ...grinder, referenceDial };
  };
}
