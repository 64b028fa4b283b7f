import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { database } from '@/data/database';
import { findPublished } from '@/data/publications';
import { PublicCard } from '@/features/publish/PublicCard';
import { Withdrawn } from '@/features/publish/Withdrawn';
import { readDocument } from '@/formats/recipe/readers';

export const dynamic = 'force-dynamic';

interface Props {
  readonly params: Promise<{ token: string }>;
}

/** Only what was published is read here; any other address answers the same 404. */
const load = cache((token: string) => {
  const version = findPublished(database(), token) ?? notFound();
  return { version, document: readDocument(version.document) };
});

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { body } = load((await params).token).document;
  return { title: `${body.coffee.name}, ${body.roastery}`, robots: { index: false } };
}

export default async function PublicPage({ params }: Props) {
  const { token } = await params;
  const { version, document } = load(token);
  const { roastery, coffee } = document.body;
  if (version.withdrawnAt !== null)
    return (
      <Withdrawn
        roastery={roastery}
        coffee={coffee.name}
        version={version.number}
        withdrawnAt={version.withdrawnAt}
        why={version.withdrawnWhy ?? ''}
      />
    );
  return <PublicCard document={document} basePath={`/p/${token}`} />;
}
