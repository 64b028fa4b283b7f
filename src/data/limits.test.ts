/** The limits the entities declare are the ones the migrations really check. */
import { entriesOf, type Fields } from '@/core/entity/field';
import { LIMITS } from '@/core/limits';
import { openDatabase } from './database';
import { RECIPE_TABLE, DRAFT_TABLE } from './dialIns';
import { PART_TABLES } from './equipment';
import { BATCH_TABLE, COMPONENT_TABLE, RELEASE_TABLE } from './releases';
import { SHOT_TABLE } from './shots';
import { columnsOf, type SqlTable } from './table';
import { TASTING_TABLE } from './tastings';

const TABLES = [
  ...Object.values(PART_TABLES),
  RELEASE_TABLE,
  COMPONENT_TABLE,
  BATCH_TABLE,
  RECIPE_TABLE,
  DRAFT_TABLE,
  SHOT_TABLE,
  TASTING_TABLE,
] as unknown as SqlTable<Fields>[];

/**
 * Columns of early migrations without a range of their own: SQLite adds none to a column that stands.
 * A dial may be any number; the others are checked at the edge alone.
 */
const UNCHECKED = [
  'grinder.dial_min',
  'grinder.dial_max',
  'grinder.chokes_at',
  'grinder.reference_dial',
  'grinder.step_size',
  'grinder.um_per_step',
  'recipe_draft.start_dial',
  'shot.dial',
];
/** The table takes a share of any size above 0; forms and sheets begin at a tenth. */
const WIDER = ['component.share_pct'];

it('every quantity is checked by the database, to the limit its field declares', () => {
  const db = openDatabase(':memory:');
  const sqlOf = (table: string) =>
    (db.prepare('SELECT sql FROM sqlite_schema WHERE name = ?').get(table) as { sql: string }).sql;
  const unchecked: string[] = [];
  for (const { name: table, fields } of TABLES) {
    const sql = sqlOf(table);
    for (const [name, field] of entriesOf(fields)) {
      if (field.kind !== 'quantity' && field.kind !== 'range') continue;
      const { min, max } = LIMITS[field.limit];
      for (const { column } of columnsOf(name, field)) {
        const place = `${table}.${column}`;
        const found = new RegExp(`\\b${column} BETWEEN (-?[\\d.]+) AND (-?[\\d.]+)`).exec(sql);
        if (found) expect([place, Number(found[1]), Number(found[2])]).toEqual([place, min, max]);
        else if (!WIDER.includes(place)) unchecked.push(place);
      }
    }
  }
  expect(unchecked.sort()).toEqual([...UNCHECKED].sort());
  db.close();
});

it('every column a field names is there', () => {
  const db = openDatabase(':memory:');
  for (const { name: table, fields } of TABLES) {
    const columns = (db.pragma(`table_info(${table})`) as { name: string }[]).map(
      ({ name }) => name,
    );
    for (const [name, field] of entriesOf(fields))
      for (const { column } of columnsOf(name, field)) expect(columns).toContain(column);
  }
  db.close();
});
