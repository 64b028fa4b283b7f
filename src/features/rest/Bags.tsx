'use client';

import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { dayWords } from '@/core/dayWords';
import { SAMPLE } from '@/core/entity/sample';
import { CHECK_LABELS } from '@/core/rest/checkPlan';
import { Button, MainButton, QuietButton } from '@/ui/Button';
import { EntryField } from '@/ui/EntryField';
import { sentOf, textOf, type EntryText } from '@/ui/entryText';
import { Faults } from '@/ui/Faults';
import { FieldGrid } from '@/ui/fields';
import { useMay, useUnits } from '@/ui/person';
import { SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import { offerUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { useRowForm } from '@/ui/useRowForm';
import type { BagView } from '@/views/rest';

const Box = styled.section`
  display: grid;
  gap: 8px;
`;

const Form = styled.form`
  display: grid;
  gap: 10px;
`;

/** Bags that were set aside of the batch: what is left, what is frozen, and what each is held back for. */
export function Bags({ batchId, bags }: { batchId: string; bags: readonly BagView[] }) {
  const [editing, setEditing] = useState<BagView | 'new' | null>(null);
  const isBench = useMay('bench');
  return (
    <Box aria-label="Bags set aside">
      <SectionTitle>Bags set aside</SectionTitle>
      {bags.length === 0 ? (
        <p>
          None noted. A bag held back in time is the only way to check the coffee when it fades.
        </p>
      ) : (
        <TableScroll aria-label="Bags">
          <Table>
            <TableHead
              columns={[
                { words: 'Bag' },
                'Left',
                { words: 'Where' },
                { words: 'Frozen' },
                { words: 'Held back for' },
                { words: 'Do' },
              ]}
            />
            <tbody>
              {bags.map((bag) => (
                <BagRow key={bag.id} batchId={batchId} bag={bag} onEdit={() => setEditing(bag)} />
              ))}
            </tbody>
          </Table>
        </TableScroll>
      )}
      {editing ? (
        <BagForm
          key={editing === 'new' ? 'new' : editing.id}
          batchId={batchId}
          bag={editing === 'new' ? null : editing}
          onDone={() => setEditing(null)}
        />
      ) : (
        isBench && (
          <p>
            <Button onPress={() => setEditing('new')}>Set a bag aside</Button>
          </p>
        )
      )}
      <Small>
        Days frozen do not count as rest; the day of the thaw does. Shots are logged from the bag in
        use, and their rest days follow it. Thaw a closed bag: an open cold one draws water.
      </Small>
    </Box>
  );
}

function BagRow({ batchId, bag, onEdit }: { batchId: string; bag: BagView; onEdit: () => void }) {
  const { mass } = useUnits();
  const { submit, faults, isBusy } = useCommand();
  const isBench = useMay('bench');
  const isLead = useMay('lead');
  const { id, label, leftG, bagG, place, isOpen, keptFor } = bag;
  const take = () => void submit('openSample', { batchId, sampleId: isOpen ? null : id });
  const remove = async () => {
    const answer = await submit('remove', { what: 'sample', id });
    if (answer.ok)
      offerUndo({
        words: `Bag ${label} was deleted.`,
        kind: 'restore',
        input: { what: 'sample', id },
      });
  };
  return (
    <tr data-open={isOpen}>
      <td className="words">
        {isOpen ? <strong>{label}, in use</strong> : label}
        <Faults faults={faults} />
      </td>
      <td>
        {mass(leftG, 0)} of {mass(bagG, 0)}
      </td>
      <td className="words">{place}</td>
      <td className="words">{frozenWords(bag)}</td>
      <td className="words">
        {keptFor.map((kind) => CHECK_LABELS[kind].toLowerCase()).join(', ')}
      </td>
      <td className="words">
        {isBench && (
          <>
            <QuietButton isPending={isBusy} onPress={take}>
              {isOpen ? 'Put it away' : 'Use this bag'}
            </QuietButton>{' '}
            <QuietButton aria-label={`Change the bag ${label}`} onPress={onEdit}>
              Change
            </QuietButton>{' '}
          </>
        )}
        {isLead && (
          <QuietButton aria-label={`Delete the bag ${label}`} onPress={() => void remove()}>
            Delete
          </QuietButton>
        )}
      </td>
    </tr>
  );
}

function frozenWords({ frozenOn, thawedOn }: BagView): string {
  if (frozenOn === undefined) return '';
  return thawedOn === undefined
    ? `since ${dayWords(frozenOn)}`
    : `${dayWords(frozenOn)} to ${dayWords(thawedOn)}`;
}

function BagForm({
  batchId,
  bag,
  onDone,
}: {
  batchId: string;
  bag: BagView | null;
  onDone: () => void;
}) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const form = useRowForm<EntryText<typeof SAMPLE>>(
    { text: textOf(SAMPLE, bag ?? {}), rowVersion: bag?.rowVersion ?? 0 },
    faultOf,
    `bag ${bag?.id ?? batchId}`,
  );
  const { text, change } = form;
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('saveSample', {
      batchId,
      ...(bag && { id: bag.id, rowVersion: form.rowVersion }),
      sample: sentOf(SAMPLE, text),
    });
    if (!answer.ok) return;
    form.draft.forget();
    onDone();
  };
  const entry = {
    form: {
      fields: SAMPLE,
      text,
      change,
      faultOf: (field: string) => faultOf(`sample.${field}`) ?? faultOf(field),
    },
  } as const;
  return (
    <Form onSubmit={onSubmit} noValidate aria-label="Bag to set aside">
      <FieldGrid>
        <EntryField {...entry} name="label" autoFocus />
        <EntryField {...entry} name="bagG" />
        <EntryField {...entry} name="place" />
        <EntryField {...entry} name="frozenOn" />
        <EntryField {...entry} name="thawedOn" />
      </FieldGrid>
      <Faults faults={faults} shown={SHOWN} />
      <p>
        <MainButton type="submit" isPending={isBusy}>
          {bag ? 'Save the bag' : 'Set it aside'}
        </MainButton>{' '}
        <QuietButton
          onPress={() => {
            form.draft.forget();
            onDone();
          }}
        >
          Cancel
        </QuietButton>
      </p>
    </Form>
  );
}

const SHOWN = Object.keys(SAMPLE).flatMap((name) => [name, `sample.${name}`]);
