/** What is written down of the database is what its migrations make. */
import { readFileSync } from 'node:fs';
import { openDatabase } from '@/data/database';
import { schemaText } from '@/data/schemaText';

it('docs/schema.sql is up to date; `npm run schema` writes it', () => {
  const db = openDatabase(':memory:');
  expect(readFileSync('docs/schema.sql', 'utf8')).toBe(schemaText(db));
  db.close();
});
