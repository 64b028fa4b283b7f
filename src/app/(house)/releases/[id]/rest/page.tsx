import { publicAddress } from '@/data/address';
import { findCalendarSecret } from '@/data/calendar';
import { database } from '@/data/database';
import { loadRelease } from '@/features/frame/load';
import { OtherBatch } from '@/features/frame/OtherBatch';
import type { AskedBatch } from '@/views/lookedAt';
import { RestStage } from '@/features/rest/RestStage';
import { readBatchesBeside } from '@/views/batchesBeside';
import { askedByAddress, type AskedInAddress } from '@/features/rest/askedByAddress';
import { prepareModel } from '@/views/houseModel';
import { foundOfBatches } from '@/views/releaseCafes';
import { readRest } from '@/views/rest';

export const metadata = { title: 'Rest' };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<AskedInAddress & AskedBatch>;
}

export default async function RestPage({ params, searchParams }: Props) {
  const asked = await searchParams;
  const { view, house } = await loadRelease((await params).id, prepareModel, asked);
  const db = database();
  const secret = findCalendarSecret(db);
  const { grinder } = view.bench?.setup ?? {};
  return (
    <>
      <OtherBatch view={view} />
      <RestStage
        key={view.batch.id}
        releaseId={view.release.id}
        roastDate={view.batch.roastDate}
        batchId={view.batch.id}
        rowVersion={view.release.rowVersion}
        span={view.batch.span}
        isOwnSpan={view.release.span !== undefined}
        calendarAddress={secret && `${publicAddress(db)}/calendar/${secret}.ics`}
        beside={view.bench && readBatchesBeside(db, house, view, view.bench)}
        found={foundOfBatches(db, house, view.release.id)}
        batches={view.batches.map(({ id, roastDate }) => ({ id, roastDate }))}
        asking={askedByAddress(view, asked)}
        rest={readRest(db, house, view)}
        notation={grinder ? { notation: grinder.notation, divisions: grinder.divisions } : {}}
      />
    </>
  );
}
