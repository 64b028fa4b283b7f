/** Taking in checks of cafés: each belongs to a café and a coffee with a card. */
import { groupBy } from '@/core/groupBy';
import { dialWords } from '@/core/grinder/notation';
import { daysBetween } from '@/core/rest/day';
import { personOf } from '@/data/command';
import type { Db } from '@/data/database';
import { checksOfPartner, insertCheck, insertVisit, type NewCheck } from '@/data/cafeChecks';
import type { House } from '@/data/house';
import { listPartners, type StoredPartner } from '@/data/partners';
import { findReleaseNamed } from '@/data/releases';
import { momentOf } from '@/data/today';
import { columnName } from '@/formats/sheets/cells';
import { CHECK_COLUMNS, readChecks, type CheckRow } from '@/formats/sheets/checkSheet';
import { plain } from '@/formats/sheets/columns';
import type { CsvTable } from '@/formats/sheets/csv';
import type { ReadOptions, RowFault } from '@/formats/sheets/rows';
import { recipeAt, recipeInForce } from '@/views/publishedRecipe';
import { Refusal } from './planRows';
import { countWords, type Prepared } from './prepared';

interface Planned extends Omit<NewCheck, 'id' | 'visitId'> {
  readonly partnerId: string;
  readonly moment: string;
}

export function* prepareChecks(
  db: Db,
  table: CsvTable,
  options: ReadOptions,
  house: House,
): Generator<number, Prepared> {
  const { entries, faults: readFaults } = yield* readChecks(table, options);
  const partners = new Map(listPartners(db).map((partner) => [plain(partner.name), partner]));
  const knownOf = new Map<string, ReadonlySet<string>>();
  const isKnown = ({ id }: StoredPartner, releaseId: string, moment: string) => {
    const known =
      knownOf.get(id) ??
      new Set(checksOfPartner(db, id, '').map((one) => keyOf(one.releaseId, one.visitedAt)));
    knownOf.set(id, known);
    return known.has(keyOf(releaseId, moment));
  };
  const planned: Planned[] = [];
  const faults: RowFault[] = [...readFaults];
  let known = 0;
  for (const { row, entry } of entries) {
    const found = judged(db, house, partners, entry, options.today);
    if (found instanceof Refusal)
      faults.push({
        row,
        column: columnName(CHECK_COLUMNS, found.column, options.mapping),
        message: found.message,
      });
    else if (isKnown(found.partner, found.check.releaseId, found.check.moment)) known++;
    else planned.push(found.check);
  }
  return {
    faults: faults.sort((a, b) => a.row - b.row),
    news: countWords(planned.length, 'new check', 'new checks'),
    known,
    apply: (context) => {
      const enteredBy = personOf(context).id;
      const visits = groupBy(planned, ({ partnerId, moment }) => `${partnerId} ${moment}`);
      [...visits.values()]
        .sort((a, b) => a[0]!.moment.localeCompare(b[0]!.moment))
        .forEach((checks, v) => {
          const visitId = `${context.id}v${v}`;
          const { partnerId, moment: visitedAt } = checks[0]!;
          insertVisit(db, {
            ...{ id: visitId, partnerId, visitedAt, enteredBy },
            isDatedHere: false,
            help: '',
          });
          checks.forEach((check, i) =>
            insertCheck(db, { ...newCheckOf(check), id: `${visitId}-${i}`, visitId }),
          );
        });
    },
  };
}

const newCheckOf = ({ partnerId: _partnerId, moment: _moment, ...check }: Planned) => check;

/** One coffee at one café is checked once a minute. */
const keyOf = (releaseId: string, moment: string) => `${releaseId} ${moment.slice(0, 16)}`;

function judged(
  db: Db,
  house: House,
  partners: ReadonlyMap<string, StoredPartner>,
  { cafe, release, checkedOn, checkedAt, roastDate, ...fields }: CheckRow,
  today: string,
): { partner: StoredPartner; check: Planned } | Refusal {
  const partner = partners.get(plain(cafe));
  if (partner === undefined)
    return new Refusal(
      'cafe',
      `There is no café called “${cafe}”. Add it in Field, or correct the name.`,
    );
  const known = findReleaseNamed(db, release);
  if (known === null)
    return new Refusal('release', `There is no release called “${release}”. Correct the name.`);
  if (daysBetween(checkedOn, today) < 0)
    return new Refusal('checkedOn', `${checkedOn} is in the future. Enter ${today} or earlier.`);
  if (roastDate !== undefined && roastDate > checkedOn)
    return new Refusal(
      'roastDate',
      'It was roasted after it was checked. Correct one of the days.',
    );
  const { dial } = fields;
  if (dial !== undefined && (dial < partner.dialMin || dial > partner.dialMax))
    return new Refusal(
      'dial',
      `Dial ${dialWords(partner, dial)} is outside the grinder of ${partner.name}: ${dialWords(partner, partner.dialMin)} to ${dialWords(partner, partner.dialMax)}.`,
    );
  const moment = momentOf(checkedOn, checkedAt);
  const published = recipeInForce(db, known.id, moment);
  if (published === null)
    return new Refusal(
      'release',
      `${release} has no public card to be judged by. Publish one first.`,
    );
  const { doseG, yieldG, timeS, clock } = recipeAt(house, published.body, partner).recipe;
  return {
    partner,
    check: {
      partnerId: partner.id,
      moment,
      releaseId: known.id,
      versionNumber: published.body.version,
      roastDate: roastDate ?? null,
      target: { doseG, yieldG, timeS, clock },
      fields,
    },
  };
}
