'use client';

import { Link } from '@/ui/Link';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import type { PublicAddress, PublicName } from '@/data/publications';
import type { Difference } from '@/formats/recipe/diff';
import type { RecipeBody } from '@/formats/recipe/document';
import { dayWords } from '@/core/dayWords';
import type { PlannedPublication, Printed } from '@/data/printed';
import { Button, MainButton } from '@/ui/Button';
import { DayInput } from '@/ui/DayInput';
import { DraftNotice } from '@/ui/DraftNotice';
import { Faults } from '@/ui/Faults';
import { TextAreaInput } from '@/ui/fields';
import { More } from '@/ui/More';
import { useMay } from '@/ui/person';
import { Notice, SectionTitle, Small, StageTitle } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { useDraft } from '@/ui/useDraft';
import { useTextForm } from '@/ui/useTextForm';
import type { CardOffers } from '@/views/cardOffers';
import { CardBody } from './CardBody';
import { changedLabel, FOR_MILK_WORDS, gapsOf, WORD_LABELS, wordsLacking } from './check';
import { composeBody, composeFaults, NOTHING_COMPOSED, type Composed } from './compose';
import { Composer } from './Composer';
import { composedOf, composedSent, composedText, type ComposedText } from './composedText';
import { ConfirmPublish } from './ConfirmPublish';
import { Differences } from './Differences';
import type { PublishWords } from './document';
import { FoundInCups } from './FoundInCups';
import { PublishChecks } from './PublishChecks';
import type { PassText } from './passText';
import { Papers } from './Papers';
import { Planned } from './Planned';
import { Published } from './Published';
import type { Readiness } from './readiness';
import { Versions, type PublishedVersion } from './Versions';

const Stack = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
`;

/** The card stands beside its words and changes as they are typed. */
const Beside = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 6fr);
  gap: 24px;
  align-items: start;

  @media (max-width: 1000px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;

const Form = styled.form`
  display: grid;
  gap: 14px;
`;

const Words = styled.div`
  display: grid;
  gap: 12px;
