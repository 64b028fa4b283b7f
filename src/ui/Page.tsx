'use client';

import styled from 'styled-components';

/** A page outside a release. */
export const Page = styled.main<{ $isWide?: boolean }>`
  display: grid;
  gap: 20px;
  max-width: ${({ $isWide = false }) => ($isWide ? 'none' : '1040px')};
  padding: 22px 24px 60px;

  @media (max-width: 640px) {
    padding: 14px 12px 40px;
  }
`;
