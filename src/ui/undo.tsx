'use client';

import { useSyncExternalStore } from 'react';
import styled from 'styled-components';
import { OwnKey } from './OwnKey';
import { Button, QuietButton } from './Button';
import { Faults } from './Faults';
import type { SentCommand } from './outbox';
import { useCommand } from './useCommand';
import { useKeys } from './useKeys';

/** Something taken away or changed, and the command that takes it back; kept while pages change. */
export type Undo = SentCommand & { readonly words: string };

/** So many steps can be taken back; older ones are in the log. */
const MOST_STEPS = 12;

const NONE: readonly Undo[] = [];
/** The newest last. */
let steps = NONE;
const listeners = new Set<() => void>();

function setSteps(next: readonly Undo[]): void {
  steps = next;
  for (const listener of listeners) listener();
}

export function offerUndo(undo: Undo): void {
  setSteps([...steps, undo].slice(-MOST_STEPS));
}

/** It was undone, or is to stand. */
function settle(undo: Undo): void {
  setSteps(steps.filter((step) => step !== undo));
}

/** Offers to take back an edit of something that was there; nothing for something new. */
export function offerEditUndo(words: string, editId: string | undefined): void {
  if (editId !== undefined) offerUndo({ words, kind: 'undoEdit', input: { editId } });
}

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

const Bar = styled.section`
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

const Earlier = styled.ol`
  display: grid;
  gap: 4px;
  width: 100%;
  margin-top: 6px;
  list-style: none;
`;

/** Undo for removals and edits, in place of "are you sure": the newest, and the steps before it by name. */
export function UndoBar() {
  const all = useSyncExternalStore(
    subscribe,
    () => steps,
    () => NONE,
  );
  const newest = all.at(-1);
  return newest && <Offer undo={newest} earlier={all.slice(0, -1).reverse()} />;
}

function Offer({ undo, earlier }: { undo: Undo; earlier: readonly Undo[] }) {
  const { submit, faults, isBusy } = useCommand();
  const takeBack = async (step: Undo) => {
    const answer = await submit(step.kind, step.input as never);
    if (answer.ok) settle(step);
  };
  useKeys({ z: { words: 'undo the last removal or change', act: () => void takeBack(undo) } });
  return (
    <Bar aria-label="Undo">
      <span role="status">{undo.words}</span>
      <Button onPress={() => void takeBack(undo)} isPending={isBusy}>
        Undo <OwnKey of="z" />
      </Button>
      <QuietButton onPress={() => setSteps(NONE)}>Cancel</QuietButton>
      {earlier.length > 0 && (
        <details>
          <summary>{earlier.length} before it</summary>
          <Earlier>
            {earlier.map((step, i) => (
              <li key={i}>
                {step.words}{' '}
                <QuietButton
                  onPress={() => void takeBack(step)}
                  isPending={isBusy}
                  aria-label={`Undo: ${step.words}`}
                >
                  undo
                </QuietButton>
              </li>
            ))}
          </Earlier>
        </details>
      )}
      <Faults faults={faults} />
    </Bar>
  );
}
