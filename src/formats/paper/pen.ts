/**
 * What papers are drawn with: lines of text, boxes and outlines. One pen makes a tagged PDF, another a drawing for
 * a picture, so that both say the same. Points.
 */

/** What a text is to whoever has the paper read to them. */
export type Role = 'H1' | 'H2' | 'P';

export interface TextLine {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly size: number;
  readonly isStrong: boolean;
  readonly colour: string;
}

export interface Look {
  readonly fill?: string;
  /** 0-1. */
  readonly fillOpacity?: number;
  readonly stroke?: string;
  readonly width?: number;
  readonly dash?: readonly [number, number];
}

export interface Pen {
  /** Lines that are one text together. */
  readonly text: (role: Role, lines: readonly TextLine[]) => void;
  readonly box: (
    box: { x: number; y: number; width: number; height: number; radius?: number },
    look: Look,
  ) => void;
  /** An outline in SVG's words, moved and scaled. */
  readonly path: (path: string, look: Look, at?: { x: number; y: number; scale: number }) => void;
  /** Goes on on a new page. */
  readonly turnPage: () => void;
}
