'use client';

import { figure } from '@/core/figure';
import { useState } from 'react';
import styled from 'styled-components';
import { UserFault } from '@/core/errors';
import type { Calibration } from '@/core/grinder/calibrate';
import { Button, QuietButton } from '@/ui/Button';
import { countedIn } from '@/core/grinder/notation';
import { QuantityInput } from '@/ui/fields';
import { useDialWords, useNotation } from '@/ui/notation';
import { readNumber } from '@/core/readNumber';
import { Notice, SectionTitle, Small } from '@/ui/type';
import { faultWords } from '@/words/faults';
import type { GrinderText } from './partText';

const Shots = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 170px));
  gap: 8px 16px;
  margin: 8px 0;
`;

/** Two are the least that show a slope; a fourth adds little. */
const ROWS = 3;
const EMPTY = Array.from({ length: ROWS }, () => ({ dial: '', timeS: '' }));

/**
 * Calibration from two or three shots of the reference coffee: what a step does, and where on the dial
 * that coffee runs. The figures go into the form; nothing is stored before that is saved.
 */
export function Calibrate({
  text,
  onTake,
}: {
  text: GrinderText;
  onTake: (figures: Partial<GrinderText>) => void;
}) {
  const notation = useNotation();
  const written = useDialWords();
  const unit = countedIn(notation);
  const [isOpen, setOpen] = useState(false);
  const [rows, setRows] = useState(EMPTY);
  const [found, setFound] = useState<Calibration | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const set = (at: number, part: Partial<(typeof EMPTY)[number]>) => {
    setFound(null);
    setRows(rows.map((row, i) => (i === at ? { ...row, ...part } : row)));
  };
  const work = async () => {
    // The linear algebra is only fetched by who calibrates.
    const { calibrate } = await import('@/core/grinder/calibrate');
    const shots = rows.flatMap(({ dial, timeS }) => {
      const [at, seconds] = [readNumber(dial), readNumber(timeS)];
      return typeof at === 'number' && typeof seconds === 'number' && seconds > 0
        ? [{ dial: at, timeS: seconds }]
        : [];
    });
    const stepSize = readNumber(text.stepSize);
    if (typeof stepSize !== 'number' || stepSize <= 0)
      return setFault('Enter first what one step on the dial is.');
    try {
      setFound(calibrate(shots, { stepSize, finerIs: text.finerIs }));
      setFault(null);
    } catch (error) {
      if (!(error instanceof UserFault)) throw error;
      setFault(faultWords(error));
    }
  };
  if (!isOpen)
    return (
      <p style={{ marginTop: 10 }}>
        <Button onPress={() => setOpen(true)}>Calibrate from two or three shots</Button>
      </p>
    );
  return (
    <section aria-label="Calibration" style={{ marginTop: 14 }}>
      <SectionTitle as="h3">Calibrate from two or three shots</SectionTitle>
      <Small>
        Pull your usual coffee, a medium washed one, with the same dose and yield at two or three
        dials a few steps apart. Purge after each move. Times count from the pump.
      </Small>
      <Shots>
        {rows.map((row, i) => (
          <div key={i} style={{ display: 'contents' }}>
            <QuantityInput
              label={`Shot ${i + 1}: dial`}
              quantity="dial"
              step={1}
              value={row.dial}
              onChange={(dial) => set(i, { dial })}
            />
            <QuantityInput
              label={`Shot ${i + 1}: time`}
              quantity="timeS"
              step={0.5}
              value={row.timeS}
              onChange={(timeS) => set(i, { timeS })}
            />
          </div>
        ))}
      </Shots>
      {fault && (
        <Notice $kind="fault" role="alert">
          {fault}
        </Notice>
      )}
      {found && (
        <Notice $kind="good" role="status">
          One step changes a shot of 28 s by {figure(found.secondsPerStep, 1)} s (8 in 10: ±{' '}
          {figure(found.secondsPerStepHalf80, 1)}); your usual coffee runs 28 s at{' '}
          {unit === '' ? figure(found.referenceDial, 1) : written(found.referenceDial)} (±{' '}
          {[figure(found.referenceDialHalf80, 1), unit].filter(Boolean).join(' ')}
          ).{' '}
          <Button
            onPress={() => {
              onTake({
                secondsPerStep: figure(found.secondsPerStep, 2),
                secondsPerStepHalf80: figure(found.secondsPerStepHalf80, 2),
                referenceDial: figure(found.referenceDial, 2),
              });
              setOpen(false);
            }}
          >
            Take these figures
          </Button>
        </Notice>
      )}
      <p style={{ marginTop: 10 }}>
        <Button onPress={() => void work()}>Work it out</Button>{' '}
        <QuietButton onPress={() => setOpen(false)}>Cancel</QuietButton>
      </p>
    </section>
  );
}
