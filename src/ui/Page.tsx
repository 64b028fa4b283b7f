'use client';

import styled from 'styled-components';

/** Where the skip link leads. */
export const CONTENT_ID = 'content';

/** A page outside a release: the whole width for what is compared, sentences no longer than can be read. */
export const Page = styled.main.attrs({ id: CONTENT_ID })<{ $isNarrow?: boolean }>`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 20px;
  max-width: ${({ $isNarrow = false }) => ($isNarrow ? '1040px' : 'none')};
  padding: 22px 24px 60px;

  > p {
    max-width: 100ch;
  }

  @media (max-width: 640px) {
    padding: 14px 12px 40px;
  }
`;

/** Two columns side by side, each a stack; one under the other where there is no room for both. */
export const Columns = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 480px), 1fr));
  gap: 24px 36px;
  align-items: start;

  > * {
    min-width: 0;
  }

  > div {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 24px;
  }
`;
