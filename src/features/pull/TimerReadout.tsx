'use client';

import { figure } from '@/core/figure';
import styled from 'styled-components';
import { useUnits } from '@/ui/person';
import { Key, readingText } from '@/ui/type';
import type { Live } from './useLive';
import type { Timer, TimerPhase } from './useTimer';

const Box = styled.div`
  position: absolute;
  z-index: 1;
  left: 54px;
  top: 8px;
  display: grid;
  gap: 4px;
  justify-items: start;
  max-width: 252px;
  padding: 4px 10px 6px 2px;
  /* The lines of earlier shots pass under it and stay to be guessed. */
  background: color-mix(in srgb, var(--enamel-raised) 86%, transparent);

  @container (max-width: 600px) {
    position: static;
    max-width: none;
    grid-template-columns: auto 1fr;
    align-items: end;
    margin-bottom: 8px;
    background: none;
  }

  @media (max-width: 640px) {
    order: -2;
    position: static;
    max-width: none;
    grid-template-columns: auto 1fr;
    align-items: end;
    background: none;
  }
`;

const Clock = styled.button.attrs({ type: 'button' })`
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

/** No keyboard, no word of it. */
const Keyed = styled.span`
  @media (max-width: 640px) {
    display: none;
  }
`;

const Scale = styled.p`
  ${readingText}
  padding-left: 6px;
  font-size: 17px;
  font-variant-numeric: tabular-nums;
`;

const Speed = styled.label`
  padding-left: 6px;
  font-size: 13px;
  color: var(--ink-soft);

  select {
    color: var(--ink);
    background: var(--enamel-raised);
    border: 1px solid var(--rule-strong);
  }
`;

const NEXT: Record<TimerPhase, string> = {
  idle: 'starts with the pump',
  running: 'marks the first drip',
  dripped: 'stops',
  stopped: 'starts anew',
};

const SPEEDS = [1, 2, 5, 10];

/** The running clock, in the empty corner of the gate, and what the scale says. Press it or the space bar. */
export function TimerReadout({
  timer,
  live,
  speed,
  onSpeed,
}: {
  timer: Timer;
  live: Live;
  speed: number;
  onSpeed: (speed: number) => void;
}) {
  const { phase, elapsedS, firstDripS } = timer;
  const { mass, massFigure } = useUnits();
  const hasScale = live.scale === 'waking' || live.scale === 'ready';
  const isRunning = phase === 'running' || phase === 'dripped';
  const next = hasScale && phase === 'running' ? 'stops' : NEXT[phase];
  const weightG = live.points.at(-1)?.weightG;
  return (
    <Box className="screen-only">
      <Clock
        onClick={timer.advance}
        disabled={live.scale === 'waking'}
        data-phase={phase}
        aria-label={`Clock ${figure(elapsedS, 1)} s, ${next}`}
      >
        {figure(elapsedS, 1)}
      </Clock>
      <Hint>
        {isRunning && live.stopsItself ? (
          `stops by itself at ${mass(live.stopAtG)}`
        ) : (
          <>
            <Keyed>
              <Key>Space</Key> or
            </Keyed>{' '}
            a tap {next}
          </>
        )}
        {firstDripS !== null && `, first drip ${figure(firstDripS, 1)} s`}
      </Hint>
      {hasScale && (
        <Scale>
          {live.scale === 'waking' || weightG === undefined
            ? `Simulated scale ${live.scale === 'waking' ? 'wakes' : 'ready'}`
            : `${mass(Math.max(0, weightG))}, ${massFigure(live.flowGS, 1)} g/s`}
        </Scale>
      )}
      {hasScale && !isRunning && (
        <Speed>
          Simulated shots run{' '}
          <select
            value={speed}
            aria-label="Simulated shots run"
            onChange={({ target }) => onSpeed(Number(target.value))}
          >
            {SPEEDS.map((times) => (
              <option key={times} value={times}>
                {times === 1 ? 'in real time' : `${times} times as fast`}
              </option>
            ))}
          </select>
        </Speed>
      )}
    </Box>
  );
}
