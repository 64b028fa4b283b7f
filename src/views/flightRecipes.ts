/** Recipes of a release that a flight can compare, each with the dial it is pulled at. Server only. */
import type { ArmPull } from '@/core/panel/arm';
import { dialToday } from '@/core/grinder/calibrationPeriod';
import type { Notation } from '@/core/grinder/notation';
import type { BrewStyle, Drink } from '@/core/vocabulary';
import type { Db } from '@/data/database';
import { listDrafts, listOpenDrafts, type StoredDraft } from '@/data/dialIns';
import { periodsOf } from '@/data/calibrationPeriods';
import { IDS, allRows } from '@/data/many';
import { allSetups } from '@/data/setups';
import type { ReleaseView } from './release';

export interface FlightRecipe {
  readonly draftId: string;
  readonly revision: number;
  readonly style: BrewStyle;
  readonly drink: Drink;
  readonly isOnBench: boolean;
  readonly pull: ArmPull;
  /** Of the grinder it is ground on. */
  readonly notation: Notation;
}

/** So many older revisions of the recipe on the bench are offered. */
const MOST_OLDER = 6;

/** The one looked at first, then its older revisions, then the other recipes of the release. */
export function readFlightRecipes(
  db: Db,
  { release, bench, benchDraftId }: ReleaseView,
): FlightRecipe[] {
  if (!bench) return [];
  const own = listDrafts(db, bench.draft.dialInId).reverse();
  const older = own.filter(({ id }) => id !== bench.draft.id).slice(0, MOST_OLDER);
  const others = listOpenDrafts(db, release.id).filter(
    ({ dialInId }) => dialInId !== bench.draft.dialInId,
  );
  const drafts = [bench.draft, ...older, ...others];
  const lastDial = lastDials(
    db,
    drafts.map(({ id }) => id),
  );
  const setups = allSetups(db);
  return drafts.flatMap((draft): FlightRecipe[] => {
    const grinder = setups.get(draft.setupId)?.grinder;
    if (!grinder) return [];
    const last = lastDial.get(draft.id);
    // As it reads on the grinder today; where nobody can translate it, as it stood.
    const { dial, at } = last ?? { dial: draft.startDial, at: draft.createdAt };
    const onToday = dialToday(dial, at, periodsOf(db, grinder.id)) ?? dial;
    return [
      {
        draftId: draft.id,
        revision: draft.revision,
        style: draft.style,
        drink: draft.drink,
        isOnBench: draft.id === benchDraftId,
        pull: pullOf(draft, draft.id === bench.draft.id ? bench.advice.setting.dial : onToday),
        notation: { notation: grinder.notation, divisions: grinder.divisions },
      },
    ];
  });
}

function pullOf({ id, recipe }: StoredDraft, dial: number): ArmPull {
  const { doseG, yieldG, temperatureC, timeS, clock } = recipe;
  return {
    draftId: id,
    doseG,
    yieldG,
    temperatureC,
    timeS,
    clock,
    dial,
    beans: 'room',
    purged: true,
  };
}

/** Where each recipe was last pulled. */
function lastDials(
  db: Db,
  draftIds: readonly string[],
): ReadonlyMap<string, { readonly dial: number; readonly at: string }> {
  const rows = allRows(
    db,
    `SELECT recipe_draft_id AS draftId, dial, max(pulled_at) AS at FROM shot
     WHERE recipe_draft_id IN ${IDS} AND removed_at IS NULL GROUP BY recipe_draft_id`,
    JSON.stringify(draftIds),
  ) as { draftId: string; dial: number; at: string }[];
  return new Map(rows.map(({ draftId, ...last }) => [draftId, last]));
}
