'use client';

import { reachOf, type Abilities } from '@/core/programme/reach';
import type { Programme } from '@/core/programme/step';
import { reachWords } from '@/words/reachWords';
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
  const reach = reachOf(programme, machine);
  if (reach.isWhole || !machine) return null;
  return (
    <Notice>
      {machine.name}: {reachWords(reach)}{' '}
      <Button onPress={() => onTake(reach.nearest)}>Take that instead</Button>
    </Notice>
  );
}
