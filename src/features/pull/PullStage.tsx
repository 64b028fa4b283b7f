'use client';

import Link from 'next/link';
import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { costWords, type CoffeePrice } from '@/core/money';
import { CLOCK_LABELS } from '@/core/vocabulary';
import type { Bench } from '@/data/releaseView';
import { Faults } from '@/ui/Faults';
import { Gate } from '@/ui/Gate';
import { useMay, useUnits } from '@/ui/person';
import { Hidden, Notice, Small, StageTitle } from '@/ui/type';
import { offerUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { useKeys } from '@/ui/useKeys';
import { Ledger } from './Ledger';
import { prefill, shotInputOf, type ShotText } from './shotEntry';
import { ShotForm, type ShotFormHandle } from './ShotForm';
import { TimerReadout } from './TimerReadout';
import { useTimer, type TimedRun } from './useTimer';

const Stack = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
`;

/** Clock and gate fit themselves to the room there is, not to the window. */
const Plane = styled.div`
  position: relative;
  container-type: inline-size;
`;

const SHOWN = [
  'overruled',
  'dial',
  'doseG',
  'yieldG',
  'timeS',
  'firstDripS',
  'temperatureC',
  'remark',
];

export interface PullStageProps {
  readonly bench: Bench | null;
  readonly releaseId: string;
  /** What the coffee costs; null while the house has no price. */
  readonly price: CoffeePrice | null;
}

export function PullStage({ bench, releaseId, price }: PullStageProps) {
  if (!bench)
    return (
      <Stack>
        <StageTitle>Nothing on the bench yet</StageTitle>
        <p>
          Shots are judged against a recipe.{' '}
          <Link href={`/releases/${releaseId}/start`}>Begin with a proposal</Link>.
        </p>
      </Stack>
    );
  // A new shot or a new recipe begins a fresh entry.
  return (
    <Stack>
      <BenchWork key={`${bench.draft.id} ${bench.shots.length}`} bench={bench} price={price} />
    </Stack>
  );
}

function BenchWork({ bench, price }: { bench: Bench; price: CoffeePrice | null }) {
  const mayPull = useMay('bench');
  const { mass } = useUnits();
  const { target, shots, advice } = bench;
  const [text, setText] = useState<ShotText>(() => prefill(bench));
  const form = useRef<ShotFormHandle>(null);
  const { submit, faults, faultOf, isBusy } = useCommand();
  const change = (part: Partial<ShotText>) => setText((before) => ({ ...before, ...part }));

  const onStop = ({ elapsedS, firstDripS }: TimedRun) => {
    const timeS = text.clock === 'pump' ? elapsedS : elapsedS - firstDripS;
    change({ timeS: timeS.toFixed(1), firstDripS: firstDripS.toFixed(1) });
    form.current?.focusYield();
  };
  const timer = useTimer(onStop);
  const { phase, elapsedS } = timer;

  const log = () => void submit('logShot', shotInputOf(text, bench));
  const takeBack = async (shotId: string) => {
    const answer = await submit('removeShot', { shotId });
    if (answer.ok)
      offerUndo({ words: 'A shot was taken back.', kind: 'restoreShot', input: { shotId } });
  };
  const last = shots.at(-1);
  useTimerKey(timer.advance);
  useKeys({
    // Pressed on a figure too, where the clock listens for itself: see useTimerKey.
    ' ': { words: 'start the clock, mark the first drip, stop', act: timer.advance },
    n: { words: 'to the figures', act: () => form.current?.focusDial() },
    p: { words: 'purged', act: () => change({ purged: !text.purged }) },
    ...(mayPull && {
      Enter: { words: 'log the shot', act: log },
      ...(last && { u: { words: 'take the last shot back', act: () => void takeBack(last.id) } }),
    }),
    ...(phase !== 'idle' && { Escape: { words: 'reset the clock', act: timer.reset } }),
  });

  return (
    <Stack>
      <Hidden as="h2">Pull</Hidden>
      <Plane>
        <TimerReadout timer={timer} />
        <Gate
          yieldG={target.yieldG}
          yieldToleranceG={target.yieldToleranceG}
          timeS={target.timeS}
          clockWords={CLOCK_LABELS[target.clock]}
          shots={shots.map(({ yieldG, firstDripS: drip, mark }, i) => ({
            number: i + 1,
            yieldG,
            timeS: mark.timeOnTargetClockS,
            firstDripS: drip,
            mark,
          }))}
          expect={advice.status === 'confirmed' ? null : advice.expect}
          runningS={phase === 'running' || phase === 'dripped' ? elapsedS : null}
        />
      </Plane>
      {!mayPull && <Small>You look on: the lead and bench hands log shots.</Small>}
      <ShotForm
        bench={bench}
        text={text}
        onChange={change}
        onLog={log}
        faultOf={faultOf}
        isBusy={isBusy || !mayPull}
        handle={form}
      />
      <Faults faults={faults} shown={SHOWN} />
      {advice.status === 'confirmed' && (
        <Notice $kind="good">
          Confirmed in {shots.length} shots and {mass(bench.spentG, 0)}
          {price && ` (${costWords(bench.spentG, price)})`}. Taste it, then publish.
        </Notice>
      )}
      <Ledger
        bench={bench}
        price={price}
        onRemove={mayPull ? (shotId) => void takeBack(shotId) : undefined}
      />
    </Stack>
  );
}

/** Space works the clock from anywhere but a text; on a button it presses that button. */
function useTimerKey(advance: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== ' ' || event.repeat || event.ctrlKey || event.metaKey) return;
      const { target } = event;
      const isText =
        target instanceof HTMLElement &&
        target.matches('button, a, select, textarea, input:not([inputmode=decimal]), [role=radio]');
      if (isText) return;
      event.preventDefault();
      advance();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [advance]);
}
