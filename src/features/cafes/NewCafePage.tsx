'use client';

import { Link } from '@/ui/Link';
import { Page } from '@/ui/Page';
import { useMay } from '@/ui/person';
import { Small, StageTitle } from '@/ui/type';
import { PartnerForm } from './PartnerForm';

/** A new café, with its link made at once. */
export function NewCafePage({
  coffees,
}: {
  coffees: readonly { readonly id: string; readonly name: string }[];
}) {
  const isLead = useMay('lead');
  return (
    <Page $isNarrow>
      <Small>
        <Link href="/field">Field</Link>
      </Small>
      <StageTitle as="h1">Add a café</StageTitle>
      {isLead ? (
        <PartnerForm partner={null} coffees={coffees} />
      ) : (
        <p>Only the lead adds a café.</p>
      )}
    </Page>
  );
}
