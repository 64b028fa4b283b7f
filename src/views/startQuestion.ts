/** The question Start answers, as it stands in the address: it can be shared and gone back to. */
import { LIMITS } from '@/core/limits';
import {
  PROCESSES,
  STYLES,
  TEMPERATURE_SCHOOLS,
  type BrewStyle,
  type Process,
  type TemperatureSchool,
} from '@/core/vocabulary';
import type { StoredDraft } from '@/data/dialIns';
import type { House } from '@/data/house';
import type { StoredSetup } from '@/data/setups';

export interface StartQuestion {
  readonly style: BrewStyle;
  readonly temperatureSchool: TemperatureSchool;
  readonly setupId: string | undefined;
  readonly batchId: string | undefined;
  /** A second style, set beside the first. */
  readonly beside: BrewStyle | null;
  /** Release one is coming from. */
  readonly from: string | null;
  /** Facts supposed to be otherwise. */
  readonly suppose: {
    readonly roastLevel: number | undefined;
    readonly process: Process | undefined;
    readonly restDays: number | undefined;
  };
}

type Search = Readonly<Record<string, string | string[] | undefined>>;

/** What is not asked, or cannot be, falls back to the recipe on the bench and to the house. */
export function readStartQuestion(
  search: Search,
  {
    house,
    draft,
    setups,
  }: {
    house: Pick<House, 'brewStyle' | 'temperatureSchool'>;
    draft: StoredDraft | undefined;
    setups: readonly Pick<StoredSetup, 'id'>[];
  },
): StartQuestion {
  const text = (key: string) => (typeof search[key] === 'string' ? search[key] : undefined);
  const word = <T extends string>(words: readonly T[], key: string) =>
    words.find((known) => known === text(key));
  const style = word(STYLES, 'style') ?? draft?.style ?? house.brewStyle;
  const beside = word(STYLES, 'beside') ?? null;
  const setup =
    setups.find(({ id }) => id === text('setup')) ??
    setups.find(({ id }) => id === draft?.setupId) ??
    setups[0];
  return {
    style,
    temperatureSchool:
      word(TEMPERATURE_SCHOOLS, 'school') ?? draft?.temperatureSchool ?? house.temperatureSchool,
    setupId: setup?.id,
    batchId: text('batch'),
    beside: beside === style ? null : beside,
    from: text('from') ?? null,
    suppose: {
      roastLevel: within(text('ifRoast'), LIMITS.roastLevel),
      process: word(PROCESSES, 'ifProcess'),
      restDays: within(text('ifRest'), LIMITS.restDays),
    },
  };
}

function within(
  text: string | undefined,
  { min, max }: { readonly min: number; readonly max: number },
): number | undefined {
  const value = text === undefined || text.trim() === '' ? NaN : Number(text);
  return value >= min && value <= max ? value : undefined;
}
