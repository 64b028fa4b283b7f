/**
 * Every command a browser can send: what it asks for and what it answers. The edge
 * checks all of it again; these types keep a form from sending what no command takes.
 */
import type { BATCH } from '../entity/batch';
import type { COMPONENT } from '../entity/component';
import type { DRAFT } from '../entity/draft';
import type { PARTS, Part } from '../entity/equipment';
import type { FormValues, TypedFigure } from '../entity/field';
import type { RECIPE } from '../entity/recipe';
import type { RELEASE } from '../entity/release';
import type { SHOT } from '../entity/shot';
import type { TRIAL } from '../entity/trial';
import type { Trace } from '../trace/schema';
import type { CafeCommands } from './cafeInputs';
import type { SentTable } from './sentTable';
import type { LaterCommands } from './restAndPaperInputs';
import type { SentCard } from './sentCard';

interface SentRelease extends FormValues<typeof RELEASE> {
  readonly components: readonly FormValues<typeof COMPONENT>[];
}
type SentBatch = FormValues<typeof BATCH>;

/** A row to be changed, as the person saw it; a new one when absent. */
interface MaybeSeen {
  readonly id?: string;
  readonly rowVersion?: number;
}

interface Removal {
  readonly what: string;
  readonly id: string;
}

interface NewPerson {
  readonly name: string;
  readonly signInName: string;
  readonly password: string;
}

/** An edit of something that was there can be undone under this id. */
interface Edited {
  readonly editId?: string;
}

/** A cup sheet as a form sends it. */
interface SentCup {
  readonly moment: string;
  readonly serving: string;
  readonly scales: object;
  readonly notesFound: readonly string[];
  readonly remark: string;
  readonly tdsPct?: TypedFigure;
}

/** A taster of a flight and the phone that holds the place. */
interface OfTaster {
  readonly tasterId: string;
  readonly device: string;
}

interface Nothing {
  readonly [key: string]: never;
}

