/**
 * What is learnt once a command's answer is out, and again at the start for what was not learnt before the server last ended.
 * Each learner says by its cache tags what it rests on, and does nothing while that stands.
 */
import type { Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { log } from '@/data/log';
import { learnFromCafes } from './cafesModel';
import { renewGrinderMemories } from './grinderMemory';
import { renewTasteEvidence } from './tasteEvidence';

const LEARNERS = [learnFromCafes, renewGrinderMemories, renewTasteEvidence];

/** A learner that fails keeps none of the others from learning; its fault is in the log. */
export async function learnAll(db: Db): Promise<void> {
  const house = findHouse(db);
  if (!house) return;
  for (const learn of LEARNERS)
    try {
      await learn(db, house);
    } catch (err) {
      log.error({ err, learner: learn.name }, 'something was not learnt');
    }
}
