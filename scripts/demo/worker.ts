/** Working in the demo house as its people do: the same commands, with the clock set back. */
import type { ArmPull } from '@/core/panel/arm';
import { isOnTargetStatus } from '@/core/advice/types';
import { randomBytes } from 'node:crypto';
import { proposeFrom } from '@/core/start/propose';
import { STYLE_STEPS } from '@/core/programme/styles';
import type { Programme } from '@/core/programme/step';
import type { BrewStyle, Seen } from '@/core/vocabulary';
import { commands } from '@/app/commands';
import { clock } from '@/data/clock';
import { submit } from '@/data/command';
import type { Db } from '@/data/database';
import { findHouse } from '@/data/house';
import { middleSetting } from '@/core/grinder/dial';
import { composedFrom } from '@/features/publish/compose';
import { publishedBody } from '@/features/publish/document';
import { readCardOffers } from '@/views/cardOffers';
import { readHouseModel } from '@/views/houseModel';
import { factsToday } from '@/views/facts';
import { readRelease, type ReleaseView } from '@/views/release';
import { listSetups, type StoredSetup } from '@/data/setups';
import { today } from '@/data/today';
import type { Chance } from '@/core/random';
import { DemoBench, tasteOf, tdsOf, type DemoCoffee, type DemoGrinder } from './truth';

const MINUTE_MS = 60_000;
const AFTERNOON_H = 14;

export interface People {
  readonly lead: string;
  readonly bench: string;
}

/** What a shot may be logged with besides its figures. */
export interface Slip {
  readonly forgetsPurge?: boolean;
  readonly seen?: readonly Seen[];
  readonly remark?: string;
  readonly overrunG?: number;
}

export interface DialIn {
  readonly releaseId: string;
  readonly setup: StoredSetup;
  readonly bench: DemoBench;
  readonly coffee: DemoCoffee;
  readonly temperatureC: number;
  readonly firstDaysAgo: number;
}

export interface DemoChanges {
  readonly yieldG?: number;
  readonly ratio?: number;
  readonly temperatureC?: number;
  readonly why: string;
}

export class DemoWorker {
  private readonly realNow = new Date();

  constructor(
    readonly db: Db,
    private readonly chance: Chance,
    private readonly grinders: Readonly<Record<string, DemoGrinder>>,
  ) {}

  /**
   * Sets the clock to so many days before today and minutes before two in the afternoon; today, to
   * minutes before now. So an earlier day's work falls on that day whenever the demo is made.
   */
  goTo(daysAgo: number, minutesAgo = 0): void {
    const day = new Date(this.realNow);
    if (daysAgo > 0) {
      day.setHours(AFTERNOON_H, 0, 0, 0);
      day.setDate(day.getDate() - daysAgo);
    }
    const at = day.getTime() - minutesAgo * MINUTE_MS;
    clock.now = () => new Date(at);
  }

  dayAgo(days: number): string {
    this.goTo(days);
    return today();
  }

  run(
    kind: string,
    input: unknown,
    personId: string | null,
    passwordHash?: string,
  ): Record<string, unknown> {
    const id = randomBytes(16).toString('hex');
    return submit(this.db, commands, { id, kind, input }, { personId, passwordHash });
  }

  view(releaseId: string): ReleaseView {
    return readRelease(this.db, findHouse(this.db)!, releaseId, { today: today() })!;
  }

  setup(name: string): StoredSetup {
    return listSetups(this.db).find((setup) => setup.name === name)!;
  }

