'use client';

import { useState } from 'react';
import type { Fault } from '@/core/errors';
import type { DateOrder } from '@/formats/csv';
import type { Mapping } from '@/formats/releaseColumns';
import { newId } from '@/ui/newId';
import type { ImportPlan } from './releases';

/** What the server saw of a file. */
export interface Looked {
  readonly columns: readonly string[];
  readonly delimiter: string;
  readonly rows: number;
  readonly sample: readonly (readonly string[])[];
  readonly mapping: Mapping;
  readonly dateOrder: DateOrder;
}

interface ImportState {
  readonly file: File | null;
  /** One id a file: a second try after a lost answer imports nothing twice. */
  readonly id: string;
  readonly looked: Looked | null;
  readonly mapping: Mapping;
  readonly dateOrder: DateOrder;
  readonly plan: ImportPlan | null;
  readonly done: { readonly releases: number; readonly batches: number } | null;
}

const EMPTY: ImportState = {
  file: null,
  id: '',
  looked: null,
  mapping: {},
  dateOrder: 'ymd',
  plan: null,
  done: null,
};

/** The steps of an import. A mapping is kept when the mended file has the same columns. */
export function useImport() {
  const [state, setState] = useState<ImportState>(EMPTY);
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const [busyWith, setBusyWith] = useState<string | null>(null);

  const ask = async <T>(words: string, file: File, asked: object): Promise<T | null> => {
    setBusyWith(words);
    const answer = await send<T>(file, asked);
    setBusyWith(null);
    setFaults(answer.faults);
    return answer.result;
  };

  const choose = async (file: File) => {
    const looked = await ask<Looked>('Reading the file', file, { step: 'look' });
    if (!looked) return setState(EMPTY);
    const isSame = state.looked?.columns.join('\n') === looked.columns.join('\n');
    setState({
      ...EMPTY,
      file,
      id: newId(),
      looked,
      mapping: isSame ? state.mapping : looked.mapping,
      dateOrder: isSame ? state.dateOrder : looked.dateOrder,
    });
  };
  const map = (part: { mapping?: Mapping; dateOrder?: DateOrder }) =>
    setState((before) => ({ ...before, ...part, plan: null }));
  const question = { mapping: state.mapping, dateOrder: state.dateOrder };
  const check = async () => {
    if (!state.file) return;
    const plan = await ask<ImportPlan>('Checking every row', state.file, {
      step: 'check',
      ...question,
    });
    setState((before) => ({ ...before, plan }));
  };
  const take = async () => {
    if (!state.file) return;
    const done = await ask<{ releases: number; batches: number }>('Taking it in', state.file, {
      step: 'take',
      id: state.id,
      ...question,
    });
    setState((before) => ({ ...before, done }));
  };
  return { state, faults, busyWith, choose, map, check, take };
}

async function send<T>(
  file: File,
  asked: object,
): Promise<{ result: T | null; faults: readonly Fault[] }> {
  const unreached = 'The server was not reached. Check that it runs, then try again.';
  try {
    const form = new FormData();
    form.set('file', file);
    form.set('asked', JSON.stringify(asked));
    const response = await fetch('/api/imports', { method: 'POST', body: form });
    const body = (await response.json()) as { result?: T; faults?: Fault[] };
    if (response.ok && body.result !== undefined) return { result: body.result, faults: [] };
    return { result: null, faults: body.faults ?? [{ field: '', message: unreached }] };
  } catch {
    return { result: null, faults: [{ field: '', message: unreached }] };
  }
}
