'use client';

import styled from 'styled-components';
import type { PullView } from '@/views/pull';
import type { Bench } from '@/views/release';
import { useUnits } from '@/ui/person';
import { labelText } from '@/ui/type';
import { readNumber } from '@/core/readNumber';
import { needsPurge, purgeOfTick, type ShotText } from './shotEntry';

const List = styled.ol`
  ${labelText}
  display: flex;
  flex-wrap: wrap;
  gap: 2px 0;
  list-style: none;
  color: var(--ink);

  li + li::before {
    content: '›';
    padding: 0 8px;
    color: var(--ink-soft);
  }
`;

/** The order of hands before the pump starts, with this shot's own figures. */
export function BeforeShot({
  bench,
  text,
  stopAtG,
  bag,
}: {
  bench: Bench;
  text: ShotText;
  stopAtG: number;
  bag: PullView['bag'];
}) {
  const { mass } = useUnits();
  const { flushS } = bench.setup.machine;
  const dose = readNumber(text.doseG);
  const steps = [
    bag && `beans from bag ${bag.label}, rest day ${bag.restDays}`,
    needsPurge(text, bench) && `purge ${mass(purgeOfTick(text, bench))}`,
    `weigh in ${mass(typeof dose === 'number' ? dose : bench.advice.setting.doseG)}`,
    'distribute, tamp level',
    flushS ? `flush ${flushS} s, hands clear` : 'flush, hands clear',
    'warm portafilter in',
    'cup on the scale, tare',
    `stop the pump at ${mass(stopAtG)}`,
  ].filter((step) => typeof step === 'string');
  return (
    <List aria-label="Before the shot">
      {steps.map((step) => (
        <li key={step}>{step}</li>
      ))}
    </List>
  );
}
