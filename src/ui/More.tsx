'use client';

import type { ReactNode } from 'react';
import styled from 'styled-components';
import { labelText } from './type';

const Fold = styled.details`
  summary {
    ${labelText}
    padding: 6px 0;
    min-height: 34px;
    cursor: pointer;
  }

  &[open] > summary {
    margin-bottom: 6px;
  }
`;

/** What is rare, folded into one line that says what holds; it opens by itself where a fault lies in it. */
export function More({
  label,
  hasFault,
  children,
}: {
  label: string;
  hasFault: boolean;
  children: ReactNode;
}) {
  return (
    <Fold open={hasFault || undefined}>
      <summary>{label}</summary>
      {children}
    </Fold>
  );
}
