'use client';

import type { FormEvent } from 'react';
import styled from 'styled-components';
import { BATCH } from '@/core/entity/batch';
import type { ComponentRow } from '@/core/entity/component';
import type { BatchView } from '@/views/release';
import { MainButton, QuietButton } from '@/ui/Button';
import { Clashes } from '@/ui/Clashes';
import { DraftNotice } from '@/ui/DraftNotice';
import { labelsOf, sentOf, textOf } from '@/ui/entryText';
import { Faults } from '@/ui/Faults';
import { offerEditUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { useRowForm } from '@/ui/useRowForm';
import { BatchFields } from './BatchFields';
import { ColourReading } from './ColourReading';
import { EMPTY_BATCH, SHOWN_BATCH, type BatchText } from './releaseForm';

const Form = styled.form`
  display: grid;
  gap: 14px;
  padding: 14px 0;
`;

const LABELS = labelsOf(BATCH);

/** A new batch, or one that is changed. */
export function BatchForm({
  releaseId,
  components,
  batch,
  hasColourMeter,
  onDone,
}: {
  releaseId: string;
  components: readonly ComponentRow[];
  /** The one that is changed. */
  batch?: BatchView;
  hasColourMeter: boolean;
  onDone: () => void;
}) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const row = batch
    ? { text: textOf(BATCH, batch), rowVersion: batch.rowVersion }
    : { text: EMPTY_BATCH, rowVersion: 0 };
  const form = useRowForm<BatchText>(row, faultOf, `batch ${releaseId} ${batch?.id ?? 'new'}`);
  const cancel = () => {
    form.draft.forget();
    onDone();
  };
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('saveBatch', {
      releaseId,
      ...(batch && { batchId: batch.id, rowVersion: form.rowVersion }),
      batch: sentOf(BATCH, form.text),
    });
    if (!answer.ok) return;
    form.draft.forget();
    offerEditUndo('The batch was changed.', answer.result.editId);
    onDone();
  };
  return (
    <Form onSubmit={onSubmit} noValidate aria-label={batch ? 'Batch' : 'New batch'}>
      <DraftNotice draft={form.draft} />
      <Clashes
        clashes={form.clashes}
        takenOver={form.takenOver}
        labels={LABELS}
        onSettle={form.settle}
      />
      <BatchFields
        text={form.text}
        change={form.change}
        faultOf={faultOf}
        components={components}
      />
      {hasColourMeter && (
        <ColourReading
          roastLevel={Number(form.text.roastLevel)}
          onRead={(colourGround) => form.change({ colourGround: String(colourGround) })}
        />
      )}
      <Faults faults={faults} shown={form.hasMerged ? [...SHOWN_BATCH, 'batch'] : SHOWN_BATCH} />
      <p>
        <MainButton type="submit" isPending={isBusy}>
          {batch ? 'Save the batch' : 'Add the batch'}
        </MainButton>{' '}
        <QuietButton onPress={cancel}>Cancel</QuietButton>
      </p>
    </Form>
  );
}
