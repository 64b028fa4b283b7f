'use client';

import { Link } from '@/ui/Link';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { OwnKey } from '@/ui/OwnKey';
import { addDays } from '@/core/rest/day';
import { Button, buttonLook, mainLook } from '@/ui/Button';
import { CalendarAxis, CalendarStrip, type CalendarSpan } from '@/ui/CalendarStrip';
import { dayWords, shortDayWords } from '@/core/dayWords';
import { Faults } from '@/ui/Faults';
import { Page } from '@/ui/Page';
import { useMay, useUnits } from '@/ui/person';
import { Key, labelText, Notice, SectionTitle, Small } from '@/ui/type';
import { useCarry } from '@/ui/useCarry';
import { useKeys } from '@/ui/useKeys';
import { FirstSteps, type FirstStepsProps } from './FirstSteps';
import type { DueRow, StripRow, TodayRows } from './todayRows';

const Wide = styled(Page)`
  max-width: none;
  gap: 14px;
`;

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px 12px;
  align-items: center;

  h1 {
    font-size: 24px;
    margin-right: auto;
  }

  > a {
    ${buttonLook}
  }

  > a.main {
    ${mainLook}
  }

  @media print {
    && > a {
      display: none;
    }
  }
`;

const Columns = styled.div`
  display: grid;
  grid-template-columns: 372px minmax(0, 1fr);
  gap: 28px;
  align-items: start;

  @media print, (max-width: 1000px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const DueLink = styled(Link)`
  display: grid;
  grid-template-columns: 62px minmax(0, 1fr);
  gap: 2px 10px;
  padding: 9px 6px 10px;
  border-bottom: 1px solid var(--rule);
  text-decoration: none;

  /* What can be pressed at once belongs to the line above it. */
  &:has(+ div) {
    border-bottom: 0;
    padding-bottom: 4px;
  }

  &:hover {
    background: var(--enamel-raised);
  }

  strong {
    font-stretch: 94%;
    overflow-wrap: anywhere;
  }

  .words {
    grid-column: 2;
    font-size: 14.5px;
  }

  .when {
    ${labelText}
    padding-left: 8px;
    border-left: 4px solid var(--rule-strong);
  }

  /* A box to tick on paper. */
  .done {
    width: 15px;
    height: 15px;
    border: 1px solid var(--ink);
  }

  @media print {
    grid-template-columns: 15px 62px minmax(0, 1fr);

    .words {
      grid-column: 3;
    }
  }

  &[data-urgency='3'] .when {
    border-left-color: var(--copper);
    color: var(--ink);
    font-weight: 680;
  }

  &[data-urgency='2'] .when {
    border-left-color: var(--under);
  }
`;

const StripLink = styled(Link)`
  display: grid;
  grid-template-columns: 196px minmax(0, 1fr);
  gap: 14px;
  align-items: center;
  padding: 7px 6px 3px;
  border-bottom: 1px solid var(--rule);
  text-decoration: none;

  &:hover {
    background: var(--enamel-raised);
  }

  strong {
    display: block;
    font-stretch: 92%;
    overflow-wrap: anywhere;
    line-height: 1.2;
  }

  small {
    ${labelText}
    font-size: 13.5px;
  }

  @media (max-width: 640px) {
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
  }
`;

const AxisRow = styled.div`
  display: grid;
  grid-template-columns: 196px minmax(0, 1fr);
  gap: 14px;
  padding: 0 6px;
  border-bottom: 1px solid var(--rule-strong);

  > :first-child {
    ${labelText}
  }

  @media (max-width: 640px) {
    grid-template-columns: minmax(0, 1fr);

    > :first-child {
      display: none;
    }
  }
`;

const Carry = styled.div`
  padding: 6px 6px 10px 78px;
  border-bottom: 1px solid var(--rule);
`;

const Legend = styled.p`
  ${labelText}
  margin-top: 8px;
`;

/** Five weeks back and six ahead: from the oldest roast in use to the end of a light one. */
const SPAN: CalendarSpan = { from: -35, to: 42 };

const WHEN = { 3: 'now', 2: 'soon', 1: 'in time' } as const;

export interface TodayPageProps {
  readonly today: string;
  readonly rows: TodayRows;
  readonly firstSteps: FirstStepsProps;
  readonly importer: ReactNode;
  /** Said to the lead where the last good backup is too old. */
  readonly backupWarning: string | null;
  /** Who is off in the field, and who asks for help. */
  readonly fieldNews: readonly string[];
}

/** So much of the field is named; the rest is counted. */
const MOST_NEWS = 10;

/** What needs me now? */
export function TodayPage(props: TodayPageProps) {
  const { today, rows, firstSteps, importer, backupWarning, fieldNews } = props;
  const isLead = useMay('lead');
  useListKeys();
  const { strips, due, past } = rows;
  const isEmpty = strips.length + past.count === 0;
  return (
    <Wide>
      <Head>
        {isEmpty ? (
          <h1>No coffee here yet</h1>
        ) : (
          <h1>
            Today<span className="print-only">, {dayWords(today)}</span>
          </h1>
        )}
        {!isEmpty && (
          <>
            <Link href="/open">Open today</Link>
            <Link href="/releases">All releases</Link>
          </>
        )}
        {isLead && (
          <>
            {importer}
            <Link href="/import">Import a spreadsheet</Link>
            {/* An empty house has its steps to follow; the first of them is not this. */}
            {!isEmpty && (
              <Link className="main" href="/releases/new">
                New release <OwnKey of="r" />
              </Link>
            )}
          </>
        )}
      </Head>
      {backupWarning && (
        <Notice>
          {backupWarning} <Link href="/house#backups">Backups</Link>
        </Notice>
      )}
      {fieldNews.length > 0 && (
        <Notice>
          <Link href="/field">Field</Link>: {fieldNews.slice(0, MOST_NEWS).join('; ')}
          {fieldNews.length > MOST_NEWS && `; and ${fieldNews.length - MOST_NEWS} more`}.
        </Notice>
      )}
      {(isEmpty || !firstSteps.hasSetup) && <FirstSteps {...firstSteps} />}
      {!isEmpty && (
        <Columns>
          <DueList due={due} />
          <Strips strips={strips} today={today} />
        </Columns>
      )}
      {past.count > 0 && (
        <details className="screen-only">
          <summary>
            {past.count} past {past.count === 1 ? 'release' : 'releases'}
          </summary>
          <ul>
            {past.newest.map(({ id, name }) => (
              <li key={id}>
                <Link href={`/releases/${id}`}>{name}</Link>
              </li>
            ))}
          </ul>
          {past.count > past.newest.length && (
            <p>
              The newest are listed. <Link href="/find">Find any other</Link> by its words, process
              or year.
            </p>
          )}
        </details>
      )}
    </Wide>
  );
}

function DueList({ due }: { due: readonly DueRow[] }) {
  const { say } = useUnits();
  return (
    <section aria-label="Due">
      <SectionTitle as="h2">{dueWords(due)}</SectionTitle>
      {due.length === 0 && (
        <Small>Strips move on by themselves; what they ask for will stand here.</Small>
      )}
      <ul data-walk="due">
        {due.map(({ releaseId, name, code, urgency, message, stage, toCarry }) => (
          <li key={`${releaseId} ${code}`}>
            <DueLink href={`/releases/${releaseId}/${stage}`} data-urgency={urgency}>
              <span className="done print-only" />
              <span className="when">{WHEN[urgency]}</span>
              <strong>{name}</strong>
              <span className="words">{say(message)}</span>
            </DueLink>
            {toCarry !== null && (
              <CarryButton releaseId={releaseId} batchId={toCarry} name={name} />
            )}
          </li>
        ))}
      </ul>
      <Legend className="screen-only">
        <Key>↑</Key> <Key>↓</Key> walk the list, <Key>→</Key> to the strips, <Key>Enter</Key> opens
      </Legend>
    </section>
  );
}

/** The daily case without a detour: the last recipe goes on the bench for the new batch. */
function CarryButton({
  releaseId,
  batchId,
  name,
}: {
  releaseId: string;
  batchId: string;
  name: string;
}) {
  const mayPull = useMay('bench');
  const { carry, faults, isBusy } = useCarry(releaseId, batchId);
  if (!mayPull) return null;
  return (
    <Carry>
      <Button onPress={carry} isPending={isBusy} aria-label={`Carry the recipe of ${name} over`}>
        Carry the recipe over
      </Button>
      <Faults faults={faults} />
    </Carry>
  );
}

/** What is due now or soon is counted, as in the bar; what can wait is said beside it. */
function dueWords(due: readonly DueRow[]): string {
  if (due.length === 0) return 'Nothing is due';
  const later = due.filter(({ urgency }) => urgency === 1).length;
  const rest = later > 0 ? `, ${later} in time` : '';
  return `${due.length - later} due${rest}`;
}

function Strips({ strips, today }: { strips: readonly StripRow[]; today: string }) {
  return (
    <section aria-label="Rest strips" className="screen-only">
      <AxisRow>
        <span>{strips.length === 1 ? '1 batch' : `${strips.length} batches`} in use</span>
        <CalendarAxis span={SPAN} labelOf={(day) => shortDayWords(addDays(today, day))} />
      </AxisRow>
      <ul data-walk="strips">
        {strips.map(({ key, releaseId, name, batch, state, edges, frozen, marks }) => (
          <li key={key}>
            <StripLink href={`/releases/${releaseId}`}>
              <span>
                <strong>{name}</strong>
                <small>
                  {batch && `${batch}. `}
                  {state}
                </small>
              </span>
              <CalendarStrip span={SPAN} edges={edges} frozen={frozen} marks={marks} />
            </StripLink>
          </li>
        ))}
      </ul>
      <Legend>
        Bands: too fresh, open, <strong>best</strong>, late, faded. Marks: | shots, ○ tastings, ◆
        publications. A dashed gap: the bag in use lay frozen, and its rest stood still.
      </Legend>
    </section>
  );
}

/** Arrows walk both lists; left and right change between them. */
function useListKeys(): void {
  const linksOf = (list: string) => [
    ...document.querySelectorAll<HTMLAnchorElement>(`[data-walk="${list}"] a`),
  ];
  const current = () =>
    document.activeElement?.closest<HTMLElement>('[data-walk]')?.dataset.walk ?? null;
  const step = (by: 1 | -1) => {
    const links = linksOf(current() ?? 'due');
    const at = links.indexOf(document.activeElement as HTMLAnchorElement);
    links[at < 0 ? 0 : Math.min(links.length - 1, Math.max(0, at + by))]?.focus();
  };
  useKeys({
    ArrowDown: { words: 'next in the list', act: () => step(1) },
    ArrowUp: { words: 'the one before', act: () => step(-1) },
    ArrowRight: { words: 'to the strips', act: () => linksOf('strips')[0]?.focus() },
    ArrowLeft: { words: 'to the due list', act: () => linksOf('due')[0]?.focus() },
  });
}
