/** The state of the release and batch forms: every field as typed, and what is sent of it. No DOM. */
import type { StoredBatch, StoredComponent, StoredRelease } from '@/data/releases';
import { readNumber } from '@/ui/readNumber';

export interface ComponentText {
  readonly sharePct: string;
  readonly country: string;
  readonly region: string;
  readonly producer: string;
  readonly variety: string;
  readonly varietyClass: string;
  readonly process: string;
  readonly altitudeM: string;
  readonly densityGPerL: string;
  readonly moisturePct: string;
}

export interface ReleaseText {
  readonly name: string;
  readonly serving: string;
  readonly promisedNotes: string;
  readonly components: readonly ComponentText[];
}

export interface BatchText {
  readonly label: string;
  readonly roastDate: string;
  readonly roastLevel: string;
  readonly colourBean: string;
  readonly colourGround: string;
  readonly crush: string;
  readonly weightLossPct: string;
  readonly sampleG: string;
}

export const EMPTY_COMPONENT: ComponentText = {
  sharePct: '100',
  country: '',
  region: '',
  producer: '',
  variety: '',
  varietyClass: '',
  process: '',
  altitudeM: '',
  densityGPerL: '',
  moisturePct: '',
};

export const EMPTY_RELEASE: ReleaseText = {
  name: '',
  serving: 'both',
  promisedNotes: '',
  components: [EMPTY_COMPONENT],
};

export function emptyBatch(today: string): BatchText {
  return {
    label: '',
    roastDate: today,
    roastLevel: '',
    colourBean: '',
    colourGround: '',
    crush: '',
    weightLossPct: '',
    sampleG: '',
  };
}

const shown = (value: number | undefined) => (value === undefined ? '' : String(value));

export function releaseTextOf(release: StoredRelease): ReleaseText {
  return {
    name: release.name,
    serving: release.serving,
    promisedNotes: release.promisedNotes.join(', '),
    components: release.components.map(componentTextOf),
  };
}

function componentTextOf(component: StoredComponent): ComponentText {
  const { country, region, producer, variety } = component;
  return {
    sharePct: shown(component.sharePct),
    country,
    region,
    producer,
    variety,
    varietyClass: component.varietyClass ?? '',
    process: component.process ?? '',
    altitudeM: shown(component.altitudeM),
    densityGPerL: shown(component.densityGPerL),
    moisturePct: shown(component.moisturePct),
  };
}

export function batchTextOf(batch: StoredBatch): BatchText {
  return {
    label: batch.label,
    roastDate: batch.roastDate,
    roastLevel: shown(batch.roastLevel),
    colourBean: shown(batch.colourBean),
    colourGround: shown(batch.colourGround),
    crush: batch.crush ?? '',
    weightLossPct: shown(batch.weightLossPct),
    sampleG: shown(batch.sampleG),
  };
}

/** An unknown fact is left out, so that the server sees it as missing and not as empty. */
export function releaseInputOf({ components, promisedNotes, ...rest }: ReleaseText) {
  return {
    ...rest,
    promisedNotes: promisedNotes
      .split(',')
      .map((note) => note.trim())
      .filter((note) => note !== ''),
    components: components.map((component) => ({
      ...component,
      // The only component is all of the coffee.
      sharePct: components.length === 1 ? 100 : readNumber(component.sharePct),
      varietyClass: component.varietyClass || undefined,
      process: component.process || undefined,
      altitudeM: readNumber(component.altitudeM),
      densityGPerL: readNumber(component.densityGPerL),
      moisturePct: readNumber(component.moisturePct),
    })),
  };
}

export function batchInputOf({ label, roastDate, ...figures }: BatchText) {
  return {
    label,
    roastDate,
    roastLevel: readNumber(figures.roastLevel),
    colourBean: readNumber(figures.colourBean),
    colourGround: readNumber(figures.colourGround),
    crush: figures.crush || undefined,
    weightLossPct: readNumber(figures.weightLossPct),
    sampleG: readNumber(figures.sampleG),
  };
}

/** What the typed shares come to, for the line under them; null while one is not a number. */
export function shareSumPct(components: readonly ComponentText[]): number | null {
  const shares = components.map(({ sharePct }) => readNumber(sharePct));
  if (!shares.every((share) => typeof share === 'number')) return null;
  return Number(shares.reduce((sum, share) => sum + share, 0).toFixed(2));
}
