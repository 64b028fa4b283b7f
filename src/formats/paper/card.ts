/**
 * The published card on paper: one page with a code to the public page. The words are those of the page, so paper
 * and page cannot say different things. A long card is set smaller, and on a larger sheet, until it fits.
 */
import type { Language } from '@/core/language';
import { dayIn, figureIn } from '@/words/figures';
import { cardWords } from '@/words/cardWords';
import type { RecipeBody } from '../recipe/document';
import {
  CARD_FACTS,
  CARD_FIGURES,
  CARD_SENSES,
  cardLines,
  coffeeWords,
  ownWordsIn,
} from '../recipe/lines';
import { drinksIn, fitsIn, milkIn, phasesIn } from '../recipe/sections';
import { drawCode, drawHeading, drawPlate, drawProgramme, drawRows } from './parts';
import { pdfOf } from './pdfPen';
import { fitting, INK, PAGES, say, SOFT, type PaperBox, type PaperSheet } from './sheet';

/** Sheets and sizes tried in turn, from the handiest to one that holds any card. */
const TRIALS = [
  ...[1.16, 1.08, 1, 0.94, 0.88, 0.82, 0.76, 0.7].map((scale) => ({ page: PAGES.A5, scale })),
  ...[1, 0.9, 0.8, 0.7, 0.6, 0.5, 0.4, 0.34].map((scale) => ({ page: PAGES.A4, scale })),
];

const MARGIN_PT = 30;
const CODE_PT = 74;

export interface ToPrint {
  readonly body: RecipeBody;
  /** What the code leads to. */
  readonly address: string;
  readonly language: Language;
}

/** Everything a paper of a published body says of itself. */
export const factsOf = ({ body, language }: Pick<ToPrint, 'body' | 'language'>) => ({
  title: `${body.coffee.name}, ${cardWords(language)('version', { number: body.version, day: dayIn(language, body.publishedOn) })}`,
  author: body.roastery,
  language,
  madeOn: body.publishedOn,
});

/** The bytes of the card of a published body. */
export async function cardPdf(asked: ToPrint): Promise<Uint8Array<ArrayBuffer>> {
  const endsAt = ({ page, scale }: (typeof TRIALS)[number]) =>
    drawCard({ pen: null, scale, height: page[1] }, page[0], asked);
  const { page, scale } = fitting(TRIALS, endsAt, (trial) => trial.page[1] - MARGIN_PT);
  return pdfOf({ ...factsOf(asked), size: page }, (pen) => {
    drawCard({ pen, scale, height: page[1] }, page[0], asked);
  });
}

/** Draws the whole card and answers where it ends, in points from the top. */
export function drawCard(
  sheet: PaperSheet,
  pageWidth: number,
  { body, address, language }: ToPrint,
): number {
  const lines = cardLines(body, language);
  const words = cardWords(language);
  const x = MARGIN_PT;
  const width = pageWidth - 2 * MARGIN_PT;
  let y = MARGIN_PT;
  y = say(sheet, body.roastery, { x, y, width, size: 9, colour: SOFT });
  y = say(sheet, body.coffee.name, { x, y, width, size: 20, isStrong: true, role: 'H1' });
  y = say(sheet, coffeeWords(body, language), { x, y: y + 2, width, size: 9, colour: SOFT });
  const figures = CARD_FIGURES.map((name) => ({
    label: words(`labels.${name}`),
    value: lines[name],
  }));
  y = drawPlate(sheet, figures, { x, y: y + 10, width }) + 10;
  const facts = CARD_FACTS.map((name) => ({ label: words(`labels.${name}`), value: lines[name] }));
  y = drawRows(sheet, facts, { x, y, width }) + 8;
  y = drawSteps(sheet, body, language, { x, y, width });
  y = drawSections(sheet, body, language, { x, y, width });
  y = drawSenses(sheet, body, language, { x, y, width }) + 12;
  return drawFoot(sheet, { body, address, language }, { x, y, width });
}

