/** What is to be said, as its name and figures: the sentence is made of them above the core, in `src/words`. */

export type MessageValue = number | string | Message;

export interface Message {
  /** Subject and name in the catalogue: "advice.choked". */
  readonly id: string;
  /** Units stand at the end of their names; temperatures are in °C. */
  readonly values?: Readonly<Record<string, MessageValue>>;
}

/** A move in the middle of a sentence. */
export const inSentence = ({ id, values }: Message): Message => ({
  id,
  values: { ...values, at: 'inside' },
});

/** A message that others tell apart by its code. */
export interface CodedMessage {
  readonly code: string;
  readonly message: Message;
}

/** What is wrong with an input, under its name in the catalogue of faults. */
export const fault = (name: string, values?: Message['values']): Message => ({
  id: `faults.${name}`,
  ...(values && { values }),
});

/** The issues of Zod carry text alone: a message goes through them as JSON. */
export const asIssue = (message: Message): string => JSON.stringify(message);
export const inIssue = (name: string, values?: Message['values']): string =>
  asIssue(fault(name, values));

/** What `asIssue` put into an issue; the text itself where Zod wrote it. */
export const fromIssue = (text: string): Message | string =>
  text.startsWith('{"id":') ? (JSON.parse(text) as Message) : text;
