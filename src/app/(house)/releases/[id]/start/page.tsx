import { propose } from '@/core/start/propose';
import { STYLES, TEMPERATURE_SCHOOLS } from '@/core/vocabulary';
import { database } from '@/data/database';
import { factsOf } from '@/data/releaseView';
import { listSetups } from '@/data/setups';
import { today } from '@/data/today';
import { loadHouse, loadRelease } from '@/features/frame/load';
import { StartStage } from '@/features/start/StartStage';

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export default async function StartPage({ params, searchParams }: Props) {
  const view = await loadRelease((await params).id);
  const { house, person } = await loadHouse();
  const asked = await searchParams;
  const setups = listSetups(database());
  const draft = view.bench?.draft;
  const style = STYLES.find((word) => word === asked.style) ?? draft?.style ?? house.brewStyle;
  const temperatureSchool =
    TEMPERATURE_SCHOOLS.find((word) => word === asked.school) ??
    draft?.temperatureSchool ??
    house.temperatureSchool;
  const setup =
    setups.find(({ id }) => id === asked.setup) ??
    setups.find(({ id }) => id === draft?.setupId) ??
    setups[0];
  const batch = view.batches.find(({ id }) => id === asked.batch) ?? view.batch;
  const proposal = propose({
    release: factsOf(view.release, batch, today()),
    style,
    temperatureSchool,
    restSchool: house.restSchool,
    clock: house.clock,
    units: person.units,
    history: [],
    setup,
  });
  return (
    <StartStage
      view={view}
      batch={batch}
      proposal={proposal}
      style={style}
      temperatureSchool={temperatureSchool}
      setups={setups}
      setupId={setup?.id}
    />
  );
}
