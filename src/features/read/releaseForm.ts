/** The forms of a release and of a batch as text, and what is sent of them. No DOM. */
import { BATCH } from '@/core/entity/batch';
import { COMPONENT } from '@/core/entity/component';
import { RELEASE } from '@/core/entity/release';
import { shareSumPct } from '@/core/schema/shares';
import type { StoredRelease } from '@/data/releases';
import { sentOf, shownFields, textOf, type EntryText } from '@/ui/entryText';
import { readNumber } from '@/core/readNumber';

export type ComponentText = EntryText<typeof COMPONENT>;
export type BatchText = EntryText<typeof BATCH>;
export type ReleaseText = EntryText<typeof RELEASE> & {
  readonly components: readonly ComponentText[];
};

export const EMPTY_COMPONENT = textOf(COMPONENT, { sharePct: 100 });

export const EMPTY_RELEASE: ReleaseText = {
  ...textOf(RELEASE, {}),
  components: [EMPTY_COMPONENT],
};

/** Without a roast date: it is asked for, never taken to be today. */
export const EMPTY_BATCH: BatchText = textOf(BATCH, {});

export function releaseTextOf(release: StoredRelease): ReleaseText {
  return {
    ...textOf(RELEASE, release),
    components: release.components.map((component) => textOf(COMPONENT, component)),
  };
}

export function releaseSent(text: ReleaseText) {
  const { components } = text;
  return {
    ...sentOf(RELEASE, text),
    components: components.map((component) => ({
      ...sentOf(COMPONENT, component),
      // The only component is all of the coffee.
      ...(components.length === 1 && { sharePct: 100 }),
    })),
  };
}

/** What the typed shares come to, for the line under them; null while one is not a number. */
export function typedSumPct(components: readonly ComponentText[]): number | null {
  const shares = components.map(({ sharePct }) => readNumber(sharePct));
  return shares.every((share) => typeof share === 'number') ? shareSumPct(shares) : null;
}

/** Fields that show their own faults; any other fault is listed under the form. */
export const SHOWN_RELEASE = [
  ...shownFields(RELEASE).filter(
    (field) => RELEASE[field as keyof typeof RELEASE].kind !== 'notes' && field !== 'name',
  ),
  'release.name',
  ...shownFields(COMPONENT),
];
export const SHOWN_BATCH = shownFields(BATCH);
