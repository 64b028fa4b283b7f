'use client';

import Link from 'next/link';
import type { FormEvent } from 'react';
import styled from 'styled-components';
import type { RecipeBody } from '@/formats/recipeDocument';
import { buttonLook, MainButton } from '@/ui/Button';
import { dayWords } from '@/ui/dates';
import { Faults } from '@/ui/Faults';
import { TextAreaInput } from '@/ui/fields';
import { Notice, SectionTitle, Small, StageTitle } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { useTextForm } from '@/ui/useTextForm';
import { CardBody } from './CardBody';
import type { PublishWords } from './document';

const Stack = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
`;

const Form = styled.form`
  display: grid;
  gap: 12px;
`;

const Words = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 12px;

  @media (max-width: 640px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Links = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;

  a {
    ${buttonLook}
  }
`;

const SHOWN = ['right', 'short', 'long', 'whatChanged'];

export interface PublishStageProps {
  readonly releaseId: string;
  readonly draftId: string | null;
  /** The body publishing now would make, with empty words; null without a recipe on the bench. */
  readonly body: RecipeBody | null;
  readonly words: PublishWords;
  readonly isConfirmed: boolean;
  readonly versions: readonly { number: number; publishedAt: string }[];
  readonly token: string | null;
  /** The version whose document was just read back unchanged. */
  readonly readBack: number | null;
}

export function PublishStage(props: PublishStageProps) {
  const { releaseId, body, draftId, versions, token, readBack } = props;
  if (!body || draftId === null)
    return (
      <Stack>
        <StageTitle>Nothing to publish yet</StageTitle>
        <p>
          A card needs a recipe.{' '}
          <Link href={`/releases/${releaseId}/start`}>Begin with a proposal</Link>.
        </p>
      </Stack>
    );
  return (
    <Stack>
      <StageTitle>Can a stranger repeat it?</StageTitle>
      {readBack !== null && (
        <Notice $kind="good" role="status">
          The document you read is version {readBack} of this release, unchanged: its hash matches.
        </Notice>
      )}
      {token && versions[0] && <Published token={token} versions={versions} />}
      <PublishForm {...props} body={body} draftId={draftId} key={body.version} />
    </Stack>
  );
}

function Published({
  token,
  versions,
}: {
  token: string;
  versions: PublishStageProps['versions'];
}) {
  return (
    <section>
      <SectionTitle>
        Version {versions[0]!.number} is public since {dayWords(versions[0]!.publishedAt)}
      </SectionTitle>
      <Links style={{ marginTop: 10 }}>
        <a href={`/p/${token}`} target="_blank" rel="noreferrer">
          Open the public page
        </a>
        <a href={`/p/${token}/recipe.json`} download>
          Download the recipe document
        </a>
      </Links>
    </section>
  );
}

function PublishForm({
  releaseId,
  draftId,
  body,
  words: initial,
  isConfirmed,
}: PublishStageProps & { body: RecipeBody; draftId: string }) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const { text: words, bind } = useTextForm(initial, faultOf);
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    void submit('publish', { releaseId, draftId, ...words });
  };
  const { whatChanged, ...sensory } = words;
  return (
    <>
      {!isConfirmed && (
        <Notice>
          This recipe is not confirmed: two shots in a row on target at one setting are missing. The
          card will say so.
        </Notice>
      )}
      <Form onSubmit={onSubmit} noValidate aria-label="Publish">
        <Words>
          <TextAreaInput label="How it tastes when right" rows={3} {...bind('right')} />
          <TextAreaInput label="When short, and what to do" rows={3} {...bind('short')} />
          <TextAreaInput label="When long, and what to do" rows={3} {...bind('long')} />
        </Words>
        {body.version > 1 && (
          <TextAreaInput
            label={`What changed from version ${body.version - 1}, and why`}
            {...bind('whatChanged')}
          />
        )}
        <Faults faults={faults} shown={SHOWN} />
        <p>
          <MainButton type="submit" isDisabled={isBusy}>
            Publish version {body.version}
          </MainButton>{' '}
          <Small>
            This leaves the house: anyone with the address can read it, and it never changes.
          </Small>
        </p>
      </Form>
      <section>
        <SectionTitle>Preview</SectionTitle>
        <div style={{ marginTop: 12 }}>
          <CardBody isPreview body={{ ...body, sensory: placeholders(sensory), whatChanged }} />
        </div>
      </section>
    </>
  );
}

/** Unwritten words show as what is missing, so the preview never looks finished before it is. */
function placeholders(sensory: RecipeBody['sensory']): RecipeBody['sensory'] {
  return {
    right: sensory.right || 'Not written yet.',
    short: sensory.short || 'Not written yet.',
    long: sensory.long || 'Not written yet.',
  };
}
