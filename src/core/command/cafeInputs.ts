/** Commands about cafés: who they are, what they send, what they are answered. */
import type { FormValues } from '../entity/field';
import type { CAFE_CHECK } from '../entity/cafeCheck';
import type { PARTNER } from '../entity/partner';
import type { SentTable } from './sentTable';

interface Nothing {
  readonly [key: string]: never;
}

/** One coffee of a sheet. */
export interface SentCheck {
  readonly releaseId: string;
  /** On the bag; unknown when absent. */
  readonly roastDate?: string | undefined;
  readonly check: FormValues<typeof CAFE_CHECK>;
}

export interface CafeCommands {
  savePartner: {
    asks: {
      readonly id?: string;
      readonly rowVersion?: number;
      readonly partner: FormValues<typeof PARTNER>;
      readonly releaseIds: readonly string[];
    };
    answers: { readonly partnerId: string };
  };
  renewPartnerLink: {
    asks: { readonly partnerId: string; readonly isNew: boolean };
    answers: Nothing;
  };
  retirePartner: { asks: { readonly partnerId: string }; answers: Nothing };
  askRound: {
    asks: { readonly partnerId: string; readonly isAsked: boolean };
    answers: Nothing;
  };
  sendChecks: {
    asks: {
      readonly secret: string;
      readonly at?: string;
      readonly checks: readonly SentCheck[];
      readonly help: string;
    };
    answers: { readonly isDatedHere: boolean };
  };
  enterChecks: {
    asks: {
      readonly partnerId: string;
      readonly at: string;
      readonly checks: readonly SentCheck[];
    };
    answers: Nothing;
  };
  settleHelp: { asks: { readonly visitId: string }; answers: Nothing };
  removeCafeCheck: {
    asks: { readonly checkId: string; readonly isAway: boolean };
    answers: Nothing;
  };
  answerPartner: {
    asks: {
      readonly partnerId: string;
      readonly releaseId: string;
      readonly subject: string;
      readonly body: string;
      /** What it answers. */
      readonly signal?: string;
      readonly asksRound: boolean;
    };
    answers: { readonly messageId: string };
  };
  importChecks: { asks: SentTable; answers: { readonly news: string } };
  settleSignal: {
    asks: { readonly signal: string; readonly cause: string; readonly note: string };
    answers: Nothing;
  };
}
