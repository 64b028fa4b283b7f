/** What a run of faults found; everything below `tried` must be nought. */
export interface Counts {
  kills: number;
  acknowledged: number;
  inputs: number;
  serverErrors: number;
  crashes: number;
  partial: number;
  lost: number;
  doubled: number;
}

export const noCounts = (): Counts => ({
  kills: 0,
  acknowledged: 0,
  inputs: 0,
  serverErrors: 0,
  crashes: 0,
  partial: 0,
  lost: 0,
  doubled: 0,
});

export const BAD = ['serverErrors', 'crashes', 'partial', 'lost', 'doubled'] as const;
