/** The stages of a release that exist, each with the state and figure its tab shows. */
import { figure, signed } from '@/core/figure';
import { isOnTargetStatus } from '@/core/advice/types';
import { easeOf } from '@/core/ease/ease';
import { isRoastAhead } from '@/core/state/batchAge';
import type { ReleaseView } from '@/views/release';

export const STAGES = [
  { path: 'read', verb: 'Read' },
  { path: 'start', verb: 'Start' },
  { path: 'pull', verb: 'Pull' },
  { path: 'taste', verb: 'Taste' },
  { path: 'rest', verb: 'Rest' },
  { path: 'publish', verb: 'Publish' },
  { path: 'field', verb: 'Field' },
] as const;
type StagePath = (typeof STAGES)[number]['path'];

export interface Stage {
  readonly path: StagePath;
  readonly verb: string;
  readonly figure: string;
  readonly isDone: boolean;
}

export function stagesOf(view: ReleaseView): Stage[] {
  const states = statesOf(view);
  return STAGES.map(({ path, verb }) => ({ path, verb, ...states[path] }));
}

function statesOf({
  today,
  facts,
  batch,
  bench,
  published,
  cafes,
}: ReleaseView): Record<StagePath, Pick<Stage, 'figure' | 'isDone'>> {
  const ease = easeOf(facts);
  const cups = bench?.shots.reduce((sum, shot) => sum + shot.tastings.length, 0) ?? 0;
  const shots = bench?.shotCount ?? 0;
  const status = bench?.advice.status;
  const isOnTarget = status !== undefined && isOnTargetStatus(status);
  return {
    read: { figure: `ease ${signed(ease.ease)}`, isDone: ease.missing.length === 0 },
    start: {
      figure: bench ? `1:${figure(bench.draft.recipe.ratio, 2)}` : 'propose',
      isDone: bench !== null,
    },
    pull: {
      figure: isOnTarget
        ? status === 'approved'
          ? 'approved'
          : 'on target'
        : `${shots} ${shots === 1 ? 'shot' : 'shots'}`,
      isDone: isOnTarget,
    },
    taste: { figure: `${cups} ${cups === 1 ? 'cup' : 'cups'}`, isDone: cups > 0 },
    rest: {
      figure: isRoastAhead(batch.roastDate, today) ? 'date ahead' : `day ${batch.rest.restDays}`,
      isDone: batch.rest.state === 'best',
    },
    publish: {
      figure: publishedFigure(published),
      isDone: published !== null && !published.isWithdrawn && published.differs.length === 0,
    },
    field: { figure: `${cafes} ${cafes === 1 ? 'café' : 'cafés'}`, isDone: cafes > 0 },
  };
}

/** "version 2", and that the bench is another recipe. */
function publishedFigure(published: ReleaseView['published']): string {
  if (published === null) return 'not yet';
  if (published.isWithdrawn) return 'withdrawn';
  return `version ${published.number}${published.differs.length > 0 ? ', other' : ''}`;
}
