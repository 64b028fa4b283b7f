'use client';

import { figure } from '@/core/figure';
import styled from 'styled-components';
import { dialWords } from '@/core/grinder/notation';
import type { StoredGrinder } from '@/data/equipment';
import type { GrinderLesson } from '@/views/grinderMemory';
import { useUnits } from '@/ui/person';
import { labelText, Notice, Small } from '@/ui/type';

const Facts = styled.dl`
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: minmax(120px, 180px) minmax(0, 1fr);
  gap: 3px 16px;

  dt {
    ${labelText}
  }

  dd {
    margin: 0;
  }
`;

const Rest = styled.div`
  grid-column: 1 / -1;
`;

/** What past dial-ins taught of a grinder: what a step does, how shots scatter, where coffees stand, what it keeps. */
export function Lesson({ grinder, lesson }: { grinder: StoredGrinder; lesson: GrinderLesson }) {
  const { mass } = useUnits();
  const { dialIns, stepS, stepHalf80S, scatterPct, usualDials, people, hint } = lesson;
  const at = (dial: number) => dialWords(grinder, dial);
  return (
    <>
      <Facts aria-label={`What past dial-ins taught of ${grinder.name}`}>
        <dt>Taught by</dt>
        <dd>
          {dialIns === 1 ? 'one dial-in' : `${dialIns} dial-ins`}
          {lesson.isMostlyRule && ': mostly the trade’s rule so far'}
        </dd>
        <dt>A step finer adds</dt>
        <dd>
          {figure(stepS, 1)} ± {figure(stepHalf80S, 1)} s to a shot of 28 s
        </dd>
        <dt>Like shots scatter by</dt>
        <dd>
          {figure(scatterPct, 1)} %
          {people.length > 1 &&
            `: ${people.map((one) => `${one.name} ${figure(one.scatterPct, 1)} %`).join(', ')}`}
        </dd>
        <dt>Washed coffee, 28 s</dt>
        <dd>
          at about {at(usualDials.light)} light, {at(usualDials.medium)} medium,{' '}
          {at(usualDials.dark)} dark
        </dd>
      </Facts>
      {hint && (
        <Rest>
          <Notice>
            Its dial-ins fit better if it keeps about {mass(hint.retentionG)}, not{' '}
            {mass(grinder.retentionG)}. A hint, nothing was changed: weigh what a purge brings out,
            then change it if that agrees.
          </Notice>
        </Rest>
      )}
      {hint === null && dialIns >= 50 && (
        <Rest>
          <Small>What it keeps, {mass(grinder.retentionG)}, fits its dial-ins.</Small>
        </Rest>
      )}
    </>
  );
}
