/** Told how far a long computation is, 0-1; never goes back. */
export type Progress = (fraction: number) => void;
