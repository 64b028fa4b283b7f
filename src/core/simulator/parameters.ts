/**
 * Parameters of the shot simulator (model.md §7). They are effective: fitted to about thirty figures of
 * the trade, not measured on a machine. Names carry the unit; lengths in µm, areas in m², masses in g.
 */

/** Time step, s; up to .1 s gives the same shot. */
export const STEP_S = 0.05;
/** Layers of the bed. A parameter, not a resolution: it sets how much the liquid mixes on its way. */
export const LAYERS = 12;
/** Parallel ways through the bed: loose, dense, and the channel. */
export const TUBES = 3;

export const MACHINE = {
  pumpMlS: 9.5,
  stallBar: 13,
  /** Water the hydraulics take up per bar. */
  compliance: 1.33,
  tauPressureS: 0.35,
  tauDumpS: 0.3,
  headSpaceMl: 4.6,
  lossC: 1,
  spoutS: 0.45,
  firstDripG: 0.2,
} as const;

export const BED = {
  /** Bulk density of the tamped bed, g/ml. */
  bulk: 0.42,
  /** Liquid within and between the grains of a wet bed, ml per g of coffee. */
  poresMlG: 0.97,
  liquidMlG: 0.48,
  porosity: 0.17,
  porosityPerFines: 0.231,
  permeabilityM2: 2.4e-15,
  referenceUm: 400,
  finesUm: 40,
  fines: 0.17,
  finesPower: 1,
  opening: 0.134,
  clogging: 0.098,
  cloggingMl: 35,
  compactionBar: 3,
  compactionPower: 0.74,
  capillaryBar: 0.06,
  dryPermeability: 3.22,
  overfillPerG: 0.052,
} as const;

/** House heuristic: what no longer dissolves because the bed is too fine or too hard pressed. */
export const DEAD = { share: 0.095, grindPower: 1.69, pressurePower: 1.05 } as const;

/** House heuristic: uneven flow. */
export const UNEVEN = {
  channelShare: 0.0083,
  channelPermeability: 14.75,
  channelPower: 1.61,
  referencePrep: 0.8,
  prepGain: 4,
  spread: 0.101,
  spreadPerPrep: 0.5,
  heals: 0.5,
  healsOverS: 12,
  opensOverS: 6.6,
  soakHeals: 1.2,
  soakOverS: 12,
} as const;

export const HEAT = {
  coffeeJPerGK: 1.8,
  waterJPerGK: 4.19,
  metalJPerK: 22,
  metalC: 82,
  groundsC: 32,
  lossWPerK: 0.35,
} as const;

export const SOLUTES = ['acid', 'middle', 'bitter'] as const;
export type Solute = (typeof SOLUTES)[number];

export const DISSOLVING = {
  saturationGMl: 0.228,
  fastPerS: 2.53,
  kernelPerS: 0.181,
  kernelPower: 1.03,
  /** Depth from which a grain gives at once. */
  surfaceUm: 45,
  /** Volume that a gram of solute adds to the liquid, ml. */
  volumeMlG: 0.65,
  /** Share of the solubles, relative rate, activation energy and more per °C above 93, by class. */
  share: [0.3, 0.45, 0.25],
  rate: [1.6, 1, 0.55],
  activationJ: [20_000, 30_000, 45_000],
  extraPerC: [0.0024, 0.006, 0.0145],
  referenceC: 93,
} as const;

/** Beans other than at room temperature grind otherwise: µm per °C from 22 °C. */
export const BEAN_TEMPERATURE = { roomC: 22, warmUmPerC: 1.48, coldUmPerC: 0.85 } as const;

/** Gas left in the beans. House heuristic. */
export const GAS = {
  resistance: 0.44,
  fadesOverDays: 25,
  scatter: 0.235,
  scatterFadesOverDays: 3,
  referenceDays: 14,
} as const;

/** sd of what differs between like shots, and of the instruments. */
export const NOISE = {
  lnPermeability: 0.045,
  doseG: 0.05,
  lnSolubles: 0.02,
  lnChannel: 0.35,
  refractometerPct: 0.08,
  yieldG: 0.3,
  pressureBar: 0.04,
  weightG: 0.03,
  flowMlS: 0.012,
} as const;

/** Light, medium and dark coffee; roasts between are mixed, farther ones go on in the same line. */
export const ROASTS = {
  light: { solubles: 0.24, ease: 0.85, fines: -0.09, density: 0.05 },
  medium: { solubles: 0.253, ease: 1, fines: 0, density: 0 },
  dark: { solubles: 0.268, ease: 1.18, fines: 0.09, density: -0.05 },
} as const;
