/** Sd of one taster's liking of one cup, points: what two cups of one recipe differ by. House heuristic (model.md, Trials). */
export const CUP_SD = 0.8;
