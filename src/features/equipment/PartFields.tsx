'use client';

import { BASKET, GRINDER, MACHINE, type Part } from '@/core/entity/equipment';
import type { Notation } from '@/core/grinder/notation';
import { readNumber } from '@/core/readNumber';
import type { DialNotation } from '@/core/vocabulary';
import { Choice } from '@/ui/choices';
import { EntryField, EntryFields, type Form } from '@/ui/EntryField';
import { FieldGrid } from '@/ui/fields';
import { NotationProvider } from '@/ui/notation';
import { Notice } from '@/ui/type';
import { Calibrate } from './Calibrate';
import type { PartTexts } from './partText';

const STEPS = [
  { value: 'steps', label: 'clicks' },
  { value: 'stepless', label: 'turns freely' },
] as const;
const FINER = GRINDER.finerIs.words.map((value) => ({
  value,
  label: GRINDER.finerIs.labels[value],
}));

interface FieldsProps<T> {
  readonly text: T;
  readonly change: (part: Partial<T>) => void;
  readonly faultOf: (field: string) => string | undefined;
}

/** The fields of a machine, a grinder or a basket. */
export function PartFields<P extends Part>({
  part,
  ...props
}: FieldsProps<PartTexts[P]> & { part: P }) {
  switch (part) {
    case 'machine':
      return <MachineFields {...(props as unknown as Form<typeof MACHINE>)} fields={MACHINE} />;
    case 'grinder':
      return <GrinderFields {...(props as unknown as Form<typeof GRINDER>)} fields={GRINDER} />;
    case 'basket':
      return <BasketFields {...(props as unknown as Form<typeof BASKET>)} fields={BASKET} />;
  }
}

function MachineFields(form: Form<typeof MACHINE>) {
  const { settableTemperature, boiler } = form.text;
  const flushHint =
    boiler === 'heatExchanger'
      ? 'Until it stops spitting; keep hands clear of the water'
      : undefined;
  return (
    <FieldGrid>
      <EntryField form={form} name="name" faultName="machine.name" />
      <EntryField form={form} name="settableTemperature" />
      <EntryField form={form} name={settableTemperature ? 'displayOffsetC' : 'fixedTemperatureC'} />
      <EntryField form={form} name="boiler" />
      <EntryField form={form} name="flushS" {...(flushHint && { hint: flushHint })} />
      <EntryFields
        form={form}
        names={['overrunG', 'pressureControl', 'flowControl', 'preinfusion']}
      />
    </FieldGrid>
  );
}

function GrinderFields(form: Form<typeof GRINDER>) {
  const { text, change } = form;
  const half = text.secondsPerStepHalf80;
  return (
    <NotationProvider of={notationOf(text)}>
      <FieldGrid>
        <EntryField form={form} name="name" faultName="grinder.name" />
        <Choice
          label={GRINDER.finerIs.label}
          value={text.finerIs}
          onChange={(finerIs) => change({ finerIs })}
          options={FINER}
        />
        <EntryField form={form} name="retentionG" />
        <EntryField form={form} name="notation" />
        {isDivided(text.notation) && (
          <EntryField
            form={form}
            name="divisions"
            {...(text.notation === 'marks' && { label: 'Marks to a turn' })}
          />
        )}
        <EntryFields form={form} names={['min', 'max']} />
        <Choice
          label={GRINDER.stepless.label}
          value={text.stepless ? 'stepless' : 'steps'}
          onChange={(word) => change({ stepless: word === 'stepless' })}
          options={STEPS}
        />
        <EntryField
          form={form}
          name="stepSize"
          {...(text.stepless && { label: 'The least a hand can repeat' })}
          {...(isDivided(text.notation) && { hint: `Counted in ${text.notation}` })}
        />
        <EntryField form={form} name="chokesAt" />
        <EntryField
          form={{
            ...form,
            // A figure typed over a calibrated one has no band of its own.
            change: (part) => change({ ...part, secondsPerStepHalf80: '' }),
          }}
          name="secondsPerStep"
          {...(half !== '' && { hint: `± ${half} s, as calibrated` })}
        />
        <EntryFields form={form} names={['referenceDial', 'umPerStep']} />
      </FieldGrid>
      <Calibrate text={text} onTake={change} />
      <Notice style={{ marginTop: 10 }}>
        Unplug a grinder before you open it; burrs that touch are damaged.
      </Notice>
    </NotationProvider>
  );
}

const isDivided = (notation: DialNotation) => notation === 'letters' || notation === 'marks';

/** As the form has it: what is typed below is read by what is said above. */
function notationOf({ notation, divisions }: PartTexts['grinder']): Notation {
  const parts = readNumber(divisions);
  return { notation, divisions: typeof parts === 'number' ? parts : undefined };
}

function BasketFields(form: Form<typeof BASKET>) {
  return (
    <>
      <FieldGrid>
        <EntryField form={form} name="name" faultName="basket.name" />
        <EntryFields form={form} names={['diameterMm', 'depthMm', 'ratedG', 'pressurised']} />
      </FieldGrid>
      {form.text.pressurised && (
        <Notice style={{ marginTop: 10 }}>
          A pressurised basket makes its own resistance: the grind cannot be dialled in on it.
        </Notice>
      )}
    </>
  );
}
