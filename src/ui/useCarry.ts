'use client';

import { usePathname, useRouter } from 'next/navigation';
import { useMay } from './person';
import { useCommand } from './useCommand';
import { offerBenchUndo } from './usePutOnBench';

/** Puts the last recipe of a coffee on the bench for its new batch, and goes to pull it. */
export function useCarry(releaseId: string, batchId: string) {
  const router = useRouter();
  const isLead = useMay('lead');
  const bench = `/releases/${releaseId}/pull`;
  // Who is there already sees it brought up to date, plate and all.
  const isThere = usePathname() === bench;
  const { submit, faults, isBusy } = useCommand({ leavesPage: !isThere });
  const carry = () =>
    void submit('carryRecipe', { releaseId, batchId }).then((answer) => {
      if (!answer.ok) return;
      if (isLead)
        offerBenchUndo(
          releaseId,
          'The recipe came over to the new batch.',
          answer.result.previousDraftId,
        );
      if (!isThere) router.push(bench);
    });
  return { carry, faults, isBusy };
}
