import type { HouseRow } from '@/core/entity/house';
import { database } from '@/data/database';
import { loadRelease } from '@/features/frame/load';
import { OtherBatch } from '@/features/frame/OtherBatch';
import type { AskedBatch } from '@/views/lookedAt';
import { TasteStage } from '@/features/taste/TasteStage';
import { allSetups } from '@/data/setups';
import { stagedOf } from '@/data/staged';
import { readBest } from '@/views/best';
import { readFlights } from '@/views/flight';
import { readFlightRecipes } from '@/views/flightRecipes';
import { prepareModel } from '@/views/houseModel';
import { readPalates } from '@/views/palate';
import { readPlane } from '@/views/plane';
import { openRecipes } from '@/views/start';

export const metadata = { title: 'Taste' };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<AskedBatch>;
}

export default async function TastePage({ params, searchParams }: Props) {
  const { view, house } = await loadRelease((await params).id, prepareModel, await searchParams);
  const db = database();
  return (
    <>
      <OtherBatch view={view} />
      <TasteStage
        key={view.bench?.draft.dialInId}
        view={view}
        best={readBest(db, house, view)}
        flights={readFlights(db, view.release.id)}
        recipes={readFlightRecipes(db, view)}
        open={openRecipes(db, view, [...allSetups(db).values()])}
        tasters={readPalates(db, view.today)}
        staged={Object.fromEntries(
          stagedOf(
            db,
            (view.bench?.shots ?? []).map(({ id }) => id),
          ),
        )}
        plane={{ points: readPlane(db, view.release.id), region: regionOf(house) }}
      />
    </>
  );
}

/** All four figures, or no region. */
function regionOf({ tdsFromPct, tdsToPct, extractionFromPct, extractionToPct }: HouseRow) {
  if (tdsFromPct === undefined || tdsToPct === undefined) return null;
  if (extractionFromPct === undefined || extractionToPct === undefined) return null;
  return {
    tds: [tdsFromPct, tdsToPct],
    extraction: [extractionFromPct, extractionToPct],
  } as const;
}
