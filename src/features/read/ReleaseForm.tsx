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
import { useTextForm } from '@/ui/useTextForm';
import { releaseInputOf, type ReleaseText } from './releaseText';

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
  const { submit, faults, faultOf, isBusy } = useCommand();
  const { text, bind } = useTextForm(initial, faultOf);
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit(command.kind, { ...command.with, release: releaseInputOf(text) });
    if (answer.ok) onDone(answer.result);
  };
  return (
    <Form onSubmit={onSubmit} noValidate>
      <FieldGrid>
        <TextInput label="Name of the release" {...bind('name')} autoFocus={initial.name === ''} />
        <TextInput type="date" label="Roast date" {...bind('roastDate')} />
        <SelectInput
          label="Roast, in the house’s word"
          options={roastOptions}
          {...bind('roastLevel')}
        />
        <TextInput label="Country" {...bind('country')} />
        <TextInput label="Region" {...bind('region')} />
        <TextInput label="Producer" {...bind('producer')} />
        <TextInput label="Variety" {...bind('variety')} />
        <SelectInput label="Variety class" options={varietyOptions} {...bind('varietyClass')} />
        <SelectInput label="Process" options={processOptions} {...bind('process')} />
        <QuantityInput label="Altitude" quantity="altitudeM" step={50} {...bind('altitudeM')} />
        <QuantityInput
          label="Green density, measured"
          quantity="densityGPerL"
          step={5}
          hint="Wins over altitude"
          {...bind('densityGPerL')}
        />
        <TextInput label="Promised notes" hint="Separated by commas" {...bind('promisedNotes')} />
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
