'use client';

import styled from 'styled-components';
import type { RecipeDocument } from '@/formats/recipe/document';
import { labelText } from '@/ui/type';
import { CardBody } from './CardBody';

const Page = styled.main`
  max-width: 780px;
  margin: 0 auto;
  padding: 28px 18px 48px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;

  @media (max-width: 640px) {
    padding: 0 0 32px;
  }

  @media print {
    padding: 0;
  }
`;

const Below = styled.p`
  ${labelText}
  padding: 0 14px;
  overflow-wrap: anywhere;

  @media print {
    a {
      display: none;
    }
  }
`;

/** The page a stranger brews from; needs no sign-in and no script to be read. */
export function PublicCard({ document, basePath }: { document: RecipeDocument; basePath: string }) {
  return (
    <Page>
      <CardBody body={document.body} />
      <Below>
        <a href={`${basePath}/card.pdf`}>Card on paper (PDF)</a>{' '}
        <a href={`${basePath}/recipe.json`} download>
          Recipe document (JSON)
        </a>{' '}
        SHA-256 {document.sha256}
      </Below>
    </Page>
  );
}