  /** Accepts the model's proposal for a batch, as the Start stage would. */
  accept(
    lead: string,
    options: {
      releaseId: string;
      batchId: string;
      setupName: string;
      style?: BrewStyle;
      /** Where the model puts the dial when absent. */
      startDial?: number;
      coffee: DemoCoffee;
      daysAgo: number;
      /** The house's own programme in place of the style's. */
      programme?: { readonly name: string; readonly steps: Programme };
      /** What the lead sets otherwise than proposed. */
      changes?: DemoChanges;
    },
  ): DialIn {
    const { releaseId, batchId, setupName, style = 'classic', coffee, daysAgo, changes } = options;
    const view = this.view(releaseId);
    const batch = view.batches.find(({ id }) => id === batchId)!;
    const setup = this.setup(setupName);
    const knowledge = readHouseModel(this.db, findHouse(this.db)!);
    const { recipe, mean, startDial } = proposeFrom(knowledge.modelOf('both'), {
      release: factsToday(view.release, batch, today()),
      style,
      setup: { ...setup, grinder: knowledge.withReference(setup.grinder) },
    });
    const { doseG, timeS, clock: counted, programme, restDays } = recipe;
    const yieldG =
      changes?.ratio === undefined
        ? (changes?.yieldG ?? recipe.yieldG)
        : Math.round(2 * doseG * changes.ratio) / 2;
    const temperatureC = changes?.temperatureC ?? recipe.temperatureC;
    const own = options.programme;
    const overruled = [
      ...(yieldG === recipe.yieldG ? [] : ['yield']),
      ...(temperatureC === recipe.temperatureC ? [] : ['temperature']),
    ];
    this.run(
      'acceptRecipe',
      {
        releaseId,
        batchId,
        setupId: setup.id,
        style,
        temperatureSchool: 'both',
        doseG,
        yieldG,
        temperatureC,
        timeS,
        clock: counted,
        programme: own?.name ?? programme,
        steps: own?.steps ?? STYLE_STEPS[style],
        restDays,
        startDial: options.startDial ?? startDial?.dial ?? middleSetting(setup.grinder),
        why: overruled.length > 0 ? (changes?.why ?? '') : '',
        ...(overruled.length > 0 && { overruled }),
        proposed: mean,
      },
      lead,
    );
    const centreS = (timeS[0] + timeS[1]) / 2;
    const bench = new DemoBench(
      coffee,
      this.grinders[setup.name]!,
      { doseG, yieldG, centreS },
      this.chance,
    );
    return { releaseId, setup, bench, coffee, temperatureC, firstDaysAgo: daysAgo };
  }

  /** Pulls one shot the way the advice says, with a bench's small slips. */
  pull(dialIn: DialIn, person: string, daysAgo: number, slip: Slip = {}): string {
    const { releaseId, setup, bench, temperatureC, firstDaysAgo } = dialIn;
    const { chance } = this;
    const view = this.view(releaseId).bench!;
    const aim = view.advice.setting;
    const lastDial = view.shots.at(-1)?.dial ?? aim.dial;
    const isPurged = aim.dial !== lastDial && !slip.forgetsPurge;
    const isBadPrep = slip.seen?.includes('spurt') ?? false;
    const doseG = tenth(aim.doseG + 0.06 * chance.normal());
    const yieldG = tenth(view.draft.recipe.yieldG + 0.35 * chance.normal() + (slip.overrunG ?? 0));
    const { retentionG } = setup.grinder;
    const { timeS, firstDripS } = bench.pull({
      dial: aim.dial,
      doseG,
      yieldG,
      temperatureC,
      purgeG: isPurged ? 2 * retentionG : 0,
      daysLater: firstDaysAgo - daysAgo,
      isBadPrep,
    });
    const { shotId } = this.run(
      'logShot',
      {
        draftId: view.draft.id,
        dial: aim.dial,
        doseG,
        ...(aim.doseG !== view.draft.recipe.doseG && { aimDoseG: aim.doseG }),
        yieldG,
        timeS,
        firstDripS,
        temperatureC,
        clock: 'pump',
        purged: isPurged,
        seen: slip.seen ?? [],
        remark: slip.remark ?? '',
      },
      person,
    );
    return String(shotId);
  }

