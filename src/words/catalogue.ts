/**
 * Messages as data: ICU MessageFormat, one file a language and subject in `messages/`. What is said stands there and
 * nowhere else; whoever says it names the message and gives its values, written as the language writes them.
 */
import { IntlMessageFormat } from 'intl-messageformat';
import type { Language } from '@/core/language';

export type Values = Readonly<Record<string, string | number>>;

/** Says a message of a catalogue. */
export type Say<Id extends string> = (id: Id, values?: Values) => string;

/** Compiled where a page must be light: see `scripts/lib/compileMessages.mjs`. */
type Message = ConstructorParameters<typeof IntlMessageFormat>[0];
type Messages<Id extends string> = Readonly<Record<Id, Message>>;

/**
 * The messages of one subject, by language.
 * @throws Error where a value that a message names is missing.
 */
export function catalogue<Id extends string>(
  english: Messages<Id>,
  others: Readonly<Record<Exclude<Language, 'en'>, Messages<NoInfer<Id>>>>,
): (language: Language) => Say<Id> {
  const all = { en: english, ...others };
  const known = new Map<Language, Say<Id>>();
  return (language) => {
    let say = known.get(language);
    if (!say) known.set(language, (say = sayIn(language, all[language])));
    return say;
  };
}

function sayIn<Id extends string>(language: Language, messages: Messages<Id>): Say<Id> {
  const formats = new Map<Id, IntlMessageFormat>();
  return (id, values) => {
    const message = messages[id];
    if (typeof message === 'string' && !message.includes('{')) return message;
    let format = formats.get(id);
    if (!format) {
      format = new IntlMessageFormat(message, language, undefined, {
        // "<" is a sign here, no tag.
        ignoreTag: true,
      });
      formats.set(id, format);
    }
    return format.format(values) as string;
  };
}
