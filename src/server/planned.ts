/** Cards whose day has come go out as if the lead pressed the button; what keeps one back is kept with it. */
import { randomUUID } from 'node:crypto';
import { commands } from '@/app/commands';
import { UserFault } from '@/core/errors';
import { submit } from '@/data/command';
import type { Db } from '@/data/database';
import { log } from '@/data/log';
import { holdPlanned, listPlannedUntil } from '@/data/printed';
import { today } from '@/data/today';
import { faultWords } from '@/words/faults';

/** @returns how many went out. */
export function publishPlanned(db: Db): number {
  let out = 0;
  for (const { releaseId, card, plannedById } of listPlannedUntil(db, today())) {
    const body = { id: randomUUID().replaceAll('-', ''), kind: 'publish', input: card };
    try {
      submit(db, commands, body, { personId: plannedById });
      out++;
    } catch (error) {
      if (!(error instanceof UserFault)) throw error;
      holdPlanned(db, releaseId, faultWords(error));
      log.warn({ releaseId }, 'a planned card was held back');
    }
  }
  return out;
}
