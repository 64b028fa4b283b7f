'use client';

import type { FormEvent, ReactNode } from 'react';
import styled from 'styled-components';
import type { LimitName } from '@/core/limits';
import { MainButton } from '@/ui/Button';
import { Choice } from '@/ui/choices';
import { Faults } from '@/ui/Faults';
import { FieldGrid, QuantityInput, TextInput } from '@/ui/fields';
import { Notice, SectionTitle } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { setupInputOf, useSetupForm, type SetupText } from './useSetupForm';

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
  const { text, set } = useSetupForm(initial);
  const { submit, faults, faultOf, isBusy } = useCommand();
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('saveSetup', { ...existing, setup: setupInputOf(text) });
    if (answer.ok) onDone();
  };
  const line = (field: 'name' | 'machineName' | 'grinderName' | 'basketName', label: string) => (
    <TextInput label={label} value={text[field]} onChange={set(field)} fault={faultOf(field)} />
  );
  const figure = (
    field:
      | 'stepSize'
      | 'dialMin'
      | 'dialMax'
      | 'retentionG'
      | 'umPerStep'
      | 'diameterMm'
      | 'ratedG'
      | 'fixedTemperatureC',
    label: string,
    quantity: LimitName,
    step: number,
    hint?: string,
  ) => (
    <QuantityInput
      label={label}
      quantity={quantity}
      step={step}
      value={text[field]}
      onChange={set(field)}
      fault={faultOf(field)}
      hint={hint}
    />
  );
  return (
    <Form onSubmit={onSubmit} noValidate>
      {line('name', 'Name of the setup')}
      <SectionTitle>Machine</SectionTitle>
      <FieldGrid>
        {line('machineName', 'Machine')}
        <Choice
          label="Temperature can be set"
          value={text.settableTemperature ? 'yes' : 'no'}
          onChange={(value) => set('settableTemperature')(value === 'yes')}
          options={YES_NO}
        />
        <Choice
          label="Pressure or flow can be programmed"
          value={text.pressureControl ? 'yes' : 'no'}
          onChange={(value) => set('pressureControl')(value === 'yes')}
          options={YES_NO}
        />
        {!text.settableTemperature &&
          figure('fixedTemperatureC', 'It stands at', 'temperatureC', 0.5)}
      </FieldGrid>
      <SectionTitle>Grinder</SectionTitle>
      <FieldGrid>
        {line('grinderName', 'Grinder')}
        <Choice label="Finer is" value={text.finerIs} onChange={set('finerIs')} options={FINER} />
        {figure('retentionG', 'Retention', 'retentionG', 0.1, 'Grounds that stay inside')}
        {figure('dialMin', 'Lowest dial', 'dial', 1)}
        {figure('dialMax', 'Highest dial', 'dial', 1)}
        {figure('stepSize', 'One step on the dial', 'stepSize', 0.1, 'The smallest move it makes')}
        {figure('umPerStep', 'Burr travel of one step', 'umPerStep', 1, 'If you know it')}
      </FieldGrid>
      <Notice>Unplug a grinder before you open it; burrs that touch are damaged.</Notice>
      <SectionTitle>Basket</SectionTitle>
      <FieldGrid>
        {line('basketName', 'Basket')}
        {figure('diameterMm', 'Diameter', 'diameterMm', 1)}
        {figure('ratedG', 'Rated for', 'ratedG', 0.5)}
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
