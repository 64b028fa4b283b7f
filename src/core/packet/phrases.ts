/** How bags say their facts in running text. House heuristic: the phrases importers and roasters use most. */
import { MONTHS } from './vocabulary';

export const NOTES =
  /(?:(?:tasting|flavou?r|cup(?:ping)?)\s+)?notes\s+(?:of|are|include)\s+([^\n.;!]{3,200})|(?:tastes|reminds us)\s+(?:of|like)\s+([^\n.;!]{3,200})/giu;

export const ROAST_PHRASE =
  /\b((?:ultra|very|medium)?[- ]?(?:light|dark)|medium)\s+roast(?:ed)?\b/giu;
export const ROASTED_ON =
  /\broast(?:ed)?(?:\s+(?:on|date))?\s*:?\s+(?=[\d\p{L}])([^\n.;]{6,24})/giu;

const MONTH = `(?:${MONTHS.map((month) => `${month}|${month.slice(0, 3)}\\.?`).join('|')})`;
/** "crop 2025/26", "harvested May to July 2026". */
export const CROP = new RegExp(
  `\\b(?:crop|harvest(?:ed)?)\\s+(?:(?:of|in|from)\\s+)?((?:${MONTH}\\s+(?:(?:-|–|to|and)\\s+${MONTH}\\s+)?)?\\d{4}(?:\\s*[/-]\\s*\\d{2,4})?)`,
  'giu',
);
export const LOT = /\blot\s*(?:no\.?|number|#)?\s*[:#]?\s*([A-Z0-9][\w-]{0,20}\d[\w-]*)/gu;
/** "87.5 points", "cup score 87.5". */
export const SCORE =
  /\b(\d{2}(?:[.,]\d{1,2})?)\s*(?:points|pts|SCA)\b|\b(?:cup(?:ping)?\s+score|scored)\s*:?\s*(?:of\s+)?(\d{2}(?:[.,]\d{1,2})?)(?![\d.,]*\d)/giu;
export const ALLERGENS = /\bcontains\s+([^\n.;]{3,120})/giu;

export const ALTITUDE =
  /\d[\d.,]{2,5}(?:\s*(?:-|–|—|to)\s*\d[\d.,]{2,5})?\s*(?:m\.?a\.?s\.?l\.?|met(?:er|re)s|ft|feet|m(?![\p{L}\p{N}]))/giu;

/** "Finca Sierra Clara", "Dembi washing station": who grew or washed it. */
export const FARM =
  /^(?:finca|fazenda|s[ií]tio|hacienda|granja|rancho)\s|\s(?:estate|farm|washing station|wet mill|cooperative)$/iu;
