/** A card as its form sends it, before anything was checked. */
import type { TypedFigure } from '../entity/field';

export interface SentCard {
  readonly releaseId: string;
  readonly draftId: string;
  readonly right: string;
  readonly short: string;
  readonly long: string;
  readonly whatChanged: string;
  readonly phases?: readonly {
    readonly from: TypedFigure;
    readonly to: TypedFigure;
    readonly steps: TypedFigure;
  }[];
  readonly hasMilk?: boolean;
  readonly hasDrinks?: boolean;
  readonly fits?: readonly { readonly audience: string; readonly tried: string }[];
  readonly otherWords?: Readonly<Partial<Record<string, object>>>;
  readonly passed?: Readonly<Partial<Record<string, string>>>;
}
