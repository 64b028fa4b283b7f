'use client';

import type { FormEvent, ReactNode } from 'react';
import styled from 'styled-components';
import {
  PROCESS_LABELS,
  PROCESSES,
  ROAST_WORDS,
  VARIETY_CLASSES,
  VARIETY_LABELS,
} from '@/core/vocabulary';
import { MainButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { FieldGrid, QuantityInput, SelectInput, TextInput } from '@/ui/fields';
import { useCommand } from '@/ui/useCommand';
import { releaseInputOf, useReleaseForm, type ReleaseText } from './useReleaseForm';

const Form = styled.form`
  display: grid;
  gap: 16px;
`;

const Actions = styled.div`
  display: flex;
  gap: 12px;
  align-items: center;
`;

const UNKNOWN = { value: '', label: 'Not known' };
const varietyOptions = [
  UNKNOWN,
  ...VARIETY_CLASSES.map((value) => ({ value, label: VARIETY_LABELS[value] })),
];
const processOptions = [
  UNKNOWN,
  ...PROCESSES.map((value) => ({ value, label: PROCESS_LABELS[value] })),
];
const roastOptions = [
  UNKNOWN,
  ...ROAST_WORDS.map(({ level, label }) => ({ value: String(level), label })),
];

const SHOWN = [
  'name',
  'country',
  'region',
  'producer',
  'variety',
  'varietyClass',
  'process',
  'altitudeM',
  'densityGPerL',
  'roastLevel',
  'roastDate',
];

export interface ReleaseFormProps {
  readonly initial: ReleaseText;
  readonly submitLabel: string;
  /** The command and what goes with the release, e.g. its id and row version. */
  readonly command: { readonly kind: string; readonly with: Readonly<Record<string, unknown>> };
  readonly onDone: (result: Readonly<Record<string, unknown>>) => void;
  readonly children?: ReactNode;
}

/** The facts of a release; used to create one and to correct it. */
export function ReleaseForm({ initial, submitLabel, command, onDone, children }: ReleaseFormProps) {
  const { text, set } = useReleaseForm(initial);
  const { submit, faults, faultOf, isBusy } = useCommand();
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit(command.kind, { ...command.with, release: releaseInputOf(text) });
    if (answer.ok) onDone(answer.result);
  };
  const line = (field: keyof ReleaseText, label: string) => (
    <TextInput label={label} value={text[field]} onChange={set(field)} fault={faultOf(field)} />
  );
  const choice = (
    field: keyof ReleaseText,
    label: string,
    options: readonly { value: string; label: string }[],
  ) => (
    <SelectInput
      label={label}
      value={text[field]}
      onChange={set(field)}
      options={options}
      fault={faultOf(field)}
    />
  );
  return (
    <Form onSubmit={onSubmit} noValidate>
      <FieldGrid>
        <TextInput
          label="Name of the release"
          value={text.name}
          onChange={set('name')}
          fault={faultOf('name')}
          autoFocus={initial.name === ''}
        />
        <TextInput
          type="date"
          label="Roast date"
          value={text.roastDate}
          onChange={set('roastDate')}
          fault={faultOf('roastDate')}
        />
        {choice('roastLevel', 'Roast, in the house’s word', roastOptions)}
        {line('country', 'Country')}
        {line('region', 'Region')}
        {line('producer', 'Producer')}
        {line('variety', 'Variety')}
        {choice('varietyClass', 'Variety class', varietyOptions)}
        {choice('process', 'Process', processOptions)}
        <QuantityInput
          label="Altitude"
          quantity="altitudeM"
          step={50}
          value={text.altitudeM}
          onChange={set('altitudeM')}
          fault={faultOf('altitudeM')}
        />
        <QuantityInput
          label="Green density, measured"
          quantity="densityGPerL"
          step={5}
          value={text.densityGPerL}
          onChange={set('densityGPerL')}
          fault={faultOf('densityGPerL')}
          hint="Wins over altitude"
        />
        <TextInput
          label="Promised notes"
          value={text.promisedNotes}
          onChange={set('promisedNotes')}
          hint="Separated by commas"
        />
      </FieldGrid>
      <Faults faults={faults} shown={SHOWN} />
      <Actions>
        <MainButton type="submit" isDisabled={isBusy}>
          {submitLabel}
        </MainButton>
        {children}
      </Actions>
    </Form>
  );
}
