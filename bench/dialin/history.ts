/** What a grinder's past dial-ins are worth: the same houses with none, three, ten, thirty of them. */
import { pastDialIn } from '@/core/advice/pastDialIn';
import { slopePrior } from '@/core/grinder/dial';
import { learnGrinder, type PastDialIn } from '@/core/grinderMemory/memory';
import { targetSchema } from '@/core/schema/target';
import type { Shot } from '@/core/schema/shot';
import type { Measure } from '../measure';
import { dialIn, measuresOf, type Tried } from './dialin';
import { ofKind, simulatedHouse, statisticalHouse, type HouseBench, type HouseOf } from './houses';
import { advisor } from './strategies';
import { RATED_G, TARGET, windowOf } from './truths';

const HISTORY_SEED = 5000;

/** A dial-in of the house's next coffee after so many others, which were dialled in without a memory. */
export function afterHistory(houseOf: HouseOf, seed: number, past: number, trim = true): Tried {
  const coffee = houseOf(HISTORY_SEED + seed);
  const first = coffee(0);
  const histories: PastDialIn[] = [];
  for (let n = 1; n <= past; n++) {
    const bench = coffee(n);
    const shots: Shot[] = [];
    dialIn(bench, advisor({ retention: true, trim }), shots);
    histories.push(asPast(bench, shots));
  }
  const memory = past === 0 ? undefined : learnGrinder(histories, slopePrior(first.grinder), 0);
  return dialIn(
    first,
    advisor({ retention: true, trim, ...(memory && { memory, coffee: first.features }) }),
  );
}

function asPast(
  { grinder, startDial, features, clock = 'pump' }: HouseBench,
  shots: readonly Shot[],
): PastDialIn {
  const target = targetSchema.parse({ ...TARGET, clock, timeS: windowOf(clock), startDial });
  return pastDialIn({ target, grinder, basket: { ratedG: RATED_G }, shots }, features, 0);
}

/** Houses whose shots scatter less or more than the prior says, and one that times from the first drip. */
const OTHERWISE = [
  { name: 'steady hand (3 %)', kind: { noiseSd: 0.03 } },
  { name: 'unsteady hand (7 %)', kind: { noiseSd: 0.07 } },
  { name: 'clock from the first drip', kind: { timesFromDrip: true } },
] as const;

/** Histories of the simulator take minutes, so fewer houses have long ones. */
const TRIED: readonly { truth: string; house: HouseOf; past: number; houses: number }[] = [
  ...[0, 3, 10, 30, 100].map((past) => ({
    truth: 'statistical',
    house: statisticalHouse,
    past,
    houses: past > 30 ? 100 : 300,
  })),
  ...[0, 3, 10, 30, 100].map((past) => ({
    truth: 'simulator',
    house: simulatedHouse,
    past,
    houses: past > 30 ? 30 : past > 10 ? 60 : 150,
  })),
  ...OTHERWISE.flatMap(({ name, kind }) =>
    [0, 10, 30].map((past) => ({
      truth: `statistical, ${name}`,
      house: ofKind(kind),
      past,
      houses: 150,
    })),
  ),
];

/** The same by how many dial-ins a grinder remembers, with the dose trimmed and locked. */
export function benchHistory(): Measure[] {
  return TRIED.flatMap(({ truth, house, past, houses }) =>
    [true, false].flatMap((trim) =>
      measuresOf(
        `${truth}: ${past} past dial-ins, dose ${trim ? 'trimmed' : 'locked'}`,
        Array.from({ length: houses }, (_, seed) => afterHistory(house, seed, past, trim)),
      ),
    ),
  );
}
