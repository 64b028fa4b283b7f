/** What the field found, as a start for the words of a new version. */
import { TEXT_LIMITS } from '@/core/limits';
import type { PublishStageProps } from './PublishStage';

export interface FoundInField {
  readonly why?: string | string[] | undefined;
  readonly tried?: string | string[] | undefined;
}

/** Nothing that is there already is written over. */
export function foundInField(
  stage: PublishStageProps,
  { why, tried }: FoundInField,
): PublishStageProps {
  const { words, composed } = stage;
  const others = composed.fits.filter(({ audience }) => audience !== 'cafe');
  return {
    ...stage,
    words: { ...words, whatChanged: words.whatChanged || textOf(why) },
    composed:
      textOf(tried) === ''
        ? composed
        : { ...composed, fits: [{ audience: 'cafe', tried: textOf(tried) }, ...others] },
  };
}

const textOf = (said: string | string[] | undefined) =>
  typeof said === 'string' ? said.slice(0, TEXT_LIMITS.words) : '';
