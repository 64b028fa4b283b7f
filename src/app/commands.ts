/** Every command the program takes. */
import type { Command } from '@/data/command';
import {
  answerPartner,
  askRound,
  enterChecks,
  renewPartnerLink,
  retirePartner,
  savePartner,
  sendChecks,
  settleHelp,
  settleSignal,
  removeCafeCheck,
} from '@/features/cafes/actions';
import { beginCalibrationPeriod } from '@/features/equipment/beginCalibrationPeriod';
import { savePart, saveSetup } from '@/features/equipment/actions';
import { saveHouse, saveRules, setUpHouse } from '@/features/house/actions';
import { importDocument } from '@/features/import/actions';
import {
  importRecipes,
  importReleases,
  importShots,
  importTastings,
  importChecks,
} from '@/features/import/kinds';
import { editMessage, file, leaveRemark, settle } from '@/features/messages/actions';
import {
  acceptInvitation,
  changeRole,
  endOwnSessions,
  invite,
  saveUnits,
} from '@/features/people/actions';
import { saveProgramme } from '@/features/programmes/actions';
import {
  cancelPlanned,
  notePrinted,
  planPublication,
  publish,
  showAgain,
  withdraw,
} from '@/features/publish/actions';
import { correctShot, logShot, removeShot, restoreShot } from '@/features/pull/actions';
import { editReleases } from '@/features/releases/actions';
import { createRelease, editRelease, saveBatch, trimDose } from '@/features/read/actions';
import { restore, remove, undoEdit } from '@/features/removal/actions';
import {
  askRecheck,
  openSample,
  renewCalendar,
  saveSample,
  saveSpan,
} from '@/features/rest/actions';
import { carryRecipe } from '@/features/pull/carryRecipe';
import { acceptRecipe, useRecipe } from '@/features/start/actions';
import {
  correctTasting,
  recordTasting,
  removeTasting,
  restoreTasting,
} from '@/features/taste/actions';
import {
  changeFlight,
  decideFlight,
  freePlace,
  planFlight,
  pourCup,
  revealFlight,
} from '@/features/taste/flights/plan';
import { answerFlight, joinFlight, tasteBlind } from '@/features/taste/flights/sheets';
import { noteStages } from '@/features/taste/noteStages';
import { saveTrial } from '@/features/taste/saveTrial';

const ALL = [
  setUpHouse,
  saveHouse,
  saveRules,
  invite,
  acceptInvitation,
  changeRole,
  endOwnSessions,
  saveUnits,
  savePart,
  beginCalibrationPeriod,
  saveSetup,
  saveProgramme,
  createRelease,
  editRelease,
  editReleases,
  saveBatch,
  trimDose,
  remove,
  restore,
  undoEdit,
  acceptRecipe,
  carryRecipe,
  useRecipe,
  logShot,
  correctShot,
  removeShot,
  restoreShot,
  recordTasting,
  correctTasting,
  removeTasting,
  restoreTasting,
  noteStages,
  saveTrial,
  planFlight,
  changeFlight,
  pourCup,
  freePlace,
  revealFlight,
  decideFlight,
  joinFlight,
  tasteBlind,
  answerFlight,
  publish,
  planPublication,
  saveSample,
  openSample,
  askRecheck,
  saveSpan,
  renewCalendar,
  cancelPlanned,
  notePrinted,
  leaveRemark,
  settle,
  savePartner,
  renewPartnerLink,
  retirePartner,
  askRound,
  sendChecks,
  enterChecks,
  settleHelp,
  removeCafeCheck,
  answerPartner,
  settleSignal,
  editMessage,
  file,
  withdraw,
  showAgain,
  importDocument,
  importReleases,
  importRecipes,
  importShots,
  importTastings,
  importChecks,
] as const;

declare module '@/core/command/inputs' {
  interface Registered {
    commands: typeof ALL;
  }
}

export const commands: ReadonlyMap<string, Command> = new Map(
  ALL.map((command: Command) => [command.kind, command]),
);
