'use client';

import styled, { css } from 'styled-components';

/** Narrow for labels, wide for readings: the two voices of the type. */
export const labelText = css`
  font-stretch: var(--narrow);
  font-size: 14px;
  font-weight: 540;
  color: var(--ink-soft);
`;

export const readingText = css`
  font-stretch: var(--wide);
  font-weight: 580;
`;

export const Small = styled.span`
  ${labelText}
`;

export const StageTitle = styled.h2`
  font-stretch: 104%;
  font-size: 21px;
`;

export const SectionTitle = styled.h3`
  font-stretch: var(--narrow);
  font-size: 15.5px;
  font-weight: 640;
  padding-bottom: 4px;
  border-bottom: 1px solid var(--rule);
`;

export const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-size: 14px;

  th {
    ${labelText}
    text-align: right;
    padding: 3px 8px;
    border-bottom: 1px solid var(--rule-strong);
    white-space: nowrap;
  }

  td {
    padding: var(--cell) 8px;
    text-align: right;
    border-bottom: 1px solid var(--rule);
    vertical-align: top;
  }

  th:first-child,
  td:first-child,
  .words {
    text-align: left;
  }
`;

/** Lines can be put in order by a column; how they are now. */
interface Sorting {
  readonly sorted?: 'ascending' | 'descending' | 'none';
  readonly onSort?: () => void;
}

/** A figure's column, a column of words, one whose name only a reader of the screen needs, or none. */
export type Column =
  | string
  | false
  | ({ readonly words: string } & Sorting)
  | ({ readonly figures: string } & Sorting)
  | { readonly hidden: string };

/** The name of a column that lines are put in order by. */
const Sorter = styled.button.attrs({ type: 'button' })`
  min-height: 24px;
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
`;

const SIGNS = { ascending: ' ▲', descending: ' ▼', none: '' } as const;

/** The head of a table: figures stand right, words left. */
export function TableHead({ columns }: { columns: readonly Column[] }) {
  return (
    <thead>
      <tr>
        {columns.map((column, i) => column !== false && <ColumnHead key={i} column={column} />)}
      </tr>
    </thead>
  );
}

function ColumnHead({ column }: { column: Exclude<Column, false> }) {
  if (typeof column === 'string') return <th scope="col">{column}</th>;
  if ('hidden' in column)
    return (
      <th scope="col">
        <Hidden>{column.hidden}</Hidden>
      </th>
    );
  const isWords = 'words' in column;
  const name = isWords ? column.words : column.figures;
  return (
    <th scope="col" className={isWords ? 'words' : undefined} aria-sort={column.sorted}>
      {column.onSort ? (
        <Sorter onClick={column.onSort}>
          {name}
          <span aria-hidden="true">{SIGNS[column.sorted ?? 'none']}</span>
        </Sorter>
      ) : (
        name
      )}
    </th>
  );
}

/** A table may be wider than a phone: it scrolls, the page does not. */
export const TableScroll = styled.div.attrs({ tabIndex: 0, role: 'region' })`
  position: relative;
  overflow-x: auto;
`;

/**
 * A ledger that never scrolls sideways: on a phone each row is a small grid, whose columns and places the
 * table says itself, with its long words below its figures.
 */
export const Ledgered = styled(TableScroll)`
  td:not(.words) {
    white-space: nowrap;
  }

  @media (max-width: 640px) {
    table,
    thead,
    tbody {
      display: block;
      min-width: 0;
    }

    tr {
      display: grid;
    }

    tbody tr {
      border-bottom: 1px solid var(--rule);
    }

    &&& td {
      width: auto;
      border: none;
      padding: 4px 6px;
    }
  }
`;

export const Notice = styled.p<{ $kind?: 'caution' | 'fault' | 'good' }>`
  padding: 8px 12px;
  border-left: 4px solid
    var(
      ${({ $kind = 'caution' }) =>
        ({ caution: '--under', fault: '--over', good: '--verdigris' })[$kind]}
    );
  background: var(
    ${({ $kind = 'caution' }) =>
      ({ caution: '--under-wash', fault: '--over-wash', good: '--verdigris-wash' })[$kind]}
  );
`;

export const Hidden = styled.span`
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
  white-space: nowrap;
`;

/** The key to press, shown where it works. */
export const Key = styled.kbd`
  display: inline-block;
  min-width: 20px;
  padding: 0 5px;
  border: 1px solid var(--rule-strong);
  border-radius: 2px;
  font: inherit;
  font-size: 12.5px;
  font-weight: 600;
  text-align: center;
`;
