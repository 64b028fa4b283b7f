'use client';

import { useRouter } from 'next/navigation';
import type { FormEvent } from 'react';
import styled from 'styled-components';
import { PARTNER, WEEKDAYS } from '@/core/entity/partner';
import type { StoredPartner } from '@/data/partners';
import { MainButton, QuietButton } from '@/ui/Button';
import { Chip, ChipRow } from '@/ui/choices';
import { Clashes } from '@/ui/Clashes';
import { DraftNotice } from '@/ui/DraftNotice';
import { EntryFields } from '@/ui/EntryField';
import { labelsOf, sentOf, shownFields, textOf, type EntryText } from '@/ui/entryText';
import { Faults } from '@/ui/Faults';
import { FieldGrid } from '@/ui/fields';
import { NotationProvider } from '@/ui/notation';
import { SectionTitle, Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { useRowForm } from '@/ui/useRowForm';

const Form = styled.form`
  display: grid;
  gap: 14px;

  > section {
    display: grid;
    gap: 8px;
  }
`;

interface PartnerText extends EntryText<typeof PARTNER> {
  readonly releaseIds: readonly string[];
}

const GROUPS = [
  {
    title: 'The café',
    names: ['name', 'people', 'town', 'timeZone', 'language', 'heatUnit', 'checkTimes'],
  },
  {
    title: 'Machine and basket',
    names: [
      'machine',
      'fixedTemperatureC',
      'flushS',
      'overrunG',
      'canShape',
      'diameterMm',
      'ratedG',
      'clock',
    ],
  },
  {
    title: 'Grinder',
    names: [
      'grinder',
      'finerIs',
      'notation',
      'divisions',
      'dialMin',
      'dialMax',
      'stepSize',
      'stepless',
    ],
  },
  { title: 'Water', names: ['waterHardnessMgL', 'water'] },
] as const;

const LABELS = { ...labelsOf(PARTNER), releaseIds: 'Coffees' };

/** A café, what it works with and what it serves. */
export function PartnerForm({
  partner,
  coffees,
  onDone,
}: {
  partner: StoredPartner | null;
  /** Releases with a public card. */
  coffees: readonly { readonly id: string; readonly name: string }[];
  onDone?: () => void;
}) {
  const router = useRouter();
  const { submit, faults, faultOf, isBusy } = useCommand({ leavesPage: partner === null });
  const form = useRowForm<PartnerText>(
    {
      text: { ...textOf(PARTNER, partner ?? {}), releaseIds: partner?.releaseIds ?? [] },
      rowVersion: partner?.rowVersion ?? 0,
    },
    faultOf,
    `café ${partner?.id ?? 'new'}`,
  );
  const { text, change } = form;
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('savePartner', {
      ...(partner && { id: partner.id, rowVersion: form.rowVersion }),
      partner: sentOf(PARTNER, text),
      releaseIds: text.releaseIds,
    });
    if (!answer.ok) return;
    form.draft.forget();
    if (partner === null) router.push(`/field/cafes/${answer.result.partnerId}`);
    else onDone?.();
  };
  const toggled = <T,>(list: readonly T[], one: T, isIn: boolean) =>
    isIn ? [...list, one] : list.filter((other) => other !== one);
  const isDivided = text.notation === 'letters' || text.notation === 'marks';
  const entry = { fields: PARTNER, text, change, faultOf };
  return (
    <Form onSubmit={onSubmit} noValidate aria-label="Café">
      <DraftNotice draft={form.draft} />
      <NotationProvider
        of={{ notation: text.notation, divisions: Number(text.divisions) || undefined }}
      >
        {GROUPS.map(({ title, names }) => (
          <section key={title}>
            <SectionTitle as="h2">{title}</SectionTitle>
            <FieldGrid>
              <EntryFields
                form={entry}
                names={names.filter((name) => name !== 'divisions' || isDivided)}
              />
            </FieldGrid>
          </section>
        ))}
      </NotationProvider>
      <section>
        <SectionTitle as="h2">Closed on</SectionTitle>
        <ChipRow>
          {WEEKDAYS.map((weekday) => (
            <Chip
              key={weekday}
              isSelected={text.closedWeekdays.includes(weekday)}
              onChange={(isIn) =>
                change({ closedWeekdays: toggled(text.closedWeekdays, weekday, isIn) })
              }
            >
              {PARTNER.closedWeekdays.labels[weekday]}
            </Chip>
          ))}
        </ChipRow>
      </section>
      <section>
        <SectionTitle as="h2">Coffees on its sheet</SectionTitle>
        {coffees.length === 0 && (
          <Small>No card is public: publish one, and it can be served.</Small>
        )}
        <ChipRow>
          {coffees.map(({ id, name }) => (
            <Chip
              key={id}
              isSelected={text.releaseIds.includes(id)}
              onChange={(isIn) => change({ releaseIds: toggled(text.releaseIds, id, isIn) })}
            >
              {name}
            </Chip>
          ))}
        </ChipRow>
      </section>
      <Clashes
        clashes={form.clashes}
        takenOver={form.takenOver}
        labels={LABELS}
        onSettle={form.settle}
      />
      <Faults faults={faults} shown={shownFields(PARTNER)} />
      <p>
        <MainButton type="submit" isPending={isBusy}>
          {partner === null ? 'Add the café' : 'Save the café'}
        </MainButton>{' '}
        {onDone && (
          <QuietButton
            onPress={() => {
              form.draft.forget();
              onDone();
            }}
          >
            Cancel
          </QuietButton>
        )}
      </p>
    </Form>
  );
}
