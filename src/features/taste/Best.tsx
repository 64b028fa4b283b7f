'use client';

import dynamic from 'next/dynamic';
import styled from 'styled-components';
import { USUAL_FIRST_DRIP_S } from '@/core/extraction/clock';
import { figure, signed } from '@/core/figure';
import { Z_80 } from '@/core/grinder/dial';
import { dialWords } from '@/core/grinder/notation';
import { holdsOf } from '@/core/trials/holds';
import { settableC, settableG } from '@/core/extraction/settable';
import type { BestView } from '@/views/best';
import type { Bench } from '@/views/release';
import { Button } from '@/ui/Button';
import { Faults } from '@/ui/Faults';
import { useMay, useUnits } from '@/ui/person';
import { labelText, SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import { Unfold } from '@/ui/Unfold';
import { useRevision } from '@/ui/useRevision';
import type { Aim } from '@/views/trial';
import { SurfacePicture } from './SurfacePicture';

/** Fetched when it is opened. */
const TrialBounds = dynamic(() => import('./TrialBounds').then((all) => all.TrialBounds));

const Head = styled.h4`
  ${labelText}
  margin: 12px 0 4px;
`;

/** A window as wide as the house's recipe has, around another middle. */
const HALF_WINDOW_S = 2;

/** What all cups of this dial-in say together: the best point, the recipe that forgives, the cups that would tell most. */
export function Best({
  best,
  bench,
  releaseId,
}: {
  best: BestView;
  bench: Bench;
  releaseId: string;
}) {
  const { cups, recipes, tasters, expectedLeft, isEnough, releases, room } = best;
  const isLead = useMay('lead');
  return (
    <section aria-label="The best this coffee can give">
      <SectionTitle>The best this coffee can give</SectionTitle>
      <p style={{ marginTop: 8 }}>
        {cups === 0
          ? `No straight cup with a liking yet. Starting from ${startWords(releases)}, a first cup is expected within about ${figure(expectedLeft, 1)} points of the best this coffee can give.`
          : `${cupWords(cups, recipes, tasters)}, starting from ${startWords(releases)}: about ${figure(expectedLeft, 2)} points are left to find. ${
              isEnough
                ? 'Little is left to gain.'
                : room.endedBy === null
                  ? 'The cups below would tell most.'
                  : ENDED[room.endedBy]
            }`}
      </p>
      {cups > 0 && <Found best={best} bench={bench} releaseId={releaseId} />}
      {best.cafes.length > 0 && <FromCafes cafes={best.cafes} />}
      {best.aim && <AimedAt best={best} aim={best.aim} />}
      {!isEnough && best.next.length > 0 && <NextFlight best={best} bench={bench} />}
      {isLead && best.apart.length > 1 && (
        <Small as="p">
          Everybody uses the scale their own way, and it is taken out:{' '}
          {best.apart.map(({ name, points }) => `${name} ${signed(points, 1)}`).join(', ')}.
        </Small>
      )}
      <Unfold label="What the trial may change and take">
        {() => (
          <TrialBounds
            trial={best.trial}
            releaseId={releaseId}
            canSetTemperature={bench.setup.machine.settableTemperature}
          />
        )}
      </Unfold>
      {cups > 0 && (
        <Unfold label="Picture of what is known">
          {() => <SurfacePicture drawing={best.drawing} />}
        </Unfold>
      )}
      <Small as="p" style={{ marginTop: 8 }}>
        Points of liking, 0-10. That liking falls away evenly from one best point is a rule of
        thumb; each cup counts by where its shot really was.
        {best.warnings.map((code) => ` ${WARNINGS[code]}`)}
      </Small>
    </section>
  );
}

/** Their words count by how surely they lean: what a café calls all of its coffees is taken out. */
function FromCafes({ cafes }: Pick<BestView, 'cafes'>) {
  const cups = cafes.reduce((sum, cafe) => sum + cafe.cups, 0);
  const precision = cafes.reduce((sum, { sd }) => sum + sd ** -2, 0);
  const u = cafes.reduce((sum, cafe) => sum + cafe.u * cafe.sd ** -2, 0) / precision;
  return (
    <>
      <p style={{ marginTop: 8 }}>
        Words of {plural(cups, 'cup')} at {plural(cafes.length, 'café')} count too, against what
        each says of its other coffees: together {leanWords({ u, sd: precision ** -0.5 })} points of
        sour over bitter.
      </p>
      {cafes.length > 1 && (
        <Unfold label="What each café says">
          {() => (
            <TableScroll aria-label="What each café says">
              <Table>
                <TableHead columns={[{ words: 'Café' }, 'Cups', 'Sour over bitter, points']} />
                <tbody>
                  {cafes.map((cafe) => (
                    <tr key={cafe.cafe}>
                      <td className="words">{cafe.name}</td>
                      <td>{cafe.cups}</td>
                      <td>{leanWords(cafe)}</td>
                    </tr>
                  ))}
                </tbody>
              </Table>
            </TableScroll>
          )}
        </Unfold>
      )}
    </>
  );
}

/** Likely so far either way 8 times in 10. */
const leanWords = ({ u, sd }: { u: number; sd: number }) =>
  `${signed(u, 1)} ± ${figure(Z_80 * sd, 1)}`;

/** Why no further cup is planned. */
const ENDED = {
  recipes: 'As many recipes were tasted as this trial may take.',
  coffee: 'No coffee is left for another cup of this trial.',
} as const;

const WARNINGS = {
  contradictory:
    'These cups contradict each other more than cups usually do: less is made of each. Taste some again, blind.',
  edge: 'The best point lies at the edge of what was tried: pull a cup there before you believe it.',
} as const;

const startWords = (releases: number) =>
  releases === 0
    ? 'the rules alone'
    : `the rules and ${releases === 1 ? 'one past recipe' : `${releases} past recipes`}`;

const plural = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;

const cupWords = (cups: number, recipes: number, tasters: number) =>
  `${plural(cups, 'cup')} of ${plural(recipes, 'recipe')} by ${plural(tasters, 'taster')}`;

/** The best point, how surely, and the recipe to take: a little less at its best, and less lost where a café is a little off. */
function Found({ best, bench, releaseId }: { best: BestView; bench: Bench; releaseId: string }) {
  const isLead = useMay('lead');
  const { mass, temperature, temperatureFigure, temperatureStep } = useUnits();
  const { optimum, interval80, robust, costPoints, tolerance, doseG } = best;
  const yieldG = settableG(robust.ratio * doseG);
  const temperatureC = settableC(robust.temperatureC);
  const middleS = Math.round(robust.timeS - clockDelayS(bench));
  const timeS = [middleS - HALF_WINDOW_S, middleS + HALF_WINDOW_S] as const;
  const { recipe } = bench.draft;
  const isInForce =
    bench.isOnBench &&
    recipe.yieldG === yieldG &&
    recipe.temperatureC === temperatureC &&
    recipe.timeS.join() === timeS.join();
  const { take, faults, isBusy } = useRevision(bench, releaseId, {
    yieldG,
    temperatureC,
    timeS,
    ...holdsOf(best),
    why: `The forgiving recipe, from ${cupWords(best.cups, best.recipes, best.tasters)}`,
  });
  const [coolest, hottest] = interval80.temperatureC;
  const between = ([low, high]: readonly [number, number], digits: number) =>
    `${figure(low, digits)}-${figure(high, digits)}`;
  return (
    <>
      <TableScroll aria-label="Best point and the forgiving recipe" style={{ marginTop: 8 }}>
        <Table>
          <TableHead
            columns={[
              { hidden: 'Variable' },
              'Best so far',
              'Likely (8 in 10)',
              'Forgiving recipe',
              'Within 0.3 points',
            ]}
          />
          <tbody>
            <tr>
              <td>Ratio</td>
              <td>1:{figure(optimum.ratio, 2)}</td>
              <td>{between(interval80.ratio, 2)}</td>
              <td>
                {mass(doseG)} → {mass(yieldG)}
              </td>
              <td>± {mass(tolerance.yieldG)}</td>
            </tr>
            <tr>
              <td>Temperature</td>
              <td>{temperature(optimum.temperatureC)}</td>
              <td>
                {temperatureFigure(coolest)}-{temperatureFigure(hottest)}
              </td>
              <td>{temperature(temperatureC)}</td>
              <td>± {temperatureStep(tolerance.temperatureC)}</td>
            </tr>
            <tr>
              <td>Time from the pump</td>
              <td>{figure(optimum.timeS, 0)} s</td>
              <td>{between(interval80.timeS, 0)}</td>
              <td>{figure(robust.timeS, 0)} s</td>
              <td>± {figure(tolerance.timeS, 1)} s</td>
            </tr>
          </tbody>
        </Table>
      </TableScroll>
      <p style={{ marginTop: 8 }}>
        What cafés are usually off by costs about {figure(costPoints, 1)} points there.{' '}
        {isInForce
          ? 'It is the recipe on the bench.'
          : isLead &&
            bench.isOnBench && (
              <>
                Another way than the next move:{' '}
                <Button onPress={take} isPending={isBusy}>
                  Use the forgiving recipe
                </Button>
              </>
            )}
      </p>
      <Faults faults={faults} />
    </>
  );
}

/** The cup from elsewhere, and how far the best of ours is expected from it. */
function AimedAt({ best: { bestLiking }, aim }: { best: BestView; aim: Aim }) {
  const under = aim.mean - bestLiking.mean;
  const half80 = Z_80 * Math.hypot(aim.sd, bestLiking.sd);
  const liked = ({ mean, sd }: { mean: number; sd: number }) =>
    `${figure(mean, 1)} ± ${figure(Z_80 * sd, 1)}`;
  return (
    <p style={{ marginTop: 8 }}>
      Aim: “{aim.label}”, scored in “{aim.question}” by {plural(aim.tasters, 'taster')}:{' '}
      {liked(aim)}. The best of ours is expected at {liked(bestLiking)}:{' '}
      {Math.abs(under) <= half80
        ? `no difference can be told yet (${signed(-under, 1)} ± ${figure(half80, 1)}).`
        : `${figure(Math.abs(under), 1)} ± ${figure(half80, 1)} points ${under > 0 ? 'under it: dose, style or roast may have to move' : 'above it'}.`}
    </p>
  );
}

function NextFlight({
  best: { next, doseG, room, leftG },
  bench,
}: {
  best: BestView;
  bench: Bench;
}) {
  const { mass, temperature } = useUnits();
  return (
    <>
      <Head>Cups that would tell most, as one flight</Head>
      <TableScroll aria-label="Cups that would tell most">
        <Table>
          <TableHead columns={['Cup', 'Yield', 'Temperature', 'From the pump', 'Dial, about']} />
          <tbody>
            {next.map((place, i) => (
              <tr key={i}>
                <td>{i + 1}</td>
                <td>{mass(place.yieldG)}</td>
                <td>{temperature(settableC(place.temperatureC))}</td>
                <td>{figure(place.timeS, 0)} s</td>
                <td>{dialWords(bench.setup.grinder, place.dial)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      <Small>
        Each from {mass(doseG)}, as one blind flight or one by one with a sheet for each: near is
        enough, what was really pulled is what counts. With purges they take about{' '}
        {mass(next.length * room.perCupG, 0)}
        {leftG !== null && ` of the ${mass(Math.max(0, leftG), 0)} left of this batch`}.
      </Small>
    </>
  );
}

/** Seconds the house's clock starts after the pump. */
const clockDelayS = ({ target }: Bench) => (target.clock === 'pump' ? 0 : USUAL_FIRST_DRIP_S);
