'use client';

import { Link } from '@/ui/Link';
import styled from 'styled-components';
import { altitudeWords } from '@/core/coffee/altitude';
import { isRoastAhead } from '@/core/state/batchAge';
import { dayWords } from '@/core/dayWords';
import { COMPONENT, type ComponentRow } from '@/core/entity/component';
import { entriesOf } from '@/core/entity/field';
import { valueWords } from '@/core/entity/words';
import { roastWord, SERVED_LABELS } from '@/core/vocabulary';
import { blendedOf } from '@/core/schema/shares';
import { useUnits } from '@/ui/person';
import { labelText } from '@/ui/type';
import type { BatchView, ReleaseView } from '@/views/release';
import { kindWords, originWords } from './words';

const Facts = styled.aside`
  font-size: 14px;
  font-stretch: 86%;

  h1 {
    font-size: 22px;
    font-stretch: 92%;
    overflow-wrap: anywhere;
    margin-bottom: 4px;
  }

  dl {
    margin-top: 12px;
    display: grid;
    gap: 7px;
  }

  dt {
    ${labelText}
    font-size: 13px;
  }

  dd {
    font-weight: 520;
    overflow-wrap: anywhere;
  }

  @media (max-width: 1000px) {
    order: 3;

    dl {
      grid-template-columns: 1fr 1fr;
    }
  }

  /* A page begins with whose it is. */
  @media print {
    order: 0;

    dl {
      grid-template-columns: repeat(4, 1fr);
      gap: 4px 12px;
    }
  }
`;

const ROAST_SOURCES = {
  ground: 'by ground colour',
  bean: 'by bean colour',
  word: '',
  thumb: 'by the crush test alone',
} as const;

/** The coffee's facts, narrow, beside every stage. */
export function FactsColumn({
  view,
  batch,
  isOnBench,
}: {
  view: ReleaseView;
  /** The one looked at. */
  batch: BatchView;
  isOnBench: boolean;
}) {
  const { release, batches } = view;
  const { mass } = useUnits();
  const components = blendedOf(release.components, batch.sharesPct);
  const [only] = components;
  const single = components.length === 1 ? only : undefined;
  const { level, source } = batch.roast;
  const facts: [string, string][] = [
    ...(single
      ? [['Kind', kindWords(single)] as [string, string], ...componentFacts(single)]
      : components.map((component): [string, string] => [
          `${component.sharePct} %`,
          [component.region || component.country, kindWords(component)].filter(Boolean).join(', '),
        ])),
    [
      'Roast',
      level === null || source === null
        ? 'not known; the rest span is that of a medium roast'
        : [roastWord(level), ROAST_SOURCES[source]].filter(Boolean).join(' '),
    ],
    [
      'Roasted',
      `${dayWords(batch.roastDate)}${batch.label && ` (${batch.label})`}, ${
        isRoastAhead(batch.roastDate, view.today)
          ? 'which lies ahead'
          : `rested ${batch.rest.restDays} days`
      }`,
    ],
    [
      'Batches',
      batches.length > 1
        ? `${batches.length}, this one ${isOnBench ? '' : 'not '}on the bench`
        : '',
    ],
    ['Sample left', batch.leftG === null ? '' : mass(Math.max(0, batch.leftG), 0)],
    ['Served', SERVED_LABELS[release.serving]],
    ['Promised', release.promisedNotes.join(', ')],
  ];
  return (
    <Facts aria-label="Coffee">
      <h1>{release.name}</h1>
      <p>{originWords(components)}</p>
      <dl>
        {facts
          .filter(([, value]) => value !== '')
          .map(([name, value], i) => (
            <div key={`${name}${i}`}>
              <dt>{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
      </dl>
      <LogLink href={`/releases/${release.id}/log`}>Who did what when</LogLink>
    </Facts>
  );
}

/** Said in the lines above: where it is from and what kind it is. */
const SAID_ABOVE: readonly string[] = [
  'sharePct',
  'country',
  'region',
  'producer',
  'variety',
  'varietyClass',
  'process',
  // Part of the altitude.
  'altitudeToM',
];

/** Every other fact of a component, by its own label. */
function componentFacts(component: ComponentRow): [string, string][] {
  return entriesOf(COMPONENT)
    .filter(([name]) => !SAID_ABOVE.includes(name))
    .map(([name, field]) => [
      field.label,
      name === 'altitudeM' ? altitudeWords(component) : valueWords(field, component[name]),
    ]);
}

const LogLink = styled(Link)`
  ${labelText}
  display: inline-block;
  margin-top: 14px;
`;
