'use client';

import { useSyncExternalStore } from 'react';
import styled from 'styled-components';
import { Button, QuietButton } from './Button';
import { Faults } from './Faults';
import type { SentCommand } from './outbox';
import { Key } from './type';
import { useCommand } from './useCommand';
import { useKeys } from './useKeys';

/** The last thing taken away or changed and the command that takes it back; kept while pages change. */
export type Undo = SentCommand & { readonly words: string };

let offered: Undo | null = null;
const listeners = new Set<() => void>();

export function offerUndo(undo: Undo | null): void {
  offered = undo;
  for (const listener of listeners) listener();
}

/** Offers to take back an edit of something that was there; nothing for something new. */
export function offerEditUndo(words: string, editId: string | undefined): void {
  if (editId !== undefined) offerUndo({ words, kind: 'undoEdit', input: { editId } });
}

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

const Bar = styled.div`
  position: fixed;
  bottom: 14px;
  left: 50%;
  transform: translateX(-50%);
  z-index: 5;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  max-width: calc(100vw - 24px);
  padding: 8px 10px 8px 16px;
  border: 2px solid var(--ink);
  background: var(--enamel-raised);
`;

/** Undo for removals and edits, in place of "are you sure". */
export function UndoBar() {
  const undo = useSyncExternalStore(
    subscribe,
    () => offered,
    () => null,
  );
  return undo && <Offer undo={undo} />;
}

function Offer({ undo }: { undo: Undo }) {
  const { submit, faults, isBusy } = useCommand();
  const putBack = async () => {
    const answer = await submit(undo.kind, undo.input as never);
    if (answer.ok) offerUndo(null);
  };
  useKeys({ z: { words: 'undo the last removal or change', act: () => void putBack() } });
  return (
    <Bar>
      <span role="status">{undo.words}</span>
      <Button onPress={() => void putBack()} isDisabled={isBusy}>
        Undo <Key>Z</Key>
      </Button>
      <QuietButton onPress={() => offerUndo(null)}>Cancel</QuietButton>
      <Faults faults={faults} />
    </Bar>
  );
}
