import { database } from '@/data/database';
import { listVersions } from '@/data/publications';
import { today } from '@/data/today';
import { loadHouse, loadRelease } from '@/features/frame/load';
import { publishedBody } from '@/features/publish/document';
import { PublishStage } from '@/features/publish/PublishStage';
import { readDocument } from '@/formats/recipeDocument';

const NO_WORDS = { right: '', short: '', long: '', whatChanged: '' };

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<{ identical?: string }>;
}

export default async function PublishPage({ params, searchParams }: Props) {
  const view = loadRelease((await params).id);
  const { identical } = await searchParams;
  const { house } = loadHouse();
  const [newest] = listVersions(database(), view.release.id);
  const lastWords = newest ? readDocument(newest.document).body.sensory : NO_WORDS;
  return (
    <PublishStage
      releaseId={view.release.id}
      draftId={view.bench?.draft.id ?? null}
      body={view.bench ? publishedBody(house, view, NO_WORDS, today()) : null}
      words={{ ...NO_WORDS, ...lastWords }}
      isConfirmed={view.bench?.advice.status === 'confirmed'}
      versions={view.versions.map(({ number, publishedAt }) => ({ number, publishedAt }))}
      token={view.token}
      readBack={view.versions.find(({ number }) => String(number) === identical)?.number ?? null}
    />
  );
}
