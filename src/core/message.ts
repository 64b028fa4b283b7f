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
