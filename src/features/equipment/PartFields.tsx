'use client';

import type { Part } from '@/data/equipment';
import { Choice } from '@/ui/choices';
import { BOILER_LABELS, BOILERS } from '@/core/schema/setup';
import { FieldGrid, QuantityInput, SelectInput, TextInput } from '@/ui/fields';
import { Notice } from '@/ui/type';
import { bindTo } from '@/ui/useTextForm';
import { Calibrate } from './Calibrate';
import {
  PART_LABELS,
  type BasketText,
  type GrinderText,
  type MachineText,
  type PartTexts,
} from './partText';

const YES_NO = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
] as const;
const STEPS = [
  { value: 'steps', label: 'clicks' },
  { value: 'stepless', label: 'turns freely' },
] as const;
const BOILER_OPTIONS = [
  { value: '', label: 'not known' },
  ...BOILERS.map((value) => ({ value, label: BOILER_LABELS[value].toLowerCase() })),
];
const FINER = [
  { value: 'lower', label: 'lower numbers' },
  { value: 'higher', label: 'higher numbers' },
] as const;

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
      return <MachineFields {...(props as unknown as FieldsProps<MachineText>)} />;
    case 'grinder':
      return <GrinderFields {...(props as unknown as FieldsProps<GrinderText>)} />;
    case 'basket':
      return <BasketFields {...(props as unknown as FieldsProps<BasketText>)} />;
  }
}

function YesNo({
  label,
  value,
  onChange,
}: {
  label: string;
  value: boolean;
  onChange: (value: boolean) => void;
}) {
  return (
    <Choice
      label={label}
      value={value ? 'yes' : 'no'}
      onChange={(word) => onChange(word === 'yes')}
      options={YES_NO}
    />
  );
}

function MachineFields({ text, change, faultOf }: FieldsProps<MachineText>) {
  const bind = bindTo(text, change, faultOf);
  const label = PART_LABELS.machine;
  return (
    <FieldGrid>
      <TextInput label={label.name} {...bind('name', 'machine.name')} />
      <YesNo
        label={label.settableTemperature}
        value={text.settableTemperature}
        onChange={(settableTemperature) => change({ settableTemperature })}
      />
      {text.settableTemperature ? (
        <QuantityInput
          label={label.displayOffsetC}
          quantity="displayOffsetC"
          step={0.5}
          hint="Measured at the group; empty if not known"
          {...bind('displayOffsetC')}
        />
      ) : (
        <QuantityInput
          label={label.fixedTemperatureC}
          quantity="temperatureC"
          step={0.5}
          hint="At the group"
          {...bind('fixedTemperatureC')}
        />
      )}
      <SelectInput label={label.boiler} options={BOILER_OPTIONS} {...bind('boiler')} />
      <QuantityInput
        label={label.flushS}
        quantity="flushS"
        step={1}
        hint={
          text.boiler === 'heatExchanger'
            ? 'Until it stops spitting; keep hands clear of the water'
            : 'Empty if none is needed'
        }
        {...bind('flushS')}
      />
      <QuantityInput
        label={label.overrunG}
        quantity="overrunG"
        step={0.5}
        hint="Into the cup, after the pump stops"
        {...bind('overrunG')}
      />
      <YesNo
        label={label.pressureControl}
        value={text.pressureControl}
        onChange={(pressureControl) => change({ pressureControl })}
      />
      <YesNo
        label={label.flowControl}
        value={text.flowControl}
        onChange={(flowControl) => change({ flowControl })}
      />
      <YesNo
        label={label.preinfusion}
        value={text.preinfusion}
        onChange={(preinfusion) => change({ preinfusion })}
      />
    </FieldGrid>
  );
}

function GrinderFields({ text, change, faultOf }: FieldsProps<GrinderText>) {
  const bind = bindTo(text, change, faultOf);
  const label = PART_LABELS.grinder;
  return (
    <>
      <FieldGrid>
        <TextInput label={label.name} {...bind('name', 'grinder.name')} />
        <Choice
          label={label.finerIs}
          value={text.finerIs}
          onChange={(finerIs) => change({ finerIs })}
          options={FINER}
        />
        <QuantityInput
          label={label.retentionG}
          quantity="retentionG"
          step={0.1}
          hint="Grounds that stay inside"
          {...bind('retentionG')}
        />
        <QuantityInput label={label.min} quantity="dial" step={1} {...bind('min')} />
        <QuantityInput label={label.max} quantity="dial" step={1} {...bind('max')} />
        <Choice
          label={label.stepless}
          value={text.stepless ? 'stepless' : 'steps'}
          onChange={(word) => change({ stepless: word === 'stepless' })}
          options={STEPS}
        />
        <QuantityInput
          label={text.stepless ? 'The least a hand can repeat' : label.stepSize}
          quantity="stepSize"
          step={0.1}
          hint="The smallest move that is proposed"
          {...bind('stepSize')}
        />
        <QuantityInput
          label={label.chokesAt}
          quantity="dial"
          step={1}
          hint="If known: finer is never proposed"
          {...bind('chokesAt')}
        />
        <QuantityInput
          label={label.secondsPerStep}
          quantity="secondsPerStep"
          step={0.5}
          hint={
            text.secondsPerStepHalf80 === ''
              ? 'In a shot of 28 s, if you know it'
              : `± ${text.secondsPerStepHalf80} s, as calibrated`
          }
          {...bind('secondsPerStep')}
          onChange={(secondsPerStep) => change({ secondsPerStep, secondsPerStepHalf80: '' })}
        />
        <QuantityInput
          label={label.referenceDial}
          quantity="dial"
          step={0.5}
          hint="The dial it runs 28 s at"
          {...bind('referenceDial')}
        />
        <QuantityInput
          label={label.umPerStep}
          quantity="umPerStep"
          step={1}
          hint="If you know no seconds"
          {...bind('umPerStep')}
        />
      </FieldGrid>
      <Calibrate text={text} onTake={change} />
      <Notice style={{ marginTop: 10 }}>
        Unplug a grinder before you open it; burrs that touch are damaged.
      </Notice>
    </>
  );
}

function BasketFields({ text, change, faultOf }: FieldsProps<BasketText>) {
  const bind = bindTo(text, change, faultOf);
  const label = PART_LABELS.basket;
  return (
    <>
      <FieldGrid>
        <TextInput label={label.name} {...bind('name', 'basket.name')} />
        <QuantityInput
          label={label.diameterMm}
          quantity="diameterMm"
          step={1}
          {...bind('diameterMm')}
        />
        <QuantityInput
          label={label.depthMm}
          quantity="depthMm"
          step={1}
          hint="Inside, from rim to floor"
          {...bind('depthMm')}
        />
        <QuantityInput label={label.ratedG} quantity="ratedG" step={0.5} {...bind('ratedG')} />
        <YesNo
          label={label.pressurised}
          value={text.pressurised}
          onChange={(pressurised) => change({ pressurised })}
        />
      </FieldGrid>
      {text.pressurised && (
        <Notice style={{ marginTop: 10 }}>
          A pressurised basket makes its own resistance: the grind cannot be dialled in on it.
        </Notice>
      )}
    </>
  );
}
