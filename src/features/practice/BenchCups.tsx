'use client';

import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { chanceFrom } from '@/core/random';
import { cupEveryS } from '@/core/taste/stagedCups';
import { Button, MainButton } from '@/ui/Button';
import { Choice } from '@/ui/choices';
import { Key, Notice, readingText, Small } from '@/ui/type';
import { useKeys } from '@/ui/useKeys';
import { Answers, type Told } from './Answers';
import { isWhole, NO_ORDER, OrderChoice, type Order } from './OrderChoice';
import { useCupClock, type CupClock } from './useCupClock';

const ROASTS = [
  { value: '-1', label: 'Light' },
  { value: '0', label: 'Medium' },
  { value: '1', label: 'Dark' },
] as const;
type Roast = (typeof ROASTS)[number]['value'];

const CODES = ['B', 'D', 'F', 'H', 'L', 'N', 'P', 'S', 'W', 'Z'] as const;

const Call = styled.button.attrs({ type: 'button' })`
  display: grid;
  gap: 2px;
  width: 100%;
  padding: 16px 18px;
  border: 2px solid var(--ink);
  border-radius: 3px;
  background: var(--enamel-raised);
  color: var(--ink);
  text-align: left;
  cursor: pointer;

  strong {
    ${readingText}
    font-size: 34px;
    line-height: 1.1;
  }
`;

/** A real shot caught in three cups: the app calls the changes, keeps the order and says it afterwards. */
export function BenchCups({
  onTold,
  onNext,
}: {
  onTold: (told: Told) => void;
  onNext: () => void;
}) {
  const [roast, setRoast] = useState<Roast>('0');
  const [codes] = useState(() => drawnCodes());
  const [order, setOrder] = useState<Order>(NO_ORDER);
  const [isTold, setTold] = useState(false);
  const { clock, press } = useCupClock();
  useKeys({ ' ': { words: 'pump, first drip, end of the shot', act: press } });
  const everyS = cupEveryS(Number(roast));
  const isOrderRight = codes.every((code, i) => code === order[i]);
  const tell = (event: FormEvent) => {
    event.preventDefault();
    if (isTold || !isWhole(order)) return;
    setTold(true);
    onTold({ isOrderRight });
  };
  return (
    <>
      {clock.at === 'ready' && (
        <Choice label="Roast" value={roast} onChange={setRoast} options={ROASTS} />
      )}
      {clock.at !== 'done' && (
        <>
          <p>
            Have someone stick <b>{codes[0]}</b> under the first cup, <b>{codes[1]}</b> under the
            second, <b>{codes[2]}</b> under the last, and set them before you mixed up. Cups change
            every {everyS} s from the first drip.
          </p>
          <Call onClick={press} aria-live="assertive">
            <CallWords clock={clock} everyS={everyS} codes={codes} />
          </Call>
        </>
      )}
      {clock.at === 'done' && (
        <Answers onSubmit={tell} aria-label="Your answer">
          <OrderChoice codes={[...codes].sort()} order={order} onChange={setOrder} />
          <MainButton type="submit" isDisabled={isTold || !isWhole(order)}>
            Show the truth
          </MainButton>
        </Answers>
      )}
      {isTold && (
        <>
          <Notice $kind={isOrderRight ? 'good' : 'caution'}>
            {isOrderRight ? 'The order is right' : 'The order was another'}: {codes.join(', then ')}
            . Now taste them in that order once more, and the whole shot beside them: the cup it is
            most like says which way it is off.
          </Notice>
          <p>
            <Button onPress={onNext}>Another shot</Button>
          </p>
        </>
      )}
      <Notice>
        Group and stream scald: change cups by their handles. Caffeine adds up over a tasting: count
        it, and spit. The usual public guidance is about 400 mg a day for healthy adults, less in
        pregnancy and for some people: ask a doctor.
      </Notice>
    </>
  );
}

function CallWords({
  clock,
  everyS,
  codes,
}: {
  clock: CupClock;
  everyS: number;
  codes: readonly string[];
}) {
  switch (clock.at) {
    case 'ready':
      return (
        <>
          <strong>Start the pump</strong>
          <Small>
            <Key>Space</Key> or a tap, with the first cup under the spout
          </Small>
        </>
      );
    case 'pump':
      return (
        <>
          <strong>Wait for the first drip</strong>
          <Small>
            <Key>Space</Key> or a tap when it falls
          </Small>
        </>
      );
    case 'cups': {
      const sinceS = (clock.nowMs - clock.dripMs) / 1000;
      const cup = Math.min(2, Math.floor(sinceS / everyS));
      const leftS = Math.ceil(everyS * (cup + 1) - sinceS);
      return (
        <>
          <strong>
            Cup {cup + 1}: {codes[cup]}
          </strong>
          <Small>
            {cup < 2 ? `change in ${leftS} s` : 'the last one; '}
            {cup === 2 && (
              <>
                <Key>Space</Key> or a tap when the shot is over
              </>
            )}
          </Small>
        </>
      );
    }
    case 'done':
      return null;
  }
}

/** Drawn anew each time: nobody is to know them from the last round. */
function drawnCodes(): string[] {
  const [seed] = crypto.getRandomValues(new Uint32Array(1));
  return chanceFrom(seed!).shuffled(CODES).slice(0, 3);
}
