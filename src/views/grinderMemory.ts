/**
 * What a grinder's past dial-ins teach the one on the bench: those whose recipe was decided, of the same
 * style, simulated shots apart. Kept until one more is decided or an old one is corrected, so that logging
 * a shot learns nothing anew. A dial-in that is decided itself is judged without: it would prove itself.
 */
import { grindFeatures, pastDialIn } from '@/core/advice/pastDialIn';
import type { NextInput } from '@/core/advice/types';
import { readRoast } from '@/core/coffee/roast';
import { slopePrior } from '@/core/grinder/dial';
import { learnGrinder, REMEMBERED_DIAL_INS, type GrinderMemory } from '@/core/grinder/memory';
import { taughtBy, type Taught } from '@/core/grinder/taught';
import { restSpan } from '@/core/rest/rest';
import { completeDraft, type StoredDraft } from '@/data/dialIns';
import { prepared, type Db } from '@/data/database';
import { erasOf } from '@/data/eras';
import { dialToday, type Era } from '@/core/grinder/era';
import type { Shot } from '@/core/schema/shot';
import { listParts, type StoredGrinder } from '@/data/equipment';
import type { House } from '@/data/house';
import { kept } from '@/data/kept';
import { findReleases } from '@/data/releases';
import { allSetups, type StoredSetup } from '@/data/setups';
import { shotsOfDialIns } from '@/data/shots';
import { factsOf } from './facts';
import { DECIDED } from './history';
import { MODEL_RESTS_ON } from './houseModel';
import { advisedShot, targetOf } from './target';

const OF_GRINDER = `SELECT q.* FROM (${DECIDED}) q
  JOIN setup u ON u.id = q.setupId
  JOIN release c ON c.id = q.releaseId AND c.removed_at IS NULL
  WHERE u.grinder_id = ? AND q.style = ?
  ORDER BY q.decidedAt DESC, q.id LIMIT ${REMEMBERED_DIAL_INS}`;

/** The memory for a dial-in, or nothing where there is none or it must not be used. */
export function memoryFor(
  db: Db,
  house: House,
  draft: StoredDraft,
  setup: StoredSetup,
): Pick<NextInput, 'memory'> {
  const { memory, dialIns } = memoryOf(db, house, setup.grinder, draft.style);
  return memory.dialIns === 0 || dialIns.has(draft.dialInId) ? {} : { memory };
}

/** What a grinder taught in a style, for a question outside a dial-in. */
export function grinderMemoryOf(
  db: Db,
  house: House,
  grinder: StoredGrinder,
  style: StoredDraft['style'],
): GrinderMemory {
  return memoryOf(db, house, grinder, style).memory;
}

/** What each grinder has taught in the style of the house, by its id; those that taught nothing are missing. */
export function listTaught(db: Db, house: House): Readonly<Record<string, Taught>> {
  return Object.fromEntries(
    listParts(db, 'grinder').flatMap((grinder) => {
      const taught = taughtBy(memoryOf(db, house, grinder, house.brewStyle).memory, grinder);
      return taught === null ? [] : [[grinder.id, taught]];
    }),
  );
}

interface Known {
  readonly memory: GrinderMemory;
  /** What it was learnt from. */
  readonly dialIns: ReadonlySet<string>;
}

function memoryOf(
  db: Db,
  house: House,
  grinder: StoredGrinder,
  style: StoredDraft['style'],
): Known {
  const key = `${grinder.id} ${style}`;
  return kept(db, { name: 'grinder memory', restsOn: MODEL_RESTS_ON, key }, () => {
    const drafts = prepared(db, OF_GRINDER).all(grinder.id, style).map(completeDraft).reverse();
    const dialInIds = drafts.map(({ dialInId }) => dialInId);
    const shotsOf = shotsOfDialIns(db, dialInIds);
    const eras = erasOf(db, grinder.id);
    const releases = new Map(
      findReleases(
        db,
        drafts.map(({ releaseId }) => releaseId),
      ).map((release) => [release.id, release]),
    );
    const setups = allSetups(db);
    const referenceDial = grinder.referenceDial ?? drafts[0]?.startDial ?? grinder.min;
    const past = drafts.flatMap((draft) => {
      const release = releases.get(draft.releaseId);
      const batch = release?.batches.find(({ id }) => id === draft.batchId);
      const basket = setups.get(draft.setupId)?.basket;
      if (!release || !batch || !basket) return [];
      const roast = readRoast(batch, house.roastMap);
      const opensOn = restSpan(roast.level ?? 0, house.restSchool).opens;
      const shots = shotsOf(draft.dialInId)
        .filter(({ isSimulated }) => !isSimulated)
        .flatMap((shot) => onTodaysDial(advisedShot(shot, []), shot.pulledAt, eras));
      const features = grindFeatures(factsOf(release, { roast, restDays: undefined }));
      return [
        pastDialIn(
          { target: targetOf(house, draft, { roast, opensOn }), grinder, basket, shots },
          features,
          referenceDial,
        ),
      ];
    });
    return {
      memory: learnGrinder(past, slopePrior(grinder), referenceDial),
      dialIns: new Set(dialInIds),
    };
  });
}

/** A shot with its dial as it reads today; nothing where new burrs or an unknown zero point lie between. */
export function onTodaysDial(shot: Shot, pulledAt: string, eras: readonly Era[]): Shot[] {
  const dial = dialToday(shot.dial, pulledAt, eras);
  return dial === null ? [] : [{ ...shot, dial }];
}
