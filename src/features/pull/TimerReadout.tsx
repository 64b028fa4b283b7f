'use client';

import { Button } from 'react-aria-components/Button';
import styled from 'styled-components';
import { Key, readingText } from '@/ui/type';
import type { Timer, TimerPhase } from './useTimer';

const Box = styled.div`
  position: absolute;
  z-index: 1;
  left: 54px;
  top: 8px;
  display: grid;
  gap: 4px;
  justify-items: start;
  padding: 4px 10px 6px 2px;
  background: var(--enamel-raised);

  @container (max-width: 600px) {
    position: static;
    grid-template-columns: auto 1fr;
    align-items: end;
    margin-bottom: 8px;
    background: none;
  }
`;

const Clock = styled(Button)`
  ${readingText}
  padding: 0 4px;
  border: 0;
  background: none;
  color: var(--ink);
  font-size: 58px;
  font-weight: 500;
  line-height: 1;
  font-variant-numeric: tabular-nums;
  cursor: pointer;

  &[data-phase='running'],
  &[data-phase='dripped'] {
    color: var(--copper);
  }

  @container (max-width: 600px) {
    min-height: var(--target);
    font-size: 52px;
  }
`;

const Hint = styled.p`
  padding-left: 6px;
  font-size: 14px;
  color: var(--ink-soft);
`;

const NEXT: Record<TimerPhase, string> = {
  idle: 'starts with the pump',
  running: 'marks the first drip',
  dripped: 'stops',
  stopped: 'starts anew',
};

/** The running clock, in the empty corner of the gate. Press it or the space bar. */
export function TimerReadout({ timer }: { timer: Timer }) {
  const { phase, elapsedS, firstDripS } = timer;
  return (
    <Box>
      <Clock
        onPress={timer.advance}
        data-phase={phase}
        aria-label={`Clock ${elapsedS.toFixed(1)} s, ${NEXT[phase]}`}
      >
        {elapsedS.toFixed(1)}
      </Clock>
      <Hint>
        <Key>Space</Key> or a tap {NEXT[phase]}
        {firstDripS !== null && `, first drip ${firstDripS.toFixed(1)} s`}
      </Hint>
    </Box>
  );
}
