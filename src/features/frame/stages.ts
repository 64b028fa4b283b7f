/** The stages of a release that exist, each with the state and figure its tab shows. */
import { easeOf } from '@/core/ease/ease';
import type { ReleaseView } from '@/data/releaseView';
import { signed } from '@/ui/signed';

export interface Stage {
  readonly path: 'read' | 'start' | 'pull' | 'taste' | 'publish';
  readonly verb: string;
  readonly figure: string;
  readonly isDone: boolean;
}

export function stagesOf({ facts, bench, versions }: ReleaseView): Stage[] {
  const ease = easeOf(facts);
  const cups = bench?.shots.reduce((sum, shot) => sum + shot.tastings.length, 0) ?? 0;
  const shots = bench?.shots.length ?? 0;
  const isConfirmed = bench?.advice.status === 'confirmed';
  const newest = versions[0];
  return [
    {
      path: 'read',
      verb: 'Read',
      figure: `ease ${signed(ease.ease)}`,
      isDone: ease.missing.length === 0,
    },
    {
      path: 'start',
      verb: 'Start',
      figure: bench ? `1:${(bench.draft.yieldG / bench.draft.doseG).toFixed(2)}` : 'propose',
      isDone: bench !== null,
    },
    {
      path: 'pull',
      verb: 'Pull',
      figure: isConfirmed ? 'confirmed' : `${shots} ${shots === 1 ? 'shot' : 'shots'}`,
      isDone: isConfirmed,
    },
    {
      path: 'taste',
      verb: 'Taste',
      figure: `${cups} ${cups === 1 ? 'cup' : 'cups'}`,
      isDone: cups > 0,
    },
    {
      path: 'publish',
      verb: 'Publish',
      figure: newest ? `version ${newest.number}` : 'not yet',
      isDone: newest !== undefined,
    },
  ];
}
