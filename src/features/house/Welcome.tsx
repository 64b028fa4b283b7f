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
        follow. The code stands where the server was started, so that nobody else can claim this
        house.
      </p>
      <ComeIn
        initial={{ code: '', houseName, name: leadName }}
        nameLabel="Your name, as the quality lead"
        submitLabel="Set up the house"
        command={{ kind: 'setUpHouse', with: {} }}
      >
        {(bind) => (
          <>
            <TextInput
              label="Code"
              hint="Three groups of four, printed at start"
              autoComplete="one-time-code"
              {...bind('code')}
              autoFocus
            />
            <TextInput label="Name of the roastery" {...bind('houseName')} />
          </>
        )}
      </ComeIn>
    </EntryPage>
  );
}
