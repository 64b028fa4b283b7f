/**
 * Reads what a bag or a web page says of a coffee into facts of a release, by vocabulary alone: no
 * network, no guess without words to show for it. Every fact carries the words it came from and where
 * they stand; what is not understood is handed back. House heuristic: people agree before it is stored.
 */
import { BATCH } from '../entity/batch';
import { COMPONENT } from '../entity/component';
import { entriesOf, type Field, type Fields } from '../entity/field';
import { RELEASE } from '../entity/release';
import { LIMITS, TEXT_LIMITS } from '../limits';
import { readAltitudes } from './altitudes';
import { readDay } from './days';
import {
  escaped,
  processIn,
  roastIn,
  varietiesIn,
  wordIn,
  wordPattern,
  type Variety,
} from './lookups';
import { Page, type TextSpan } from './page';
import {
  ALLERGENS,
  ALTITUDE,
  CROP,
  FARM,
  LOT,
  NOTES,
  ROAST_PHRASE,
  ROASTED_ON,
  SCORE,
} from './phrases';
import {
  BARE_PROCESSES,
  CERTIFICATIONS,
  COUNTRIES,
  PROCESS_PHRASES,
  VARIETIES,
} from './vocabulary';

export interface PacketFact {
  /** Field of release, component or batch; of a blend `components.1.country`. */
  readonly field: string;
  readonly value: string | number | readonly string[];
  /** The words it was read from, as they stand. */
  readonly words: string;
  /** Place of their first letter in the text. */
  readonly at: number;
}

export interface ReadPacket {
  readonly facts: readonly PacketFact[];
  /** What was not understood, line by line. */
  readonly left: string;
}

/** A page is a few paragraphs; more is cut. */
export const MOST_CHARACTERS = 10_000;

/** @param text free text: a bag, an importer's sheet, a pasted paragraph. */
export function readPacket(text: string): ReadPacket {
  const page = new Page(text.slice(0, MOST_CHARACTERS));
  const facts: PacketFact[] = [];
  const add = (field: string, value: PacketFact['value'], span: TextSpan) => {
    // The first to say a thing has said it.
    if (facts.some((fact) => fact.field === field)) return;
    facts.push({ field, value, words: page.wordsOf(span), at: page.placeOf(span) });
    page.take(span);
  };
  readLabelled(page, add);
  readBlend(page, add);
  readNotes(page, add);
  readScanned(page, add);
  readName(page, facts.length, add);
  return { facts: facts.sort((a, b) => a.at - b.at), left: page.left() };
}

type Add = (field: string, value: PacketFact['value'], span: TextSpan) => void;

/**
 * What bags write before a colon that our own headers do not say. A bag says what is published of a
 * coffee, and of the rest what stands here.
 */
const MORE_LABELS: Readonly<Record<string, readonly string[]>> = {
  region: ['growing region', 'department', 'province', 'zone'],
  producer: ['producers', 'washing station', 'mill', 'farmer', 'estate', 'cooperative'],
  variety: ['varieties', 'varietals', 'cultivars'],
  process: ['processing method', 'method'],
  altitudeM: ['growing altitude', 'height', 'altitude masl', 'meters', 'metres'],
  roastDate: ['roast', 'roast day'],
  roastLevel: ['roast profile', 'roasted for'],
  promisedNotes: ['we taste', 'in the cup', 'cup profile', 'flavours', 'flavors', 'taste', 'cup'],
  contains: ['contains', 'allergen'],
  cupScore: ['score', 'points', 'sca score'],
  country: ['country of origin'],
  lot: ['lot no', 'lot name', 'microlot'],
  pricePerKg: [],
  suggestedRecipe: [],
};

/** Published, and read by rules of their own or not from a label. */
const WITHOUT_LABEL = ['story', 'sharePct', 'varietyClass', 'altitudeToM'];

const FIELDS: Fields = { ...RELEASE, ...BATCH, ...COMPONENT };

const LABELS = new Map(
  entriesOf(FIELDS)
    .filter(([name, { isPublished }]) => isPublished || name in MORE_LABELS)
    .filter(([name]) => !WITHOUT_LABEL.includes(name))
    .flatMap(([name, { headers = [], label }]) =>
      [...headers, label.toLowerCase(), ...(MORE_LABELS[name] ?? [])].map(
        (header) => [header, name] as const,
      ),
    ),
);
LABELS.delete('date');
LABELS.delete('cup');
LABELS.set('notes', 'promisedNotes');
LABELS.set('roast', 'roastLevel');

/** Lines, parts between bars, and sentences; an initial ends none. */
const SAYINGS = /[\n|•·]+|(?<=[\p{L}\p{N}]{2})\.\s+(?=\p{Lu})/u;

/** "Process: washed", "Altitude – 1,900 m", one to a line or between bars. */
const LABELLED = /^\s*([\p{L}][\p{L} ./]{1,28}?)\s*(?::|–|—|\s-\s)\s*(\S.*)$/u;

