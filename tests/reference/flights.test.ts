/** Blind flights by their commands: who may taste, what is kept apart, and what a cup is once it is revealed. */
import { findHouse } from '@/data/house';
import { cupsOf, findFlight, tastersOf } from '@/data/flights';
import { clock } from '@/data/clock';
import { readBest } from '@/views/best';
import { readFlight, readTaster } from '@/views/flight';
import { readPalates } from '@/views/palate';
import { faultOf } from '../support/fault';
import { join, newId, send, shotInput, stopClock, TODAY } from '../support/house';
import { houseWith, type ViewedHouse } from '../support/view';

const DEVICE = 'a'.repeat(32);
const deviceOf = (n: number) => String(n).repeat(32);

function armOf(draftId: string, label: string, changed: object = {}) {
  const pull = {
    draftId,
    doseG: 18,
    yieldG: 36,
    temperatureC: 93,
    timeS: [26, 30],
    clock: 'pump',
    dial: 12,
    beans: 'room',
    ...changed,
  };
  return { label, serving: 'straight', pull };
}

function planned({ db, releaseId, draftId }: ViewedHouse, changed: object = {}) {
  const { flightId, code } = send(db, 'planFlight', {
    releaseId,
    test: 'paired',
    question: 'Old against new',
    arms: [armOf(draftId, 'New'), armOf(draftId, 'Cooler', { temperatureC: 91 })],
    places: 2,
    hours: 8,
    ...changed,
  });
  return { flightId: String(flightId), flightCode: String(code) };
}

const joined = (house: ViewedHouse, flightCode: string, name: string, device: string) =>
  String(send(house.db, 'joinFlight', { flightCode, name, device }, newId(), null).tasterId);

const sheet = (tasterId: string, device: string, code: string, liking: number) => ({
  tasterId,
  device,
  code,
  moment: 'warm',
  scales: { liking, strength: 0, signs: [] },
  notesFound: ['plum'],
  remark: '',
});

/** Pours every cup of a flight, each to what it is meant to be. */
function pour(house: ViewedHouse, flightId: string): void {
  const { arms } = findFlight(house.db, flightId)!;
  for (const { code, arm } of cupsOf(house.db, flightId)) {
    const { pull } = arms[arm]!;
    if (!pull) {
      send(house.db, 'pourCup', { flightId, code });
      continue;
    }
    const { draftId, temperatureC, yieldG, dial } = pull;
    const { shotId } = send(
      house.db,
      'logShot',
      shotInput(draftId, { temperatureC, yieldG, dial }),
    );
    send(house.db, 'pourCup', { flightId, code, shotId });
  }
}

const refused = (house: ViewedHouse, kind: string, input: object, personId: string | null = null) =>
  faultOf(() => send(house.db, kind, input, newId(), personId))
    .faults.map(({ message }) => message)
    .join(' ');

