'use client';

import { Link } from '@/ui/Link';
import { useRef, useState } from 'react';
import styled from 'styled-components';
import { COMMAS } from '@/formats/sheets/commas';
import type { ColumnUnit, Measure } from '@/formats/sheets/columns';
import { groupBy } from '@/core/groupBy';
import { Button, MainButton, QuietButton } from '@/ui/Button';
import { Choice } from '@/ui/choices';
import { Faults } from '@/ui/Faults';
import { FieldGrid, SelectInput, TextAreaInput } from '@/ui/fields';
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
import type { ImportPlan } from './prepared';
import { SHEET_NAMES, SHEET_WORDS } from './sheetNames';
import { useImport, type Busy, type Looked, type Said } from './useImport';

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

/** What a house brings from its spreadsheets: choose, say what is what, check, take. */
export function ImportPage() {
  const input = useRef<HTMLInputElement>(null);
  const { state, faults, busy, choose, chooseSheet, say, check, take, cancel } = useImport();
  const { file, looked, plan, done, sheet } = state;
  const isBusy = busy !== null;
  const progress = busy && <Progress busy={busy} rows={looked?.rows} onCancel={cancel} />;
  return (
    <Page>
      <StageTitle as="h1">Import and export</StageTitle>
      <Choice
        label="Bring in"
        value={sheet}
        onChange={chooseSheet}
        options={SHEET_NAMES.map((value) => ({ value, label: SHEET_WORDS[value].label }))}
      />
      <p>
        A CSV file with a header row. {SHEET_WORDS[sheet].words} Commas or semicolons, decimal
        points or commas, grams or ounces, ml or fl oz, °C or °F; dials as your grinder writes them.
        Bring releases first, then recipes, shots and tastings.{' '}
        {sheet === 'releases' && (
          <>
            <a href="/releases-template.csv" download>
              A file to begin with
            </a>
            .{' '}
          </>
        )}
        <a href={`/api/exports/${sheet}`} download>
          {SHEET_WORDS[sheet].label} of this house as CSV
        </a>
        {sheet === 'tastings' && (
          <>
            ,{' '}
            <a href="/api/exports/staged" download>
              its staged cups
            </a>
          </>
        )}
        .
      </p>
      <p>
        <Button onPress={() => input.current?.click()} isPending={isBusy}>
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
      {!looked && <PasteRows isBusy={isBusy} onRows={(rows) => void choose(rows)} />}
      {!looked && progress}
      {!looked && <Faults faults={faults} shown={[]} />}
      {done && (
        <Notice $kind="good" role="status">
          In the house now: {done.news}. <Link href="/">Today</Link> shows what they ask for.
        </Notice>
      )}
      {looked && !done && (
        <>
          <MappingStep looked={looked} said={state} onSay={say} />
          <p>
            {plan === null || plan.faults.length > 0 ? (
              <MainButton onPress={() => void check()} isPending={isBusy}>
                Check every row
              </MainButton>
            ) : (
              <MainButton onPress={() => void take()} isPending={isBusy}>
                Take all of it
              </MainButton>
            )}
          </p>
          {progress}
          <Faults faults={faults} shown={[]} />
        </>
      )}
      {plan && !done && <PlanStep plan={plan} />}
    </Page>
  );
}

/** Rows copied out of a spreadsheet are read as a file of them would be. */
function PasteRows({ isBusy, onRows }: { isBusy: boolean; onRows: (rows: File) => void }) {
  const [text, setText] = useState('');
  return (
    <div style={{ maxWidth: 720 }}>
      <TextAreaInput
        label="Or paste rows from a spreadsheet"
        hint="With the row of headings above them."
        value={text}
        onChange={setText}
        rows={4}
      />
      {text.trim() !== '' && (
        <p>
          <Button
            onPress={() => onRows(new File([text], 'pasted rows', { type: 'text/csv' }))}
            isPending={isBusy}
          >
            Read these rows
          </Button>
        </p>
      )}
    </div>
  );
}

function Progress({
  busy: { words, done },
  rows,
  onCancel,
}: {
  busy: Busy;
  rows: number | undefined;
  onCancel: () => void;
}) {
  const isKnown = done !== null && rows !== undefined;
  return (
    <p role="status">
      {words} <Bar aria-label={words} {...(isKnown && { value: done, max: rows })} />{' '}
      {isKnown && (
        <Small>
          {done} of {rows} rows
        </Small>
      )}{' '}
      <QuietButton onPress={onCancel}>Stop</QuietButton>
    </p>
  );
}

