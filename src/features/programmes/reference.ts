/** Medium, washed, rested: the coffee around which the model is laid, and the commonest basket. */
export const REFERENCE_COFFEE = { roastLevel: 0, intensity: 0, restDays: 14 } as const;
export const REFERENCE_BASKET = { diameterMm: 58, ratedG: 18 } as const;
