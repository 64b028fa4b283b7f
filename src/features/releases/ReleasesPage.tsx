'use client';

import { Link } from '@/ui/Link';
import { Fragment, useRef, useState } from 'react';
import styled from 'styled-components';
import { OwnKey } from '@/ui/OwnKey';
import { dayWords } from '@/core/dayWords';
import { RELEASE } from '@/core/entity/release';
import { MOST_EXPORTED } from '@/core/limits';
import { SERVED, SERVED_LABELS, type Served } from '@/core/vocabulary';
import type { Order, ReleaseLine, ReleaseListView, ReleaseSort } from '@/views/releaseList';
import { Button, QuietButton } from '@/ui/Button';
import { Choice } from '@/ui/choices';
import { Faults } from '@/ui/Faults';
import { SelectInput, TextInput } from '@/ui/fields';
import { Page } from '@/ui/Page';
import { useMay } from '@/ui/person';
import { Small, StageTitle, Table, TableHead, Ledgered } from '@/ui/type';
import { offerEditUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { useKeys } from '@/ui/useKeys';
import { useQuestion } from '@/ui/useQuestion';

const Bar = styled.section`
  display: flex;
  flex-wrap: wrap;
  gap: 12px 24px;
  align-items: end;
`;

/** Where there is little room, what can be done to the ticked ones waits until one is. */
const ForTicked = styled(Bar)`
  @media (max-width: 640px) {
    &[data-none='true'] > :not(:first-child) {
      display: none;
    }
  }
`;

const Act = styled.div`
  display: flex;
  gap: 8px;
  align-items: end;
`;

/** On a phone each release is a card: its name, what is known of it, its words. */
const List = styled(Ledgered)`
  @media (max-width: 640px) {
    thead tr {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 8px;
    }

    th:is(:first-child, :nth-child(n + 6)) {
      display: none;
    }

    tbody tr {
      grid-template-columns: 40px 1fr 1fr;
    }

    td:nth-child(n + 5) {
      grid-column: 2 / -1;
    }

    td:nth-child(2) {
      grid-column: 2 / -1;
    }

    td:nth-child(3) {
      grid-column: 2;
    }
  }
`;

/** A tick large enough for a thumb. */
const Tick = styled.input`
  width: 24px;
  height: 24px;
  margin: 0;
  accent-color: var(--ink);
`;

const SHOWS = [
  { value: 'current', label: 'Current' },
  { value: 'archived', label: 'Archived' },
] as const;
const SERVINGS = SERVED.map((value) => ({ value, label: SERVED_LABELS[value] }));

/** Every release in a line; several are changed at once. */
export function ReleasesPage({
  view,
  sheets,
}: {
  view: ReleaseListView;
  /** That the ticked ones can be exported as. */
  sheets: readonly Sheet[];
}) {
  const { words: asked, shows, lines, archived, count, page, pages } = view;
  const isLead = useMay('lead');
  const { choose, isChoosing } = useQuestion();
  const [words, setWords] = useState(asked);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const chosen = lines.filter(({ id }) => ticked.has(id));
  const tick = (ids: readonly string[], isTicked: boolean) =>
    setTicked((before) => {
      const after = new Set(before);
      for (const id of ids) {
        if (isTicked) after.add(id);
        else after.delete(id);
      }
      return after;
    });
  return (
    <Page aria-busy={isChoosing}>
      <StageTitle as="h1">Releases</StageTitle>
      <Bar aria-label="Narrow to">
        <TextInput
          label="Name or tag holds"
          value={words}
          onChange={(next) => {
            setWords(next);
            choose({ q: next, page: '' }, { isTyped: true });
          }}
        />
        <Choice
          label={`Archived: ${archived}`}
          value={shows}
          onChange={(next) => {
            setTicked(new Set());
            choose({ shows: next === 'archived' ? next : '', page: '' });
          }}
          options={SHOWS}
        />
      </Bar>
      {isLead && lines.length > 0 && (
        <Changes
          chosen={chosen}
          isArchive={shows === 'archived'}
          sheets={sheets}
          onDone={() => setTicked(new Set())}
        />
      )}
      {lines.length === 0 ? (
        <p>
          {asked !== ''
            ? 'No release here has a name or tag like that. Try fewer letters.'
            : shows === 'archived'
              ? 'No release is archived. Tick those the house is done with, and archive them.'
              : 'No release yet. '}
          {asked === '' && shows === 'current' && <Link href="/releases/new">New release</Link>}
        </p>
      ) : (
        <Lines
          view={view}
          ticked={ticked}
          onTick={isLead ? tick : undefined}
          onSort={(sort, order) => choose({ sort, order, page: '' })}
        />
      )}
      {pages > 1 && (
        <nav aria-label="Pages">
          Page {page} of {pages}, {count} releases.{' '}
          {page > 1 && (
            <QuietButton onPress={() => choose({ page: String(page - 1) })}>
              The one before
            </QuietButton>
          )}
          {page < pages && (
            <QuietButton onPress={() => choose({ page: String(page + 1) })}>The next</QuietButton>
          )}
        </nav>
      )}
      <Small>
        An archived release is left out of Today and of the switcher; what it taught, its card and
        its log stay.
      </Small>
    </Page>
  );
}

/** Words that can be added to the lists of several releases. */
const ADDED = [
  { key: 'addTags', label: 'Tags to add', button: 'Add tags', done: 'tagged' },
  { key: 'addNotes', label: 'Promised notes to add', button: 'Add notes', done: 'notes added' },
] as const;

const listed = (text: string): string[] =>
  text
    .split(',')
    .map((word) => word.trim())
    .filter((word) => word !== '');

interface Sheet {
  readonly name: string;
  readonly label: string;
}

/** The ticked ones as sheets that can be brought in again. */
function Exports({ ids, sheets }: { ids: readonly string[]; sheets: readonly Sheet[] }) {
  if (ids.length > MOST_EXPORTED)
    return (
      <Small>
        Export takes at most {MOST_EXPORTED} releases at once: untick some, or export all in Import.
      </Small>
    );
  const hrefOf = (sheet: string) => `/api/exports/${sheet}?releases=${ids.join(',')}`;
  return (
    <Small>
      Export as CSV:{' '}
      {sheets.map(({ name, label }, i) => (
        <Fragment key={name}>
          {i > 0 && ', '}
          <a href={hrefOf(name)}>{label.toLowerCase()}</a>
        </Fragment>
      ))}
    </Small>
  );
}

/** What can be done to the ticked ones. */
function Changes({
  chosen,
  isArchive,
  sheets,
  onDone,
}: {
  chosen: readonly ReleaseLine[];
  isArchive: boolean;
  sheets: readonly Sheet[];
  onDone: () => void;
}) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const [serving, setServing] = useState<Served>('both');
  const [words, setWords] = useState({ addNotes: '', addTags: '' });
  const first = useRef<HTMLSelectElement>(null);
  useKeys({ c: { words: 'change those ticked', act: () => first.current?.focus() } });
  const count = chosen.length === 1 ? '1 release' : `${chosen.length} releases`;
  const change = async (part: Readonly<Record<string, unknown>>, done: string) => {
    const releaseIds = chosen.map(({ id }) => id);
    const answer = await submit('editReleases', { releaseIds, ...part });
    if (!answer.ok) return;
    offerEditUndo(`${count}: ${done}.`, answer.result.editId);
    onDone();
  };
  const isIdle = chosen.length === 0 || isBusy;
  return (
    <ForTicked aria-label="Change those ticked" data-none={chosen.length === 0}>
      <Small role="status">
        {chosen.length === 0 ? 'None ticked' : `${count} ticked`} <OwnKey of="c" />
      </Small>
      <Act>
        <SelectInput
          controlRef={first}
          label={RELEASE.serving.label}
          value={serving}
          onChange={(next) => setServing(next as Served)}
          options={SERVINGS}
        />
        <Button
          isDisabled={isIdle}
          onPress={() => void change({ serving }, `served ${SERVED_LABELS[serving].toLowerCase()}`)}
        >
          Set served
        </Button>
      </Act>
      {ADDED.map(({ key, label, button, done }) => {
        const more = listed(words[key]);
        return (
          <Act key={key}>
            <TextInput
              label={label}
              value={words[key]}
              onChange={(next) => setWords({ ...words, [key]: next })}
              fault={faultOf(key)}
            />
            <Button
              isDisabled={isIdle || more.length === 0}
              onPress={() =>
                void change({ [key]: more }, done).then(() => setWords({ ...words, [key]: '' }))
              }
            >
              {button}
            </Button>
          </Act>
        );
      })}
      <Button
        isDisabled={isIdle}
        onPress={() =>
          void change({ isArchived: !isArchive }, isArchive ? 'no longer archived' : 'archived')
        }
      >
        {isArchive ? 'Take out of the archive' : 'Archive'}
      </Button>
      {chosen.length > 0 && <Exports ids={chosen.map(({ id }) => id)} sheets={sheets} />}
      <Faults faults={faults} shown={ADDED.map(({ key }) => key)} />
    </ForTicked>
  );
}

