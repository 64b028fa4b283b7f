/** What the field found, as a start for the words of a new version. */
import { TEXT_LIMITS } from '@/core/limits';
import type { PublishStageProps } from './PublishStage';

/** As an address says it: why there is a new version, and where a café's fit was tried. */
export interface FoundInField {
  readonly why?: string | string[] | undefined;
  readonly cafe?: string | string[] | undefined;
  readonly cafeFixed?: string | string[] | undefined;
}

/** Nothing that is there already is written over. */
export function foundInField(
  stage: PublishStageProps,
  { why, ...tried }: FoundInField,
): PublishStageProps {
  const { words, composed } = stage;
  const found = (['cafe', 'cafeFixed'] as const).flatMap((audience) => {
    const said = textOf(tried[audience]);
    return said === '' ? [] : [{ audience, tried: said }];
  });
  const others = composed.fits.filter((fit) =>
    found.every(({ audience }) => audience !== fit.audience),
  );
  return {
    ...stage,
    words: { ...words, whatChanged: words.whatChanged || textOf(why) },
    composed: { ...composed, fits: [...found, ...others] },
  };
}

const textOf = (said: string | string[] | undefined) =>
  typeof said === 'string' ? said.slice(0, TEXT_LIMITS.words) : '';
