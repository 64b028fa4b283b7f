/**
 * Every command a browser can send: what it asks for and what it answers, inferred from where it is defined. The edge
 * checks all of it again; these types keep a form from sending what no command takes.
 */
import type { TypedFigure } from '../entity/field';

/** `src/app/commands.ts` says here which commands there are: what stands below it knows them by type alone. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- filled by declaration merging
export interface Registered {}

interface Described {
  readonly kind: string;
  readonly asks?: unknown;
  readonly answers?: unknown;
}
type All = Registered extends { commands: readonly (infer C)[] } ? Extract<C, Described> : never;

/** As a form sends it, before anything was checked: figures as typed, words of a list as any text, or nothing yet. */
type Sent<T> = T extends number
  ? TypedFigure
  : T extends string
    ? string
    : T extends readonly (infer Item)[]
      ? readonly Sent<Item>[]
      : T extends object
        ? {
            readonly [K in keyof T]: T[K] extends readonly unknown[]
              ? Sent<T[K]>
              : Sent<T[K]> | undefined;
          }
        : T;

/** What a command asks for and answers, by its kind. */
export type Commands = {
  readonly [C in All as C['kind']]: {
    readonly asks: Sent<NonNullable<C['asks']>>;
    readonly answers: NonNullable<C['answers']>;
  };
};
export type CommandKind = keyof Commands;
