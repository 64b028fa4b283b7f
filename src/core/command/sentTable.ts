/** A spreadsheet as it is sent to be taken in. */
export interface SentTable {
  readonly csv: string;
  readonly mapping: Readonly<Partial<Record<string, string>>>;
  readonly units: Readonly<Partial<Record<string, string>>>;
  readonly dateOrder: string;
}
