/** The programmes Start offers, and the one it begins with. Server only. */
import { featuresOf, type ReleaseFacts } from '@/core/coffee/features';
import { STYLE_STEPS } from '@/core/programme/styles';
import type { Programme } from '@/core/programme/step';
import { STYLE_LABELS, STYLE_PROGRAMMES, type BrewStyle } from '@/core/vocabulary';
import type { Db } from '@/data/database';
import type { StoredDraft } from '@/data/dialIns';
import { listProgrammes } from '@/data/programmes';
import type { SimulatedCoffee } from '@/core/simulator/types';

export interface WaterChoice {
  readonly id: string;
  readonly label: string;
  /** For plate and card. */
  readonly words: string;
  readonly steps: Programme;
}

export interface Water {
  /** The first is the one it begins with. */
  readonly choices: readonly [WaterChoice, ...WaterChoice[]];
  /** What the simulator tries a programme with. */
  readonly coffee: SimulatedCoffee;
}

/** Usual rest of a coffee whose roast day does not count yet. */
const USUAL_REST_DAYS = 14;

export function readWater(
  db: Db,
  {
    style,
    release,
    draft,
  }: {
    style: BrewStyle;
    release: ReleaseFacts;
    /** What is on the bench, when it is of this style. */
    draft: StoredDraft | undefined;
  },
): Water {
  const own = listProgrammes(db).map(({ id, name, steps, isFirst, style: of }) => ({
    choice: { id, label: `${name} (${STYLE_LABELS[of].toLowerCase()})`, words: name, steps },
    isFirst: isFirst && of === style,
    isOfStyle: of === style,
  }));
  const asStyle: WaterChoice = {
    id: 'style',
    label: `As ${STYLE_LABELS[style].toLowerCase()} has it`,
    words: STYLE_PROGRAMMES[style],
    steps: STYLE_STEPS[style],
  };
  const { programme = '', steps } = draft?.recipe ?? {};
  const asBench: WaterChoice[] = steps
    ? [{ id: 'bench', label: 'As on the bench', words: programme, steps }]
    : [];
  const pick = (wanted: (one: (typeof own)[number]) => boolean) =>
    own.filter(wanted).map(({ choice }) => choice);
  const choices = [
    ...asBench,
    ...pick(({ isFirst }) => isFirst),
    asStyle,
    ...pick(({ isFirst, isOfStyle }) => isOfStyle && !isFirst),
    ...pick(({ isOfStyle }) => !isOfStyle),
  ] as [WaterChoice, ...WaterChoice[]];
  const { roastLevel, intensity } = featuresOf(release);
  return {
    choices,
    coffee: {
      roastLevel: roastLevel ?? 0,
      intensity,
      restDays: release.restDays ?? USUAL_REST_DAYS,
    },
  };
}