/** What a command asks for and answers, by its kind. */
export interface Commands extends LaterCommands, CafeCommands {
  setUpHouse: {
    asks: NewPerson & { readonly houseName: string; readonly code: string };
    answers: Nothing;
  };
  saveHouse: { asks: { readonly rowVersion: number; readonly house: object }; answers: Edited };
  saveRules: {
    asks: {
      readonly rowVersion: number;
      readonly rules: readonly object[];
      readonly halfLife?: TypedFigure;
    };
    answers: Nothing;
  };
  invite: {
    asks: {
      readonly forWhom: string;
      readonly role: string;
      readonly token: string;
      readonly personId?: string | undefined;
    };
    answers: { readonly invitationId: string };
  };
  acceptInvitation: { asks: NewPerson & { readonly token: string }; answers: Nothing };
  changeRole: { asks: { readonly personId: string; readonly role: string }; answers: Nothing };
  endSessions: {
    /** One session, or all others than the one this comes from when absent. */
    asks: { readonly sessionId?: string };
    answers: Nothing;
  };
  saveUnits: { asks: { readonly volume: string; readonly temperature: string }; answers: Nothing };
  savePart: {
    asks: MaybeSeen & { readonly part: Part; readonly fields: FormValues<(typeof PARTS)[Part]> };
    answers: Edited & { readonly id: string };
  };
  beginCalibrationPeriod: {
    asks: {
      readonly grinderId: string;
      readonly kind: string;
      readonly shift?: TypedFigure;
      readonly reason: string;
    };
    answers: Nothing;
  };
  saveSetup: {
    asks: {
      readonly setupId?: string;
      readonly rowVersion?: number;
      readonly setup: { readonly name: string; readonly links: object } & Readonly<
        Partial<Record<`${Part}Id`, string>> & {
          [P in Part]?: FormValues<(typeof PARTS)[P]>;
        }
      >;
    };
    answers: Edited & { readonly setupId: string };
  };
  saveProgramme: {
    asks: MaybeSeen & {
      readonly name: string;
      readonly style: string;
      readonly steps: readonly object[];
      readonly isFirst?: boolean;
    };
    answers: Edited & { readonly id: string };
  };
  createRelease: {
    asks: { readonly release: SentRelease; readonly batch: SentBatch };
    answers: { readonly releaseId: string };
  };
  editRelease: {
    asks: {
      readonly releaseId: string;
      readonly rowVersion: number;
      readonly release: SentRelease;
    };
    answers: Edited & { readonly releaseId: string };
  };
  saveBatch: {
    asks: {
      readonly releaseId: string;
      readonly batchId?: string;
      readonly rowVersion?: number;
      readonly batch: SentBatch;
    };
    answers: Edited & { readonly batchId: string };
  };
  remove: { asks: Removal; answers: Nothing };
  restore: { asks: Removal; answers: Nothing };
  /** One change of several releases. */
  editReleases: {
    asks: {
      readonly releaseIds: readonly string[];
      readonly serving?: string;
      readonly addNotes?: readonly string[];
      readonly addTags?: readonly string[];
      readonly isArchived?: boolean;
    };
    answers: Edited;
  };
  undoEdit: { asks: { readonly editId: string }; answers: Nothing };
  acceptRecipe: {
    asks: Omit<FormValues<typeof RECIPE>, 'steps'> &
      FormValues<Pick<typeof DRAFT, 'temperatureSchool' | 'startDial' | 'why'>> &
      Partial<FormValues<Pick<typeof DRAFT, 'drink'>>> & {
        readonly releaseId: string;
        readonly batchId: string;
        readonly setupId: string | undefined;
        readonly style: string;
        readonly steps?: readonly object[] | undefined;
        readonly overruled?: readonly string[];
        readonly basedOn?: string | null;
        readonly proposed?: Readonly<Record<string, number>> | undefined;
      };
    answers: { readonly draftId: string };
  };
  /** From here on a dial-in of this release may touch the dose. */
  trimDose: { asks: { readonly releaseId: string }; answers: Nothing };
  carryRecipe: {
    asks: { readonly releaseId: string; readonly batchId: string };
    answers: { readonly draftId: string };
  };
  useRecipe: {
    asks: { readonly releaseId: string; readonly draftId: string };
    answers: Nothing;
  };
  logShot: {
    asks: FormValues<typeof SHOT> & {
      readonly draftId: string;
      readonly pulledAt?: string;
      readonly trace?: Trace | undefined;
    };
    answers: { readonly shotId: string };
  };
  correctShot: {
    asks: FormValues<typeof SHOT> & { readonly shotId: string; readonly rowVersion: number };
    answers: Edited & { readonly shotId: string };
  };
  removeShot: { asks: { readonly shotId: string }; answers: { readonly shotId: string } };
  restoreShot: { asks: { readonly shotId: string }; answers: { readonly shotId: string } };
  recordTasting: {
    asks: SentCup & { readonly shotId: string; readonly tastedAt?: string };
    answers: { readonly tastingId: string };
  };
  correctTasting: {
    asks: SentCup & { readonly tastingId: string; readonly rowVersion: number };
    answers: Edited & { readonly tastingId: string };
  };
  removeTasting: {
    asks: { readonly tastingId: string };
    answers: { readonly tastingId: string };
  };
  restoreTasting: {
    asks: { readonly tastingId: string };
    answers: { readonly tastingId: string };
  };
  /** What is noted replaces what was; no cups is none noted. */
  noteStages: {
    asks: {
      readonly shotId: string;
      readonly cups: readonly {
        readonly massG: number;
        readonly tdsPct?: number | undefined;
        readonly taste?: string | undefined;
      }[];
      readonly likeness?: string;
    };
    answers: Nothing;
  };
  /** What the trial of a release may change, and what it may take. */
  saveTrial: {
    asks: {
      readonly releaseId: string;
      readonly rowVersion: number;
      readonly bounds: FormValues<typeof TRIAL>;
    };
    answers: Nothing;
  };
  /** A blind flight, with its cups under codes. */
  planFlight: {
    asks: {
      readonly releaseId: string;
      readonly test: string;
      readonly question: string;
      readonly arms: readonly object[];
      readonly places: TypedFigure;
      readonly hours: TypedFigure;
      readonly hasDuplicate?: boolean;
      readonly asksLikeness?: boolean;
    };
    answers: { readonly flightId: string; readonly code: string };
  };
  changeFlight: {
    asks: { readonly flightId: string; readonly places: TypedFigure; readonly hours: TypedFigure };
    answers: Nothing;
  };
  /** A cup stands on the table; `shotId` is absent for one from elsewhere. */
  pourCup: {
    asks: { readonly flightId: string; readonly code: string; readonly shotId?: string };
    answers: Nothing;
  };
  freePlace: { asks: { readonly tasterId: string }; answers: Nothing };
  revealFlight: { asks: { readonly flightId: string }; answers: Nothing };
  decideFlight: {
    asks: {
      readonly flightId: string;
      readonly chosenArm: number | null;
      readonly decision: string;
    };
    answers: Nothing;
  };
  joinFlight: {
    asks: { readonly flightCode: string; readonly name: string; readonly device: string };
    answers: { readonly tasterId: string };
  };
  tasteBlind: {
    asks: OfTaster & {
      readonly code: string;
      readonly moment: string;
      readonly scales: object;
      readonly notesFound: readonly string[];
      readonly remark: string;
      readonly likeness?: string;
      readonly tastedAt?: string;
    };
    answers: { readonly isLate: boolean };
  };
  answerFlight: {
    asks: OfTaster & { readonly codes: readonly string[] };
    answers: Nothing;
  };
  publish: {
    asks: SentCard;
    answers: { readonly version: number; readonly sha256: string };
  };
  withdraw: {
    asks: { readonly releaseId: string; readonly why: string; readonly wasWrong?: boolean };
    answers: Nothing;
  };
  showAgain: { asks: { readonly releaseId: string }; answers: Nothing };
  importDocument: {
    asks: { readonly document: string };
    answers: { readonly releaseId: string; readonly identicalVersion?: number };
  };
  importReleases: { asks: SentTable; answers: { readonly news: string } };
  importRecipes: { asks: SentTable; answers: { readonly news: string } };
  importShots: { asks: SentTable; answers: { readonly news: string } };
  importTastings: { asks: SentTable; answers: { readonly news: string } };
}
export type CommandKind = keyof Commands;
