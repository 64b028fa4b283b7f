import { redirect } from 'next/navigation';
import { loadRelease } from '@/features/frame/load';

/** A release opens at the stage that is next. */
export default async function ReleasePage({ params }: { params: Promise<{ id: string }> }) {
  const { release, bench, versions } = await loadRelease((await params).id);
  const stage = bench === null ? 'read' : versions.length > 0 ? 'publish' : 'pull';
  redirect(`/releases/${release.id}/${stage}`);
}
