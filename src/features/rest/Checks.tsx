'use client';

import { Link } from '@/ui/Link';
import styled from 'styled-components';
import { dayWords } from '@/core/dayWords';
import { CHECK_LABELS, checkWords, type AskedCheck } from '@/core/rest/checkPlan';
import { QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { useMay, useUnits } from '@/ui/person';
import { Notice, SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import { offerUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import type { CheckState, RestView } from '@/views/rest';
import { AskRecheck, type AskRecheckProps } from './AskRecheck';

const Box = styled.section`
  display: grid;
  gap: 6px;
`;

const PlannedTable = styled(Table)`
  .day {
    white-space: nowrap;
  }
`;

const STATE_WORDS: Record<CheckState, string> = {
  done: 'done',
  missed: 'missed',
  overdue: 'overdue',
  ahead: 'ahead',
  short: 'no coffee left for it',
};

interface ChecksProps extends Omit<AskRecheckProps, 'day'> {
  readonly rest: RestView;
  readonly roastDate: string;
  readonly releaseId: string;
}

/** The checks of a batch: those its span plans, and those somebody asked for. */
export function Checks({ rest, roastDate, releaseId, ...asks }: ChecksProps) {
  const { checks, room, elsewhere } = rest;
  return (
    <Box aria-label="Checks of this batch">
      <SectionTitle>Checks of the batch of {dayWords(roastDate)}</SectionTitle>
      <TableScroll aria-label="Checks planned">
        <PlannedTable>
          <TableHead columns={[{ words: 'Check' }, 'Day', { words: 'State' }, 'Shots', 'Cups']} />
          <tbody>
            {checks.map((check) => (
              <CheckRow key={check.day} check={check} releaseId={releaseId} />
            ))}
          </tbody>
        </PlannedTable>
      </TableScroll>
      {elsewhere.length > 0 && (
        <ul aria-label="Asked for, of other batches">
          {elsewhere.map((asked) => (
            <li key={asked.id}>
              Batch of {dayWords(asked.roastDate)}, {dayWords(asked.day)},{' '}
              {checkWords({ kind: 'asked', asked })} <TakeBack asked={asked} />
            </li>
          ))}
        </ul>
      )}
      <AskRecheck {...asks} day={rest.askOn} />
      <HeldBack room={room} />
      <Small>
        By the span of the house’s rest school; moved off closed days to the next open one. The
        first and the last day tell most. Rule of thumb. A check that was asked for waits until it
        is made.
      </Small>
    </Box>
  );
}

function CheckRow({ check, releaseId }: { check: RestView['checks'][number]; releaseId: string }) {
  const { kind, day, asked, state, shots, cups } = check;
  return (
    <tr>
      <td className="words">
        {CHECK_LABELS[kind]}
        {asked && (
          <>
            {asked.why !== '' && `: ${asked.why}`} <TakeBack asked={asked} />
          </>
        )}
      </td>
      <td className="day">{dayWords(day)}</td>
      <td className="words">{STATE_WORDS[state]}</td>
      <td>
        {shots > 0 && (
          <Link href={`/releases/${releaseId}/pull`} aria-label={`${shots} shots near it`}>
            {shots}
          </Link>
        )}
      </td>
      <td>
        {cups > 0 && (
          <Link href={`/releases/${releaseId}/taste`} aria-label={`${cups} cups near it`}>
            {cups}
          </Link>
        )}
      </td>
    </tr>
  );
}

function TakeBack({ asked: { id, day } }: { asked: AskedCheck }) {
  const { submit, faults, isBusy } = useCommand();
  if (!useMay('lead')) return null;
  const remove = async () => {
    const answer = await submit('remove', { what: 'recheck', id });
    if (answer.ok)
      offerUndo({
        words: `The check of ${dayWords(day)} is no longer asked for.`,
        kind: 'restore',
        input: { what: 'recheck', id },
      });
  };
  return (
    <>
      <QuietButton
        aria-label={`Delete the check of ${dayWords(day)}`}
        isPending={isBusy}
        onPress={() => void remove()}
      >
        Delete
      </QuietButton>
      <Faults faults={faults} />
    </>
  );
}

/** What the checks ahead take, and what is missing for them. */
function HeldBack({ room }: Pick<RestView, 'room'>) {
  const { mass } = useUnits();
  const { kept, dropped, neededG, shortG, gramsEach, leftG } = room;
  const ahead = kept.length + dropped.length;
  return (
    <>
      {ahead > 0 && (
        <p>
          Hold back {mass(neededG, 0)} for {ahead === 1 ? 'it' : `the ${ahead} ahead`}, about{' '}
          {mass(gramsEach, 0)} each (two shots and a purge)
          {leftG === null
            ? '; how much of this batch was set aside is not noted (Read, batches).'
            : `; ${mass(Math.max(0, leftG), 0)} are left of this batch.`}
        </p>
      )}
      {shortG > 0 && (
        <Notice>
          {mass(shortG, 0)} are missing:{' '}
          {kept.length === 0
            ? 'no check can be made. Set more of the next batch aside.'
            : `keep what is left for the check ${kept.map(({ kind }) => CHECK_LABELS[kind].toLowerCase()).join(' and ')}: it tells most.`}
        </Notice>
      )}
    </>
  );
}
