'use client';

import styled from 'styled-components';
import { dayWords } from '@/core/dayWords';
import { labelText } from '@/ui/type';

const Page = styled.main`
  max-width: 620px;
  margin: 0 auto;
  padding: 12vh 18px 48px;
`;

const Sheet = styled.article`
  display: grid;
  gap: 12px;
  padding: 22px 24px;
  border: 2px solid var(--ink);
  background: var(--enamel-raised);

  h1 {
    overflow-wrap: anywhere;
  }

  small {
    ${labelText}
  }
`;

/** In place of a card that was taken back: that it was, when, and the house's words. */
export function Withdrawn({
  roastery,
  coffee,
  version,
  withdrawnAt,
  why,
}: {
  roastery: string;
  coffee: string;
  version: number;
  withdrawnAt: string;
  why: string;
}) {
  return (
    <Page>
      <Sheet>
        <small>{roastery}</small>
        <h1>{coffee}</h1>
        <p>
          <strong>
            The recipe of this coffee (version {version}) was withdrawn on {dayWords(withdrawnAt)}.
          </strong>
        </p>
        <p>{why}</p>
        <small>A printed card with this code no longer holds. Ask the roastery.</small>
      </Sheet>
    </Page>
  );
}
