'use client';

import { useState } from 'react';
import styled from 'styled-components';
import { LANGUAGE_NAMES, LANGUAGES, type Language } from '@/core/language';
import { PAPER_LABELS, PAPERS, type Paper } from '@/core/papers';
import type { Printed } from '@/data/printed';
import { readNumber } from '@/core/readNumber';
import { Button } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import type { PublicName } from '@/data/publications';
import { FieldGrid, SelectInput, TextInput } from '@/ui/fields';
import { useMay } from '@/ui/person';
import { Notice, SectionTitle, Small } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';

const Grid = styled.div`
  display: grid;
  gap: 8px;
  margin-top: 10px;
`;

const Row = styled.div`
  display: grid;
  grid-template-columns: minmax(150px, 2fr) minmax(0, 3fr) 90px auto;
  gap: 6px 14px;
  align-items: end;

  a {
    padding: 8px 0;
  }

  @media (max-width: 640px) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
`;

interface PapersProps {
  readonly releaseId: string;
  readonly token: string;
  readonly version: number;
  readonly ownLanguage: Language;
  readonly printed: readonly Printed[];
  /** Other coffees whose cards are public: the café's sheet has room for two of them. */
  readonly others: readonly PublicName[];
}

/** What can be printed of the newest version, what was, and what of it is stale. */
export function Papers(props: PapersProps) {
  const { releaseId, token, version, ownLanguage, printed, others } = props;
  const [beside, setBeside] = useState<readonly [string, string]>(['', '']);
  const [language, setLanguage] = useState<Language>(ownLanguage);
  const stale = printed.filter(({ versionNumber }) => versionNumber < version);
  return (
    <section>
      <SectionTitle>On paper</SectionTitle>
      {stale.length > 0 && (
        <Notice role="status">
          To print again, still of an older version:{' '}
          {stale
            .map(
              ({ paper, versionNumber, copies }) =>
                `${copies} × ${PAPER_LABELS[paper].toLowerCase()} (version ${versionNumber})`,
            )
            .join(', ')}
          .
        </Notice>
      )}
      <Grid>
        <SelectInput
          label="Language of the papers"
          options={LANGUAGES.map((value) => ({ value, label: LANGUAGE_NAMES[value] }))}
          value={language}
          onChange={(value) => setLanguage(value as Language)}
        />
        {others.length > 0 && (
          <FieldGrid $columns={2}>
            {([0, 1] as const).map((at) => (
              <SelectInput
                key={at}
                label={`Café sheet: ${at === 0 ? 'second' : 'third'} coffee`}
                options={[
                  { value: '', label: 'none' },
                  ...others.map(({ name, token: value }) => ({ value, label: name })),
                ]}
                value={beside[at]}
                onChange={(value) => setBeside(at === 0 ? [value, beside[1]] : [beside[0], value])}
              />
            ))}
          </FieldGrid>
        )}
        {PAPERS.map((paper) => (
          <PaperRow
            key={paper}
            releaseId={releaseId}
            paper={paper}
            href={hrefOf(paper, { token, language, beside })}
            last={printed.find((one) => one.paper === paper)}
            version={version}
          />
        ))}
      </Grid>
    </section>
  );
}

/** The café's sheet is of several cards. */
const PAPER_FILES: Readonly<Record<Exclude<Paper, 'sheet'>, string>> = {
  card: 'card.pdf',
  bag: 'bag.pdf',
  label: 'label.pdf',
};

interface At {
  readonly token: string;
  readonly language: Language;
  readonly beside: readonly string[];
}

function hrefOf(paper: Paper, { token, language, beside }: At): string {
  if (paper !== 'sheet') return `/p/${token}/${language}/${PAPER_FILES[paper]}`;
  const asked = new URLSearchParams(
    beside.filter((one) => one !== '').map((one): [string, string] => ['with', one]),
  );
  return `/p/${token}/${language}/sheet.pdf?${asked.toString()}`;
}

function PaperRow({
  releaseId,
  paper,
  href,
  last,
  version,
}: {
  releaseId: string;
  paper: Paper;
  href: string;
  last: Printed | undefined;
  version: number;
}) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const [copies, setCopies] = useState('');
  const isBench = useMay('bench');
  const note = async () => {
    const answer = await submit('notePrinted', {
      releaseId,
      paper,
      copies: readNumber(copies) ?? copies,
    });
    if (answer.ok) setCopies('');
  };
  return (
    <div>
      <Row role="group" aria-label={PAPER_LABELS[paper]}>
        <a href={href} target="_blank" rel="noreferrer">
          {PAPER_LABELS[paper]}
        </a>
        <Small>
          {last
            ? `${last.copies} printed of version ${last.versionNumber}${last.versionNumber < version ? ': stale' : ''}`
            : 'none noted as printed'}
        </Small>
        {isBench && (
          <>
            <TextInput
              label="Copies"
              value={copies}
              onChange={setCopies}
              fault={faultOf('copies')}
            />
            <Button isPending={isBusy} onPress={() => void note()}>
              Note as printed
            </Button>
          </>
        )}
      </Row>
      <Faults faults={faults} shown={['copies']} />
    </div>
  );
}