it('is blind until it is revealed; then each sheet is a cup of its shot, a guest’s under their name', () => {
  const house = houseWith({});
  const { db, releaseId } = house;
  const { flightId, flightCode } = planned(house);
  pour(house, flightId);
  const [hot, cool] = cupsOf(db, flightId).map(({ code }) => code) as [string, string];
  const wren = joined(house, flightCode, 'Wren', DEVICE);
  const other = joined(
    house,
    `${flightCode.slice(0, 4)} ${flightCode.slice(4).toLowerCase()}`,
    'Odo',
    deviceOf(2),
  );
  send(db, 'tasteBlind', sheet(wren, DEVICE, hot, 8), newId(), null);
  send(db, 'tasteBlind', sheet(wren, DEVICE, cool, 5), newId(), null);
  send(db, 'tasteBlind', sheet(other, deviceOf(2), hot, 7), newId(), null);
  send(db, 'answerFlight', { tasterId: wren, device: DEVICE, codes: [hot] }, newId(), null);
  const cups = () => house.view().bench!.shots.flatMap(({ tastings }) => tastings);
  expect(cups()).toEqual([]);
  expect(readFlight(db, { releaseId, id: flightId, isLead: true })!.revealed).toBeNull();

  send(db, 'revealFlight', { flightId });
  expect(
    cups().map(({ tastedBy, tastedById, isBlind, scales }) => [
      tastedBy,
      tastedById,
      isBlind,
      scales.liking,
    ]),
  ).toEqual([
    ['Wren', 'guest wren', true, 8],
    ['Odo', 'guest odo', true, 7],
    ['Wren', 'guest wren', true, 5],
  ]);
  const { outcome, arms } = readFlight(db, { releaseId, id: flightId, isLead: true })!.revealed!;
  expect(outcome!.counts).toEqual([1, 0]);
  expect(arms[0]).toMatchObject({ label: 'New', liking: { mean: 7.5, tasters: 2 } });
  expect(arms[0]!.notes).toEqual([['plum', 2]]);
  expect(readPalates(db, TODAY).map(({ name, cups: n }) => [name, n])).toEqual(
    expect.arrayContaining([
      ['Wren', 2],
      ['Odo', 1],
    ]),
  );
  expect(readBest(db, findHouse(db)!, house.view())).toMatchObject({ cups: 3, tasters: 2 });

  // What comes after the reveal is kept apart, and said.
  expect(send(db, 'tasteBlind', sheet(other, deviceOf(2), cool, 1), newId(), null)).toEqual({
    isLate: true,
  });
  expect(cups()).toHaveLength(3);
  expect(readFlight(db, { releaseId, id: flightId, isLead: true })!.tasters[1]!.late).toBe(1);
  expect(
    refused(house, 'answerFlight', { tasterId: other, device: deviceOf(2), codes: [hot] }),
  ).toMatch(/revealed before this answer came/);
  expect(refused(house, 'revealFlight', { flightId })).toMatch(/not signed in/);
});

it('a cup to other figures than the recipe’s says nothing against the recipe on the bench', () => {
  const house = houseWith({}, {});
  const before = house.view().bench!.advice;
  const { flightId } = planned(house);
  const [, cool] = cupsOf(house.db, flightId).map(({ code }) => code) as [string, string];
  const cold = shotInput(house.draftId, { temperatureC: 91, timeS: 40 });
  const { shotId } = send(house.db, 'logShot', cold);
  send(house.db, 'pourCup', { flightId, code: cool, shotId });
  const { advice, shots } = house.view().bench!;
  expect(shots).toHaveLength(3);
  expect(shots.every(({ mark }) => mark)).toBe(true);
  expect(advice.status).toBe(before.status);
  expect(advice.proof).toEqual(before.proof);
});

it('a place belongs to the phone that took it, until it is freed', () => {
  const house = houseWith({});
  const { db } = house;
  const { flightId, flightCode } = planned(house);
  const wren = joined(house, flightCode, 'Wren', DEVICE);
  const join2 = { flightCode, name: 'WREN', device: deviceOf(2) };
  expect(refused(house, 'joinFlight', join2)).toMatch(/Wren tastes on another phone/);
  expect(refused(house, 'joinFlight', { flightCode, name: 'Odo', device: DEVICE })).toMatch(
    /This phone tastes as Wren/,
  );
  const [code] = cupsOf(db, flightId).map((cup) => cup.code) as [string];
  expect(refused(house, 'tasteBlind', sheet(wren, deviceOf(2), code, 5))).toMatch(
    /tastes on another phone now/,
  );
  send(db, 'tasteBlind', sheet(wren, DEVICE, code, 5), newId(), null);
  send(db, 'freePlace', { tasterId: wren });
  expect(String(send(db, 'joinFlight', join2, newId(), null).tasterId)).toBe(wren);
  // The sheets are there still, and the lost phone is out.
  const flight = findFlight(db, flightId)!;
  const at = (device: string) => readTaster(db, flight, { tasterId: wren, device });
  expect(at(deviceOf(2))!.cups.find((cup) => cup.code === code)!.moments).toEqual(['warm']);
  expect(at(DEVICE)).toBeNull();
});

