'use client';

import styled from 'styled-components';

/** What a round of the drill is told when it is over. */
export interface Told {
  readonly isOrderRight: boolean;
}

export const Answers = styled.form`
  display: flex;
  flex-wrap: wrap;
  gap: 12px 22px;
  align-items: end;
`;
