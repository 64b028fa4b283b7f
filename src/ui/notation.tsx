'use client';

import { createContext, useContext, type ReactNode } from 'react';
import { dialWords, type Notation } from '@/core/grinder/notation';

const NotationContext = createContext<Notation>({});

/** In here dials are typed and shown as this grinder writes them. */
export function NotationProvider({ of, children }: { of: Notation; children: ReactNode }) {
  return <NotationContext value={of}>{children}</NotationContext>;
}

export function useNotation(): Notation {
  return useContext(NotationContext);
}

/** How a dial is written here. */
export function useDialWords(): (dial: number) => string {
  const notation = useNotation();
  return (dial) => dialWords(notation, dial);
}