it('more tasters than places, and a link that expired, get words; the lead opens it again', () => {
  const house = houseWith({});
  const { db } = house;
  const { flightId, flightCode } = planned(house);
  const wren = joined(house, flightCode, 'Wren', DEVICE);
  joined(house, flightCode, 'Odo', deviceOf(2));
  const third = { flightCode, name: 'Ada', device: deviceOf(3) };
  expect(refused(house, 'joinFlight', third)).toMatch(/All 2 places are taken/);
  expect(
    refused(house, 'changeFlight', { flightId, places: 1, hours: 8 }, join(db, 'bench')),
  ).toMatch(/2 tasters have a place already/);
  send(db, 'changeFlight', { flightId, places: 3, hours: 1 });
  joined(house, flightCode, 'Ada', deviceOf(3));
  clock.now = () => new Date(`${TODAY}T14:00:00Z`);
  const [code] = cupsOf(db, flightId).map((cup) => cup.code) as [string];
  expect(refused(house, 'tasteBlind', sheet(wren, DEVICE, code, 5))).toMatch(
    /closed: its time is over.*kept on this phone/,
  );
  send(db, 'changeFlight', { flightId, places: 3, hours: 2 });
  send(db, 'tasteBlind', sheet(wren, DEVICE, code, 5), newId(), null);
  expect(refused(house, 'joinFlight', { ...third, flightCode: 'ABCD2345' })).toMatch(
    /No flight has this code/,
  );
});

it('what cannot be compared or pulled is refused before anybody stands at the bench', () => {
  const house = houseWith({});
  const bench = join(house.db, 'bench');
  const refusal = (changed: object) => {
    const arms = [armOf(house.draftId, 'One'), armOf(house.draftId, 'Two')];
    const input = {
      releaseId: house.releaseId,
      test: 'paired',
      question: 'Which',
      arms,
      places: 2,
      hours: 8,
      ...changed,
    };
    return refused(house, 'planFlight', input, bench);
  };
  const one = [armOf(house.draftId, 'One')];
  expect(refusal({ arms: one })).toMatch(/compares 2 things; here is one/);
  expect(refusal({ test: 'ranking' })).toMatch(/compares 3 to 6 things; here are 2/);
  expect(refusal({ arms: [...one, armOf(house.draftId, 'one')] })).toMatch(/Two things are called/);
  expect(refusal({ places: 31 })).toMatch(/Tasters 31 is outside 1-30/);
  expect(refusal({ places: 2.5 })).toMatch(/not a whole number/);
  expect(refusal({ arms: [...one, armOf('nowhere', 'Two')] })).toMatch(/not one of this release/);
  const too = (changed: object) =>
    refusal({ arms: [...one, armOf(house.draftId, 'Two', changed)] });
  expect(too({ dial: 99 })).toMatch(/has no dial 99/);
  expect(too({ doseG: 19.5 })).toMatch(/more than the 18 g basket holds/);
  expect(too({ temperatureC: 50 })).toMatch(/outside 60-100/);
});

it('a cup from elsewhere is scored like any other; a cup that is not pulled is not poured', () => {
  const house = houseWith({});
  const { db } = house;
  const { flightId } = planned(house, {
    arms: [armOf(house.draftId, 'Ours'), { label: 'Theirs', serving: 'straight' }],
  });
  const [ours, theirs] = cupsOf(db, flightId).map(({ code }) => code) as [string, string];
  const bench = join(db, 'bench');
  expect(refused(house, 'pourCup', { flightId, code: ours }, bench)).toMatch(/Pull this cup first/);
  expect(refused(house, 'pourCup', { flightId, code: '000' }, bench)).toMatch(/no cup 000/);
  expect(refused(house, 'revealFlight', { flightId }, bench)).toMatch(/Nobody has tasted yet/);
  send(db, 'pourCup', { flightId, code: theirs });
  expect(cupsOf(db, flightId)[1]).toMatchObject({ shotId: null, pouredAt: expect.any(String) });
  expect(refused(house, 'decideFlight', { flightId, chosenArm: 0, decision: '' }, bench)).toMatch(
    /Only the lead/,
  );
  send(db, 'remove', { what: 'flight', id: flightId });
  expect(findFlight(db, flightId)).toBeNull();
  send(db, 'restore', { what: 'flight', id: flightId });
  expect(tastersOf(db, flightId)).toEqual([]);
  stopClock();
});

it('a phone is told nothing of what is in the cups, nor of the release', () => {
  const house = houseWith({});
  const { db } = house;
  const { flightId, flightCode } = planned(house);
  const wren = joined(house, flightCode, 'Wren', DEVICE);
  const state = readTaster(db, findFlight(db, flightId)!, { tasterId: wren, device: DEVICE })!;
  const told = JSON.stringify(state);
  for (const secret of ['New', 'Cooler', 'Dembi', house.releaseId, house.draftId, 'arm', 'shot'])
    expect(told).not.toContain(secret);
});
