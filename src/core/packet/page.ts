/** A text being read: which parts of it are taken, and what is left. */
export interface TextSpan {
  readonly from: number;
  readonly to: number;
}

interface Match {
  readonly span: TextSpan;
  readonly groups: readonly (string | undefined)[];
}

/** Words this near belong to one list. */
const CLOSE = 40;

export class Page {
  readonly #text: string;
  readonly #taken: TextSpan[] = [];

  constructor(text: string) {
    this.#text = text.replace(/\r\n?/g, '\n');
  }

  /** Words of a span without white space around them. */
  wordsOf({ from, to }: TextSpan): string {
    return this.#text.slice(from, to).trim();
  }

  placeOf({ from, to }: TextSpan): number {
    const words = this.#text.slice(from, to);
    return from + words.length - words.trimStart().length;
  }

  take(span: TextSpan): void {
    this.#taken.push(span);
  }

  /** Is a list no longer than its words need, with nothing else between them? */
  isClose({ from, to }: TextSpan): boolean {
    return to - from <= CLOSE || !/[.\n]/.test(this.#text.slice(from, to));
  }

  #isFree({ from, to }: TextSpan): boolean {
    return !this.#taken.some((taken) => from < taken.to && taken.from < to);
  }

  /** Parts between separators that nothing was read from yet. */
  segments(separator: RegExp): TextSpan[] {
    const spans: TextSpan[] = [];
    let from = 0;
    for (const { index, 0: found } of this.#text.matchAll(new RegExp(separator, 'gu'))) {
      spans.push({ from, to: index });
      from = index + found.length;
    }
    spans.push({ from, to: this.#text.length });
    return spans.filter((span) => this.wordsOf(span) !== '' && this.#isFree(span));
  }

  /** Where a pattern stands that nothing was read from yet. */
  matches(pattern: RegExp): Match[] {
    return [...this.#text.matchAll(pattern)]
      .map(({ index, 0: found, ...match }) => ({
        span: { from: index, to: index + found.length },
        groups: Array.from({ length: 4 }, (_, i) => (match as Record<number, string>)[i + 1]),
      }))
      .filter(({ span }) => this.#isFree(span));
  }

  /** What nobody took, line by line, without the separators that are left standing alone. */
  left(): string {
    const signs = [...this.#text];
    let at = 0;
    const kept = signs.map((sign) => {
      const isTaken = this.#taken.some(({ from, to }) => at >= from && at < to);
      at += sign.length;
      return isTaken ? (sign === '\n' ? '\n' : '\u0000') : sign;
    });
    return kept
      .join('')
      .split('\n')
      .map((line) =>
        line
          .replace(/\u0000+/g, ' ')
          .replace(/(?:[,;:|•·]\s*){2,}/gu, ', ')
          .replace(/^[\s,;:|•·–—-]+|[\s,;:|•·–—-]+$/gu, '')
          .replace(/\s{2,}/g, ' '),
      )
      .filter((line) => /[\p{L}\p{N}]/u.test(line))
      .join('\n');
  }
}
