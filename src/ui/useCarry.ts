'use client';

import { useRouter } from 'next/navigation';
import { useCommand } from './useCommand';

/** Puts the last recipe of a coffee on the bench for its new batch, and goes to pull it. */
export function useCarry(releaseId: string, batchId: string) {
  const router = useRouter();
  const { submit, faults, isBusy } = useCommand({ leavesPage: true });
  const carry = () =>
    void submit('carryRecipe', { releaseId, batchId }).then(({ ok }) => {
      if (ok) router.push(`/releases/${releaseId}/pull`);
    });
  return { carry, faults, isBusy };
}
