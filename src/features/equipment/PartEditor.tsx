'use client';

import type { FormEvent } from 'react';
import styled from 'styled-components';
import { PARTS, type Part } from '@/core/entity/equipment';
import type { Fields } from '@/core/entity/field';
import type { StoredParts } from '@/data/equipment';
import { MainButton, QuietButton } from '@/ui/Button';
import { Clashes } from '@/ui/Clashes';
import { DraftNotice } from '@/ui/DraftNotice';
import { labelsOf } from '@/ui/entryText';
import { Faults } from '@/ui/Faults';
import { offerEditUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { useRowForm } from '@/ui/useRowForm';
import { PartFields } from './PartFields';
import { NEW_PARTS, partSent, partTextOf, type PartTexts } from './partText';

const Form = styled.form`
  display: grid;
  gap: 14px;
  padding: 12px 0 16px;
`;

/** One machine, grinder or basket, to describe or to change. */
export function PartEditor<P extends Part>({
  part,
  stored,
  onDone,
}: {
  part: P;
  /** Null for a new one. */
  stored: StoredParts[P] | null;
  onDone: () => void;
}) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const form = useRowForm<PartTexts[P]>(
    {
      text: stored ? partTextOf(part, stored) : NEW_PARTS[part],
      rowVersion: stored?.rowVersion ?? 0,
    },
    faultOf,
    `${part} ${stored?.id ?? 'new'}`,
  );
  const cancel = () => {
    form.draft.forget();
    onDone();
  };
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('savePart', {
      part,
      ...(stored && { id: stored.id, rowVersion: form.rowVersion }),
      fields: partSent(part, form.text),
    });
    if (!answer.ok) return;
    form.draft.forget();
    offerEditUndo(`The ${part} was changed.`, answer.result.editId);
    onDone();
  };
  const labels = labelsOf(PARTS[part] as Fields) as Readonly<
    Partial<Record<keyof PartTexts[P] & string, string>>
  >;
  return (
    <Form onSubmit={onSubmit} noValidate aria-label={`${stored ? 'Change' : 'New'} ${part}`}>
      <DraftNotice draft={form.draft} />
      <Clashes
        clashes={form.clashes}
        takenOver={form.takenOver}
        labels={labels}
        onSettle={form.settle}
      />
      <PartFields
        part={part}
        text={form.text}
        change={form.change}
        faultOf={(field) => faultOf(field.replace(`${part}.`, ''))}
      />
      <Faults faults={faults} shown={[...Object.keys(labels), ...(form.hasMerged ? [part] : [])]} />
      <p>
        <MainButton type="submit" isPending={isBusy}>
          {stored ? `Save the ${part}` : `Add the ${part}`}
        </MainButton>{' '}
        <QuietButton onPress={cancel}>Cancel</QuietButton>
      </p>
    </Form>
  );
}
