'use client';

import { ROLE_LABELS, ROLE_WORDS, type Role } from '@/core/roles';
import { ComeIn } from '@/ui/ComeIn';
import { EntryPage } from '@/ui/EntryPage';

/** Coming in by a one-time link. */
export function Invited({
  token,
  houseName,
  forWhom,
  role,
}: {
  token: string;
  houseName: string;
  forWhom: string;
  role: Role;
}) {
  return (
    <EntryPage title={`Join ${houseName}`}>
      <p>
        You are invited as {ROLE_LABELS[role].toLowerCase()}, who {ROLE_WORDS[role]}. This link
        works once.
      </p>
      <ComeIn
        initial={{ name: forWhom }}
        nameLabel="Your name"
        submitLabel="Join"
        command={{ kind: 'acceptInvitation', with: { token } }}
      />
    </EntryPage>
  );
}
