'use client';

import { useState } from 'react';
import type { Column } from './type';

type Sorted = string | number | null | undefined;

export interface Ordering<Row, Name extends string> {
  /** What each column puts the rows in order by. */
  readonly by: Readonly<Record<Name, (row: Row) => Sorted>>;
  /** Columns that are asked for from the largest down; the others from the first up. */
  readonly down?: readonly NoInfer<Name>[];
}

interface Order<Name> {
  readonly name: Name;
  readonly isDown: boolean;
}

/** Rows in the order of a column that was pressed, else as they came; what is not known stands last. */
export function useOrder<Row, Name extends string>(
  rows: readonly Row[],
  { by, down = [] }: Ordering<Row, Name>,
) {
  const [order, setOrder] = useState<Order<Name> | null>(null);
  const head = (name: Name, label: { words: string } | { figures: string }): Column => ({
    ...label,
    sorted: order?.name !== name ? 'none' : order.isDown ? 'descending' : 'ascending',
    onSort: () => setOrder(nextOrder(order, name, down.includes(name))),
  });
  return { rows: order ? inOrder(rows, by[order.name], order.isDown) : rows, head };
}

/** The first press sorts, the second turns it round, the third gives the rows back as they came. */
function nextOrder<Name>(order: Order<Name> | null, name: Name, isDownFirst: boolean) {
  if (order?.name !== name) return { name, isDown: isDownFirst };
  return order.isDown === isDownFirst ? { name, isDown: !isDownFirst } : null;
}

function inOrder<Row>(rows: readonly Row[], of: (row: Row) => Sorted, isDown: boolean): Row[] {
  const known = rows.filter((row) => of(row) != null && of(row) !== '');
  const ordered = known.sort((a, b) => (isDown ? compared(of(b), of(a)) : compared(of(a), of(b))));
  const unknown = rows.filter((row) => of(row) == null || of(row) === '');
  return [...ordered, ...unknown];
}

function compared(a: Sorted, b: Sorted): number {
  if (typeof a === 'number' && typeof b === 'number') return a - b;
  return String(a).localeCompare(String(b), 'en-GB', { numeric: true });
}
