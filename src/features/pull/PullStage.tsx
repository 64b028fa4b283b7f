'use client';

import { isOnTargetStatus } from '@/core/advice/types';
import { Link } from '@/ui/Link';
import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { SHOT } from '@/core/entity/shot';
import { CHOKED } from '@/core/choked';
import { costWords, type CoffeePrice } from '@/core/money';
import type { Trace } from '@/core/trace/schema';
import { CLOCK_LABELS, type BeanState, type Clock } from '@/core/vocabulary';
import type { NewBatch } from '@/views/newBatch';
import type { PullView } from '@/views/pull';
import type { Bench } from '@/views/release';
import type { InBasket } from '@/devices/simulated/simulatedBench';
import { shownFields } from '@/ui/entryText';
import { DraftNotice } from '@/ui/DraftNotice';
import { Faults } from '@/ui/Faults';
import { Gate } from '@/ui/Gate';
import { NewBatchOffer } from '@/ui/NewBatchOffer';
import { useMay, useUnits } from '@/ui/person';
import { readNumber } from '@/core/readNumber';
import { Trouble } from '@/ui/Trouble';
import { Hidden, Notice, Small, StageTitle } from '@/ui/type';
import { offerUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { useDraft } from '@/ui/useDraft';
import { useKeys } from '@/ui/useKeys';
import { useOutbox } from '@/ui/useOutbox';
import { BenchSheet } from './BenchSheet';
import { GrinderCurve } from './GrinderCurve';
import { Ledger } from './Ledger';
import { SessionSummary } from './SessionSummary';
import { faultsOf, prefill, purgeOfTick, shotSent, type ShotText } from './shotEntry';
import { ShotForm, type ShotFormHandle } from './ShotForm';
import { TimerReadout } from './TimerReadout';
import { useLive } from './useLive';
import { useOthers } from './useOthers';
import { useTimer, type TimedRun } from './useTimer';
import { Waiting } from '@/ui/Waiting';
import { useShotWords } from './useShotWords';

/** Bean temperatures the simulator takes for the states, °C. */
const BEAN_C: Record<BeanState, number> = { room: 22, warm: 50, frozen: -18, misted: 22 };

const Stack = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;

  /* On a phone the clock, the figures and the log button lie within one thumb's reach. */
  @media (max-width: 640px) {
    display: flex;
    flex-direction: column;
  }
`;

/** Clock and gate fit themselves to the room there is, not to the window. */
const Plane = styled.div`
  position: relative;
  container-type: inline-size;

  @media (max-width: 640px) {
    display: contents;
  }
`;

const Beside = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1.45fr) minmax(0, 1fr);
  gap: 14px 22px;
  align-items: start;

  @media (max-width: 720px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const SHOWN = shownFields(SHOT);

export interface PullStageProps {
  readonly bench: Bench | null;
  readonly pull: PullView | null;
  readonly releaseId: string;
  readonly newBatch: NewBatch | null;
  /** What the coffee costs; null while the house has no price. */
  readonly price: CoffeePrice | null;
}

export function PullStage({ bench, pull, releaseId, newBatch, price }: PullStageProps) {
  if (!bench || !pull)
    return (
      <Stack>
        {newBatch && <NewBatchOffer releaseId={releaseId} newBatch={newBatch} />}
        <StageTitle>Nothing on the bench yet</StageTitle>
        <p>
          Shots are judged against a recipe.{' '}
          <Link href={`/releases/${releaseId}/start`}>Begin with a proposal</Link>.
        </p>
      </Stack>
    );
  return (
    <>
      {newBatch && <NewBatchOffer releaseId={releaseId} newBatch={newBatch} />}
      <BenchWork bench={bench} pull={pull} releaseId={releaseId} price={price} />
    </>
  );
}

interface BenchWorkProps extends Omit<PullStageProps, 'newBatch'> {
  readonly bench: Bench;
  readonly pull: PullView;
}

function BenchWork({ bench, pull, releaseId, price }: BenchWorkProps) {
  const mayPull = useMay('bench');
  const isLead = useMay('lead');
  const { mass } = useUnits();
  const { target, shots, advice, draft } = bench;
  // Only what was touched is kept: all else follows recipe, shots and advice, whoever changes them.
  const [edits, setEdits] = useState<Partial<ShotText>>({});
  const typed = useDraft(`next shot ${draft.dialInId}`, {
    value: edits,
    initial: NO_EDITS,
    onRestore: setEdits,
  });
  const text: ShotText = { ...prefill(bench, pull.cremaGPerMl), ...edits };
  const form = useRef<ShotFormHandle>(null);
  const command = useCommand();
  const queue = useOutbox(`bench ${draft.dialInId}`);
  const shotWords = useShotWords();
  const news = useOthers(releaseId);
  const [speed, setSpeed] = useState(1);
  const change = (part: Partial<ShotText>) => setEdits((before) => ({ ...before, ...part }));
  const faults = queue.faults.length > 0 ? queue.faults : command.faults;

  const onClock = ({ elapsedS, firstDripS }: TimedRun): Partial<ShotText> => ({
    timeS: (text.clock === 'pump' ? elapsedS : elapsedS - (firstDripS ?? 0)).toFixed(1),
    ...(firstDripS !== null && { firstDripS: firstDripS.toFixed(1) }),
  });
  const live = useLive({
    bench,
    pull,
    speed,
    inBasket: () => inBasketOf(text, bench),
    onDrip: (atS) => timer.markDrip(atS),
    onFull: (atS) => timer.stopAt(atS),
    onSettled: ({ yieldG, overrunG, trace }) =>
      change({ yieldG: yieldG.toFixed(1), yieldMl: '', overrunG: String(overrunG), trace }),
  });
  // A scale that does not answer leaves the clock to the hand.
  const isFollowed = live.live.scale === 'waking' || live.live.scale === 'ready';
  const timer = useTimer({
    hasScale: isFollowed,
    speed: isFollowed ? speed : 1,
    onStart: live.start,
    onStop: (run) => {
      live.stop(run.elapsedS);
      change(onClock(run));
      form.current?.focusYield();
    },
  });
  const { phase, elapsedS } = timer;
  const isRunning = phase === 'running' || phase === 'dripped';

  const log = async () => {
    // A second press before the screen shows the first is the same press.
    if (queue.isBusy) return;
    const input = { ...shotSent(text, bench), pulledAt: new Date().toISOString() };
    const found = faultsOf(input);
    if (found.length > 0) return queue.setFaults(found);
    const answer = await queue.send('logShot', input);
    if (answer !== 'waiting' && !answer.ok) return;
    setEdits({});
    typed.forget();
    timer.reset();
    live.clear();
    // The next key is the bench's again, not a field's.
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
  };
  const takeBack = async (shotId: string) => {
    const answer = await command.submit('removeShot', { shotId });
    if (answer.ok)
      offerUndo({ words: 'A shot was deleted.', kind: 'restoreShot', input: { shotId } });
  };
  const last = shots.at(-1);
  useTimerKey(timer.advance);
  useKeys({
    // Pressed on a figure too, where the clock listens for itself: see useTimerKey.
    ' ': { words: 'start the clock, mark the first drip, stop', act: timer.advance },
    n: { words: 'to the figures', act: () => form.current?.focusDial() },
    p: { words: 'purged', act: () => change({ purged: !text.purged }) },
    ...(mayPull && {
      Enter: { words: 'log the shot', act: () => void log() },
      ...(last && { u: { words: 'delete the last shot', act: () => void takeBack(last.id) } }),
    }),
    ...(phase !== 'idle' && { Escape: { words: 'reset the clock', act: timer.reset } }),
  });
  const isStalled =
    isRunning &&
    elapsedS >= CHOKED.afterS &&
    (live.live.points.at(-1)?.weightG ?? Infinity) < CHOKED.underG;

  return (
    <Stack>
      <Hidden as="h2">Pull</Hidden>
      <Waiting waiting={queue.waiting} trouble={queue.trouble} one="shot" words={shotWords} />
      <DraftNotice draft={typed} />
      {news && (
        <Notice role="status">
          {news.words}. The advice counts it;{' '}
          {Object.keys(edits).length > 0 ? 'what you have entered is kept.' : 'you are up to date.'}
        </Notice>
      )}
      {live.trouble && (
        <Trouble
          words={`${live.trouble} Meanwhile the clock works by hand.`}
          onAgain={live.tryAgain}
        />
      )}
      <Plane>
        <TimerReadout timer={timer} live={live.live} speed={speed} onSpeed={setSpeed} />
        <Gate
          yieldG={target.yieldG}
          yieldToleranceG={target.yieldToleranceG}
          timeS={target.timeS}
          clockWords={CLOCK_LABELS[target.clock]}
          shots={shots.map(({ id, number, yieldG, firstDripS: drip, mark }) => ({
            number,
            yieldG,
            timeS: mark.timeOnTargetClockS,
            firstDripS: drip,
            trace: onGateClock(pull.traces[id], target.clock, drip),
            mark,
          }))}
          expect={isOnTargetStatus(advice.status) ? null : advice.expect}
          proof={advice.proof}
          runningS={isRunning ? elapsedS : null}
          live={onGateClock(live.live.points, target.clock, timer.firstDripS ?? undefined)}
        />
      </Plane>
      {isStalled && (
        <Notice role="alert">
          Next to nothing came through in {CHOKED.afterS} s: it has choked. Stop the pump. Pressure
          stays behind the puck: wait for it to vent before you loosen the portafilter; group,
          portafilter and steam scald. A burr problem is looked at with the grinder unplugged.
        </Notice>
      )}
      {!mayPull && <Small>You look on: the lead and bench hands log shots.</Small>}
      <ShotForm
        bench={bench}
        text={text}
        onChange={change}
        onLog={() => void log()}
        faultOf={(field) => queue.faultOf(field) ?? command.faultOf(field)}
        isBusy={queue.isBusy || command.isBusy || !mayPull}
        handle={form}
        cremaGPerMl={pull.cremaGPerMl}
        stopAtG={live.live.stopAtG}
        bag={pull.bag}
        refractometer={live.refractometer}
      />
      <BenchSheet nextNumber={(last?.number ?? 0) + 1} />
      <Faults faults={faults} shown={SHOWN} />
      {isOnTargetStatus(advice.status) && (
        <Notice $kind="good">
          {advice.status === 'approved' ? 'Approved' : 'On target'} in {bench.shotCount} shots and{' '}
          {mass(bench.spentG, 0)}
          {price && ` (${costWords(bench.spentG, price)})`}.{' '}
          {pull.published?.isThis
            ? `Version ${pull.published.number} is this recipe.`
            : advice.status !== 'approved'
              ? 'Taste it next.'
              : isLead && 'Publish it.'}
        </Notice>
      )}
      <Beside>
        <GrinderCurve bench={bench} curve={pull.curve} firsts={pull.firsts} />
        <SessionSummary bench={bench} pull={pull} price={price} />
      </Beside>
      <Ledger
        bench={bench}
        firsts={pull.firsts}
        price={price}
        onRemove={mayPull ? (shotId) => void takeBack(shotId) : undefined}
      />
    </Stack>
  );
}

/** Nothing of the entry was touched. */
const NO_EDITS: Partial<ShotText> = {};

/** What lies in the basket of a simulated machine: the entry as it stands. */
function inBasketOf(text: ShotText, bench: Bench): InBasket {
  const { setting } = bench.advice;
  const figure = (entered: string, otherwise: number) => {
    const value = readNumber(entered);
    return typeof value === 'number' ? value : otherwise;
  };
  return {
    dial: figure(text.dial, setting.dial),
    doseG: figure(text.doseG, setting.doseG),
    purgeG: text.purged ? purgeOfTick(text, bench) : 0,
    temperatureC: figure(text.temperatureC, bench.draft.recipe.temperatureC),
    beanC: BEAN_C[text.beans],
    isMisted: text.beans === 'misted',
    isColdMetal: text.seen.includes('coldMetal'),
  };
}

/** A trace on the clock of the gate; without a first drip it cannot be put on that clock. */
function onGateClock(
  trace: Trace | undefined,
  clock: Clock,
  firstDripS: number | undefined,
): Trace | undefined {
  if (!trace || clock === 'pump') return trace;
  if (firstDripS === undefined) return undefined;
  return trace.flatMap((point) =>
    point.timeS < firstDripS ? [] : [{ ...point, timeS: point.timeS - firstDripS }],
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
