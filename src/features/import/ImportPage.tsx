'use client';

import Link from 'next/link';
import { useRef } from 'react';
import styled from 'styled-components';
import type { DateOrder } from '@/formats/csv';
import {
  RELEASE_COLUMN_NAMES,
  RELEASE_COLUMNS,
  type Mapping,
  type ReleaseColumn,
} from '@/formats/releaseColumns';
import { Button, MainButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { FieldGrid, SelectInput } from '@/ui/fields';
import { Page } from '@/ui/Page';
import {
  Hidden,
  Notice,
  SectionTitle,
  Small,
  StageTitle,
  Table,
  TableScroll,
  TableHead,
} from '@/ui/type';
import type { ImportPlan } from './releases';
import { useImport, type Looked } from './useImport';

const ORDERS = [
  { value: 'ymd', label: 'year, month, day' },
  { value: 'dmy', label: 'day, month, year' },
  { value: 'mdy', label: 'month, day, year' },
];

const DELIMITERS: Readonly<Record<string, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
};

const Bar = styled.progress`
  width: 240px;
  accent-color: var(--copper);
`;

/** Releases and batches from a spreadsheet: choose, map, check, take. */
export function ImportPage() {
  const input = useRef<HTMLInputElement>(null);
  const { state, faults, busyWith, choose, map, check, take } = useImport();
  const { file, looked, plan, done } = state;
  return (
    <Page>
      <StageTitle as="h1">Import releases and batches</StageTitle>
      <p>
        A CSV file with a header row; a row for each component and batch, rows of one name make one
        release. Commas or semicolons, decimal points or commas.{' '}
        <a href="/releases-template.csv" download>
          A file to begin with
        </a>
        .
      </p>
      <p>
        <Button onPress={() => input.current?.click()} isDisabled={busyWith !== null}>
          {file ? 'Choose another file, or the mended one' : 'Choose a CSV file'}
        </Button>{' '}
        {file && <Small>{file.name}</Small>}
        <Hidden as="label">
          CSV file
          <input
            ref={input}
            type="file"
            accept=".csv,text/csv"
            tabIndex={-1}
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              event.target.value = '';
              if (chosen) void choose(chosen);
            }}
          />
        </Hidden>
      </p>
      {busyWith !== null && (
        <p role="status">
          {busyWith} <Bar aria-label={busyWith} />
        </p>
      )}
      <Faults faults={faults} shown={[]} />
      {done && (
        <Notice $kind="good" role="status">
          {done.releases} {done.releases === 1 ? 'release' : 'releases'} and {done.batches}{' '}
          {done.batches === 1 ? 'batch' : 'batches'} are in the house. <Link href="/">Today</Link>{' '}
          shows what they ask for.
        </Notice>
      )}
      {looked && !done && (
        <>
          <MappingStep looked={looked} state={state} onMap={map} />
          <p>
            {plan === null || plan.faults.length > 0 ? (
              <MainButton onPress={() => void check()} isDisabled={busyWith !== null}>
                Check every row
              </MainButton>
            ) : (
              <MainButton onPress={() => void take()} isDisabled={busyWith !== null}>
                Take all of it
              </MainButton>
            )}
          </p>
        </>
      )}
      {plan && !done && <PlanStep plan={plan} />}
    </Page>
  );
}

function MappingStep({
  looked,
  state,
  onMap,
}: {
  looked: Looked;
  state: { mapping: Mapping; dateOrder: DateOrder };
  onMap: (part: { mapping?: Mapping; dateOrder?: DateOrder }) => void;
}) {
  const { columns, sample } = looked;
  const example = (column: string | undefined) => {
    const at = columns.indexOf(column ?? '');
    return at < 0
      ? ''
      : sample
          .map((row) => row[at] ?? '')
          .filter(Boolean)
          .join(' · ');
  };
  const options = [
    { value: '', label: 'not in this file' },
    ...columns.filter((name) => name !== '').map((name) => ({ value: name, label: name })),
  ];
  const set = (name: ReleaseColumn, column: string) => {
    const { [name]: _before, ...rest } = state.mapping;
    onMap({ mapping: column === '' ? rest : { ...rest, [name]: column } });
  };
  return (
    <section aria-label="Mapping">
      <SectionTitle as="h2">
        Which column is what: {looked.rows} rows, separated by{' '}
        {DELIMITERS[looked.delimiter] ?? looked.delimiter}
      </SectionTitle>
      <FieldGrid style={{ marginTop: 12 }}>
        {RELEASE_COLUMN_NAMES.map((name) => (
          <div key={name}>
            <SelectInput
              label={`${RELEASE_COLUMNS[name].label}${RELEASE_COLUMNS[name].required ? ' (needed)' : ''}`}
              value={state.mapping[name] ?? ''}
              onChange={(column) => set(name, column)}
              options={options}
            />
            <Small>{example(state.mapping[name])}</Small>
          </div>
        ))}
        <SelectInput
          label="Days are written"
          value={state.dateOrder}
          onChange={(order) =>
            onMap({ dateOrder: order === 'ymd' || order === 'mdy' ? order : 'dmy' })
          }
          options={ORDERS}
        />
      </FieldGrid>
    </section>
  );
}

const MOST_SHOWN = 100;

function PlanStep({ plan }: { plan: ImportPlan }) {
  const { faults, rows, newReleases, newBatches, known } = plan;
  if (faults.length === 0)
    return (
      <Notice $kind="good" role="status">
        All {rows} rows are right: {newReleases} new {newReleases === 1 ? 'release' : 'releases'},{' '}
        {newBatches} new {newBatches === 1 ? 'batch' : 'batches'}
        {known > 0 && `; ${known} are here already and stay as they are`}. Nothing is stored yet.
      </Notice>
    );
  return (
    <section aria-label="Faults">
      <SectionTitle as="h2">
        {faults.length} {faults.length === 1 ? 'fault' : 'faults'} in {rows} rows; nothing is stored
      </SectionTitle>
      <p>Mend them in the file, then choose it again. All rows come in together, or none.</p>
      <TableScroll aria-label="Faults by row">
        <Table>
          <TableHead columns={['Row', { words: 'Column' }, { words: 'What is wrong' }]} />
          <tbody>
            {faults.slice(0, MOST_SHOWN).map(({ row, column, message }) => (
              <tr key={`${row} ${column} ${message}`}>
                <td>{row}</td>
                <td className="words">{column}</td>
                <td className="words">{message}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      {faults.length > MOST_SHOWN && <Small>And {faults.length - MOST_SHOWN} more.</Small>}
    </section>
  );
}
