/** Every command the program takes. */
import type { Command } from '@/data/command';
import { saveSetup } from '@/features/equipment/actions';
import { setUpHouse } from '@/features/house/actions';
import { importDocument } from '@/features/import/actions';
import { publish } from '@/features/publish/actions';
import { logShot, removeShot, restoreShot } from '@/features/pull/actions';
import { createRelease, editRelease } from '@/features/read/actions';
import { acceptRecipe } from '@/features/start/actions';
import { recordTasting } from '@/features/taste/actions';

export const commands: ReadonlyMap<string, Command> = new Map(
  [
    setUpHouse,
    saveSetup,
    createRelease,
    editRelease,
    acceptRecipe,
    logShot,
    removeShot,
    restoreShot,
    recordTasting,
    publish,
    importDocument,
  ].map((command) => [command.kind, command]),
);
