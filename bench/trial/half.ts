/** Adds up every so manyeth house of all cases: one of the processes `trial.ts` starts. */
import { CASES, tallyHouse } from './cases';

const [part, parts] = process.argv.slice(2).map(Number) as [number, number];
const tallies = CASES.flatMap((one) =>
  Array.from({ length: one.houses }, (_, house) => house)
    .filter((house) => house % parts === part)
    .flatMap((house) => tallyHouse(one, house)),
);
process.stdout.write(JSON.stringify(tallies));
