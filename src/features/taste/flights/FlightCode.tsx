'use client';

import { useState, type FormEvent } from 'react';
import { MainButton } from '@/ui/Button';
import { EntryForm, EntryPage } from '@/ui/EntryPage';
import { TextInput } from '@/ui/fields';
import { loadAnew } from '@/ui/loadAnew';

/** Where a code that was read out is typed in. */
export function FlightCode() {
  const [code, setCode] = useState('');
  const [fault, setFault] = useState<string>();
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    const plain = code.toUpperCase().replace(/[^A-Z0-9]/g, '');
    if (plain === '') return setFault('Enter the code of the flight, for example K7MQ 2XPA.');
    loadAnew(`/flight/${plain}`);
  };
  return (
    <EntryPage title="Blind tasting">
      <EntryForm onSubmit={onSubmit} noValidate>
        <TextInput
          label="Code of the flight"
          value={code}
          onChange={setCode}
          fault={fault}
          autoComplete="off"
          autoFocus
        />
        <p>
          <MainButton type="submit">Open the cup sheets</MainButton>
        </p>
      </EntryForm>
    </EntryPage>
  );
}
