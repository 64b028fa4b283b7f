/** What a lead enters of how the house works. */
import { z } from 'zod';
import { entryShape } from '@/core/schema/entry';
import { HOUSE } from '@/core/entity/house';
import { drinkSchema, MOST_DRINKS, USUAL_DRINKS } from '@/core/fits/drinks';
import { day, optionalText, quantity } from '@/core/schema/fields';

/** Currencies this browser and server can write; codes are ISO 4217. */
const isCurrency = (code: string) => Intl.supportedValuesOf('currency').includes(code);

/** An empty one is the machine's. */
function isTimeZone(name: string): boolean {
  try {
    return name === '' || Intl.DateTimeFormat('en-GB', { timeZone: name }) !== null;
  } catch {
    return false;
  }
}

const roastReading = z.strictObject({
  roastLevel: quantity('roastLevel'),
  colourBean: quantity('colourBean').optional(),
  colourGround: quantity('colourGround').optional(),
});

/** Two levels at one colour, or a darker level that reads lighter, make no map. */
function isMap(
  readings: readonly z.output<typeof roastReading>[],
  colour: 'colourBean' | 'colourGround',
): boolean {
  const known = readings
    .filter((reading) => reading[colour] !== undefined)
    .sort((a, b) => a.roastLevel - b.roastLevel)
    .map((reading) => reading[colour]!);
  const falls = known.every((value, i) => i === 0 || value < known[i - 1]!);
  const rises = known.every((value, i) => i === 0 || value > known[i - 1]!);
  return falls || rises;
}

const folder = (label: string, example: string) =>
  optionalText(label, 'address')
    .refine((path) => path === '' || /^(\/|[A-Za-z]:[\\/])/.test(path), {
      error: `${label} is not a whole path like ${example}. Enter all of it, or leave it empty.`,
    })
    .default('');

export const houseInput = z
  .strictObject({
    ...entryShape(HOUSE),
    currency: z
      .string({ error: 'Currency is missing. Enter three letters, e.g. EUR.' })
      .refine(isCurrency, {
        error: 'Currency is not one that is known. Enter its three letters, e.g. EUR.',
      }),
    timeZone: optionalText('Time zone', 'note')
      .refine(isTimeZone, {
        error:
          'Time zone is not one that is known. Enter its name, like Europe/Madrid, or leave it empty.',
      })
      .default(''),
    closedWeekdays: z
      .array(z.number().int().min(1).max(7))
      .max(7, { error: 'A week has seven days.' }),
    closedDates: z
      .array(day('A closed day'))
      .max(200, { error: 'At most 200 closed days. Leave out those that are past.' }),
    roastMap: z
      .array(roastReading)
      .max(12, { error: 'At most 12 roast words.' })
      .refine((readings) => isMap(readings, 'colourGround'), {
        error:
          'The ground colours do not go one way from light to dark. Correct the reading that is out of order.',
      })
      .refine((readings) => isMap(readings, 'colourBean'), {
        error:
          'The bean colours do not go one way from light to dark. Correct the reading that is out of order.',
      }),
    drinks: z
      .array(drinkSchema)
      .max(MOST_DRINKS, { error: `At most ${MOST_DRINKS} drinks. Leave one out.` })
      .refine(
        (drinks) => new Set(drinks.map(({ name }) => name.toLowerCase())).size === drinks.length,
        {
          error: 'Two drinks have one name. Rename or leave out one of them.',
        },
      )
      .default([...USUAL_DRINKS]),
    backupFolder: folder('Folder of the backups', '/mnt/backups/kettlebrand'),
    siteFolder: folder('Folder of the cards for a web host', '/srv/cards'),
    publicAddress: optionalText('Public address', 'address').refine(
      (address) => address === '' || /^https?:\/\/[^\s/?#]+\/?$/.test(address),
      {
        error:
          'Public address is not one like https://recipes.example.org. Enter it without a path, or leave it empty.',
      },
    ),
  })
  .superRefine((house, context) => {
    const refuse = (field: string, message: string) =>
      context.addIssue({ code: 'custom', path: [field], message });
    const { tdsFromPct, tdsToPct, extractionFromPct, extractionToPct } = house;
    const region = { tdsFromPct, tdsToPct, extractionFromPct, extractionToPct };
    const missing = Object.entries(region).filter(([, value]) => value === undefined);
    if (missing.length > 0 && missing.length < Object.keys(region).length)
      return refuse(
        missing[0]![0],
        'A region of strength and extraction needs all four figures. Enter this one too, or empty them all.',
      );
    if (tdsFromPct !== undefined && tdsFromPct >= tdsToPct!)
      refuse(
        'tdsToPct',
        `Strength to ${tdsToPct} % is not above ${tdsFromPct} %. Correct one of them.`,
      );
    if (extractionFromPct !== undefined && extractionFromPct >= extractionToPct!)
      refuse(
        'extractionToPct',
        `Extraction to ${extractionToPct} % is not above ${extractionFromPct} %. Correct one of them.`,
      );
  });