function Lines({
  view: { lines, sort, order },
  ticked,
  onTick,
  onSort,
}: {
  view: ReleaseListView;
  ticked: ReadonlySet<string>;
  onTick: ((ids: readonly string[], isTicked: boolean) => void) | undefined;
  onSort: (sort: ReleaseSort, order: Order) => void;
}) {
  const by = (name: ReleaseSort, words: string, first: Order) =>
    ({
      words,
      sorted: sort !== name ? 'none' : order === 'up' ? 'ascending' : 'descending',
      onSort: () => onSort(name, sort !== name ? first : order === 'up' ? 'down' : 'up'),
    }) as const;
  const ids = lines.map(({ id }) => id);
  const areAll = ids.every((id) => ticked.has(id));
  return (
    <List aria-label="Releases">
      <Table>
        <TableHead
          columns={[
            { hidden: 'Ticked' },
            by('name', 'Release', 'up'),
            by('roasted', 'Newest batch', 'down'),
            by('recipe', 'Recipe', 'down'),
            by('served', 'Served', 'up'),
            { words: 'Promised notes' },
            { words: 'Tags' },
          ]}
        />
        <tbody>
          {onTick && (
            <tr>
              <td>
                <Tick
                  type="checkbox"
                  aria-label="All of these"
                  checked={areAll}
                  onChange={(event) => onTick(ids, event.target.checked)}
                />
              </td>
              <td className="words" colSpan={6}>
                All of these
              </td>
            </tr>
          )}
          {lines.map((line) => (
            <tr key={line.id}>
              <td>
                {onTick && (
                  <Tick
                    type="checkbox"
                    aria-label={line.name}
                    checked={ticked.has(line.id)}
                    onChange={(event) => onTick([line.id], event.target.checked)}
                  />
                )}
              </td>
              <td className="words">
                <Link href={`/releases/${line.id}`}>{line.name}</Link>
              </td>
              <td className="words">{line.roastDate === null ? '' : dayWords(line.roastDate)}</td>
              <td className="words">{recipeWords(line)}</td>
              <td className="words">{SERVED_LABELS[line.serving]}</td>
              <td className="words">{line.promisedNotes.join(', ')}</td>
              <td className="words">{line.tags.join(', ')}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </List>
  );
}

function recipeWords({ version, isPublic, hasBench }: ReleaseLine): string {
  if (version !== null) return `version ${version}${isPublic ? ', public' : ', withdrawn'}`;
  return hasBench ? 'on the bench' : 'none yet';
}
