/** Commands about a coffee's rest and about what leaves the house beside the recipe. */
import type { FormValues, TypedFigure } from '../entity/field';
import type { RECHECK } from '../entity/recheck';
import type { SAMPLE } from '../entity/sample';
import type { SentCard } from './sentCard';

interface Nothing {
  readonly [key: string]: never;
}

export interface LaterCommands {
  leaveRemark: {
    asks: {
      readonly token: string;
      readonly version: number;
      readonly language: string;
      readonly words: string;
    };
    answers: Nothing;
  };
  settleRemark: { asks: { readonly remarkId: string }; answers: Nothing };
  editMessage: {
    asks: {
      readonly messageId: string;
      readonly rowVersion: number;
      readonly subject: string;
      readonly body: string;
    };
    answers: Nothing;
  };
  fileMessage: { asks: { readonly messageId: string }; answers: Nothing };
  notePrinted: {
    asks: {
      readonly releaseId: string;
      readonly paper: string;
      readonly copies: number | string | undefined;
    };
    answers: Nothing;
  };
  planPublication: { asks: SentCard & { readonly onDay: string }; answers: Nothing };
  cancelPlanned: { asks: { readonly releaseId: string }; answers: Nothing };
  saveSample: {
    asks: {
      readonly batchId: string;
      readonly id?: string;
      readonly rowVersion?: number;
      readonly sample: FormValues<typeof SAMPLE>;
    };
    answers: { readonly sampleId: string };
  };
  openSample: {
    asks: { readonly batchId: string; readonly sampleId: string | null };
    answers: Nothing;
  };
  askRecheck: {
    asks: { readonly batchId: string; readonly recheck: FormValues<typeof RECHECK> };
    answers: { readonly recheckId: string };
  };
  saveSpan: {
    asks: {
      readonly releaseId: string;
      readonly rowVersion: number;
      /** The school's again where null. */
      readonly span: Readonly<
        Record<'opens' | 'bestFrom' | 'bestTo' | 'fades', TypedFigure>
      > | null;
    };
    answers: Nothing;
  };
  renewCalendar: { asks: Nothing; answers: Nothing };
}