`;

/** Everything of the form as typed. */
type CardText = PublishWords & ComposedText;

const wordsOfCard = ({ right, short, long, whatChanged }: CardText): PublishWords => ({
  right,
  short,
  long,
  whatChanged,
});

const SHOWN = ['right', 'short', 'long', 'whatChanged', 'confirmed', 'tasted', 'rested', 'onDay'];

export interface PublishStageProps {
  readonly releaseId: string;
  readonly draftId: string | null;
  /** The recipe on the bench is the one for milk drinks. */
  readonly isForMilk: boolean;
  /** The body publishing now would make; null without a recipe on the bench. */
  readonly body: RecipeBody | null;
  readonly words: PublishWords;
  /** What the card could say beside the recipe; null without one on the bench. */
  readonly offers: CardOffers | null;
  /** What it says to begin with. */
  readonly composed: Composed;
  /** What cup sheets of this recipe found, for the words of the card. */
  readonly found: readonly string[];
  readonly readiness: readonly Readiness[];
  /** What publishing now would change of the last version. */
  readonly differences: readonly Difference[];
  /** The recipe on the bench is the one that was published last. */
  readonly isAsPublished: boolean;
  readonly versions: readonly PublishedVersion[];
  readonly address: PublicAddress | null;
  readonly printed: readonly Printed[];
  /** Releases whose cards are public. */
  readonly others: readonly PublicName[];
  readonly planned: Pick<PlannedPublication, 'onDay' | 'plannedBy' | 'heldBecause'> | null;
  /** The day the batch opens, where it lies ahead: a card may wait for it. */
  readonly opensOn: string | null;
  /** The version whose document was just read back unchanged. */
  readonly readBack: number | null;
}

export function PublishStage(props: PublishStageProps) {
  const { releaseId, body, draftId, versions, address, readBack } = props;
  const isLead = useMay('lead');
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
      {address && versions[0] && (
        <Published releaseId={releaseId} address={address} version={versions[0]} />
      )}
      {props.planned && <Planned releaseId={releaseId} planned={props.planned} isLead={isLead} />}
      {props.isForMilk ? (
        <Notice role="status">
          {FOR_MILK_WORDS} <Link href={`/releases/${releaseId}/taste`}>To Taste</Link>
        </Notice>
      ) : isLead ? (
        <PublishForm
          {...props}
          body={body}
          draftId={draftId}
          offers={props.offers!}
          key={body.version}
        />
      ) : (
        <>
          <PublishChecks readiness={props.readiness} />
          <p>
            <Small>Only the lead publishes. This is what the card would say now.</Small>
          </p>
          <Preview body={props.offers ? composeBody(body, props.composed, props.offers) : body} />
        </>
      )}
      {address && address.withdrawnAt === null && versions[0] && (
        <Papers
          releaseId={releaseId}
          token={address.token}
          version={versions[0].number}
          ownLanguage={body.language ?? 'en'}
          printed={props.printed}
          others={props.others.filter(({ token }) => token !== address.token)}
        />
      )}
      <Versions versions={versions} />
    </Stack>
  );
}

function PublishForm({
  releaseId,
  draftId,
  body,
  words: initial,
  composed,
  offers,
  found,
  opensOn,
  readiness,
  differences,
  isAsPublished,
}: PublishStageProps & { body: RecipeBody; draftId: string; offers: CardOffers }) {
  const { submit, refuse, faults, faultOf, isBusy } = useCommand();
  const start: CardText = { ...initial, ...composedText(composed) };
  const { text, bind, change } = useTextForm(start, faultOf);
  const draft = useDraft(`card ${draftId}`, { value: text, initial: start, onRestore: change });
  const words = wordsOfCard(text);
  const added = composedOf(text);
  const isAdded = added !== null;
  const [passed, setPassed] = useState<PassText>({});
  const [isAsking, setAsking] = useState(false);
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    const lastVersion = body.version > 1 ? body.version - 1 : null;
    const lacking = [
      ...gapsOf(readiness, passed),
      ...wordsLacking(words, lastVersion),
      ...(isAdded ? composeFaults(body, added, offers) : []),
    ];
    refuse(lacking);
    setAsking(lacking.length === 0);
  };
  const [onDay, setOnDay] = useState(opensOn ?? '');
  const plan = async () => {
    const sent = { ...words, ...composedSent(text) };
    const answer = await submit('planPublication', { releaseId, draftId, ...sent, passed, onDay });
    if (answer.ok) draft.forget();
  };
  const publish = async () => {
    setAsking(false);
    const sent = { ...words, ...composedSent(text) };
    const answer = await submit('publish', { releaseId, draftId, ...sent, passed });
    if (answer.ok) draft.forget();
  };
  const { whatChanged, ...sensory } = words;
  return (
    <Beside>
      <Stack>
        <Form onSubmit={onSubmit} noValidate aria-label="Publish">
          <PublishChecks
            readiness={readiness}
            passed={passed}
            onPass={(gate, reason) => setPassed((before) => ({ ...before, [gate]: reason }))}
            faultOf={faultOf}
          />
          <DraftNotice draft={draft} />
          <Words>
            <TextAreaInput label={WORD_LABELS.right} rows={2} {...bind('right')} />
            <TextAreaInput label={WORD_LABELS.short} rows={2} {...bind('short')} />
            <TextAreaInput label={WORD_LABELS.long} rows={2} {...bind('long')} />
          </Words>
          <FoundInCups found={found} onTake={(right) => change({ right })} />
          {body.version > 1 && (
            <TextAreaInput label={changedLabel(body.version - 1)} {...bind('whatChanged')} />
          )}
          <Composer
            text={text}
            change={change}
            offers={offers}
            ownLanguage={body.language ?? 'en'}
            faultOf={faultOf}
          />
          <Faults faults={faults} shown={SHOWN} />
          <p>
            <MainButton type="submit" isPending={isBusy}>
              Publish version {body.version}
            </MainButton>
          </p>
          <More label="Publish it on a later day" hasFault={faultOf('onDay') !== undefined}>
            <Words>
              <DayInput
                label="The day it goes out"
                value={onDay}
                onChange={setOnDay}
                fault={faultOf('onDay')}
              />
              <Small>
                {opensOn === null ? '' : `The batch opens on ${dayWords(opensOn)}. `}
                Its gates are asked for on that day; what keeps it back then is said here.
              </Small>
              <p>
                <Button isPending={isBusy} onPress={() => void plan()}>
                  Plan version {body.version}
                </Button>
              </p>
            </Words>
          </More>
        </Form>
        {body.version > 1 && (
          <Differences
            differences={differences}
            from={body.version - 1}
            isAsPublished={isAsPublished}
          />
        )}
      </Stack>
      {isAsking && (
        <ConfirmPublish
          body={body}
          onPublish={() => void publish()}
          onClose={() => setAsking(false)}
        />
      )}
      <Preview
        body={{
          ...composeBody(body, added ?? NOTHING_COMPOSED, offers),
          sensory: placeholders(sensory),
          whatChanged,
        }}
      />
    </Beside>
  );
}

function Preview({ body }: { body: RecipeBody }) {
  return (
    <section aria-label="Preview of the card">
      <SectionTitle>Preview</SectionTitle>
      <div style={{ marginTop: 12 }}>
        <CardBody isPreview body={body} />
      </div>
    </section>
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
