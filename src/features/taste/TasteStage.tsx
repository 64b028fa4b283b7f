'use client';

import { figure } from '@/core/figure';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import styled from 'styled-components';
import { dialWords } from '@/core/grinder/notation';
import type { Bench, BenchShot, ReleaseView } from '@/views/release';
import { useUnits } from '@/ui/person';
import { SelectInput } from '@/ui/fields';
import { Hidden, SectionTitle, StageTitle } from '@/ui/type';
import type { BestView } from '@/views/best';
import type { TasterToday } from '@/views/palate';
import type { PlanePoint } from '@/views/plane';
import type { OpenRecipe } from '@/views/start';
import { Best } from './Best';
import { CupSheet } from './CupSheet';
import type { FlightLine } from '@/views/flight';
import type { FlightRecipe } from '@/views/flightRecipes';
import { Flights } from './flights/Flights';
import { MilkRecipe } from './MilkRecipe';
import { Palates } from './Palates';
import { Plane } from './Plane';
import type { Region } from './planeRegion';
import { Unfold } from '@/ui/Unfold';
import type { StagedShot } from '@/data/staged';
import { Staged } from './Staged';
import { TastingList } from './TastingList';

const Stack = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
`;

interface TasteStageProps {
  readonly view: ReleaseView;
  readonly best: BestView | null;
  readonly flights: readonly FlightLine[];
  /** What a flight can compare. */
  readonly recipes: readonly FlightRecipe[];
  /** Recipes of the release one can go on with. */
  readonly open: readonly OpenRecipe[];
  /** Who tasted how much today. */
  readonly tasters: readonly TasterToday[];
  /** Shots caught in several cups, by id. */
  readonly staged: Readonly<Record<string, StagedShot>>;
  /** Every measured shot, and where the house aims. */
  readonly plane: { readonly points: readonly PlanePoint[]; readonly region: Region | null };
}

export function TasteStage(props: TasteStageProps) {
  const { bench, release } = props.view;
  const last = bench?.shots.at(-1);
  if (!bench || !last)
    return (
      <Stack>
        <StageTitle>Nothing to taste yet</StageTitle>
        <p>
          A cup sheet belongs to a shot.{' '}
          <Link href={`/releases/${release.id}/${bench ? 'pull' : 'start'}`}>
            {bench ? 'Pull one first' : 'Begin with a proposal'}
          </Link>
          .
        </p>
      </Stack>
    );
  return <Tasting {...props} bench={bench} newest={last} />;
}

function Tasting({
  view,
  best,
  flights,
  recipes,
  open,
  tasters,
  plane,
  staged,
  bench,
  newest,
}: TasteStageProps & { bench: Bench; newest: BenchShot }) {
  const [shotId, setShotId] = useState(newest.id);
  // A cup that was kept, here or on the server, leaves an empty sheet.
  const [round, setRound] = useState(0);
  const [correctedId, setCorrectedId] = useState<string | null>(null);
  const { mass } = useUnits();
  const shot = bench.shots.find(({ id }) => id === shotId) ?? newest;
  const corrected = shot.tastings.find(({ id }) => id === correctedId);
  const options = bench.shots
    .map(({ id, number, dial, yieldG, timeS, mark }) => ({
      value: id,
      label: `Shot ${number}: ${mass(yieldG)} in ${figure(timeS, 1)} s at ${dialWords(bench.setup.grinder, dial)}${mark.landed ? ', landed' : ''}`,
    }))
    .reverse();
  return (
    <Stack>
      <Hidden as="h2">Is it right, and which way is better?</Hidden>
      <SelectInput
        label="The shot in the cup"
        value={shot.id}
        onChange={(id) => {
          setShotId(id);
          setCorrectedId(null);
        }}
        options={options}
      />
      {corrected ? (
        <CupSheet
          key={corrected.id}
          view={view}
          bench={bench}
          shot={shot}
          corrected={corrected}
          onDone={() => setCorrectedId(null)}
        />
      ) : (
        <CupSheet
          key={`${shot.id} ${bench.draft.drink} ${round}`}
          view={view}
          bench={bench}
          shot={shot}
          onDone={() => setRound(round + 1)}
        />
      )}
      <Unfold
        label={staged[shot.id] ? 'Staged cups of this shot, noted' : 'Staged cups of this shot'}
      >
        {() => (
          <Staged
            // What was taken back or noted elsewhere is shown; what is typed waits as a draft.
            key={`${shot.id} ${staged[shot.id]?.notedAt}`}
            shot={shot}
            staged={staged[shot.id]}
            roastLevel={view.batch.roast.level ?? 0}
          />
        )}
      </Unfold>
      <Palates tasters={tasters} />
      <Flights
        releaseId={view.release.id}
        flights={flights}
        bench={bench}
        recipes={recipes}
        next={best?.next ?? []}
      />
      {best && <Best best={best} bench={bench} releaseId={view.release.id} />}
      <MilkRecipe bench={bench} releaseId={view.release.id} open={open} />
      <Plane {...plane} />
      <section>
        <SectionTitle>Tasted so far</SectionTitle>
        <TastingList
          bench={bench}
          roastLevel={view.batch.roast.level ?? 0}
          onCorrect={(tasting) => {
            setShotId(tasting.shotId);
            setCorrectedId(tasting.id);
          }}
        />
      </section>
    </Stack>
  );
}
