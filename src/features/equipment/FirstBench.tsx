'use client';

import { useRouter } from 'next/navigation';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import {
  BASKET_KINDS,
  GRINDER_KINDS,
  MACHINE_KINDS,
  type Kind,
} from '@/core/entity/equipmentKinds';
import { MainButton, QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { FieldGrid, SelectInput } from '@/ui/fields';
import { SectionTitle, Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';

const Form = styled.form`
  display: grid;
  gap: 14px;
  padding: 12px 0 16px;
`;

const optionsOf = (kinds: readonly Kind<unknown>[]) =>
  kinds.map(({ id, label }) => ({ value: id, label }));

const fieldsOf = <T,>(kinds: readonly Kind<T>[], id: string): T =>
  (kinds.find((kind) => kind.id === id) ?? kinds[0]!).fields;

/** The first bench in three choices; its figures are usual ones, refined when they are known better. */
export function FirstBench({ onDescribe, next }: { onDescribe: () => void; next: string }) {
  const router = useRouter();
  const { submit, faults, isBusy } = useCommand({ leavesPage: true });
  const [machine, setMachine] = useState(MACHINE_KINDS[0].id);
  const [grinder, setGrinder] = useState(GRINDER_KINDS[0].id);
  const [basket, setBasket] = useState(BASKET_KINDS[0].id);
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('saveSetup', {
      setup: {
        name: 'First bench',
        links: {},
        machine: fieldsOf(MACHINE_KINDS, machine),
        grinder: fieldsOf(GRINDER_KINDS, grinder),
        basket: fieldsOf(BASKET_KINDS, basket),
      },
    });
    if (answer.ok) router.push(next);
  };
  return (
    <Form onSubmit={onSubmit} noValidate aria-label="Your bench">
      <SectionTitle as="h2">Your bench, in three choices</SectionTitle>
      <FieldGrid>
        <SelectInput
          label="Machine"
          value={machine}
          onChange={setMachine}
          options={optionsOf(MACHINE_KINDS)}
        />
        <SelectInput
          label="Grinder"
          value={grinder}
          onChange={setGrinder}
          options={optionsOf(GRINDER_KINDS)}
        />
        <SelectInput
          label="Basket"
          value={basket}
          onChange={setBasket}
          options={optionsOf(BASKET_KINDS)}
        />
      </FieldGrid>
      <Small>
        Each comes with usual figures: temperature, steps, grounds kept inside. A rule of thumb; put
        in your own whenever you know them better.
      </Small>
      <Faults faults={faults} />
      <p>
        <MainButton type="submit" isPending={isBusy}>
          Use this bench
        </MainButton>{' '}
        <QuietButton onPress={onDescribe}>Describe it all instead</QuietButton>
      </p>
    </Form>
  );
}
