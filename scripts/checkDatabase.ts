/** Opens the database once before the server does, so that a refusal is one clear line. */
import { UserFault } from '@/core/errors';
import { databaseFile, openDatabase } from '@/data/database';

try {
  openDatabase(databaseFile()).close();
} catch (error) {
  if (!(error instanceof UserFault)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 1;
}