/** One flat step needs no drawing. */
function drawSteps(
  sheet: PaperSheet,
  body: RecipeBody,
  language: Language,
  place: PaperBox,
): number {
  const { steps } = body.recipe;
  if (!steps || steps.length < 2) return place.y;
  const { endsAt, untilS, lanes } = drawProgramme(sheet, steps, place);
  const words = cardWords(language);
  const drives = lanes.map(({ drive }) => (drive === 'pressure' ? 'bar' : 'ml/s')).join(' · ');
  const caption = `${words('labels.Programme')}: ${figureIn(language, untilS, 0)} s, ${drives}`;
  return say(sheet, caption, { ...place, y: endsAt + 2, size: 7.5, colour: SOFT }) + 8;
}

/** What a card says beside its recipe, as rows. */
function drawSections(
  sheet: PaperSheet,
  body: RecipeBody,
  language: Language,
  place: PaperBox,
): number {
  const words = cardWords(language);
  const phases = phasesIn(body, language);
  const milk = milkIn(body, language);
  const drinks = drinksIn(body, language);
  const fits = fitsIn(body, language);
  let { y } = place;
  const block = (heading: string, rows: { label: string; value: string }[], foot = '') => {
    if (rows.length === 0) return;
    y = drawHeading(sheet, heading, { ...place, y });
    y = drawRows(sheet, rows, { ...place, y, size: 8.5 });
    if (foot !== '') y = say(sheet, foot, { ...place, y, size: 7.5, colour: SOFT });
    y += 7;
  };
  block(
    words('phases.title'),
    (phases?.rows ?? []).map(({ days, grind }) => ({ label: days, value: grind })),
    phases?.foot,
  );
  block(words('card.inMilk'), milk === '' ? [] : [{ label: words('labels.Dose'), value: milk }]);
  block(
    words('drinks.title'),
    drinks.map(({ name, cup, espresso, button, fill }) => ({
      label: name,
      value: [
        `${words('drinks.cup')} ${cup}`,
        `${words('drinks.espresso')} ${espresso}`,
        `${words('drinks.button')}: ${button}`,
        fill,
      ]
        .filter((one) => one !== '')
        .join('; '),
    })),
    words('drinks.rough'),
  );
  block(
    words('fits.title'),
    fits.map(({ title, mark, figures, sentences }) => ({
      label: title,
      value: [figures === '' ? '' : `${figures} (${mark}).`, ...sentences].join(' ').trim(),
    })),
    words('card.models'),
  );
  return y;
}

function drawSenses(
  sheet: PaperSheet,
  body: RecipeBody,
  language: Language,
  { x, y, width }: PaperBox,
) {
  const lines = cardLines(body, language);
  const words = cardWords(language);
  const gap = 12;
  const cell = (width - 2 * gap) / 3;
  const ends = CARD_SENSES.map((name, i) => {
    const at = { x: x + i * (cell + gap), width: cell };
    sheet.pen?.box({ ...at, y, height: 2 }, { fill: INK });
    const under = drawHeading(sheet, words(`labels.${name}`), { ...at, y: y + 6 });
    return say(sheet, lines[name], { ...at, y: under, size: 9 });
  });
  return Math.max(...ends);
}

function drawFoot(
  sheet: PaperSheet,
  { body, address, language }: ToPrint,
  { x, y, width }: PaperBox,
) {
  const words = cardWords(language);
  drawCode(sheet, address, { x: x + width - CODE_PT, y, side: CODE_PT });
  const at = { x, width: width - CODE_PT - 14 };
  const { whatChanged } = ownWordsIn(body, language);
  const version = `${words('version', { number: body.version, day: dayIn(language, body.publishedOn) })} ${cardLines(body, language).Repeated}`;
  let end = say(sheet, version, { ...at, y, size: 8.5, isStrong: true });
  if (whatChanged)
    end = say(sheet, `${words('whatChanged')}: ${whatChanged}`, { ...at, y: end + 2, size: 8.5 });
  end = say(sheet, `${words('newest')}: ${address}`, { ...at, y: end + 2, size: 8, colour: SOFT });
  end = say(sheet, words('caution'), { ...at, y: end + 3, size: 7.5, colour: SOFT });
  return Math.max(end, y + CODE_PT);
}
