'use client';

import type { FormEvent } from 'react';
import styled from 'styled-components';
import { SHOT } from '@/core/entity/shot';
import { SEEN, SEEN_LABELS } from '@/core/vocabulary';
import type { BenchShot } from '@/views/release';
import { MainButton, QuietButton } from '@/ui/Button';
import { Chip, ChipRow } from '@/ui/choices';
import { Clashes } from '@/ui/Clashes';
import { DraftNotice } from '@/ui/DraftNotice';
import { DialogSheet } from '@/ui/DialogSheet';
import { EntryFields } from '@/ui/EntryField';
import { labelsOf, sentOf, shownFields, textOf, type EntryText } from '@/ui/entryText';
import { Faults } from '@/ui/Faults';
import { FieldGrid } from '@/ui/fields';
import { Small } from '@/ui/type';
import { offerEditUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { useRowForm } from '@/ui/useRowForm';

const Form = styled.form`
  display: grid;
  gap: 14px;
`;

const FIGURES = [
  'dial',
  'doseG',
  'yieldG',
  'yieldMl',
  'timeS',
  'firstDripS',
  'clock',
  'temperatureC',
  'tdsPct',
  'purged',
  'purgeG',
  'beans',
  'remark',
] as const;
const SHOWN = shownFields(SHOT);
const LABELS = labelsOf(SHOT);

/** A shot that was entered wrongly, put right; what it was stays in the log. */
export function CorrectShot({ shot, onClose }: { shot: BenchShot; onClose: () => void }) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const form = useRowForm<EntryText<typeof SHOT>>(
    { text: textOf(SHOT, shot), rowVersion: shot.rowVersion },
    faultOf,
    `shot ${shot.id}`,
  );
  const { text, change } = form;
  const cancel = () => {
    form.draft.forget();
    onClose();
  };
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('correctShot', {
      ...sentOf(SHOT, text),
      shotId: shot.id,
      rowVersion: form.rowVersion,
    });
    if (!answer.ok) return;
    form.draft.forget();
    offerEditUndo(`Shot ${shot.number} was corrected.`, answer.result.editId);
    onClose();
  };
  return (
    <DialogSheet title={`Correct shot ${shot.number}`} onClose={onClose} width={720}>
      <Form onSubmit={onSubmit} noValidate aria-label="Correct the shot">
        <DraftNotice draft={form.draft} />
        <Clashes
          clashes={form.clashes}
          takenOver={form.takenOver}
          labels={LABELS}
          onSettle={form.settle}
        />
        <FieldGrid>
          <EntryFields form={{ fields: SHOT, text, change, faultOf }} names={FIGURES} />
        </FieldGrid>
        <ChipRow role="group" aria-label="What was seen">
          {SEEN.map((word) => (
            <Chip
              key={word}
              isSelected={text.seen.includes(word)}
              onChange={() =>
                change({
                  seen: text.seen.includes(word)
                    ? text.seen.filter((other) => other !== word)
                    : [...text.seen, word],
                })
              }
            >
              {SEEN_LABELS[word]}
            </Chip>
          ))}
        </ChipRow>
        <Faults faults={faults} shown={SHOWN} />
        <Small>
          The advice counts it as corrected; what it was is kept in the log. A card that was
          published with it stands as it was.
        </Small>
        <p>
          <MainButton type="submit" isPending={isBusy}>
            Keep the correction
          </MainButton>{' '}
          <QuietButton onPress={cancel}>Cancel</QuietButton>
        </p>
      </Form>
    </DialogSheet>
  );
}
