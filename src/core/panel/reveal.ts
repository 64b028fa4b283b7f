/** What becomes of a blind flight's sheets at its reveal. */

/** A cup on the table; without a shot it came from elsewhere. */
interface PouredCup {
  readonly code: string;
  readonly arm: number;
  readonly shotId: string | null;
}

interface Sheet {
  readonly code: string;
  readonly isLate: boolean;
}

/**
 * The sheets that become cups of the shot they were tasted from, each with that shot and how it was served: those that
 * came in time, of cups the house pulled itself. House rule.
 */
export function revealedCups<S extends Sheet>(
  sheets: readonly S[],
  cups: readonly PouredCup[],
  arms: readonly { readonly serving: string }[],
): { readonly sheet: S; readonly shotId: string; readonly serving: string }[] {
  const cupOf = new Map(cups.map((cup) => [cup.code, cup]));
  return sheets.flatMap((sheet) => {
    const cup = cupOf.get(sheet.code);
    if (sheet.isLate || !cup || cup.shotId === null) return [];
    return [{ sheet, shotId: cup.shotId, serving: arms[cup.arm]!.serving }];
  });
}
