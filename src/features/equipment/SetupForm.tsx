'use client';

import type { FormEvent, ReactNode } from 'react';
import styled from 'styled-components';
import { MainButton } from '@/ui/Button';
import { Choice } from '@/ui/choices';
import { Faults } from '@/ui/Faults';
import { FieldGrid, QuantityInput, TextInput } from '@/ui/fields';
import { Notice, SectionTitle } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { useTextForm } from '@/ui/useTextForm';
import { setupInputOf, type SetupText } from './setupText';

const Form = styled.form`
  display: grid;
  gap: 16px;
`;

const YES_NO = [
  { value: 'yes', label: 'yes' },
  { value: 'no', label: 'no' },
] as const;
const FINER = [
  { value: 'lower', label: 'lower numbers' },
  { value: 'higher', label: 'higher numbers' },
] as const;

const SHOWN = [
  'name',
  'machineName',
  'fixedTemperatureC',
  'grinderName',
  'stepSize',
  'dialMin',
  'dialMax',
  'retentionG',
  'umPerStep',
  'basketName',
  'diameterMm',
  'ratedG',
];

export interface SetupFormProps {
  readonly initial: SetupText;
  readonly existing?: { readonly setupId: string; readonly rowVersion: number };
  readonly submitLabel: string;
  readonly onDone: () => void;
  readonly children?: ReactNode;
}

/** Machine, grinder and basket of one setup. */
export function SetupForm({ initial, existing, submitLabel, onDone, children }: SetupFormProps) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const { text, change, bind } = useTextForm(initial, faultOf);
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('saveSetup', { ...existing, setup: setupInputOf(text) });
    if (answer.ok) onDone();
  };
  return (
    <Form onSubmit={onSubmit} noValidate>
      <TextInput label="Name of the setup" {...bind('name')} />
      <SectionTitle>Machine</SectionTitle>
      <FieldGrid>
        <TextInput label="Machine" {...bind('machineName')} />
        <Choice
          label="Temperature can be set"
          value={text.settableTemperature ? 'yes' : 'no'}
          onChange={(value) => change({ settableTemperature: value === 'yes' })}
          options={YES_NO}
        />
        <Choice
          label="Pressure or flow can be programmed"
          value={text.pressureControl ? 'yes' : 'no'}
          onChange={(value) => change({ pressureControl: value === 'yes' })}
          options={YES_NO}
        />
        {!text.settableTemperature && (
          <QuantityInput
            label="It stands at"
            quantity="temperatureC"
            step={0.5}
            {...bind('fixedTemperatureC')}
          />
        )}
      </FieldGrid>
      <SectionTitle>Grinder</SectionTitle>
      <FieldGrid>
        <TextInput label="Grinder" {...bind('grinderName')} />
        <Choice
          label="Finer is"
          value={text.finerIs}
          onChange={(finerIs) => change({ finerIs })}
          options={FINER}
        />
        <QuantityInput
          label="Retention"
          quantity="retentionG"
          step={0.1}
          hint="Grounds that stay inside"
          {...bind('retentionG')}
        />
        <QuantityInput label="Lowest dial" quantity="dial" step={1} {...bind('dialMin')} />
        <QuantityInput label="Highest dial" quantity="dial" step={1} {...bind('dialMax')} />
        <QuantityInput
          label="One step on the dial"
          quantity="stepSize"
          step={0.1}
          hint="The smallest move it makes"
          {...bind('stepSize')}
        />
        <QuantityInput
          label="Burr travel of one step"
          quantity="umPerStep"
          step={1}
          hint="If you know it"
          {...bind('umPerStep')}
        />
      </FieldGrid>
      <Notice>Unplug a grinder before you open it; burrs that touch are damaged.</Notice>
      <SectionTitle>Basket</SectionTitle>
      <FieldGrid>
        <TextInput label="Basket" {...bind('basketName')} />
        <QuantityInput label="Diameter" quantity="diameterMm" step={1} {...bind('diameterMm')} />
        <QuantityInput label="Rated for" quantity="ratedG" step={0.5} {...bind('ratedG')} />
      </FieldGrid>
      <Faults faults={faults} shown={SHOWN} />
      <p>
        <MainButton type="submit" isDisabled={isBusy}>
          {submitLabel}
        </MainButton>{' '}
        {children}
      </p>
    </Form>
  );
}
