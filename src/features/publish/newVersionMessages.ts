/** What partners and the team are told when a new version is out: what changed and why, and what to set. */
import type { Message } from '@/data/messages';
import { recipeDiff } from '@/formats/recipe/diff';
import type { RecipeBody } from '@/formats/recipe/document';
import { cardLines } from '@/formats/recipe/lines';
import { phasesIn } from '@/formats/recipe/sections';

type Written = Pick<Message, 'audience' | 'subject' | 'body'>;

interface Told {
  readonly last?: RecipeBody | undefined;
  /** Of the public page. */
  readonly address: string;
}

export function newVersionMessages(body: RecipeBody, { last, address }: Told): Written[] {
  const subject = `${body.coffee.name}: ${last ? `version ${body.version} of the recipe` : 'the recipe'}`;
  const lines = cardLines(body);
  const phases = phasesIn(body, 'en');
  const figures = [
    `Dose ${lines.Dose}, in the cup ${lines['In the cup']} (${lines.Ratio})`,
    `Time ${lines.Time}`,
    `Water ${lines.Temperature}`,
    lines.Grind && `Grind: ${lines.Grind}`,
    phases && phases.rows.map(({ days, grind }) => `${days}: ${grind}`).join('; '),
    lines.Rest,
  ].filter(Boolean);
  const why = body.whatChanged === '' ? [] : [`What changed and why: ${body.whatChanged}`];
  const read = `The card: ${address}`;
  const changes = last ? recipeDiff(last, body) : [];
  const changed = changes.map(
    ({ label, before, after }) => `${label}: ${before || 'nothing'} → ${after || 'nothing'}`,
  );
  return [
    { audience: 'partners', subject, body: paragraphs([...why, figures.join('\n'), read]) },
    {
      audience: 'team',
      subject,
      body: paragraphs([
        ...why,
        figures.join('\n'),
        changed.length === 0 ? '' : `Against version ${body.version - 1}:\n${changed.join('\n')}`,
        read,
      ]),
    },
  ];
}

const MOST_CHARACTERS = 3_900;

const paragraphs = (parts: readonly string[]) =>
  parts
    .filter((part) => part !== '')
    .join('\n\n')
    .slice(0, MOST_CHARACTERS);
