/**
 * What the cups of decided recipes teach the start model, worked out after the answer is out and kept in the database
 * until those cups are other ones: a surface takes some 80 ms, and a house has years of them. Server only.
 */
import { createHash } from 'node:crypto';
import { readRoast } from '@/core/coffee/roast';
import { referenceStretch } from '@/core/extraction/basketLaw';
import { expectedSigns, expectedWithout, learningTaste, siteOfCups } from '@/core/start/learnTaste';
import type { ScoredCup } from '@/core/trials/bestRecipe';
import { cupsOfShots } from '@/core/trials/shotCups';
import { groupBy } from '@/core/groupBy';
import type { Db } from '@/data/database';
import type { House } from '@/data/house';
import { fillCache } from '@/data/cache';
import { findReleases } from '@/data/releases';
import { shotsOfDialIns } from '@/data/shots';
import {
  dropTasteEvidence,
  storeTasteEvidence,
  tasteEvidenceSignatures,
} from '@/data/tasteEvidence';
import { tastingsOfDialIns } from '@/data/tastings';
import type { DecidedRecipe } from './history';
import { readHouseModel, rulesOf } from './houseModel';

const RESTS_ON = [
  'house',
  'release',
  'batch',
  'recipe',
  'decidedShot',
  'tasting',
  'publication',
] as const;

/** Works out, in steps, the sites of releases whose cups changed. Nothing is done while none did. */
export async function renewTasteEvidence(db: Db, house: House): Promise<void> {
  await fillCache(db, { name: 'taste sites are fresh', tags: RESTS_ON }, () => renewing(db, house));
}

function* renewing(db: Db, house: House): Generator<void, true> {
  const { decided, history } = readHouseModel(db, house);
  yield;
  const cupsOf = cupsOfDecided(db, house, decided);
  yield;
  const known = tasteEvidenceSignatures(db);
  const ids = new Set(decided.map(({ draft }) => draft.releaseId));
  dropTasteEvidence(
    db,
    [...known.keys()].filter((id) => !ids.has(id)),
  );
  // What each is fitted around goes by recipes alone: a cup more in one release does not move all others.
  const recipes = history.map(({ site: _site, ...past }) => past);
  const around = yield* learningTaste(recipes, house.temperatureSchool, rulesOf(house));
  const tasted = [...history];
  for (const [i, { draft }] of decided.entries()) {
    const cups = cupsOf(i);
    const signature = signatureOf(cups);
    if (known.get(draft.releaseId) === signature) continue;
    yield;
    const expected = {
      ...expectedWithout(around, recipes[i]!),
      signs: expectedSigns(tasted, tasted[i]),
    };
    const site =
      cups.length === 0 ? null : siteOfCups(recipes[i]!, cups, expected, numberOf(draft.releaseId));
    tasted[i] = { ...recipes[i]!, site: site ?? undefined };
    storeTasteEvidence(db, { releaseId: draft.releaseId, signature, site });
  }
  return true;
}

/** Of the decided recipe's own dial-in, at places of the reference basket. */
function cupsOfDecided(db: Db, house: House, decided: readonly DecidedRecipe[]) {
  const dialInIds = decided.map(({ draft }) => draft.dialInId);
  const shotsOf = shotsOfDialIns(db, dialInIds);
  const tastingsOf = tastingsOfDialIns(db, dialInIds);
  const releases = new Map(
    findReleases(
      db,
      decided.map(({ draft }) => draft.releaseId),
    ).map((release) => [release.id, release]),
  );
  return (i: number): ScoredCup[] => {
    const { draft, setup } = decided[i]!;
    const tastings = groupBy(tastingsOf(draft.dialInId), ({ shotId }) => shotId);
    const shots = shotsOf(draft.dialInId).flatMap((shot) => {
      const own = tastings.get(shot.id) ?? [];
      return own.length === 0 || shot.isSimulated ? [] : [{ ...shot, tastings: own }];
    });
    const batch = releases.get(draft.releaseId)?.batches.find(({ id }) => id === draft.batchId);
    const roastLevel = batch ? (readRoast(batch, house.roastMap).level ?? 0) : 0;
    const stretch = referenceStretch(setup.basket);
    return cupsOfShots(shots, draft.recipe, roastLevel).map((cup) => ({
      ...cup,
      timeS: cup.timeS / stretch,
    }));
  };
}

const signatureOf = (cups: readonly ScoredCup[]) =>
  createHash('sha256').update(JSON.stringify(cups)).digest('hex');

/** A number of its own for each release, from its id: the particles of its surface. */
export const numberOf = (id: string): number => parseInt(id.slice(0, 5), 16) % 5000;
