import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cache } from 'react';
import { database } from '@/data/database';
import { findPublished } from '@/data/publications';
import { PublicCard } from '@/features/publish/PublicCard';
import { readDocument } from '@/formats/recipeDocument';

export const dynamic = 'force-dynamic';

interface Props {
  readonly params: Promise<{ token: string }>;
}

/** Only what was published is read here; any other address answers the same 404. */
const load = cache((token: string) => {
  const version = findPublished(database(), token) ?? notFound();
  return readDocument(version.document);
});

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const { body } = load((await params).token);
  return { title: `${body.coffee.name}, ${body.roastery}`, robots: { index: false } };
}

export default async function PublicPage({ params }: Props) {
  const { token } = await params;
  const document = load(token);
  return <PublicCard document={document} downloadPath={`/p/${token}/recipe.json`} />;
}
