'use client';

import { useRouter } from 'next/navigation';
import { Page } from '@/ui/Page';
import { StageTitle } from '@/ui/type';
import { ReleaseForm } from './ReleaseForm';

export function NewRelease({ today }: { today: string }) {
  const router = useRouter();
  const initial = {
    name: '',
    country: '',
    region: '',
    producer: '',
    variety: '',
    varietyClass: '',
    process: '',
    altitudeM: '',
    densityGPerL: '',
    roastLevel: '',
    roastDate: today,
    promisedNotes: '',
  };
  return (
    <Page>
      <StageTitle as="h1">A new release</StageTitle>
      <ReleaseForm
        initial={initial}
        submitLabel="Create and read it"
        command={{ kind: 'createRelease', with: {} }}
        onDone={(result) => router.push(`/releases/${String(result.releaseId)}/read`)}
      />
    </Page>
  );
}
