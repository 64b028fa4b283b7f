'use client';

import { svgPoint } from '@/core/svgPoint';
import { figure } from '@/core/figure';
import { useRef, useState } from 'react';
import styled from 'styled-components';
import type { Outline } from '@/core/programme/outline';
import type { Drive } from '@/core/programme/step';
import type { Tried, TryInput } from '@/core/simulator/tryProgramme';
import { ask, BrokenWorker } from '@/workers/client';
import { Button } from '../Button';
import { useUnits } from '../person';
import { Small } from '../type';
import { Working } from '../Working';

/** Off the middle of the window by more than this, the window is not reached. */
const REACHED_WITHIN = 0.05;

/** sd of time between like simulated shots, % (model.md §7, its table of checks). */
const SCATTER_PCT = 4;

/** Asks the simulator what a programme comes to; gone when the programme changes. */
export function useTryOut() {
  const [found, setFound] = useState<{ of: string; tried: Tried } | null>(null);
  const [fraction, setFraction] = useState<number | null>(null);
  const [failed, setFailed] = useState('');
  const job = useRef<AbortController | null>(null);
  const run = async (input: TryInput) => {
    job.current = new AbortController();
    setFraction(0);
    setFailed('');
    try {
      const { signal } = job.current;
      const tried = await ask('tryOut', input, { onProgress: setFraction, signal });
      setFound({ of: keyOf(input), tried });
    } catch (error) {
      if (error instanceof Error && error.name !== 'AbortError')
        setFailed(
          error instanceof BrokenWorker
            ? error.message
            : 'The simulator did not get through this programme. Change a step and try again.',
        );
    }
    setFraction(null);
  };
  const triedOf = (input: TryInput) => (found?.of === keyOf(input) ? found.tried : null);
  return { run, triedOf, fraction, failed, giveUp: () => job.current?.abort() };
}

const keyOf = (input: TryInput) => JSON.stringify(input);

/** The button, how far it is, and what came of it. */
export function TryOut({
  tryOut,
  input,
}: {
  tryOut: ReturnType<typeof useTryOut>;
  input: TryInput;
}) {
  const { mass } = useUnits();
  const { fraction, failed, giveUp, run } = tryOut;
  const tried = tryOut.triedOf(input);
  if (fraction !== null)
    return <Working words="The simulator pulls it" fraction={fraction} onGiveUp={giveUp} />;
  return (
    <>
      <Button onPress={() => void run(input)}>Try it in the simulator</Button>
      {failed && <Small role="alert">{failed}</Small>}
      {tried && <Small role="status">{triedWords(tried, input, mass)}</Small>}
    </>
  );
}

function triedWords(
  { result, offBy }: Tried,
  { recipe }: TryInput,
  mass: (g: number) => string,
): string {
  const { timeS, firstDripS, yieldG, extractionPct, trace } = result;
  const peak = Math.max(...trace.map(({ pressureBar }) => pressureBar));
  const drip = firstDripS === null ? 'no drip' : `first drip at ${figure(firstDripS, 0)} s`;
  const what = `${mass(yieldG)} in ${figure(timeS, 0)} s, ${drip}, ${figure(peak, 1)} bar at the peak, extraction ${figure(extractionPct, 0)} %`;
  const reached =
    Math.abs(offBy) <= REACHED_WITHIN
      ? `At the grind that takes the window’s middle: ${what}.`
      : `No grind brings this programme to ${figure(recipe.centreS, 0)} s; the nearest gives ${what}.`;
  return `${reached} Simulated, heuristic: dashed on the drawing. Like shots differ by about ${SCATTER_PCT} % in time.`;
}

const Line = styled.path`
  fill: none;
  stroke: var(--copper);
  stroke-width: 2;
  stroke-dasharray: 3 4;
  pointer-events: none;
`;

/** Pressure and flow as the simulated machine made them. */
export function TriedLines({ tried, outline }: { tried: Tried; outline: Outline }) {
  const { trace } = tried.result;
  const lineOf = (drive: Drive, levelOf: (point: (typeof trace)[number]) => number) =>
    `M${trace
      .filter(({ timeS }) => timeS <= outline.untilS)
      .map((point) => svgPoint(outline.x(point.timeS), outline.y(drive, levelOf(point))))
      .join('L')}`;
  return (
    <g role="img" aria-label="Pressure and flow as simulated">
      <Line d={lineOf('pressure', ({ pressureBar }) => pressureBar)} />
      <Line d={lineOf('flow', ({ flowMlS }) => flowMlS)} />
    </g>
  );
}
