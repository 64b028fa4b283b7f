'use client';

import { useRouter } from 'next/navigation';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { MainButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { TextInput } from '@/ui/fields';
import { Page } from '@/ui/Page';
import { useCommand } from '@/ui/useCommand';

const Form = styled.form`
  display: grid;
  gap: 14px;
  max-width: 420px;
`;

/** First run: whose house this is. The bench comes next. */
export function Welcome() {
  const router = useRouter();
  const { submit, faults, faultOf, isBusy } = useCommand();
  const [houseName, setHouseName] = useState('');
  const [leadName, setLeadName] = useState('');
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('setUpHouse', { houseName, leadName });
    if (answer.ok) router.push('/bench');
  };
  return (
    <Page>
      <h1>Set up Kettlebrand for your roastery</h1>
      <p>
        Two names, then the machine, grinder and basket on your bench; after that, the first coffee.
        Everything stays on this machine.
      </p>
      <Form onSubmit={onSubmit} noValidate>
        <TextInput
          label="Name of the roastery"
          value={houseName}
          onChange={setHouseName}
          fault={faultOf('houseName')}
          autoFocus
        />
        <TextInput
          label="Your name, as the quality lead"
          value={leadName}
          onChange={setLeadName}
          fault={faultOf('leadName')}
        />
        <Faults faults={faults} shown={['houseName', 'leadName']} />
        <p>
          <MainButton type="submit" isDisabled={isBusy}>
            Set it up
          </MainButton>
        </p>
      </Form>
    </Page>
  );
}
