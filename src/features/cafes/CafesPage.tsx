'use client';

import { Link } from '@/ui/Link';
import styled from 'styled-components';
import { Button } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { Moment } from '@/ui/moment';
import { Page } from '@/ui/Page';
import { useMay } from '@/ui/person';
import { Notice, SectionTitle, StageTitle } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import type { CafesView, HelpCall } from '@/views/cafes';
import { Matrix } from './Matrix';
import { Signals } from './Signals';

const Head = styled.header`
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  align-items: baseline;
`;

/** Who is off, is it the café or the coffee, and what do we answer. */
export function CafesPage({ field: { cafes, signals, help, standings } }: { field: CafesView }) {
  const isLead = useMay('lead');
  const cafeNames = Object.fromEntries(cafes.map(({ partner: { id, name } }) => [id, name]));
  return (
    <Page>
      <Head>
        <StageTitle as="h1">Field</StageTitle>
        <Link href="/field/week">The week on one page</Link>
        {isLead && <Link href="/field/cafes/new">Add a café</Link>}
      </Head>
      {cafes.length === 0 ? (
        <p>
          No café yet. Add one, send it its link, and its checks stand here: who is off, whether it
          is the café or the coffee, and an answer ready to send.
        </p>
      ) : (
        <>
          {help.map((call) => (
            <Call key={call.visit.id} call={call} />
          ))}
          <section>
            <SectionTitle as="h2">Off now</SectionTitle>
            <Signals signals={signals} standings={standings} cafeNames={cafeNames} />
          </section>
          <section>
            <SectionTitle as="h2">Checks of the last week</SectionTitle>
            <Matrix cafes={cafes} />
          </section>
        </>
      )}
    </Page>
  );
}

function Call({ call: { visit, cafe } }: { call: HelpCall }) {
  const { submit, faults, isBusy } = useCommand();
  return (
    <div>
      <Notice $kind="caution">
        <strong>{cafe} asks for help</strong>, <Moment at={visit.visitedAt} />: {visit.help}{' '}
        <Link href={`/field/cafes/${visit.partnerId}`}>Answer</Link>{' '}
        <Button isPending={isBusy} onPress={() => void submit('settleHelp', { visitId: visit.id })}>
          Settled
        </Button>
      </Notice>
      <Faults faults={faults} />
    </div>
  );
}
