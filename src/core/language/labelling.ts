/** What must be declared, and how, is not ours to say. */
export const LABELLING_CAUTION = 'What must be declared, local food-labelling law decides.';
