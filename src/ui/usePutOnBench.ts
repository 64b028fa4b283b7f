'use client';

import { offerUndo } from './undo';
import { useCommand } from './useCommand';

/** Puts a recipe of a release on the bench; one press takes it back. */
export function usePutOnBench(releaseId: string) {
  const { submit, faults, isBusy } = useCommand();
  /** `words`: what is on the bench now. */
  const put = async (draftId: string, words: string) => {
    const answer = await submit('useRecipe', { releaseId, draftId });
    if (answer.ok) offerBenchUndo(releaseId, words, answer.result.previousDraftId);
  };
  return { put, faults, isBusy };
}

/** Offers to put back what was on the bench before; nothing where nothing was. */
export function offerBenchUndo(releaseId: string, words: string, before: string | null): void {
  if (before !== null)
    offerUndo({ words, kind: 'useRecipe', input: { releaseId, draftId: before } });
}