function readLabelled(page: Page, add: Add): void {
  for (const span of page.segments(SAYINGS)) {
    const found = LABELLED.exec(page.wordsOf(span));
    const name = found && LABELS.get(found[1]!.toLowerCase().trim());
    if (!name || !found) continue;
    readValue(name, found[2]!.trim().replace(/[.;,]$/, ''), span, add);
  }
}

/** The value a label announces; one that is not understood leaves its line as it is. */
function readValue(name: string, text: string, span: TextSpan, add: Add): void {
  const field = FIELDS[name]!;
  switch (name) {
    case 'country': {
      const country = wordIn(text, COUNTRIES);
      return add('country', country ?? clipped(text, field), span);
    }
    case 'variety':
      return addVarieties(text, span, add);
    case 'process': {
      const process = processIn(text) ?? BARE_PROCESSES[text.toLowerCase().split(/\s+/)[0]!];
      if (process) add('process', process, span);
      return;
    }
    case 'altitudeM':
      return addAltitudes(text, span, add, true);
    case 'roastDate': {
      const day = readDay(text);
      const phrase = new RegExp(ROAST_PHRASE.source, 'iu').exec(text);
      const level = phrase ? roastIn(phrase[1]!) : undefined;
      if (day) add('roastDate', day, span);
      if (level !== undefined) add('roastLevel', level, span);
      return;
    }
    case 'roastLevel': {
      const level = roastIn(text);
      const day = readDay(text);
      if (level !== undefined) add('roastLevel', level, span);
      else if (day) add('roastDate', day, span);
      return;
    }
    case 'promisedNotes':
      return add('promisedNotes', listed(text), span);
    default:
      if (field.kind === 'text') return add(name, clipped(text, field), span);
      if (field.kind === 'quantity') return addFigure(name, text, field.limit, span, add);
  }
}

function addFigure(
  name: string,
  text: string,
  limit: keyof typeof LIMITS,
  span: TextSpan,
  add: Add,
): void {
  const value = Number(/\d+(?:[.,]\d+)?/.exec(text)?.[0].replace(',', '.') ?? NaN);
  const { min, max } = LIMITS[limit];
  if (value >= min && value <= max) add(name, value, span);
}

function addAltitudes(text: string, span: TextSpan, add: Add, isLabelled = false): void {
  const [low, high] = readAltitudes(text, isLabelled) ?? [];
  if (low === undefined) return;
  add('altitudeM', low, span);
  if (high !== undefined) add('altitudeToM', high, span);
}

function addVarieties(text: string, span: TextSpan, add: Add): void {
  const found = varietiesIn(text);
  add('variety', found.length > 0 ? found.map(({ name }) => name).join(', ') : text, span);
  addClass(found, span, add);
}

/** A class only where all varieties share it: a mixture is no class. */
function addClass(found: readonly Variety[], span: TextSpan, add: Add): void {
  const classes = new Set(found.map(({ kind }) => kind));
  const [only] = classes;
  if (only && classes.size === 1) add('varietyClass', only, span);
}

