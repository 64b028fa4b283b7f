'use client';

import { say } from '@/words/say';
import { useRef, useState, type ChangeEvent } from 'react';
import styled from 'styled-components';
import { UserFault } from '@/core/errors';
import { readTrace } from '@/core/trace/read';
import { SHOT } from '@/core/entity/shot';
import { readNumber } from '@/core/readNumber';
import { beanCaution } from '@/core/beanCautions';
import { BEAN_STATE_LABELS, CLOCK_LABELS } from '@/core/vocabulary';
import { displayTemperatureC } from '@/core/start/setupLimits';
import type { Bench } from '@/views/release';
import type { Refractometer } from '@/devices/instruments';
import { QuietButton } from '@/ui/Button';
import { EntryField, EntryFields } from '@/ui/EntryField';
import { More } from '@/ui/More';
import { useUnits } from '@/ui/person';
import { Notice, Small } from '@/ui/type';
import { faultWords } from '@/words/faults';
import type { ShotText } from './shotEntry';

const Grid = styled.div`
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 10px;
  align-items: start;

  @media (max-width: 640px) {
    grid-template-columns: 1fr 1fr;
  }
`;

const Wide = styled.div`
  grid-column: span 2;
`;

/** What is noted of a shot now and then: clock, temperature, beans, blonding, puck, a trace from a file. */
export function MoreOfShot({
  bench,
  text,
  onChange,
  faultOf,
  refractometer,
}: {
  bench: Bench;
  text: ShotText;
  onChange: (change: Partial<ShotText>) => void;
  faultOf: (field: string) => string | undefined;
  refractometer: Refractometer | null;
}) {
  const { temperature } = useUnits();
  const displayC = displayTemperatureC(bench.draft.recipe.temperatureC, bench.setup.machine);
  const caution = beanCaution(text.beans);
  const form = { fields: SHOT, text, change: onChange, faultOf };
  const isFaulty = RARE.some((name) => faultOf(name) !== undefined);
  return (
    <More label={heldWords(text, temperature)} hasFault={isFaulty}>
      <Grid>
        <EntryField
          form={form}
          name="temperatureC"
          {...(displayC !== null && { hint: `At the group: set ${temperature(displayC)}` })}
        />
        <EntryFields
          form={form}
          names={['clock', 'beans', 'blondS', 'peakBar', 'beanC', 'groundC']}
        />
        <Wide>
          <EntryField form={form} name="puck" />
        </Wide>
        <Wide>
          <EntryField form={form} name="remark" />
        </Wide>
      </Grid>
      {caution && <Notice>{say(caution)}</Notice>}
      <TraceFile text={text} onChange={onChange} />
      {refractometer && <Strength refractometer={refractometer} text={text} onChange={onChange} />}
    </More>
  );
}

const RARE = [
  'temperatureC',
  'clock',
  'beans',
  'blondS',
  'peakBar',
  'beanC',
  'groundC',
  'puck',
  'remark',
] as const;

/** What holds of a shot unless somebody says otherwise, in one line. */
function heldWords(text: ShotText, temperature: (c: number) => string): string {
  const groupC = readNumber(text.temperatureC);
  return [
    typeof groupC === 'number' ? temperature(groupC) : text.temperatureC,
    `timed ${CLOCK_LABELS[text.clock]}`,
    `beans: ${BEAN_STATE_LABELS[text.beans].toLowerCase()}`,
    ...(text.blondS === '' ? [] : [`pale at ${text.blondS} s`]),
    ...(text.peakBar === '' ? [] : [`${text.peakBar} bar at most`]),
    ...(text.puck === '' ? [] : ['puck noted']),
    ...(text.remark === '' ? [] : ['remark']),
    ...(text.trace ? [`trace of ${text.trace.length} points`] : []),
    ...(text.tdsPct === '' ? [] : [`${text.tdsPct} % TDS`]),
  ].join(', ');
}

/** Strength of the cup that was just pulled, off a linked refractometer. */
function Strength({
  refractometer,
  text,
  onChange,
}: {
  refractometer: Refractometer;
  text: ShotText;
  onChange: (change: Partial<ShotText>) => void;
}) {
  const [fault, setFault] = useState<string | null>(null);
  const read = () =>
    void refractometer.read().then(
      ({ tdsPct }) => {
        setFault(null);
        onChange({ tdsPct: tdsPct.toFixed(2) });
      },
      (error: Error) => setFault(error.message),
    );
  return (
    <Small as="div">
      {text.tdsPct !== '' && `Strength ${text.tdsPct} % TDS goes with this shot. `}
      <QuietButton onPress={read}>
        {text.tdsPct === '' ? 'Read the refractometer' : 'Read it again'}
      </QuietButton>
      {fault && <Notice role="alert">{fault}</Notice>}
    </Small>
  );
}

/** A trace from a file: it fills time, first drip and yield, and is kept with the shot. */
function TraceFile({
  text,
  onChange,
}: {
  text: ShotText;
  onChange: (change: Partial<ShotText>) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  const [fault, setFault] = useState<string | null>(null);
  const read = async ({ target }: ChangeEvent<HTMLInputElement>) => {
    const file = target.files?.[0];
    target.value = '';
    if (!file) return;
    try {
      // The reader comes only with the first file.
      const { readTraceSheet } = await import('@/formats/sheets/traceSheet');
      const trace = readTraceSheet(new Uint8Array(await file.arrayBuffer()));
      onChange({ trace, ...figuresOf(trace, text) });
      setFault(null);
    } catch (error) {
      setFault(
        error instanceof UserFault
          ? faultWords(error)
          : 'The file cannot be read. Choose a CSV file with time_s and weight_g.',
      );
    }
  };
  return (
    <div>
      <Small as="div">
        {text.trace ? (
          <>
            A trace of {text.trace.length} points goes with this shot.{' '}
            <QuietButton onPress={() => onChange({ trace: null, overrunG: '' })}>
              Leave it out
            </QuietButton>
          </>
        ) : (
          <QuietButton onPress={() => input.current?.click()}>Trace from a CSV file…</QuietButton>
        )}
      </Small>
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv"
        aria-label="Trace file"
        hidden
        onChange={(event) => void read(event)}
      />
      {fault && <Notice role="alert">{fault}</Notice>}
    </div>
  );
}

/** Time, first drip and yield off a trace, on the clock of the entry. */
function figuresOf(trace: NonNullable<ShotText['trace']>, text: ShotText): Partial<ShotText> {
  const { firstDripS, stoppedS, yieldG } = readTrace(trace);
  const endS = stoppedS ?? trace.at(-1)!.timeS;
  const timeS = text.clock === 'pump' ? endS : endS - (firstDripS ?? 0);
  return {
    timeS: timeS.toFixed(1),
    firstDripS: firstDripS === null ? '' : firstDripS.toFixed(1),
    yieldG: yieldG.toFixed(1),
  };
}
