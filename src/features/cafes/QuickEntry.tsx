'use client';

import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { CHECK_TASTES, CHECK_TASTE_LABELS, CAFE_CHECK } from '@/core/entity/cafeCheck';
import { MainButton } from '@/ui/Button';
import { sentOf, textOf, type EntryText } from '@/ui/entryText';
import { Faults } from '@/ui/Faults';
import { QuantityInput, SelectInput, TextInput } from '@/ui/fields';
import { NotationProvider } from '@/ui/notation';
import { Notice, Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import type { CheckSheet, SheetCoffee } from '@/views/checkSheet';

const Form = styled.form`
  display: grid;
  gap: 10px;
`;

const Line = styled.fieldset`
  display: grid;
  grid-template-columns: 1.6fr repeat(4, minmax(70px, 1fr)) 1.2fr;
  gap: 8px;
  align-items: end;
  border: 0;
  padding: 0;

  @media (max-width: 900px) {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
`;

type CheckText = EntryText<typeof CAFE_CHECK>;

const TASTES = [
  { value: '', label: 'not said' },
  ...CHECK_TASTES.map((value) => ({ value, label: CHECK_TASTE_LABELS[value] })),
];

const emptyOf = ({ target, lastDial }: SheetCoffee): CheckText =>
  textOf(CAFE_CHECK, {
    doseG: target.doseG,
    yieldG: target.yieldG,
    ...(lastDial !== null && { dial: lastDial }),
  });

/** A whole sheet that came on paper or by telephone, one line for each coffee. */
export function QuickEntry({ partnerId, sheet }: { partnerId: string; sheet: CheckSheet }) {
  const { submit, faults, isBusy } = useCommand();
  const [at, setAt] = useState('');
  const [typed, setTyped] = useState<Readonly<Record<string, CheckText>>>({});
  const [isStored, setStored] = useState(false);
  const textOfCoffee = (coffee: SheetCoffee) => typed[coffee.releaseId] ?? emptyOf(coffee);
  const filled = sheet.coffees.filter((coffee) => textOfCoffee(coffee).timeS !== '');
  const faultOf = (coffee: SheetCoffee, field: string) =>
    faults.find((fault) => fault.field === `checks.${filled.indexOf(coffee)}.check.${field}`)
      ?.message;
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const moment = at === '' ? new Date() : new Date(at);
    const answer = await submit('enterChecks', {
      partnerId,
      at: Number.isNaN(moment.getTime()) ? at : moment.toISOString(),
      checks: filled.map((coffee) => ({
        releaseId: coffee.releaseId,
        ...(coffee.lastRoastDate !== null && { roastDate: coffee.lastRoastDate }),
        check: sentOf(CAFE_CHECK, textOfCoffee(coffee)),
      })),
    });
    setStored(answer.ok);
    if (answer.ok) setTyped({});
  };
  if (sheet.coffees.length === 0)
    return <p>It serves no coffee with a public card: choose some above.</p>;
  return (
    <NotationProvider of={sheet.cafe}>
      <Form onSubmit={onSubmit} noValidate aria-label="Write down a sheet">
        {isStored && (
          <Notice $kind="good" role="status">
            Written down.
          </Notice>
        )}
        <TextInput
          label="Checked at"
          hint="As 2026-05-20 14:00; now if empty"
          value={at}
          onChange={setAt}
          fault={faults.find(({ field }) => field === 'at')?.message}
        />
        {sheet.coffees.map((coffee) => {
          const text = textOfCoffee(coffee);
          const set = (part: Partial<CheckText>) =>
            setTyped((before) => ({ ...before, [coffee.releaseId]: { ...text, ...part } }));
          const figures = [
            ['doseG', 'doseG', 'Dose', 0.1],
            ['yieldG', 'shotYieldG', 'Yield', 0.5],
            ['timeS', 'timeS', 'Time', 0.5],
            ['dial', 'dial', 'Dial', sheet.cafe.stepSize],
          ] as const;
          return (
            <Line key={coffee.releaseId} aria-label={coffee.name}>
              <Small>{coffee.name}</Small>
              {figures.map(([name, quantity, label, step]) => (
                <QuantityInput
                  key={name}
                  label={label}
                  quantity={quantity}
                  step={step}
                  value={text[name]}
                  onChange={(value) => set({ [name]: value })}
                  fault={faultOf(coffee, name)}
                />
              ))}
              <SelectInput
                label="Taste"
                value={text.taste}
                onChange={(value) => set({ taste: value as CheckText['taste'] })}
                options={TASTES}
              />
            </Line>
          );
        })}
        <Faults faults={faults} shown={['at']} />
        <p>
          <MainButton type="submit" isPending={isBusy}>
            Write it down
          </MainButton>
        </p>
      </Form>
    </NotationProvider>
  );
}
