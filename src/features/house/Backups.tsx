'use client';

import { figure } from '@/core/figure';
import { useState } from 'react';
import type { Fault } from '@/core/errors';
import { Button } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { Moment } from '@/ui/moment';
import { Notice, Small } from '@/ui/type';
import { useRefresh } from '@/ui/useRefresh';
import type { BackupView } from '@/views/backups';

/** The last good backup, what went wrong since, and one at once. */
export function Backups({ backups, folder }: { backups: BackupView; folder: string }) {
  const [, refresh] = useRefresh();
  const [isBusy, setBusy] = useState(false);
  const [faults, setFaults] = useState<readonly Fault[]>([]);
  const { good, failed, isOld } = backups;
  const backUp = async () => {
    setBusy(true);
    setFaults(await askForBackup());
    setBusy(false);
    refresh();
  };
  return (
    <>
      {good ? (
        <p>
          Last good backup: <Moment at={good.at} />, {figure(good.bytes / 1e6, 1)} MB, {good.file}
        </p>
      ) : (
        <p>No backup was made yet.</p>
      )}
      {failed && <Notice $kind="fault">{failed.fault}</Notice>}
      {isOld && !failed && good && <Notice>It is over two days old.</Notice>}
      <Faults faults={faults} />
      {folder !== '' && (
        <p>
          <Button isPending={isBusy} onPress={() => void backUp()}>
            Back up now
          </Button>
        </p>
      )}
      <Small>
        Made every night after two into this folder, best on another disk; checked whole, without
        anybody’s session. Bringing one back: docs/operations.md.
      </Small>
    </>
  );
}

const UNREACHED = {
  field: '',
  message: 'The server was not reached. Check that it runs, then try again.',
};

async function askForBackup(): Promise<readonly Fault[]> {
  try {
    const response = await fetch('/api/backups', { method: 'POST' });
    if (response.ok) return [];
    return ((await response.json()) as { faults?: Fault[] }).faults ?? [UNREACHED];
  } catch {
    return [UNREACHED];
  }
}
