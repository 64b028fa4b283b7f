'use client';

import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { dayWords } from '@/core/dayWords';
import { RECHECK } from '@/core/entity/recheck';
import { Button, MainButton, QuietButton } from '@/ui/Button';
import { EntryField } from '@/ui/EntryField';
import { sentOf, textOf } from '@/ui/entryText';
import { Faults } from '@/ui/Faults';
import { SelectInput } from '@/ui/fields';
import { useMay } from '@/ui/person';
import { useCommand } from '@/ui/useCommand';
import { useTextForm } from '@/ui/useTextForm';

const Form = styled.form`
  display: grid;
  gap: 10px;
  max-width: 560px;
`;

/** A check that is asked for before it is one: of which batch, and why. */
export interface Asking {
  readonly batchId: string;
  readonly why: string;
}

export interface AskRecheckProps {
  /** Newest roast first. */
  readonly batches: readonly { readonly id: string; readonly roastDate: string }[];
  /** The batch on the bench, and the day that is offered. */
  readonly batchId: string;
  readonly day: string;
  /** What leads here; the form is open then. */
  readonly asking: Asking | null;
}

/** Asks for a check of a batch on a day, because of something that was seen. */
export function AskRecheck(props: AskRecheckProps) {
  const [isOpen, setOpen] = useState(props.asking !== null);
  if (!useMay('bench')) return null;
  return isOpen ? (
    <AskForm {...props} onDone={() => setOpen(false)} />
  ) : (
    <p>
      <Button onPress={() => setOpen(true)}>Ask for a check</Button>
    </p>
  );
}

function AskForm({
  batches,
  batchId,
  day,
  asking,
  onDone,
}: AskRecheckProps & { onDone: () => void }) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const [batch, setBatch] = useState(asking?.batchId ?? batchId);
  const { text, change } = useTextForm(
    textOf(RECHECK, { day, ...(asking && { why: asking.why }) }),
    faultOf,
  );
  const form = {
    fields: RECHECK,
    text,
    change,
    faultOf: (field: string) => faultOf(`recheck.${field}`) ?? faultOf(field),
  };
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const recheck = sentOf(RECHECK, text);
    if ((await submit('askRecheck', { batchId: batch, recheck })).ok) onDone();
  };
  return (
    <Form onSubmit={onSubmit} noValidate aria-label="Ask for a check">
      {batches.length > 1 && (
        <SelectInput
          label="Batch of"
          value={batch}
          onChange={setBatch}
          options={batches.map(({ id, roastDate }) => ({ value: id, label: dayWords(roastDate) }))}
        />
      )}
      <EntryField form={form} name="day" autoFocus={asking === null} />
      <EntryField form={form} name="why" />
      <Faults faults={faults} shown={SHOWN} />
      <p>
        <MainButton type="submit" isPending={isBusy} autoFocus={asking !== null}>
          Ask for it
        </MainButton>{' '}
        <QuietButton onPress={onDone}>Cancel</QuietButton>
      </p>
    </Form>
  );
}

const SHOWN = ['day', 'why', 'recheck.day', 'recheck.why'];
