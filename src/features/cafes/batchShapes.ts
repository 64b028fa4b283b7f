/** The mark of each batch on a chart, in the order of the roast, and the word for it. */
const SHAPES = [
  { style: 'circle', words: 'circles' },
  { style: 'triangle', words: 'triangles' },
  { style: 'rect', words: 'squares' },
  { style: 'crossRot', words: 'crosses' },
] as const;

export const shapeOf = (nth: number): (typeof SHAPES)[number] => SHAPES[nth % SHAPES.length]!;
