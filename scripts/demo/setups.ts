/** The benches of the demo house: two real ones and a corner with simulated instruments. */
import type { DemoWorker } from './worker';

export const WINDOW = 'Window bench';
export const BACK = 'Back room';
export const CORNER = 'Trying-out corner';

/** Describes machines, grinders, baskets and the setups of them, as the lead would in Equipment. */
export function describeSetups(worker: DemoWorker, lead: string): void {
  worker.run(
    'saveSetup',
    {
      setup: {
        name: WINDOW,
        machine: {
          name: 'Two-group machine at the window',
          settableTemperature: true,
          displayOffsetC: 1.5,
          pressureControl: false,
          flowControl: false,
          preinfusion: true,
          boiler: 'heatExchanger',
          flushS: 4,
          overrunG: 1.5,
        },
        grinder: {
          name: 'Flat-burr grinder, left',
          stepSize: 0.5,
          finerIs: 'lower',
          min: 0,
          max: 30,
          retentionG: 1.8,
          secondsPerStep: 2.1,
          secondsPerStepHalf80: 0.3,
          referenceDial: 13.5,
          chokesAt: 4,
        },
        basket: {
          name: 'Straight-walled double',
          diameterMm: 58,
          depthMm: 26,
          ratedG: 18,
          pressurised: false,
        },
      },
    },
    lead,
  );
  worker.run(
    'saveSetup',
    {
      setup: {
        name: BACK,
        machine: {
          name: 'One-group with flow paddle',
          settableTemperature: true,
          pressureControl: true,
          flowControl: true,
          preinfusion: true,
          boiler: 'dual',
          overrunG: 2,
        },
        grinder: {
          name: 'Single-dose grinder',
          stepSize: 1,
          finerIs: 'higher',
          min: 1,
          max: 40,
          retentionG: 0.5,
          umPerStep: 14,
        },
        basketId: worker.setup(WINDOW).basket.id,
      },
    },
    lead,
  );
  worker.run(
    'saveSetup',
    {
      setup: {
        name: CORNER,
        machine: {
          name: 'Simulated machine',
          settableTemperature: true,
          pressureControl: true,
          flowControl: true,
          preinfusion: true,
          boiler: 'dual',
        },
        grinder: {
          name: 'Simulated grinder',
          stepSize: 1,
          finerIs: 'lower',
          min: 0,
          max: 60,
          retentionG: 2.5,
          umPerStep: 17,
        },
        basketId: worker.setup(WINDOW).basket.id,
        links: {
          scale: 'simulated',
          machineLink: 'simulated',
          refractometer: 'simulated',
          colourMeter: 'simulated',
        },
      },
    },
    lead,
  );
}
