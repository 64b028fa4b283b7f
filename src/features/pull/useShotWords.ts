'use client';

import type { Commands } from '@/core/command/inputs';
import { useDialWords } from '@/ui/notation';
import type { Entry } from '@/ui/outbox';
import { useUnits } from '@/ui/person';

/** A shot that waits to go up, in the words of its grinder. */
export function useShotWords(): (entry: Entry) => string {
  const { mass } = useUnits();
  const written = useDialWords();
  return ({ input }) => {
    const { dial, doseG, yieldG, timeS } = input as Commands['logShot']['asks'];
    return `${written(Number(dial))}, ${mass(Number(doseG))} → ${mass(Number(yieldG))}, ${String(timeS)} s`;
  };
}
