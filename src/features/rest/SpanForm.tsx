'use client';

import { type FormEvent } from 'react';
import { figure } from '@/core/figure';
import type { RestSpan } from '@/core/rest/rest';
import { readNumber } from '@/core/readNumber';
import { Button, QuietButton } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { FieldGrid, QuantityInput } from '@/ui/fields';
import { More } from '@/ui/More';
import { Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { useTextForm } from '@/ui/useTextForm';

const DAYS = [
  ['opens', 'Opens on day'],
  ['bestFrom', 'Best from day'],
  ['bestTo', 'Best to day'],
  ['fades', 'Fades on day'],
] as const;

/** The span in force, and the release's own in place of the school's. */
export function SpanForm({
  releaseId,
  rowVersion,
  span,
  isOwn,
}: {
  releaseId: string;
  rowVersion: number;
  span: RestSpan;
  isOwn: boolean;
}) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const { text, bind } = useTextForm(
    {
      opens: figure(span.opens, 0),
      bestFrom: figure(span.bestFrom, 0),
      bestTo: figure(span.bestTo, 0),
      fades: figure(span.fades, 0),
    },
    faultOf,
  );
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    const days = Object.fromEntries(
      DAYS.map(([name]) => [name, readNumber(text[name]) ?? text[name]]),
    ) as Record<(typeof DAYS)[number][0], number | string>;
    void submit('saveSpan', { releaseId, rowVersion, span: days });
  };
  const school = () => void submit('saveSpan', { releaseId, rowVersion, span: null });
  return (
    <More
      label={`Rest span: opens day ${figure(span.opens, 0)}, best ${figure(span.bestFrom, 0)}-${figure(span.bestTo, 0)}, fades ${figure(span.fades, 0)} (${isOwn ? 'this release’s own' : 'by the house’s school'})`}
      hasFault={faults.length > 0}
    >
      <form onSubmit={onSubmit} noValidate aria-label="Rest span">
        <FieldGrid>
          {DAYS.map(([name, label]) => (
            <QuantityInput
              key={name}
              label={label}
              quantity="restDays"
              step={1}
              {...bind(name, `span.${name}`)}
            />
          ))}
        </FieldGrid>
        <Faults faults={faults} shown={DAYS.map(([name]) => `span.${name}`)} />
        <p>
          <Button type="submit" isPending={isBusy}>
            Use this span for the release
          </Button>{' '}
          {isOwn && (
            <QuietButton isPending={isBusy} onPress={school}>
              Back to the school’s
            </QuietButton>
          )}
        </p>
        <Small>
          Checks, strips, proposals and what is due follow it; cards keep what they say.
        </Small>
      </form>
    </More>
  );
}
