import { dayWords } from '@/core/dayWords';
import { database } from '@/data/database';
import { listGatePasses, listVersions } from '@/data/publications';
import { today } from '@/data/today';
import type { ReleaseView } from '@/views/release';
import { isPublishedDraft } from '@/views/today';
import { loadHouse, loadRelease } from '@/features/frame/load';
import { publishedBody } from '@/features/publish/document';
import { PublishStage } from '@/features/publish/PublishStage';
import { readinessOf } from '@/features/publish/readiness';
import { recipeDiff } from '@/formats/recipe/diff';
import { readDocument } from '@/formats/recipe/readers';

const NO_WORDS = { right: '', short: '', long: '', whatChanged: '' };

/** What changed is plain where the recipe came over: its batch. */
function carriedWords({ bench, batch }: ReleaseView): string {
  return bench === null || bench.draft.carriedFrom === null
    ? ''
    : `New batch, roasted ${dayWords(batch.roastDate)}; the recipe carries over.`;
}

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ identical?: string }>;
}

export const metadata = { title: 'Publish' };

export default async function PublishPage({ params, searchParams }: Props) {
  const view = await loadRelease((await params).id);
  const { identical } = await searchParams;
  const { house } = await loadHouse();
  const db = database();
  const { bench, versions, address, release } = view;
  const [newest] = listVersions(db, release.id);
  const last = newest ? readDocument(newest.document).body : null;
  const words = { ...NO_WORDS, ...last?.sensory, whatChanged: carriedWords(view) };
  const body = bench
    ? publishedBody(house, view, words, {
        today: today(),
        last: last ?? undefined,
      })
    : null;
  const passes = listGatePasses(db, release.id);
  return (
    <PublishStage
      releaseId={release.id}
      draftId={bench?.draft.id ?? null}
      isForMilk={bench?.draft.drink === 'milk'}
      body={body}
      words={words}
      readiness={readinessOf(view)}
      differences={body && last ? recipeDiff(last, body) : []}
      isAsPublished={bench !== null && isPublishedDraft(view, bench)}
      versions={versions.map(({ id, number, publishedAt, publishedBy }) => ({
        number,
        publishedAt,
        publishedBy,
        passes: passes.filter(({ versionId }) => versionId === id),
      }))}
      address={address}
      readBack={versions.find(({ number }) => String(number) === identical)?.number ?? null}
    />
  );
}