/** A page about a coffee says at least so much of it. */
const LEAST_FACTS = 2;
const NAME = /^[\p{L}\p{N}’' &-]{2,60}$/u;

/** A short first line above the facts of a coffee is what it is called. */
function readName(page: Page, facts: number, add: Add): void {
  const [first] = page.segments(/\n+/u);
  if (facts < LEAST_FACTS || first?.from !== 0) return;
  const words = page.wordsOf(first);
  if (NAME.test(words) && words.split(' ').length <= MOST_NAME_WORDS) add('name', words, first);
}

const MOST_NAME_WORDS = 5;

/** "60 % Brazil, 40 % Ethiopia" in either order: a blend by country. */
function readBlend(page: Page, add: Add): void {
  const names = COUNTRIES.flat().map(escaped).join('|');
  const part = new RegExp(
    `(?:(\\d{1,3})\\s*%\\s*(${names})|(${names})\\s*\\(?(\\d{1,3})\\s*%\\)?)`,
    'giu',
  );
  const parts = page.matches(part).map(({ span, groups }) => ({
    span,
    share: Number(groups[0] ?? groups[3]),
    country: wordIn((groups[1] ?? groups[2])!, COUNTRIES)!,
  }));
  const total = parts.reduce((sum, { share }) => sum + share, 0);
  if (parts.length < 2 || total !== 100) return;
  parts.forEach(({ share, country, span }, i) => {
    add(`components.${i}.sharePct`, share, span);
    add(`components.${i}.country`, country, span);
  });
}

function readNotes(page: Page, add: Add): void {
  for (const { span, groups } of page.matches(NOTES))
    add('promisedNotes', listed((groups[0] ?? groups[1])!), span);
}

/** What stands in running text, recognised by itself. */
function readScanned(page: Page, add: Add): void {
  for (const { span } of page.matches(ALTITUDE)) addAltitudes(page.wordsOf(span), span, add);
  for (const { span, groups } of page.matches(ROASTED_ON)) {
    const day = readDay(groups[0]!);
    if (day) add('roastDate', day, span);
  }
  for (const { span, groups } of page.matches(ROAST_PHRASE)) {
    const level = roastIn(groups[0]!);
    if (level !== undefined) add('roastLevel', level, span);
  }
  for (const { span, groups } of page.matches(CROP)) add('harvest', groups[0]!, span);
  for (const { span, groups } of page.matches(LOT)) add('lot', groups[0]!, span);
  for (const { span, groups } of page.matches(SCORE))
    addFigure('cupScore', (groups[0] ?? groups[1])!, 'cupScore', span, add);
  for (const { span, groups } of page.matches(ALLERGENS)) add('contains', groups[0]!.trim(), span);
  readProcess(page, add);
  readVarieties(page, add);
  readPlace(page, add);
  for (const name of CERTIFICATIONS)
    for (const { span } of page.matches(wordPattern(name))) add('certification', name, span);
}

function readProcess(page: Page, add: Add): void {
  for (const [process, ...phrases] of PROCESS_PHRASES)
    for (const phrase of phrases)
      for (const { span } of page.matches(wordPattern(`${phrase}`))) add('process', process, span);
  for (const [word, process] of Object.entries(BARE_PROCESSES))
    for (const { span } of page.matches(
      new RegExp(`(?<![\\p{L}])${word}\\s+process(?:ed|ing)?(?![\\p{L}])`, 'giu'),
    ))
      add('process', process, span);
  for (const span of page.segments(/[\n|•·,;/]+/u)) {
    const process = BARE_PROCESSES[page.wordsOf(span).trim().toLowerCase()];
    if (process) add('process', process, span);
  }
}

function readVarieties(page: Page, add: Add): void {
  const found = VARIETIES.flatMap(([kind, ...names]) =>
    names.flatMap((name) =>
      page.matches(wordPattern(name)).map(({ span }) => ({ kind, name: names[0]!, span })),
    ),
  ).filter(
    // "Red Bourbon" is not also "Bourbon".
    ({ span }, _i, all) =>
      !all.some(
        ({ span: other }) =>
          other !== span &&
          other.from <= span.from &&
          other.to >= span.to &&
          other.to - other.from > span.to - span.from,
      ),
  );
  if (found.length === 0) return;
  const inOrder = found.sort((a, b) => a.span.from - b.span.from);
  const names = [...new Set(inOrder.map(({ name }) => name))];
  const whole = { from: inOrder[0]!.span.from, to: inOrder.at(-1)!.span.to };
  // Only neighbours make one list; others may be told of as something else.
  const span = page.isClose(whole) ? whole : inOrder[0]!.span;
  const kept = page.isClose(whole) ? names : names.slice(0, 1);
  add('variety', kept.join(', '), span);
  addClass(
    inOrder.filter(({ name }) => kept.includes(name)),
    span,
    add,
  );
}

/** "Guji, Ethiopia" is a region and its country, a farm beside them the producer; a country alone is one. */
function readPlace(page: Page, add: Add): void {
  for (const span of page.segments(/[\n|•·]+/u)) {
    const parts = page
      .wordsOf(span)
      .split(',')
      .map((part) => part.trim());
    const at = parts.findIndex((part) => wordIn(part, COUNTRIES, true) !== undefined);
    if (at < 0 || parts.length < 2 || parts.length > 3) continue;
    const others = parts.filter((part, i) => i !== at && /^\p{Lu}[\p{L}’' -]{2,30}$/u.test(part));
    if (others.length !== parts.length - 1) continue;
    add('country', wordIn(parts[at]!, COUNTRIES, true)!, span);
    const farm = others.find((part) => FARM.test(part));
    if (farm !== undefined) add('producer', farm, span);
    const region = others.filter((part) => part !== farm).join(', ');
    if (region !== '') add('region', region, span);
  }
  for (const names of COUNTRIES)
    for (const name of names)
      for (const { span } of page.matches(wordPattern(name))) add('country', names[0]!, span);
}

const MOST_NOTES = RELEASE.promisedNotes.most;

/** Single notes of a list as bags write them. */
function listed(text: string): string[] {
  return text
    .split(/\s*[,;/•·|]\s*|\s+(?:and|und|&|\+)\s+/u)
    .map((note) =>
      note
        .replace(/^(?:and|of)\s+/i, '')
        .replace(/[.!]$/, '')
        .trim(),
    )
    .filter((note) => note.length > 1 && note.length <= TEXT_LIMITS[RELEASE.promisedNotes.limit])
    .slice(0, MOST_NOTES);
}

function clipped(text: string, field: Field): string {
  return field.kind === 'text' ? text.slice(0, TEXT_LIMITS[field.limit]) : text;
}
