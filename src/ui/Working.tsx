'use client';

import styled from 'styled-components';
import { QuietButton } from './Button';
import { Small } from './type';

const Line = styled.p`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;

  progress {
    width: 140px;
    height: 8px;
    border: 1px solid var(--rule-strong);
    border-radius: 0;
    background: var(--enamel-raised);
    accent-color: var(--copper);
  }
`;

/** Work that runs off the main thread: how far it is, and a way to give it up. */
export function Working({
  words,
  fraction,
  onGiveUp,
}: {
  words: string;
  fraction: number;
  onGiveUp?: () => void;
}) {
  return (
    <Line role="status">
      <Small>{words}</Small>
      <progress value={fraction} max={1} aria-label={words} />
      {onGiveUp && <QuietButton onPress={onGiveUp}>give it up</QuietButton>}
    </Line>
  );
}
