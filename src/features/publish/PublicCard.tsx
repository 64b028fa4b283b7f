'use client';

import styled from 'styled-components';
import { LANGUAGE_NAMES, LANGUAGES, type Language } from '@/core/language';
import { LOCALES } from '@/words/figures';
import { cardWords } from '@/words/cardWords';
import type { RecipeDocument } from '@/formats/recipe/document';
import { labelText } from '@/ui/type';
import { CardBody } from './CardBody';
import { Helpers } from './Helpers';

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

const Tongues = styled.nav`
  ${labelText}
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  padding: 0 14px;

  @media print {
    display: none;
  }
`;

interface PublicCardProps {
  readonly document: RecipeDocument;
  readonly basePath: string;
  readonly language: Language;
}

/**
 * The page a stranger brews from; needs no sign-in and no script to be read. What a script can add stands in
 * `Helpers`.
 */
export function PublicCard({ document, basePath, language }: PublicCardProps) {
  const { body } = document;
  const say = cardWords(language);
  const earlier = Array.from({ length: body.version - 1 }, (_, i) => body.version - 1 - i);
  return (
    <Page>
      <Tongues aria-label={LANGUAGES.map((one) => LANGUAGE_NAMES[one]).join(', ')}>
        {LANGUAGES.map((one) => (
          <a
            key={one}
            href={`${basePath}/${one}/`}
            lang={LOCALES[one]}
            aria-current={one === language ? 'page' : undefined}
          >
            {LANGUAGE_NAMES[one]}
          </a>
        ))}
      </Tongues>
      <CardBody body={body} language={language}>
        <Helpers
          language={language}
          documentPath={`${basePath}/recipe.json`}
          version={body.version}
          doseG={body.recipe.doseG}
        />
      </CardBody>
      <Below>
        <a href={`${basePath}/${language}/card.pdf`}>{say('card.paper')}</a>{' '}
        <a href={`${basePath}/recipe.json`} download>
          {say('card.document')}
        </a>
        {earlier.length > 0 && (
          <>
            {' '}
            {say('card.earlier')}:{' '}
            {earlier.slice(0, MOST_EARLIER).map((number) => (
              <span key={number}>
                <a href={`${basePath}/v/${number}/`}>{number}</a>{' '}
              </span>
            ))}
          </>
        )}{' '}
        SHA-256 {document.sha256}
      </Below>
    </Page>
  );
}

/** Older ones are reached from the oldest shown. */
const MOST_EARLIER = 12;
