'use client';

import { reachOf, type Abilities } from '@/core/programme/reach';
import type { Programme } from '@/core/programme/step';
import { Button } from '../Button';
import { Notice } from '../type';

/** What of a programme a machine cannot make, and the nearest it can; nothing where it makes all. */
export function ReachNotice({
  programme,
  machine,
  onTake,
}: {
  programme: Programme;
  machine: (Abilities & { readonly name: string }) | undefined;
  /** Takes the nearest in its place. */
  onTake: (nearest: Programme) => void;
}) {
  const { isWhole, nearest, words } = reachOf(programme, machine);
  if (isWhole || !machine) return null;
  return (
    <Notice>
      {machine.name}: {words} <Button onPress={() => onTake(nearest)}>Take that instead</Button>
    </Notice>
  );
}
