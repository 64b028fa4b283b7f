/** Makes what says messages in English: a sentence for each, of its figures, temperatures in a reader's units. */
import { IntlMessageFormat } from 'intl-messageformat';
import { assert } from '@/core/errors';
import { figure } from '@/core/figure';
import type { Message } from '@/core/message';
import {
  METRIC,
  temperatureFigure,
  temperatureStepWords,
  temperatureWords,
  type Units,
} from '@/core/units';

type Subjects = Readonly<Record<string, Readonly<Record<string, string>>>>;

/** How a message asks for a figure: `{timeS, number, d1}`. */
const STYLES: Readonly<Record<string, (value: number, units: Units) => string>> = {
  d0: (value) => figure(value, 0),
  d1: (value) => figure(value, 1),
  d2: (value) => figure(value, 2),
  heat: temperatureWords,
  heatFigure: temperatureFigure,
  heatStep: temperatureStepWords,
};
/** The package hands a style on as it finds it here. */
const NUMBER_STYLES = Object.fromEntries(Object.keys(STYLES).map((style) => [style, { style }]));

function formatFrom(text: string, units: Units): IntlMessageFormat {
  return new IntlMessageFormat(
    text,
    'en-GB',
    { number: NUMBER_STYLES as never },
    {
      ignoreTag: true,
      formatters: {
        getNumberFormat: (_locales, asked) =>
          ({
            format: (value: number) => (STYLES[asked?.style ?? ''] ?? STYLES.d0!)(value, units),
          }) as Intl.NumberFormat,
        getDateTimeFormat: (...of) => new Intl.DateTimeFormat(...of),
        getPluralRules: (...of) => new Intl.PluralRules(...of),
      },
    },
  );
}

/**
 * Says messages of these subjects: "advice.choked" is `choked` of `advice`. What it answers throws a broken
 * invariant where there is no such message, or a value is missing.
 */
export function speaker(subjects: Subjects): (message: Message, units?: Units) => string {
  const formats = new Map<string, IntlMessageFormat>();
  function formatOf(id: string, units: Units): IntlMessageFormat {
    const key = `${units.temperature} ${id}`;
    const known = formats.get(key);
    if (known) return known;
    const [subject] = id.split('.', 1) as [string];
    const text = subjects[subject]?.[id.slice(subject.length + 1)];
    assert(text !== undefined, `no message ${id}`);
    const made = formatFrom(text, units);
    formats.set(key, made);
    return made;
  }
  return function say({ id, values = {} }: Message, units: Units = METRIC): string {
    const said = Object.entries(values).map(([name, value]) => [
      name,
      typeof value === 'object' ? say(value, units) : value,
    ]);
    return formatOf(id, units).format(Object.fromEntries(said)) as string;
  };
}
