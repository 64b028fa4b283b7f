/** Commands about what leaves the house beside the recipe: remarks, messages, papers, planned cards. */
import type { SentCard } from './sentCard';
import type { Topic } from './topics';

interface Nothing {
  readonly [key: string]: never;
}

export interface MessageCommands {
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
}

export const MESSAGE_CHANGES = {
  leaveRemark: ['message'],
  settleRemark: ['message'],
  editMessage: ['message'],
  fileMessage: ['message'],
  notePrinted: ['publication'],
  planPublication: ['publication'],
  cancelPlanned: ['publication'],
} as const satisfies Readonly<Record<keyof MessageCommands, readonly Topic[]>>;
