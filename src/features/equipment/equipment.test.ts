import { listParts } from '@/data/equipment';
import { listSetups } from '@/data/setups';
import { METRIC } from '@/core/units';
import { faultOf } from '../../../tests/support/fault';
import { BASKET, GRINDER, MACHINE, openHouse, send, SETUP } from '../../../tests/support/house';
import { MACHINE as MACHINE_FIELDS } from '@/core/entity/equipment';
import { textOf } from '@/ui/entryText';
import { partSent, partTextOf } from './partText';
import { basketWords, grinderWords, machineWords } from './words';

const AMERICAN = { volume: 'flOz', temperature: 'F' } as const;

function houseWith(parts: Record<string, unknown>) {
  const { db } = openHouse();
  send(db, 'saveSetup', { setup: { ...SETUP, name: 'Another', ...parts } });
  return { db, setup: listSetups(db).find(({ name }) => name === 'Another')! };
}

describe('parts and setups', () => {
  it('are described once and stand in several setups', () => {
    const { db, setupId } = openHouse();
    const [machine] = listParts(db, 'machine');
    const { machine: _machine, ...rest } = SETUP;
    send(db, 'saveSetup', { setup: { ...rest, name: 'Second', machineId: machine!.id } });
    const fields = { ...MACHINE, name: 'New name', flowControl: true };
    send(db, 'savePart', { part: 'machine', id: machine!.id, rowVersion: 1, fields });
    expect(listParts(db, 'machine')).toHaveLength(1);
    expect(listParts(db, 'grinder')).toHaveLength(2);
    expect(listSetups(db).map((setup) => setup.machine.name)).toEqual(['New name', 'New name']);
    expect(listSetups(db)[0]!.id).toBe(setupId);
  });

  it.each([
    ['no machine', { machine: undefined }, 'setup.machineId', /Choose a machine.*describe a new/],
    ['two', { machineId: 'x' }, 'setup.machineId', /Choose a machine/],
    [
      'a machine that stands at no temperature',
      { machine: { ...MACHINE, settableTemperature: false } },
      'setup.machine.fixedTemperatureC',
      /stands at some temperature\. Enter it, 60-100 °C/,
    ],
    [
      'a step of nothing',
      { grinder: { ...GRINDER, stepSize: 0 } },
      'setup.grinder.stepSize',
      /outside 0\.01-100/,
    ],
    [
      'a bucket for a basket',
      { basket: { ...BASKET, ratedG: 300 } },
      'setup.basket.ratedG',
      /outside 5-30 g/,
    ],
    [
      'an offset of a kettle',
      { machine: { ...MACHINE, displayOffsetC: 40 } },
      'setup.machine.displayOffsetC',
      /outside -15 to 15 °C/,
    ],
  ])('are refused with %s, and nothing is stored', (_name, change, field, words) => {
    const { db } = openHouse();
    const before = listParts(db, 'grinder').length;
    const fault = faultOf(() => send(db, 'saveSetup', { setup: { ...SETUP, ...change } }));
    expect(fault.faults[0]!.field).toBe(field);
    expect(fault.faults[0]!.message).toMatch(words);
    expect(listParts(db, 'grinder')).toHaveLength(before);
  });

  it('come out of their forms as they went in', () => {
    const { setup } = houseWith({
      machine: { ...MACHINE, displayOffsetC: -1.5 },
      grinder: { ...GRINDER, umPerStep: 12.5, secondsPerStep: 1.8 },
    });
    const { id: _id, rowVersion: _rowVersion, ...grinder } = setup.grinder;
    expect(partSent('grinder', partTextOf('grinder', setup.grinder))).toEqual(grinder);
    const machine = partSent('machine', partTextOf('machine', setup.machine));
    expect(machine).toMatchObject({ displayOffsetC: -1.5, fixedTemperatureC: undefined });
  });

  it('send no fixed temperature once the temperature can be set', () => {
    const typed = textOf(MACHINE_FIELDS, { ...MACHINE, fixedTemperatureC: 93 });
    expect(partSent('machine', typed).fixedTemperatureC).toBeUndefined();
    expect(partSent('machine', { ...typed, settableTemperature: false }).fixedTemperatureC).toBe(
      93,
    );
  });
});

describe('a part in one line', () => {
  it('says what it can do, in the reader’s units', () => {
    const { setup } = houseWith({
      machine: {
        ...MACHINE,
        settableTemperature: false,
        fixedTemperatureC: 93,
        displayOffsetC: 2,
        preinfusion: true,
      },
      grinder: { ...GRINDER, secondsPerStep: 2 },
      basket: { ...BASKET, pressurised: true },
    });
    expect(machineWords(setup.machine, METRIC)).toBe(
      'Stands at 93.0 °C, display 2.0 °C above the group, pump pressure only, pre-infusion',
    );
    expect(machineWords(setup.machine, AMERICAN)).toMatch(/199\.4 °F, display 3\.6 °F above/);
    expect(grinderWords(setup.grinder)).toBe(
      'Dial 0 to 30 in steps of 0.5, lower is finer, keeps 2.0 g, 2 s a step, not calibrated',
    );
    expect(basketWords(setup.basket)).toMatch(/rated 18\.0 g, pressurised: no grind/);
  });
});
