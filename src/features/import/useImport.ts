'use client';

import { useRef, useState } from 'react';
import type { Fault } from '@/core/errors';
import type { ColumnDef, ColumnUnit, Mapping, Units } from '@/formats/sheets/columns';
import type { Commas } from '@/formats/sheets/commas';
import type { DateOrder } from '@/formats/sheets/csv';
import { newId } from '@/ui/newId';
import type { ImportPlan } from './prepared';
import type { SheetName } from './sheetNames';

/** What the server saw of a file. */
export interface Looked {
  readonly columns: readonly string[];
  readonly delimiter: string;
  readonly rows: number;
  readonly sample: readonly (readonly string[])[];
  /** The columns the sheet knows. */
  readonly fields: readonly (Pick<ColumnDef, 'label' | 'required' | 'measure'> & {
    readonly name: string;
  })[];
  readonly mapping: Mapping;
  readonly units: Units;
  readonly dateOrder: DateOrder;
  /** A figure of the file may be two; what its other figures say of it. */
  readonly asksCommas: boolean;
  readonly commas?: Commas;
}

/** What a person says of the columns. */
export interface Said {
  readonly mapping: Mapping;
  readonly units: Readonly<Record<string, ColumnUnit>>;
  readonly dateOrder: DateOrder;
  readonly commas: Commas | undefined;
}

interface ImportState extends Said {
  readonly sheet: SheetName;
  readonly file: File | null;
  /** One id a file: a second try after a lost answer imports nothing twice. */
  readonly id: string;
  readonly looked: Looked | null;
  readonly plan: ImportPlan | null;
  readonly done: { readonly news: string } | null;
}

const EMPTY: ImportState = {
  sheet: 'releases',
  file: null,
  id: '',
  looked: null,
  mapping: {},
  units: {},
  dateOrder: 'ymd',
  commas: undefined,
  plan: null,
  done: null,
};

export interface Busy {
  readonly words: string;
  /** Rows done, where it is known. */
  readonly done: number | null;
}

/** The steps of an import. What was said of the columns is kept when the mended file has the same ones. */
export function useImport() {
  const [state, setState] = useState<ImportState>(EMPTY);
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const [busy, setBusy] = useState<Busy | null>(null);
  const asking = useRef<AbortController | null>(null);

  const ask = async <T>(words: string, file: File, asked: Asked): Promise<T | null> => {
    const controller = new AbortController();
    asking.current = controller;
    setBusy({ words, done: null });
    const answer = await send<T>(file, asked, controller.signal, (done) =>
      setBusy({ words, done }),
    );
    setBusy(null);
    setFaults(answer.faults);
    return answer.result;
  };

  const look = async (sheet: SheetName, file: File) => {
    const looked = await ask<Looked>('Reading the file', file, { sheet, step: 'look' });
    if (!looked) return setState({ ...EMPTY, sheet });
    const isSame =
      state.sheet === sheet && state.looked?.columns.join('\n') === looked.columns.join('\n');
    const { mapping, units, dateOrder, commas } = isSame ? state : looked;
    setState({
      ...EMPTY,
      sheet,
      file,
      id: newId(),
      looked,
      mapping,
      units: units as Said['units'],
      dateOrder,
      commas,
    });
  };
  const choose = (file: File) => look(state.sheet, file);
  const chooseSheet = (sheet: SheetName) => {
    if (state.file) void look(sheet, state.file);
    else setState({ ...EMPTY, sheet });
  };
  const say = (part: Partial<Said>) => setState((before) => ({ ...before, ...part, plan: null }));
  const question = {
    sheet: state.sheet,
    mapping: state.mapping,
    units: state.units,
    dateOrder: state.dateOrder,
    commas: state.commas,
  };
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
    const done = await ask<{ news: string }>('Taking it in', state.file, {
      step: 'take',
      id: state.id,
      ...question,
    });
    setState((before) => ({ ...before, done }));
  };
  const cancel = () => asking.current?.abort();
  return { state, faults, busy, choose, chooseSheet, say, check, take, cancel };
}

interface Asked extends Readonly<Record<string, unknown>> {
  readonly step: keyof typeof STOPPED;
}

interface Line<T> {
  readonly done?: number;
  readonly result?: T;
  readonly faults?: readonly Fault[];
}

interface Answer<T> {
  readonly result: T | null;
  readonly faults: readonly Fault[];
}

const UNREACHED = 'The server was not reached. Check that it runs, then try again.';
const STOPPED = {
  look: 'Stopped. Nothing was stored.',
  check: 'Stopped. Nothing was stored.',
  take: 'Stopped. Either all of it was stored or nothing: check every row to see which.',
} as const;

async function send<T>(
  file: File,
  asked: Asked,
  signal: AbortSignal,
  onProgress: (done: number) => void,
): Promise<Answer<T>> {
  const refused = (message: string) => ({ result: null, faults: [{ field: '', message }] });
  try {
    const form = new FormData();
    form.set('file', file);
    form.set('asked', JSON.stringify(asked));
    const response = await fetch('/api/imports', { method: 'POST', body: form, signal });
    for await (const line of linesOf<T>(response)) {
      if (line.done !== undefined) onProgress(line.done);
      if (line.result !== undefined) return { result: line.result, faults: [] };
      if (line.faults) return { result: null, faults: line.faults };
    }
    return refused(UNREACHED);
  } catch {
    return refused(signal.aborted ? STOPPED[asked.step] : UNREACHED);
  }
}

/** The lines of an answer as they come; a plain JSON answer is one line. */
async function* linesOf<T>(response: Response): AsyncGenerator<Line<T>> {
  const decoder = new TextDecoder();
  const reader = response.body!.getReader();
  let left = '';
  for (;;) {
    const { done, value } = await reader.read();
    left += decoder.decode(value, { stream: !done });
    const lines = left.split('\n');
    left = done ? '' : lines.pop()!;
    for (const line of lines) if (line.trim() !== '') yield JSON.parse(line) as Line<T>;
    if (done) return;
  }
}
