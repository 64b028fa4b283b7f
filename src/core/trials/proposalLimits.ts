/** Nothing outside these is proposed, by any part of the model. House heuristic (model.md §2). */
export const RATIO_LIMIT = [0.9, 4] as const;
export const TEMPERATURE_LIMIT_C = [80, 97] as const;
