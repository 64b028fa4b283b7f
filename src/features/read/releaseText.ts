import { readNumber } from '@/ui/fields';

/** The release form's state: every field as the text a person typed, and what is sent of it. */
export interface ReleaseText {
  readonly name: string;
  readonly country: string;
  readonly region: string;
  readonly producer: string;
  readonly variety: string;
  readonly varietyClass: string;
  readonly process: string;
  readonly altitudeM: string;
  readonly densityGPerL: string;
  readonly roastLevel: string;
  readonly roastDate: string;
  readonly promisedNotes: string;
}

/** An unknown fact is left out, so that the server sees it as missing and not as empty. */
export function releaseInputOf(text: ReleaseText) {
  const { varietyClass, process, altitudeM, densityGPerL, roastLevel, promisedNotes, ...rest } =
    text;
  return {
    ...rest,
    varietyClass: varietyClass || undefined,
    process: process || undefined,
    altitudeM: readNumber(altitudeM),
    densityGPerL: readNumber(densityGPerL),
    roastLevel: readNumber(roastLevel),
    promisedNotes: promisedNotes
      .split(',')
      .map((note) => note.trim())
      .filter((note) => note !== ''),
  };
}
