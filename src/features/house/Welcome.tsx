'use client';

import { ComeIn } from '@/ui/ComeIn';
import { EntryPage } from '@/ui/EntryPage';
import { TextInput } from '@/ui/fields';

/** First run: whose house this is, and the lead's own sign-in. The first steps come next. */
export function Welcome({ houseName, leadName }: { houseName: string; leadName: string }) {
  return (
    <EntryPage title="Set up Kettlebrand for your roastery">
      <p>
        The house, and you as its quality lead. Everything stays on this machine; the first steps
        follow.
      </p>
      <ComeIn
        initial={{ houseName, name: leadName }}
        nameLabel="Your name, as the quality lead"
        submitLabel="Set up the house"
        command={{ kind: 'setUpHouse', with: {} }}
      >
        {(bind) => <TextInput label="Name of the roastery" {...bind('houseName')} autoFocus />}
      </ComeIn>
    </EntryPage>
  );
}
