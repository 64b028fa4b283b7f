/**
 * What cafés share, kept between checks: the weather of each region, and the columns of the whole field. A café that is
 * fitted anew costs its region and those columns, however many cafés there are.
 */
import type { Dense } from './dense';
import type { SharedKey } from './rows';
import {
  addPart,
  daySpan,
  emptyRegion,
  fitGlobals,
  fitRegion,
  globalColumns,
  sharedCovariance,
  weatherOf,
  withPart,
  type GlobalColumns,
  type GlobalFit,
  type RegionFit,
  type RegionSums,
  type SharedPart,
} from './shared';

interface Region {
  readonly fit: RegionFit;
  /** What its cafés said together then, and by which columns. */
  readonly sums: RegionSums;
  readonly columns: GlobalColumns;
}

/** A café that is about to be fitted anew. */
interface Renewed {
  readonly keys: readonly SharedKey[];
  /** What it said when its region was fitted last; null of a new one. */
  readonly before: SharedPart | null;
  /** The other cafés of its region. */
  readonly others: readonly SharedPart[];
}

export class SharedFit {
  private readonly regions = new Map<string, Region>();
  private columns: GlobalColumns = { keys: [], at: new Map() };
  private globals: GlobalFit | null = null;

  /** All regions anew; what no café speaks of any longer is forgotten. */
  renew(byRegion: ReadonlyMap<string, readonly SharedPart[]>): void {
    this.columns = globalColumns([...byRegion.values()].flat().map(({ keys }) => keys));
    this.regions.clear();
    for (const [region, parts] of byRegion)
      this.setRegion(
        region,
        this.sumOf(
          parts,
          parts.map(({ keys }) => keys),
        ),
      );
    this.globals = byRegion.size === 0 ? null : this.solved();
  }

  /** What the other cafés of a region say, for the passes of one. */
  othersOf(region: string, { keys, before, others }: Renewed): RegionSums {
    this.grow(keys);
    const spoken = [...others.map((part) => part.keys), keys];
    const { firstDay, days } = daySpan(spoken);
    const kept = this.regions.get(region);
    const stands =
      kept?.columns === this.columns &&
      kept.sums.firstDay === firstDay &&
      kept.sums.days.rows === days;
    // What was summed last less what it said then; anew where days or columns have changed.
    return stands && before !== null
      ? withPart(kept.sums, before, this.columns, -1)
      : this.sumOf(others, spoken);
  }

  /** Fits a region and the whole field with what one of its cafés says now. */
  fit(region: string, others: RegionSums, part: SharedPart): void {
    this.setRegion(region, withPart(others, part, this.columns));
    this.globals = this.solved();
  }

  /** The answer to a question as if one café said something else; nothing is changed by it. */
  supposing<T>(region: string, [others, part]: [RegionSums, SharedPart], ask: () => T): T {
    const kept = { region: this.regions.get(region)!, globals: this.globals };
    this.fit(region, others, part);
    const answer = ask();
    this.regions.set(region, kept.region);
    this.globals = kept.globals;
    return answer;
  }

  /** Means of some columns, as a café of this region sees them. */
  meansOf(region: string, keys: readonly SharedKey[]): number[] {
    const { fit } = this.regions.get(region)!;
    const globals = this.globals!;
    const weather = weatherOf(fit, globals);
    return keys.map(({ day, name }) =>
      day === null ? globals.mean[this.columns.at.get(name)!]! : weather[day - fit.firstDay]!,
    );
  }

  covarianceOf(region: string, keys: readonly SharedKey[]): Dense {
    const { fit } = this.regions.get(region)!;
    return sharedCovariance(keys, this.columns, fit, this.globals!);
  }

  /** Another one after every fit; null before the first. */
  get solution(): GlobalFit | null {
    return this.globals;
  }

  get keys(): readonly SharedKey[] {
    return this.columns.keys;
  }

  region(region: string): RegionFit | null {
    return this.regions.get(region)?.fit ?? null;
  }

  private grow(keys: readonly SharedKey[]): void {
    const isNew = keys.some(({ day, name }) => day === null && !this.columns.at.has(name));
    if (isNew) this.columns = globalColumns([this.columns.keys, keys]);
  }

  private sumOf(parts: readonly SharedPart[], spoken: Iterable<readonly SharedKey[]>): RegionSums {
    const sums = emptyRegion(daySpan(spoken), this.columns);
    for (const part of parts) addPart(sums, part, this.columns);
    return sums;
  }

  private setRegion(region: string, sums: RegionSums): void {
    this.regions.set(region, { fit: fitRegion(sums), sums, columns: this.columns });
  }

  private solved(): GlobalFit {
    return fitGlobals(
      this.columns,
      [...this.regions.values()].map(({ fit }) => fit),
    );
  }
}
