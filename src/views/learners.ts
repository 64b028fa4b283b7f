/**
 * What is learnt once a command's answer is out, and again at the start for what was not learnt before the server last ended.
 * Each learner says by its cache tags what it rests on, and does nothing while that stands.
 */
import type { Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { learnFromCafes } from './cafesModel';
import { renewGrinderMemories } from './grinderMemory';
import { renewTasteEvidence } from './tasteEvidence';

const LEARNERS = [learnFromCafes, renewGrinderMemories, renewTasteEvidence];

export async function learnAll(db: Db): Promise<void> {
  const house = findHouse(db);
  if (!house) return;
  for (const learn of LEARNERS) await learn(db, house);
}
