'use client';

import type { ReactNode } from 'react';
import styled from 'styled-components';
import { Page } from './Page';

const Narrow = styled(Page)`
  max-width: 480px;
  margin: 0 auto;
  padding-top: 9vh;

  h1 {
    font-size: 26px;
  }
`;

const Mark = styled.p`
  display: flex;
  gap: 10px;
  align-items: center;
  font-stretch: 122%;
  font-weight: 700;

  svg {
    color: var(--copper);
  }
`;

/** The frame of the pages before the house: sign-in, invitation, set-up. */
export function EntryPage({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Narrow>
      <Mark>
        <svg width="26" height="26" viewBox="0 0 24 24" fill="none" aria-hidden="true">
          <path d="M7 22V6h11v16" stroke="var(--ink)" strokeWidth="2.4" />
          <path d="M1 21C7 19 10 12 23 2" stroke="currentColor" strokeWidth="2.8" />
        </svg>
        Kettlebrand
      </Mark>
      <h1>{title}</h1>
      {children}
    </Narrow>
  );
}

export const EntryForm = styled.form`
  display: grid;
  gap: 14px;
`;
