'use client';

import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import type { PublicAddress } from '@/data/publications';
import { Button, buttonLook, QuietButton } from '@/ui/Button';
import { dayWords } from '@/core/dayWords';
import { Choice } from '@/ui/choices';
import { DialogSheet } from '@/ui/DialogSheet';
import { Faults } from '@/ui/Faults';
import { TextAreaInput } from '@/ui/fields';
import { useMay } from '@/ui/person';
import { Notice, SectionTitle } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';

const Links = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 10px;

  a {
    ${buttonLook}
  }
`;

/** What is public now: the page, its files, and the way to take it back. */
export function Published({
  releaseId,
  address,
  version,
}: {
  releaseId: string;
  address: PublicAddress;
  version: { number: number; publishedAt: string };
}) {
  const { token, withdrawnAt, withdrawnWhy } = address;
  const isLead = useMay('lead');
  return (
    <section>
      <SectionTitle>
        {withdrawnAt === null
          ? `Version ${version.number} is public since ${dayWords(version.publishedAt)}`
          : `Version ${version.number} was withdrawn on ${dayWords(withdrawnAt)}`}
      </SectionTitle>
      {withdrawnAt !== null && <Notice>Its page says: {withdrawnWhy}</Notice>}
      <Links>
        <a href={`/p/${token}`} target="_blank" rel="noreferrer">
          Open the public page
        </a>
        {withdrawnAt === null && (
          <>
            <a href={`/p/${token}/card.pdf`} target="_blank" rel="noreferrer">
              Card on paper (PDF)
            </a>
            <a href={`/p/${token}/recipe.json`} download>
              Download the recipe document
            </a>
          </>
        )}
        {isLead &&
          (withdrawnAt === null ? (
            <Withdraw releaseId={releaseId} />
          ) : (
            <ShowAgain releaseId={releaseId} />
          ))}
      </Links>
    </section>
  );
}

function Withdraw({ releaseId }: { releaseId: string }) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const [isAsking, setAsking] = useState(false);
  const [why, setWhy] = useState('');
  const [was, setWas] = useState<'right' | 'wrong'>('right');
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('withdraw', { releaseId, why, wasWrong: was === 'wrong' });
    if (answer.ok) setAsking(false);
  };
  return (
    <>
      <Button onPress={() => setAsking(true)}>Withdraw it</Button>
      {isAsking && (
        <DialogSheet title="Withdraw the public recipe?" onClose={() => setAsking(false)}>
          <p>
            The page and the printed code stay; they then say that the recipe was withdrawn, and
            your words. Page, file and paper no longer give the recipe.
          </p>
          <form
            onSubmit={onSubmit}
            noValidate
            aria-label="Withdraw"
            style={{ display: 'grid', gap: 12 }}
          >
            <TextAreaInput
              label="What the page says about it"
              value={why}
              onChange={setWhy}
              fault={faultOf('why')}
            />
            <Choice
              label="The recipe itself"
              value={was}
              onChange={setWas}
              options={[
                { value: 'right', label: 'was right: the coffee is over' },
                { value: 'wrong', label: 'was wrong: learn nothing from it' },
              ]}
            />
            <Faults faults={faults} shown={['why']} />
            <p style={{ marginTop: 12 }}>
              <Button type="submit" isPending={isBusy}>
                Withdraw it now
              </Button>{' '}
              <QuietButton onPress={() => setAsking(false)}>Keep it public</QuietButton>
            </p>
          </form>
        </DialogSheet>
      )}
    </>
  );
}

function ShowAgain({ releaseId }: { releaseId: string }) {
  const { submit, faults, isBusy } = useCommand();
  return (
    <>
      <Button onPress={() => void submit('showAgain', { releaseId })} isPending={isBusy}>
        Show it again
      </Button>
      <Faults faults={faults} />
    </>
  );
}