const COMMA_WORDS = [
  { value: '', label: 'say which' },
  { value: 'decimal', label: '1.85' },
  { value: 'thousands', label: '1850' },
];

/** Nobody guesses whether a volume is in ml or fl oz. */
const NO_UNIT = { value: '', label: 'say its unit' };

const UNITS: Readonly<Record<Measure, readonly { value: ColumnUnit; label: string }[]>> = {
  mass: [
    { value: 'g', label: 'in grams' },
    { value: 'oz', label: 'in ounces' },
  ],
  volume: [
    { value: 'ml', label: 'in ml' },
    { value: 'flOz', label: 'in fl oz' },
  ],
  temperature: [
    { value: 'C', label: 'in °C' },
    { value: 'F', label: 'in °F' },
  ],
};

function MappingStep({
  looked,
  said,
  onSay,
}: {
  looked: Looked;
  said: Said;
  onSay: (part: Partial<Said>) => void;
}) {
  const { columns, sample, fields } = looked;
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
  const set = (name: string, column: string) => {
    const { [name]: _before, ...rest } = said.mapping;
    onSay({ mapping: column === '' ? rest : { ...rest, [name]: column } });
  };
  const setUnit = (name: string, unit: ColumnUnit | '') => {
    const { [name]: _before, ...rest } = said.units;
    onSay({ units: unit === '' ? rest : { ...rest, [name]: unit } });
  };
  return (
    <section aria-label="Mapping">
      <SectionTitle as="h2">
        Which column is what: {looked.rows} rows, separated by{' '}
        {DELIMITERS[looked.delimiter] ?? looked.delimiter}
      </SectionTitle>
      <FieldGrid style={{ marginTop: 12 }}>
        {fields.map(({ name, label, required, measure }) => (
          <div key={name}>
            <SelectInput
              label={`${label}${required ? ' (needed)' : ''}`}
              value={said.mapping[name] ?? ''}
              onChange={(column) => set(name, column)}
              options={options}
            />
            <Small>{example(said.mapping[name])}</Small>
            {measure && said.mapping[name] !== undefined && (
              <SelectInput
                label={`${label} is`}
                value={said.units[name] ?? (measure === 'volume' ? '' : UNITS[measure][0]!.value)}
                onChange={(unit) => setUnit(name, unit as ColumnUnit | '')}
                options={measure === 'volume' ? [NO_UNIT, ...UNITS[measure]] : UNITS[measure]}
              />
            )}
          </div>
        ))}
        <SelectInput
          label="Days are written"
          value={said.dateOrder}
          onChange={(order) =>
            onSay({ dateOrder: order === 'ymd' || order === 'mdy' ? order : 'dmy' })
          }
          options={ORDERS}
        />
        {looked.asksCommas && (
          <SelectInput
            label="A figure as 1,850 means"
            hint="Nobody guesses: say which"
            value={said.commas ?? ''}
            onChange={(commas) => onSay({ commas: COMMAS.find((one) => one === commas) })}
            options={COMMA_WORDS}
          />
        )}
      </FieldGrid>
    </section>
  );
}

const MOST_SHOWN = 50;
/** Rows named of one fault before the rest is only counted. */
const MOST_ROWS = 6;

/** One line for a fault that many rows share. */
function linesOf(faults: ImportPlan['faults']) {
  const byWords = groupBy(faults, ({ column, message }) => `${column} ${message}`);
  return [...byWords.values()].map((same) => {
    const rows = same.slice(0, MOST_ROWS).map(({ row }) => row);
    const more = same.length > MOST_ROWS ? ` and ${same.length - MOST_ROWS} more` : '';
    return { ...same[0]!, rows: `${rows.join(', ')}${more}` };
  });
}

function PlanStep({ plan }: { plan: ImportPlan }) {
  const { faults, rows, news, known } = plan;
  if (faults.length === 0)
    return (
      <Notice $kind="good" role="status">
        All {rows} rows are right: {news}
        {known > 0 && `; ${known} are here already and stay as they are`}. Nothing is stored yet.
      </Notice>
    );
  const lines = linesOf(faults);
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
            {lines.slice(0, MOST_SHOWN).map(({ rows: at, column, message }) => (
              <tr key={`${column} ${message}`}>
                <td>{at}</td>
                <td className="words">{column}</td>
                <td className="words">{message}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      {lines.length > MOST_SHOWN && <Small>And {lines.length - MOST_SHOWN} more.</Small>}
    </section>
  );
}
