'use client';

import { figure } from '@/core/figure';
import { useState, type FormEvent } from 'react';
import { DRILL_ANSWERS, type DrillAnswer } from '@/core/practice/drill';
import { roastWord } from '@/core/vocabulary';
import { Button, MainButton } from '@/ui/Button';
import { Choice } from '@/ui/choices';
import { useUnits } from '@/ui/person';
import { Trouble } from '@/ui/Trouble';
import { Notice, Small } from '@/ui/type';
import { useAsked } from '@/ui/useAsked';
import { ask } from '@/workers/client';
import { Answers, type Told } from './Answers';
import { CupTable } from './CupTable';
import { isWhole, NO_ORDER, OrderChoice, type Order } from './OrderChoice';

const ANSWER_LABELS: Record<DrillAnswer, string> = {
  more: 'More: longer or finer',
  leave: 'Nothing',
  less: 'Less: shorter or coarser',
  prep: 'A better preparation',
};

/** Cups of the shot simulator as a perfect taster would write them down. */
export function PaperCups({
  seed,
  onTold,
  onNext,
}: {
  seed: number;
  onTold: (told: Told) => void;
  onNext: () => void;
}) {
  const { mass, say } = useUnits();
  const { answer: drill, trouble, askAgain } = useAsked(String(seed), () => ask('drill', { seed }));
  const [order, setOrder] = useState<Order>(NO_ORDER);
  const [answer, setAnswer] = useState<DrillAnswer | ''>('');
  const [isTold, setTold] = useState(false);
  if (trouble) return <Trouble words={trouble} onAgain={askAgain} />;
  if (!drill) return <Small role="status">The shot is being pulled.</Small>;
  const { cups, served, roastLevel, cupEveryS, doseG } = drill;
  const truth = [...cups].sort((a, b) => a.came - b.came).map(({ code }) => code);
  const isOrderRight = truth.every((code, i) => code === order[i]);
  const tell = (event: FormEvent) => {
    event.preventDefault();
    if (isTold || !isWhole(order) || answer === '') return;
    setTold(true);
    onTold({ isOrderRight });
  };
  return (
    <>
      <p>
        {roastWord(roastLevel)} roast, {mass(doseG)} in the basket. A good shot of it was caught in
        three cups, changed every {cupEveryS} s from the first drip, and handed over mixed up.
        Beside them what a café served of the same coffee: {mass(served.yieldG, 0)} in{' '}
        {figure(served.timeS, 0)} s.
      </p>
      <CupTable
        sheets={[
          ...cups.map(({ code, taste }) => ({ name: `Cup ${code}`, taste })),
          { name: 'Served', taste: served.taste },
        ]}
      />
      <Answers onSubmit={tell} aria-label="Your answer">
        <OrderChoice codes={cups.map(({ code }) => code)} order={order} onChange={setOrder} />
        <Choice
          label="What the served shot asks for"
          value={answer}
          onChange={setAnswer}
          options={DRILL_ANSWERS.map((value) => ({ value, label: ANSWER_LABELS[value] }))}
        />
        <MainButton type="submit" isDisabled={isTold || !isWhole(order) || answer === ''}>
          Show the truth
        </MainButton>
      </Answers>
      {isTold && (
        <>
          <Notice $kind={isOrderRight && answer === drill.answer ? 'good' : 'caution'}>
            {isOrderRight ? 'The order is right' : 'The order was another'}: {truth.join(', then ')}
            .{' '}
            {answer === drill.answer
              ? 'So is what the served shot asks for'
              : `The served shot asks for: ${ANSWER_LABELS[drill.answer].toLowerCase()}`}
            . {say(drill.message)}
          </Notice>
          <p>
            <Button onPress={onNext}>Another shot</Button>
          </p>
        </>
      )}
      <Small>
        Tastes of the simulator are invented from what it dissolves: a rule of thumb, no
        measurement.
      </Small>
    </>
  );
}
