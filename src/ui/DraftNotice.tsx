'use client';

import { QuietButton } from './Button';
import { useMoment } from './moment';
import { Notice } from './type';
import type { Draft } from './useDraft';

/** Says that what was typed earlier is here again, or that this browser keeps nothing. */
export function DraftNotice({ draft }: { draft: Draft }) {
  const moment = useMoment();
  if (draft.isLost)
    return (
      <Notice role="status">
        This browser keeps no drafts: its storage is full or closed. What you type works, but is
        gone if you leave before you save.
      </Notice>
    );
  if (draft.from === null) return null;
  return (
    <Notice role="status">
      What you typed on {moment(draft.from)} is here again; it was not saved.{' '}
      <QuietButton onPress={draft.startAgain}>Start again</QuietButton>
    </Notice>
  );
}
