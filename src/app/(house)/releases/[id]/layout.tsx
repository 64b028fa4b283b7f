import type { Metadata } from 'next';
import type { ReactNode } from 'react';
import { database } from '@/data/database';
import { loadRelease } from '@/features/frame/load';
import { ReleaseFrame } from '@/features/frame/ReleaseFrame';
import { stagesOf } from '@/features/frame/stages';
import { batchChoices } from '@/views/lookedAt';

interface Props {
  readonly params: Promise<{ id: string }>;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { view } = await loadRelease((await params).id);
  return {
    title: { default: view.release.name, template: `%s · ${view.release.name} · Kettlebrand` },
  };
}

export default async function ReleaseLayout({ params, children }: Props & { children: ReactNode }) {
  const { view } = await loadRelease((await params).id);
  return (
    <ReleaseFrame
      key={view.release.id}
      view={view}
      stages={stagesOf(view)}
      choices={batchChoices(database(), view)}
    >
      {children}
    </ReleaseFrame>
  );
}
