'use client';

import Link from 'next/link';
import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { CLOCK_LABELS } from '@/core/vocabulary';
import type { Bench } from '@/data/releaseView';
import { QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { Gate } from '@/ui/Gate';
import { Hidden, Notice, StageTitle } from '@/ui/type';
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

const SHOWN = ['dial', 'doseG', 'yieldG', 'timeS', 'firstDripS', 'temperatureC', 'remark'];

export function PullStage({ bench, releaseId }: { bench: Bench | null; releaseId: string }) {
  const [takenBack, setTakenBack] = useState<string | null>(null);
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
      <BenchWork
        key={`${bench.draft.id} ${bench.shots.length}`}
        bench={bench}
        onTakenBack={setTakenBack}
      />
      {takenBack !== null && <PutBack shotId={takenBack} onDone={() => setTakenBack(null)} />}
    </Stack>
  );
}

/** Undo for a shot taken back. */
function PutBack({ shotId, onDone }: { shotId: string; onDone: () => void }) {
  const { submit, isBusy } = useCommand();
  const restore = async () => {
    const answer = await submit('restoreShot', { shotId });
    if (answer.ok) onDone();
  };
  return (
    <p role="status">
      A shot was taken back.{' '}
      <QuietButton onPress={() => void restore()} isDisabled={isBusy}>
        Put it back
      </QuietButton>
    </p>
  );
}

function BenchWork({
  bench,
  onTakenBack,
}: {
  bench: Bench;
  onTakenBack: (shotId: string) => void;
}) {
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
    if (answer.ok) onTakenBack(shotId);
  };
  const last = shots.at(-1);
  useTimerKey(timer.advance);
  useKeys({
    n: () => form.current?.focusDial(),
    p: () => change({ purged: !text.purged }),
    Enter: log,
    ...(last && { u: () => void takeBack(last.id) }),
    ...(phase !== 'idle' && { Escape: timer.reset }),
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
      <ShotForm
        bench={bench}
        text={text}
        onChange={change}
        onLog={log}
        faultOf={faultOf}
        isBusy={isBusy}
        handle={form}
      />
      <Faults faults={faults} shown={SHOWN} />
      {advice.status === 'confirmed' && (
        <Notice $kind="good">
          Confirmed in {shots.length} shots and {bench.spentG.toFixed(0)} g. Taste it, then publish.
        </Notice>
      )}
      <Ledger bench={bench} onRemove={(shotId) => void takeBack(shotId)} />
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
