'use client';

import type { FormEvent } from 'react';
import { labelsOf, sentOf, shownFields, textOf } from '@/ui/entryText';
import { TRIAL } from '@/core/entity/trial';
import { Button } from '@/ui/Button';
import { Clashes } from '@/ui/Clashes';
import { DraftNotice } from '@/ui/DraftNotice';
import { EntryFields } from '@/ui/EntryField';
import { Faults } from '@/ui/Faults';
import { FieldGrid } from '@/ui/fields';
import { useMay } from '@/ui/person';
import { Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { useRowForm } from '@/ui/useRowForm';
import type { BestView } from '@/views/best';

/** Both ends of a variable stay side by side, on a phone too. */
const FOUR = { gridTemplateColumns: 'repeat(auto-fit, minmax(140px, 1fr))' } as const;

const LABELS = labelsOf(TRIAL);
const SHOWN = shownFields(TRIAL).map((name) => `bounds.${name}`);
const HEAT = ['temperatureFromC', 'temperatureToC'] as const;

/** What a trial may change and take; an empty field binds nothing. */
export function TrialBounds({
  trial: { rowVersion, ...values },
  releaseId,
  canSetTemperature,
}: {
  trial: BestView['trial'];
  releaseId: string;
  canSetTemperature: boolean;
}) {
  const mayPlan = useMay('bench');
  const { submit, faults, faultOf, isBusy } = useCommand();
  const row = useRowForm(
    { text: textOf(TRIAL, values), rowVersion },
    (field) => faultOf(`bounds.${field}`),
    `trial ${releaseId}`,
  );
  const form = {
    fields: TRIAL,
    text: row.text,
    change: row.change,
    faultOf: (field: string) => faultOf(`bounds.${field}`),
  };
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('saveTrial', {
      releaseId,
      rowVersion: row.rowVersion,
      bounds: sentOf(TRIAL, row.text),
    });
    if (answer.ok) row.draft.forget();
  };
  return (
    <form onSubmit={onSubmit} noValidate aria-label="What the trial may change">
      <DraftNotice draft={row.draft} />
      <Clashes
        clashes={row.clashes}
        takenOver={row.takenOver}
        labels={LABELS}
        onSettle={row.settle}
      />
      <FieldGrid style={FOUR}>
        <EntryFields form={form} names={['yieldFromG', 'yieldToG']} />
        {canSetTemperature && <EntryFields form={form} names={HEAT} />}
        <EntryFields form={form} names={['timeFromS', 'timeToS', 'mostRecipes', 'keepG']} />
      </FieldGrid>
      <p style={{ marginTop: 8 }}>
        <Button type="submit" isPending={isBusy} isDisabled={!mayPlan}>
          Keep these limits
        </Button>{' '}
        <Small>
          Empty is open. Two equal figures leave a variable alone. The forgiving recipe stays inside
          them too.
        </Small>
      </p>
      <Faults faults={faults} shown={row.hasMerged ? [...SHOWN, 'rowVersion'] : SHOWN} />
    </form>
  );
}
