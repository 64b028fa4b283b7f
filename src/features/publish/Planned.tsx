'use client';

import { dayWords } from '@/core/dayWords';
import type { PlannedPublication } from '@/data/printed';
import { Button } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { Notice } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';

/** A card that waits for its day, or that was held back on it. */
export function Planned({
  releaseId,
  planned,
  isLead,
}: {
  releaseId: string;
  planned: Pick<PlannedPublication, 'onDay' | 'plannedBy' | 'heldBecause'>;
  isLead: boolean;
}) {
  const { submit, faults, isBusy } = useCommand();
  const { onDay, plannedBy, heldBecause } = planned;
  return (
    <Notice role="status">
      {heldBecause === null
        ? `A card is planned for ${dayWords(onDay)}, by ${plannedBy}. It goes out as it was composed, if the recipe is still the same and its gates are met by then.`
        : `The card planned for ${dayWords(onDay)} was held back: ${heldBecause}`}{' '}
      {isLead && (
        <Button isPending={isBusy} onPress={() => void submit('cancelPlanned', { releaseId })}>
          Cancel the plan
        </Button>
      )}
      <Faults faults={faults} />
    </Notice>
  );
}
