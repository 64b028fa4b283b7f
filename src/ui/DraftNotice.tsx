'use client';

import { QuietButton } from './Button';
import { Notice } from './type';
import type { Draft } from './useDraft';

const SHOWN: Intl.DateTimeFormatOptions = {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
};

/** Says that what was typed earlier is here again, or that this browser keeps nothing. */
export function DraftNotice({ draft }: { draft: Draft }) {
  if (draft.isLost)
    return (
      <Notice role="status">
        This browser keeps no drafts: its storage is full or closed. What you type works, but is
        gone if you leave before you save.
      </Notice>
    );
  if (draft.from === null) return null;
  const when = new Intl.DateTimeFormat('en-GB', SHOWN).format(new Date(draft.from));
  return (
    <Notice role="status">
      What you typed on {when} is here again; it was not saved.{' '}
      <QuietButton onPress={draft.startAgain}>Start again</QuietButton>
    </Notice>
  );
}
