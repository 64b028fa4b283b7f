/** Who tastes in the demo house, and the flights they tasted: one finished trial, two decided, one blind at this moment. */
import { findPerson } from '@/data/people';
import type { Chance } from '@/core/random';
import { revealFlight, takeRobust, tasteFlight, trialArms, type DemoFlight } from './flights';
import type { DemoWorker, DialIn } from './worker';

const GUESTS = [
  { name: 'Odile from the bakery', palate: 0.4 },
  { name: 'Marek', palate: -0.5 },
  { name: 'Sanna', palate: 0.1 },
  { name: 'Ilse', palate: 0 },
] as const;

export class DemoPanel {
  constructor(
    private readonly worker: DemoWorker,
    private readonly people: {
      readonly lead: string;
      readonly bench: string;
      readonly chance: Chance;
    },
  ) {}

  private get ofHouse() {
    const { lead, bench } = this.people;
    const taster = (personId: string, palate: number) => ({
      name: findPerson(this.worker.db, personId)!.name,
      personId,
      palate,
    });
    return [taster(lead, 0.3), taster(bench, -0.2)] as const;
  }

  private taste(dialIn: DialIn, flight: DemoFlight): string {
    return tasteFlight(this.worker, dialIn, flight, this.people);
  }

  private reveal(flightId: string, decision?: string): void {
    const { lead } = this.people;
    revealFlight(this.worker, flightId, { lead, ...(decision !== undefined && { decision }) });
  }

  /** Three flights of three by two tasters, and the recipe that forgives on the bench. */
  findByTrial(dialIn: DialIn, daysAgo: number, acceptedDaysAgo: number): void {
    for (let i = 0; i < 3; i++)
      this.reveal(
        this.taste(dialIn, {
          test: 'scored',
          question: `Trial, flight ${i + 1}`,
          arms: trialArms(this.worker, dialIn),
          tasters: this.ofHouse,
          daysAgo,
          minutesAgo: 240 - 60 * i,
        }),
      );
    this.worker.goTo(acceptedDaysAgo, 200);
    takeRobust(this.worker, dialIn.releaseId, this.people.lead);
  }

  /** A longer cup against the card, by six. */
  compareYields(dialIn: DialIn, daysAgo: number): void {
    const flightId = this.taste(dialIn, {
      test: 'paired',
      question: 'A longer cup against the card',
      arms: [
        { label: 'The card, 40 g', changes: { yieldG: 40 } },
        { label: 'Longer, 44 g', changes: { yieldG: 44 } },
      ],
      tasters: [...this.ofHouse, ...GUESTS],
      daysAgo,
      minutesAgo: 150,
    });
    this.reveal(flightId, 'What most of us like goes on the bench with the next batch.');
  }

  /** Which of three yields, with a cup given twice unsaid. */
  rankYields(dialIn: DialIn, daysAgo: number): void {
    const flightId = this.taste(dialIn, {
      test: 'ranking',
      question: 'Three yields',
      arms: [40, 45, 50].map((yieldG) => ({
        label: `${yieldG} g in the cup`,
        changes: { yieldG },
      })),
      tasters: [...this.ofHouse, GUESTS[1], GUESTS[2]],
      daysAgo,
      minutesAgo: 120,
      hasDuplicate: true,
    });
    this.reveal(flightId, 'Everybody’s first or second.');
  }

  /** Blind at this moment: two of four have tasted, one of them a single cup. */
  beginTemperatures(dialIn: DialIn): void {
    this.taste(dialIn, {
      test: 'ranking',
      question: 'Three temperatures',
      arms: [-2, 0, 2].map((by) => ({
        label: `${dialIn.temperatureC + by} °C`,
        changes: { temperatureC: dialIn.temperatureC + by },
      })),
      tasters: [this.ofHouse[1], { ...GUESTS[0], most: 1 }],
      daysAgo: 0,
      minutesAgo: 25,
    });
  }
}
