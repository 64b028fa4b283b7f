import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { AUDIENCES, fitFor } from '@/core/fits/audience';
import { LANGUAGES, type Language } from '@/core/language';
import { cardWords, grindIn, roastIn } from './cardWords';
import { dayIn, figureIn } from './figures';
import { fitSentences } from './fitWords';

const FOLDER = join(__dirname, 'messages');
type Messages = Readonly<Record<string, string>>;
const messagesOf = (language: Language, subject: string) =>
  JSON.parse(readFileSync(join(FOLDER, language, subject), 'utf8')) as Messages;
const subjectsOf = (language: Language) => readdirSync(join(FOLDER, language)).sort();

/** What a message needs: the names of its values, and the choices it makes. */
function needsOf(elements: readonly MessageFormatElement[]): string[] {
  return elements.flatMap((element) => {
    if (element.type === TYPE.literal || element.type === TYPE.pound) return [];
    if (element.type !== TYPE.select && element.type !== TYPE.plural)
      return 'value' in element ? [element.value] : [];
    // A language has as many plurals as it has.
    const named =
      element.type === TYPE.select
        ? Object.keys(element.options).map((o) => `${element.value}:${o}`)
        : [];
    const inside = Object.values(element.options).flatMap(({ value }) => needsOf(value));
    return [element.value, ...named, ...inside];
  });
}
const needed = (message: string) =>
  [...new Set(needsOf(parse(message, { ignoreTag: true })))].sort();

/** Said alike in several languages: names of things, and figures alone. */
const MAY_BE_ALIKE = 0.35;

describe('messages', () => {
  it.each(LANGUAGES.slice(1))(
    '%s says all that English says, of the same values, in its own words',
    (language) => {
      const alike: string[] = [];
      let count = 0;
      expect(subjectsOf(language)).toEqual(subjectsOf('de'));
      for (const subject of subjectsOf(language)) {
        const [english, own] = [messagesOf('en', subject), messagesOf(language, subject)];
        expect(Object.keys(own).sort()).toEqual(Object.keys(english).sort());
        for (const [id, message] of Object.entries(own)) {
          expect(message.trim()).not.toBe('');
          expect([id, needed(message)]).toEqual([id, needed(english[id]!)]);
          if (message === english[id]) alike.push(id);
          count++;
        }
      }
      expect(alike.length / count).toBeLessThan(MAY_BE_ALIKE);
    },
  );

  it('each is said somewhere', () => {
    const code = sourcesOf(join(__dirname, '..')).join('\n');
    /** Named whole, or by a part that is known only while it runs: `labels.${name}`. */
    const isSaid = (id: string) =>
      code.includes(`'${id}'`) ||
      id.split('.').some((_, i, parts) => {
        const start = parts.slice(0, i + 1).join('.');
        return code.includes(`\`${start}.\${`);
      });
    const unsaid = subjectsOf('en').flatMap((file) => {
      const subject = file.replace('.json', '');
      return Object.keys(messagesOf('en', file)).filter((id) => {
        if (isSaid(id) || isSaid(`${subject}.${id}`)) return false;
        // What the core names by its code: REASONS, warning().
        return !new RegExp(
          `(reason|advice|warning|plainReason|fault|inIssue|state)\\(\\s*'${id.replace(/\./g, '\\.')}'|, '${id}'\\)`,
        ).test(code);
      });
    });
    expect(unsaid).toEqual([]);
  });

  it('all that the core names are there', () => {
    const code = sourcesOf(join(__dirname, '../core')).join('\n');
    const whole =
      /(?<!\b(?:fault|inIssue)\([^']*)'((?:advice|cafes|due|faults|panel|practice|programme|start|state|tasting)\.[\w.]+)'/g;
    const named = [...code.matchAll(whole)].map(([, id]) => id!);
    /** Named by what makes them: `reason('choked')`. */
    const made = [
      ['advice', /(?:\breason|plainReason|\badvice)\(\s*'([\w.]+)'/g, code],
      ['start', /\bwarning\('(\w+)'/g, code],
      ['due', /\b(?:due|said)\('([\w.]+)'/g, sourcesOf(join(__dirname, '../core/due')).join()],
      ['faults', /\b(?:fault|inIssue)\([^()']*'([\w.]+)'/g, code],
      ['panel', /\bsaid\('([\w.]+)'/g, sourcesOf(join(__dirname, '../core/panel')).join()],
    ] as const;
    for (const [subject, maker, source] of made) {
      const found = [...source.matchAll(maker)].map(([, name]) => `${subject}.${name}`);
      expect([subject, found.length > 5]).toEqual([subject, true]);
      named.push(...found);
    }
    for (const id of named) {
      const [subject, ...name] = id.split('.');
      expect([id, name.join('.') in messagesOf('en', `${subject}.json`)]).toEqual([id, true]);
    }
  });
});

function sourcesOf(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return sourcesOf(path);
    return /\.tsx?$/.test(entry.name) && !/\.test\./.test(entry.name)
      ? [readFileSync(path, 'utf8')]
      : [];
  });
}

describe('the languages of a card', () => {
  it('writes figures and days as each language does', () => {
    expect(figureIn('en', 28.45, 1)).toBe('28.5');
    expect(figureIn('de', 28.45, 1)).toBe('28,5');
    expect(figureIn('fr', -0.5, 1)).toBe('−0,5');
    expect(dayIn('en', '2026-03-05')).toBe('5 Mar 2026');
    expect(dayIn('de', '2026-03-05')).toMatch(/5\. März 2026/);
  });

  it('says a change of grind by its size, and none where it is nothing', () => {
    const say = (steps: number) => grindIn(cardWords('en'), steps);
    expect([0.2, 0.5, 1, -2, -3, 5].map(say)).toEqual([
      null,
      'a little finer',
      'about one step finer',
      'one or two steps coarser',
      'two or three steps coarser',
      'several steps finer',
    ]);
  });

  it('has a sentence for each note of each audience, and a word for each roast', () => {
    for (const audience of AUDIENCES) {
      const fit = fitFor(audience, {
        recipe: { doseG: 18, yieldG: 45, temperatureC: 95, timeS: [18, 22], clock: 'firstDrip' },
        style: 'longQuick',
        from: { diameterMm: 58, ratedG: 20 },
      });
      for (const language of LANGUAGES)
        expect(fitSentences(language, fit, 'longQuick').every((text) => text.length > 8)).toBe(
          true,
        );
    }
    expect(LANGUAGES.map((language) => roastIn(cardWords(language), 0.4))).toEqual([
      'Medium-dark',
      'Mitteldunkel',
      'Moyenne-foncée',
      'Medio-scura',
      'Medio oscuro',
      'Média-escura',
    ]);
  });
});
