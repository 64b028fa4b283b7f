/** What a browser has and the tests' does not: its database, text of bytes, escaped ids by which dialogs look up. */
import { TextDecoder } from 'node:util';
import { deserialize, serialize } from 'node:v8';
import 'fake-indexeddb/auto';

globalThis.TextDecoder ??= TextDecoder as never;
globalThis.structuredClone ??= (value: unknown) => deserialize(serialize(value)) as never;
globalThis.CSS ??= {
  escape: (text: string) => String(text).replace(/[^\w-]/g, (sign) => `\\${sign}`),
  supports: () => false,
} as unknown as typeof CSS;

/** Nothing is ever scrolled to: charts, drawn on a canvas that this browser has not, are not fetched. */
class NothingInView {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
Object.assign(globalThis, { IntersectionObserver: NothingInView });
