/** Writes docs/schema.sql; run by `npm run schema`. */
import { writeFileSync } from 'node:fs';
import { openDatabase } from '@/data/database';
import { schemaText } from '@/data/schemaText';

writeFileSync('docs/schema.sql', schemaText(openDatabase(':memory:')));