  /** Pulls one shot to figures of its own, purged. */
  pullTo(
    { bench, setup, firstDaysAgo }: DialIn,
    { draftId, dial, doseG: wantedG, yieldG: wantedYieldG, temperatureC, beans }: ArmPull,
    daysAgo: number,
    person: string,
  ): { readonly shotId: string; readonly doseG: number; readonly yieldG: number } {
    const { chance } = this;
    const doseG = tenth(wantedG + 0.05 * chance.normal());
    const yieldG = tenth(wantedYieldG + 0.3 * chance.normal());
    const { timeS, firstDripS } = bench.pull({
      dial,
      doseG,
      yieldG,
      temperatureC,
      purgeG: 2 * setup.grinder.retentionG,
      daysLater: firstDaysAgo - daysAgo,
      isBadPrep: false,
    });
    const shot = { draftId, dial, doseG, yieldG, timeS, firstDripS, temperatureC, beans };
    const { shotId } = this.run('logShot', { ...shot, clock: 'pump', purged: true }, person);
    return { shotId: String(shotId), doseG, yieldG };
  }

  /** Follows the advice until it says on target, or for so many shots; answers the shots. */
  dialIn(
    dialIn: DialIn,
    people: readonly string[],
    daysAgo: number,
    { most = 14, minutesAgo = 300 }: { most?: number; minutesAgo?: number } = {},
  ): string[] {
    const shots: string[] = [];
    for (let i = 0; i < most; i++) {
      this.goTo(daysAgo, minutesAgo - 6 * i);
      shots.push(this.pull(dialIn, people[i % people.length]!, daysAgo, this.usualSlip(i)));
      if (isOnTargetStatus(this.view(dialIn.releaseId).bench!.advice.status)) break;
    }
    return shots;
  }

  /** What goes wrong on a bench now and then. */
  private usualSlip(i: number): Slip {
    const { chance } = this;
    if (i > 0 && chance.isWithin(0.08)) return { seen: ['spurt'], remark: 'tamped askew' };
    if (i > 0 && chance.isWithin(0.08)) return { overrunG: 2.8, remark: 'stopped late' };
    if (chance.isWithin(0.15)) return { forgetsPurge: true };
    if (i === 0 && chance.isWithin(0.3)) return { remark: 'first of the morning' };
    return {};
  }

  /** A check of a public recipe: three shots, the last two tasted by both. */
  check(dialIn: DialIn, { lead, bench }: People, daysAgo: number, notes: readonly string[]): void {
    for (const [i, person] of [bench, bench, lead].entries()) {
      this.goTo(daysAgo, 220 - 7 * i);
      const shotId = this.pull(dialIn, person, daysAgo, this.usualSlip(i));
      if (i === 0) continue;
      this.goTo(daysAgo, 216 - 7 * i);
      this.taste(dialIn, person, shotId, notes);
    }
  }

  taste(dialIn: DialIn, person: string, shotId: string, notes: readonly string[]): void {
    const { chance } = this;
    const shot = this.view(dialIn.releaseId).bench!.shots.find(({ id }) => id === shotId);
    if (!shot) return;
    const { tdsPct, extractionPct } = tdsOf(dialIn.coffee, shot, chance);
    const palate = 0.4 * chance.normal();
    this.run(
      'recordTasting',
      {
        shotId,
        moment: chance.oneOf(['hot', 'warm', 'warm', 'cool']),
        serving: 'straight',
        scales: tasteOf(dialIn.coffee, extractionPct, palate, chance),
        notesFound: notes.filter(() => chance.isWithin(0.6)),
        remark: chance.isWithin(0.25) ? chance.oneOf(REMARKS) : '',
        tdsPct,
      },
      person,
    );
  }

  publish(lead: string, releaseId: string, words: Record<string, unknown>): void {
    const view = this.view(releaseId);
    const bench = view.bench!;
    const house = findHouse(this.db)!;
    const offers = readCardOffers(this.db, house, view, { bench });
    const base = publishedBody(house, view, NO_WORDS, { today: today() });
    const card = { ...composedFrom(base, undefined, offers), ...words };
    this.run('publish', { releaseId, draftId: bench.draft.id, whatChanged: '', ...card }, lead);
  }
}

const NO_WORDS = { right: '', short: '', long: '', whatChanged: '' };

const tenth = (value: number) => Math.round(10 * value) / 10;

const REMARKS = [
  'clearer as it cools',
  'finish a little short',
  'sweet in the middle',
  'good in a small milk drink',
  'rounder than yesterday',
];
