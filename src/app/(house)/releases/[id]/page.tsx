import { redirect } from 'next/navigation';
import { loadRelease } from '@/features/frame/load';

/** A release opens at the stage that is next. */
export default async function ReleasePage({ params }: { params: Promise<{ id: string }> }) {
  const { view } = await loadRelease((await params).id);
  const { release, bench, versions, newBatch } = view;
  const isPublished = versions.length > 0 && newBatch === null;
  const stage = bench === null ? 'read' : isPublished ? 'publish' : 'pull';
  redirect(`/releases/${release.id}/${stage}`);
}
