var __defProp = Object.defineProperty;
var __export = (target, all) => {
  for (var name3 in all)
    __defProp(target, name3, { get: all[name3], enumerable: true });
};

// src/core/random.ts
function chanceFrom(seed) {
  let state = seed >>> 0;
  const uniform = () => {
    state = state + 1831565813 >>> 0;
    let mixed = Math.imul(state ^ state >>> 15, 1 | state);
    mixed = mixed + Math.imul(mixed ^ mixed >>> 7, 61 | mixed) ^ mixed;
    return ((mixed ^ mixed >>> 14) >>> 0) / 4294967296;
  };
  const normal = () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());
  return {
    uniform,
    normal,
    isWithin: (probability) => uniform() < probability,
    oneOf: (all) => all[Math.floor(uniform() * all.length)],
    shuffled: (all) => {
      const left = [...all];
      return all.map(() => left.splice(Math.floor(uniform() * left.length), 1)[0]);
    }
  };
}

// src/core/rest/ageing.ts
var AT_DAY = 14;
var OFFSET_DAYS = 10;
function ageOf(restDays) {
  const scale2 = AT_DAY + OFFSET_DAYS;
  return scale2 * Math.log((restDays + OFFSET_DAYS) / scale2);
}
function freshVariance(restDays) {
  return (0.235 * Math.exp(-restDays / 3)) ** 2;
}

// src/core/rest/houseAgeing.ts
import { inverse, Matrix as Matrix2 } from "ml-matrix";

// src/core/errors.ts
var UserFault = class extends Error {
  code;
  faults;
  constructor(code, faults) {
    super(faults.map((fault) => fault.message).join(" "));
    this.name = "UserFault";
    this.code = code;
    this.faults = faults;
  }
};
function userFault(code, field, message) {
  return new UserFault(code, [{ field, message }]);
}
function assert(condition, broken) {
  if (!condition) throw new Error(`Broken invariant: ${broken}`);
}

// src/core/linear.ts
import { Matrix } from "ml-matrix";
function dot(a, b) {
  let sum2 = 0;
  for (let i = 0; i < a.length; i++) sum2 += a[i] * b[i];
  return sum2;
}
function quadratic(M, x) {
  const used = x.flatMap((value, i) => value === 0 ? [] : [i]);
  let sum2 = 0;
  for (const i of used) for (const j of used) sum2 += x[i] * M.get(i, j) * x[j];
  return sum2;
}
function evened(M) {
  return Matrix.add(M, M.transpose()).mul(0.5);
}

// src/core/rest/houseAgeing.ts
var PRIOR = [
  { mean: -8e-3, sd: 6e-3 },
  { mean: 0, sd: 2e-3 }
];
var BETWEEN = { sd: 2e-3, worth: 10 };
var MOST_PASSES = 15;
var TOLERANCE = 5e-3;
var DRIFT_PER_WEEK = 0.01 ** 2;
var SHAPE_SHARE = 0.15;
function batchSlope(shots, noiseSd, driftPerWeek = DRIFT_PER_WEEK) {
  assert(shots.length > 0, "a batch without a shot has no slope");
  const first = shots[0]?.restDays ?? 0;
  const V = new Matrix2(
    shots.map(
      (a, i) => shots.map((b, j) => {
        const drift = driftPerWeek / 7 * Math.min(a.restDays - first, b.restDays - first);
        return drift + (i === j ? noiseSd ** 2 + freshVariance(a.restDays) : 0);
      })
    )
  );
  const W = inverse(V);
  const ages = shots.map(({ restDays }) => ageOf(restDays));
  const lns = shots.map(({ lnTimeS }) => lnTimeS);
  const weigh = (a, b) => dot(a, W.mmul(column(b)).to1DArray());
  const ones = shots.map(() => 1);
  const levelPrecision = weigh(ones, ones);
  const meanAge = weigh(ones, ages) / levelPrecision;
  const meanLn = weigh(ones, lns) / levelPrecision;
  const x = ages.map((age) => age - meanAge);
  const y = lns.map((ln2) => ln2 - meanLn);
  return { J: weigh(x, x), g: weigh(x, y), meanAge, meanLn, levelPrecision };
}
var column = (values) => Matrix2.columnVector([...values]);
function learnAgeing(batches) {
  const telling = batches.filter(({ J }) => J > 1e-9);
  const precision = Matrix2.diag(PRIOR.map(({ sd }) => 1 / sd ** 2));
  const right = precision.mmul(column(PRIOR.map(({ mean: mean3 }) => mean3)));
  const rowOf2 = ({ roastLevel }) => column([1, roastLevel]);
  let variance = BETWEEN.sd ** 2;
  let [mean2, covariance] = [column([0, 0]), precision];
  for (let n = 0; n < MOST_PASSES; n++) {
    const A = precision.clone();
    const b = right.clone();
    for (const batch of telling) {
      const z28 = rowOf2(batch);
      const scale2 = 1 + batch.J * variance;
      A.add(z28.mmul(z28.transpose()).mul(batch.J / scale2));
      b.add(z28.clone().mul(batch.g / scale2));
    }
    covariance = inverse(A);
    mean2 = covariance.mmul(b);
    const squares = telling.reduce((sum2, batch) => {
      const z28 = rowOf2(batch);
      const s = 1 / (batch.J + 1 / variance);
      const deviation = s * (batch.g - batch.J * z28.transpose().mmul(mean2).get(0, 0));
      const spread = z28.transpose().mmul(covariance).mmul(z28).get(0, 0);
      return sum2 + deviation ** 2 + s + s ** 2 * batch.J ** 2 * spread;
    }, 0);
    const next = (BETWEEN.worth * BETWEEN.sd ** 2 + squares) / (BETWEEN.worth + telling.length);
    const change = Math.abs(next / variance - 1);
    variance = next;
    if (change < TOLERANCE) break;
  }
  return {
    batches: telling.length,
    mean: [mean2.get(0, 0), mean2.get(1, 0)],
    covariance: covariance.to2DArray(),
    betweenSd: Math.sqrt(variance)
  };
}
function expectedSlope({ mean: mean2, covariance, betweenSd }, roastLevel) {
  const z28 = [1, roastLevel];
  const spread = dot(
    z28,
    covariance.map((row) => dot(row, z28))
  );
  return { mean: dot(z28, mean2), sd: Math.sqrt(betweenSd ** 2 + spread) };
}
function shrunkSlope({ J, g }, expected2) {
  const precision = 1 / expected2.sd ** 2;
  const s = 1 / (J + precision);
  return { mean: s * (g + precision * expected2.mean), sd: Math.sqrt(s), isOwn: J > precision };
}
function levelOn({ meanAge, meanLn, levelPrecision }, slope, toDay, weeks, { driftPerWeek = DRIFT_PER_WEEK, shapeShare = SHAPE_SHARE } = {}) {
  const ages = ageOf(toDay) - meanAge;
  const change = slope.mean * ages;
  const variance = 1 / levelPrecision + (slope.sd * ages) ** 2 + driftPerWeek * weeks + (shapeShare * change) ** 2;
  return { mean: meanLn + change, sd: Math.sqrt(variance) };
}

// bench/batches/ageing.ts
var NOISE_SD = 0.045;
var DRIFT_PER_WEEK2 = 0.01;
var PAST_BATCHES = 40;
var HOUSES = 40;
var DAYS_AHEAD = [7, 14, 21];
var LAST_DAY = 14;
function drawBatch(chance) {
  const level2 = Math.log(28) + 0.1 * chance.normal();
  const slope = -9e-3 + 2e-3 * chance.normal();
  const days = [6, 9, 12, LAST_DAY].flatMap((day3) => [day3, day3]);
  let [drift, before] = [0, days[0]];
  const shots = days.map((restDays) => {
    drift += DRIFT_PER_WEEK2 * Math.sqrt((restDays - before) / 7) * chance.normal();
    before = restDays;
    const sd = Math.sqrt(NOISE_SD ** 2 + freshVariance(restDays));
    return { restDays, lnTimeS: level2 + slope * ageOf(restDays) + drift + sd * chance.normal() };
  });
  const last = drift;
  const meanOn = (day3) => level2 + slope * ageOf(day3) + last + DRIFT_PER_WEEK2 * Math.sqrt((day3 - LAST_DAY) / 7) * chance.normal();
  return { shots, meanOn };
}
function line(shots, house) {
  const n = shots.length;
  const day3 = shots.reduce((sum2, { restDays }) => sum2 + restDays, 0) / n;
  const ln2 = shots.reduce((sum2, { lnTimeS }) => sum2 + lnTimeS, 0) / n;
  const xx = shots.reduce((sum2, { restDays }) => sum2 + (restDays - day3) ** 2, 0);
  const xy = shots.reduce(
    (sum2, { restDays, lnTimeS }) => sum2 + (restDays - day3) * (lnTimeS - ln2),
    0
  );
  const own = NOISE_SD ** -2 * xx;
  const known3 = house === null ? 0 : house.sd ** -2;
  const slope = (NOISE_SD ** -2 * xy + known3 * (house?.mean ?? 0)) / (own + known3);
  return { slope, at: (on) => ln2 + slope * (on - day3) };
}
function benchAgeing(houses = HOUSES) {
  const tally2 = /* @__PURE__ */ new Map();
  const add = (key, error, isIn2) => {
    const entry = tally2.get(key) ?? { squares: 0, hits: 0, n: 0 };
    tally2.set(key, {
      squares: entry.squares + error ** 2,
      hits: entry.hits + Number(isIn2),
      n: entry.n + 1
    });
  };
  for (let house = 0; house < houses; house++) {
    const chance = chanceFrom(7e3 + house);
    const past = Array.from({ length: PAST_BATCHES }, () => drawBatch(chance));
    const ageing = learnAgeing(
      past.map(({ shots }) => ({ ...batchSlope(shots, NOISE_SD), roastLevel: 0 }))
    );
    const slopes = past.map(({ shots }) => line(shots, null).slope);
    const mean2 = slopes.reduce((sum2, slope) => sum2 + slope, 0) / slopes.length;
    const sd = 2e-3;
    for (let i = 0; i < PAST_BATCHES; i++) {
      const { shots, meanOn } = drawBatch(chance);
      const batch = batchSlope(shots, NOISE_SD);
      const slope = shrunkSlope(batch, expectedSlope(ageing, 0));
      for (const ahead of DAYS_AHEAD) {
        const day3 = LAST_DAY + ahead;
        const truth = meanOn(day3);
        const foretold = levelOn(batch, slope, day3, ahead / 7);
        const isIn2 = Math.abs(truth - foretold.mean) <= 1.2816 * foretold.sd;
        add(`${ahead} days, the curve learnt by the house`, truth - foretold.mean, isIn2);
        add(`${ahead} days, a line of its own`, truth - line(shots, null).at(day3), false);
        add(
          `${ahead} days, a line learnt by the house`,
          truth - line(shots, { mean: mean2, sd }).at(day3),
          false
        );
      }
    }
  }
  return [...tally2].flatMap(([name3, { squares, hits, n }]) => {
    const row = { part: "batches", case: name3 };
    const error = { ...row, metric: "error", value: Math.sqrt(squares / n), unit: "ln" };
    return name3.includes("curve") ? [error, { ...row, metric: "held by the 80 % interval", value: 100 * hits / n, unit: "%" }] : [error];
  });
}

// src/core/grinder/dial.ts
var LN_TIME_PER_STEP_DEFAULT = { mean: 0.1, sd: 0.04 };
var LN_TIME_PER_UM = -Math.log(1 - 0.053) / 10;
var USUAL_TIME_S = 28;
var Z_80 = 1.2815515655446004;
var LEAST_DOUBT = 0.1;
function finerSign(grinder) {
  return grinder.finerIs === "lower" ? -1 : 1;
}
function slopePrior(grinder) {
  const perStep = perStepOf(grinder);
  const doubt = doubtOf(grinder);
  return {
    mean: finerSign(grinder) * perStep / grinder.stepSize,
    sd: doubt * perStep / grinder.stepSize
  };
}
function perStepOf({ secondsPerStep, umPerStep }) {
  if (secondsPerStep !== void 0) return Math.log(1 + secondsPerStep / USUAL_TIME_S);
  return umPerStep === void 0 ? LN_TIME_PER_STEP_DEFAULT.mean : LN_TIME_PER_UM * umPerStep;
}
function doubtOf({ secondsPerStep, secondsPerStepHalf80 }) {
  if (secondsPerStep === void 0 || secondsPerStepHalf80 === void 0)
    return LN_TIME_PER_STEP_DEFAULT.sd / LN_TIME_PER_STEP_DEFAULT.mean;
  return Math.max(LEAST_DOUBT, secondsPerStepHalf80 / Z_80 / secondsPerStep);
}
function settingLimits({ min, max, finerIs, chokesAt }) {
  if (chokesAt === void 0) return { min, max };
  return finerIs === "lower" ? { min: Math.max(min, chokesAt), max } : { min, max: Math.min(max, chokesAt) };
}
function middleSetting({ min, max, stepSize }) {
  return roundDial(min + Math.round((max - min) / 2 / stepSize) * stepSize);
}
function roundDial(dial2) {
  return Number(dial2.toFixed(4));
}
function grindWord(grinder, from, to) {
  return (to - from) * finerSign(grinder) > 0 ? "finer" : "coarser";
}
var SAME = 1e-9;
function isSameDial(a, b) {
  return Math.abs(a - b) < SAME;
}

// src/core/readNumber.ts
function readNumber(text3) {
  const figure5 = text3.replace(/\s/g, "");
  if (figure5 === "") return void 0;
  if (isAmbiguous(figure5)) return text3.trim();
  const value = Number(ungrouped(figure5).replace(",", "."));
  return Number.isFinite(value) ? value : text3.trim();
}
function isAmbiguous(figure5) {
  return /^-?[1-9]\d{0,2},\d{3}$/.test(figure5.replace(/\s/g, ""));
}
function ungrouped(figure5) {
  const sign = figure5.startsWith("-") ? "-" : "";
  const digits = figure5.slice(sign.length);
  if (/^\d{1,3}(,\d{3})+\.\d+$/.test(digits) || /^\d{1,3}(,\d{3}){2,}$/.test(digits))
    return sign + digits.replaceAll(",", "");
  if (/^\d{1,3}(\.\d{3})+,\d+$/.test(digits) || /^\d{1,3}(\.\d{3}){2,}$/.test(digits))
    return sign + digits.replaceAll(".", "");
  return /^\d{1,3}(['’]\d{3})+$/.test(digits) ? sign + digits.replace(/['’]/g, "") : figure5;
}

// src/core/grinder/notation.ts
var FIRST_LETTER = "A".charCodeAt(0);
function dialWords({ notation = "numbers", divisions = 1 }, dial2) {
  if (notation === "numbers") return String(roundDial(dial2));
  if (notation === "turns") return `${roundDial(dial2)} ${turnWord(dial2)}`;
  const counted = Math.round(dial2);
  const whole2 = Math.floor(counted / divisions);
  const part = counted - whole2 * divisions;
  return notation === "letters" ? `${whole2} ${String.fromCharCode(FIRST_LETTER + part)}` : `${whole2} ${turnWord(whole2)} ${part}`;
}
var turnWord = (turns) => turns === 1 ? "turn" : "turns";
function readDial({ notation = "numbers", divisions = 1 }, text3) {
  const typed = text3.trim();
  if (typed === "") return void 0;
  switch (notation) {
    case "numbers":
      return readNumber(typed);
    case "turns": {
      const turns = readNumber(typed.replace(/\s*t(urns?)?$/i, ""));
      return typeof turns === "number" ? turns : typed;
    }
    case "letters": {
      const found = /^(-?\d+)\s*([a-z])$/i.exec(typed);
      const part = found ? found[2].toUpperCase().charCodeAt(0) - FIRST_LETTER : divisions;
      return found && part < divisions ? Number(found[1]) * divisions + part : typed;
    }
    case "marks": {
      const found = /^(-?\d+)(?:\s*t(?:urns?)?)?(?:(?:\s+|\s*\+\s*)(\d+))?$/i.exec(typed);
      const part = found ? Number(found[2] ?? 0) : divisions;
      return found && part < divisions ? Number(found[1]) * divisions + part : typed;
    }
  }
}
function dialMoveWords(grinder, from, to) {
  const words3 = dialWords(grinder, from);
  return from === to ? words3 : `${words3} \u2192 ${dialWords(grinder, to)}`;
}

// src/core/vocabulary.ts
var PROCESSES = [
  "washed",
  "honey",
  "natural",
  "anaerobicWashed",
  "anaerobicNatural",
  "carbonicMaceration",
  "infused",
  "wetHulled",
  "barrelAged",
  "decaf",
  "other"
];
var PROCESS_LABELS = {
  washed: "Washed",
  honey: "Honey",
  natural: "Natural",
  anaerobicWashed: "Anaerobic washed",
  anaerobicNatural: "Anaerobic natural",
  carbonicMaceration: "Carbonic maceration",
  infused: "Infused, co-fermented or thermal shock",
  wetHulled: "Wet-hulled",
  barrelAged: "Barrel-aged",
  decaf: "Decaffeinated",
  other: "Another process"
};
var VARIETY_CLASSES = ["ordinary", "landrace", "bigBean", "robusta"];
var VARIETY_LABELS = {
  ordinary: "Ordinary",
  landrace: "Dense landrace",
  bigBean: "Big bean, open structure",
  robusta: "Robusta"
};
var STYLES = [
  "classic",
  "longQuick",
  "fastCoarse",
  "soakFirst",
  "shortDense",
  "declining"
];
var STYLE_LABELS = {
  classic: "Classic",
  longQuick: "Long and quick",
  fastCoarse: "Fast and coarse",
  soakFirst: "Soak first",
  shortDense: "Short and dense",
  declining: "Declining"
};
var STYLE_PROGRAMMES = {
  classic: "9 bar, flat",
  longQuick: "6.5 bar, flat",
  fastCoarse: "high flow, 6 bar at the peak",
  soakFirst: "fill fast, pause 30 s, then slow flow up to 9 bar",
  shortDense: "9 bar, flat",
  declining: "9 bar falling to 6"
};
var TEMPERATURE_SCHOOLS = ["both", "narrow", "wide"];
var TEMPERATURE_SCHOOL_LABELS = {
  both: "Between the two",
  narrow: "Narrow, 90-96 \xB0C",
  wide: "Wide, 80-96 \xB0C"
};
var DOSE_SCHOOLS = ["locked", "trim"];
var DOSE_SCHOOL_LABELS = {
  locked: "Set by the basket, then left alone",
  trim: "Trimmed where one grinder step is too coarse"
};
var HEADSPACES = ["toRating", "roomAbove"];
var HEADSPACE_LABELS = {
  toRating: "Filled to its rating",
  roomAbove: "Room above the puck, about 5 % less"
};
var REST_SCHOOLS = ["byRoast", "oneWeek", "patient", "early"];
var REST_SCHOOL_LABELS = {
  byRoast: "By roast: darker is ready sooner",
  oneWeek: "One week for all",
  patient: "Patient: nothing before three weeks",
  early: "As fresh as possible"
};
var CLOCKS = ["pump", "firstDrip"];
var CLOCK_LABELS = {
  pump: "from the pump",
  firstDrip: "from the first drip"
};
var SEEN = [
  "gush",
  "drip",
  "choke",
  "spurt",
  "oneSided",
  "earlyBlond",
  "paleCrema",
  "screenPrint",
  "holes",
  "mud",
  "coldMetal",
  "dampDay"
];
var SEEN_LABELS = {
  gush: "Gushing",
  drip: "Drips only, no stream",
  choke: "Choked",
  spurt: "Spurts",
  oneSided: "One-sided flow",
  earlyBlond: "Blonds early",
  paleCrema: "Pale crema",
  screenPrint: "Screen prints the puck",
  holes: "Holes in the puck",
  mud: "Wet, soupy puck",
  coldMetal: "Cold portafilter",
  dampDay: "Damp or hot day"
};
var ROAST_WORDS = [
  { level: -2, label: "Ultra light" },
  { level: -1, label: "Light" },
  { level: -0.5, label: "Medium-light" },
  { level: 0, label: "Medium" },
  { level: 0.5, label: "Medium-dark" },
  { level: 1, label: "Dark" },
  { level: 2, label: "Very dark" }
];
function roastWord(level2) {
  const nearest = ROAST_WORDS.reduce(
    (best, word2) => Math.abs(word2.level - level2) < Math.abs(best.level - level2) ? word2 : best
  );
  return nearest.label;
}
var TASTE_SIGNS = ["salty", "grassy", "papery", "burnt", "hollow"];
var TASTE_SIGN_LABELS = {
  salty: "Salty",
  grassy: "Grassy",
  papery: "Papery",
  burnt: "Burnt",
  hollow: "Hollow"
};
var SERVED = ["straight", "milk", "both"];
var SERVED_LABELS = {
  straight: "Straight",
  milk: "In milk",
  both: "Straight and in milk"
};
var MOMENTS = ["hot", "warm", "cool"];
var MOMENT_LABELS = { hot: "hot", warm: "warm", cool: "cool" };
var SERVINGS = ["straight", "milk", "plantMilk"];
var SERVING_LABELS = {
  straight: "straight",
  milk: "in milk",
  plantMilk: "in plant milk"
};
var DRINKS = ["straight", "milk"];
var DRINK_LABELS = { straight: "Straight", milk: "Milk drinks" };
var isCupFor = (drink, serving2) => serving2 === "straight" === (drink === "straight");
var BEAN_STATES = ["room", "warm", "frozen", "misted"];
var BEAN_STATE_LABELS = {
  room: "Room temperature",
  warm: "Warmed",
  frozen: "From the freezer",
  misted: "Misted"
};
var INSTRUMENT_LABELS = {
  scale: "Scale",
  machineLink: "Machine control",
  refractometer: "Refractometer",
  colourMeter: "Colour meter"
};
var LINKS = ["none", "simulated"];
var LINK_LABELS = {
  none: "Read by hand",
  simulated: "Simulated, for trying out"
};
var BOILERS = ["single", "heatExchanger", "dual", "thermoblock"];
var BOILER_LABELS = {
  single: "One boiler for brewing and steam",
  heatExchanger: "Heat exchanger in the steam boiler",
  dual: "A boiler of its own for brewing",
  thermoblock: "Heated block"
};
var NOTATIONS = ["numbers", "turns", "letters", "marks"];
var NOTATION_LABELS = {
  numbers: "numbers: 9.5",
  turns: "turns: 1.5 turns",
  letters: "letters: 9 C",
  marks: "marks: 1 turn 6"
};

// src/core/figure.ts
var formats = /* @__PURE__ */ new Map();
function formatOf(digits) {
  const known3 = formats.get(digits);
  if (known3) return known3;
  const made = new Intl.NumberFormat("en-GB", {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
    // Nothing is written "-0.0".
    signDisplay: "negative"
  });
  formats.set(digits, made);
  return made;
}
function figure(value, digits) {
  return formatOf(digits).format(value).replace("-", "\u2212");
}

// src/core/units.ts
var VOLUME_UNITS = ["ml", "flOz"];
var TEMPERATURE_UNITS = ["C", "F"];
var METRIC = { volume: "ml", temperature: "C" };
var G_PER_OZ = 28.3495;
var ML_PER_FL_OZ = 29.5735;
var F_PER_C = 1.8;
var F_AT_0_C = 32;
function fahrenheitOf(c) {
  return F_PER_C * c + F_AT_0_C;
}
function celsiusOf(f) {
  return (f - F_AT_0_C) / F_PER_C;
}
function massWords(g, digits = 1) {
  return `${massFigure(g, digits)} g`;
}
function massFigure(g, digits = 1) {
  return figure(g, digits);
}
function temperatureWords(c, units, digits = 1) {
  return `${temperatureFigure(c, units, digits)} \xB0${units.temperature}`;
}
function temperatureFigure(c, units, digits = 1) {
  return figure(units.temperature === "C" ? c : fahrenheitOf(c), digits);
}
function temperatureStepWords(c, units, digits = 1) {
  const step = units.temperature === "C" ? c : F_PER_C * c;
  return `${figure(step, digits)} \xB0${units.temperature}`;
}

// src/core/start/setupLimits.ts
var NEEDS_CONTROL = {
  longQuick: {
    nearest: "classic",
    lost: "the low pressure that keeps a long, quick cup from turning harsh"
  },
  fastCoarse: {
    nearest: "classic",
    lost: "the high flow that lets a coarse grind give sweetness in under 25 s"
  },
  soakFirst: {
    nearest: "classic",
    lost: "the pause that lets a very fine grind swell before full pressure"
  }
};
var NEAREST_STYLE = Object.fromEntries(
  Object.entries(NEEDS_CONTROL).map(([style, { nearest }]) => [style, nearest])
);
var OFFSET_COUNTS_FROM_C = 0.25;
function styleWarnings(style, machine) {
  const need = NEEDS_CONTROL[style];
  if (!need || machine?.pressureControl !== false || machine.flowControl) return [];
  const styleWords = STYLE_LABELS[style].toLowerCase();
  const nearest = STYLE_LABELS[need.nearest].toLowerCase();
  if (style === "soakFirst" && machine.preinfusion)
    return [
      {
        code: "styleOutOfReach",
        text: `This machine can pause with its pre-infusion but not let the flow rise slowly, so it makes ${styleWords} only in part. The nearest it can make is ${nearest} with its longest pre-infusion; lost is the slow rise to full pressure.`
      }
    ];
  return [
    {
      code: "styleOutOfReach",
      text: `This machine has no pressure or flow control, so it cannot make ${styleWords}. The nearest it can make is ${nearest}; lost is ${need.lost}.`
    }
  ];
}
function basketWarnings({ pressurised }) {
  if (!pressurised) return [];
  return [
    {
      code: "pressurised",
      text: "This basket is pressurised: a valve makes the resistance, so the grind cannot be dialled in and times say little. Use an open basket to find a recipe."
    }
  ];
}
function displayTemperatureC(temperatureC2, machine) {
  const offsetC = machine?.displayOffsetC ?? 0;
  return Math.abs(offsetC) < OFFSET_COUNTS_FROM_C ? null : temperatureC2 + offsetC;
}
function dialWarnings(startDial, grinder = {}) {
  const dial2 = startDial && dialWords(grinder, startDial.dial);
  switch (startDial?.heldBy) {
    case "choke":
      return [
        {
          code: "chokePoint",
          text: `The model wants a finer grind than the setting this grinder chokes at: ${dial2} is the finest it still gets through. Answer what is missing with a longer ratio or a hotter cup.`
        }
      ];
    case "range":
      return [
        {
          code: "dialRange",
          text: `The model wants a grind beyond this grinder\u2019s dial: ${dial2} is the nearest it has. Answer what is missing with the dose, within the basket.`
        }
      ];
    default:
      return [];
  }
}
function flushWarnings(machine) {
  if (machine?.boiler !== "heatExchanger" || machine.flushS !== void 0) return [];
  return [
    {
      code: "flush",
      text: "This machine heats its brewing water in the steam boiler: after a pause the first water is too hot. Flush until it stops spitting, clear of hands, and note the seconds in Equipment."
    }
  ];
}
function setupWarnings(setup, { temperatureC: temperatureC2, units }) {
  if (!setup) return [];
  const displayC = displayTemperatureC(temperatureC2, setup.machine);
  const offset = displayC === null ? [] : [
    {
      code: "displayOffset",
      text: `This machine shows ${temperatureStepWords(Math.abs(displayC - temperatureC2), units)} ${displayC > temperatureC2 ? "more" : "less"} than its group has: set ${temperatureWords(displayC, units)} for ${temperatureWords(temperatureC2, units)} at the group.`
    }
  ];
  return [
    ...setup.basket ? basketWarnings(setup.basket) : [],
    ...flushWarnings(setup.machine),
    ...offset
  ];
}

// src/core/taste/tasteMove.ts
var LARGE_RATIO = { least: 0.25, most: 0.4, mostAtPoints: 8, leastAtPoints: 4.5 };
var FAR_UNDER_LIGHT = { most: 0.75, fromPoints: 6 };
var FLAT_RATIO = 0.25;
var SMALL_RATIO = 0.1;
var STRENGTH_RATIO = 0.2;
var TEMPERATURE_STEP_C = 1;
var TWO_STEPS_FROM = 3.5;
function tasteMove(input) {
  const { direction } = input;
  const points = Math.abs(direction.under - direction.over);
  const more = direction.verdict === "under";
  switch (direction.verdict) {
    case "right":
    case "uneven":
    case "unclear":
      return null;
    case "flat":
      return smallMove(input, true);
    case "weak":
      return ratioMove(input, -STRENGTH_RATIO);
    case "strong":
      return ratioMove(input, STRENGTH_RATIO);
    case "under":
    case "over":
      if (direction.size === "large")
        return ratioMove(input, (more ? 1 : -1) * largeRatio(points, more && input.roastLevel < 0));
      if (direction.size === "medium")
        return grindMove(input, more, points >= TWO_STEPS_FROM ? 2 : 1);
      return smallMove(input, more);
  }
}
function otherFlatMove(input) {
  return ratioMove(input, FLAT_RATIO);
}
function largeRatio(points, isLightUnder) {
  if (isLightUnder && points >= FAR_UNDER_LIGHT.fromPoints) return FAR_UNDER_LIGHT.most;
  const { least, most, mostAtPoints, leastAtPoints } = LARGE_RATIO;
  const share = Math.min(1, (points - leastAtPoints) / (mostAtPoints - leastAtPoints));
  return least + share * (most - least);
}
function ratioMove({ target }, ratioChange) {
  const to = Math.round(2 * (target.yieldG + ratioChange * target.doseG)) / 2;
  return {
    variable: "yieldG",
    from: target.yieldG,
    to,
    words: `${ratioChange > 0 ? "Longer" : "Shorter"}: ${massFigure(target.yieldG)} \u2192 ${massWords(to)} in the cup (1:${figure(to / target.doseG, 2)}). Grind, dose and temperature stay.`
  };
}
function grindMove({ dial: dial2, grinder }, finer, steps2) {
  const change = (finer ? 1 : -1) * finerSign(grinder) * steps2 * grinder.stepSize;
  const to = roundDial(Math.min(grinder.max, Math.max(grinder.min, dial2 + change)));
  return {
    variable: "dial",
    from: dial2,
    to,
    words: `Grind ${grindWord(grinder, dial2, to)}, ${dialMoveWords(grinder, dial2, to)}, and accept the time it gives.`
  };
}
function smallMove(input, hotter) {
  const { units = METRIC } = input;
  const from = input.target.temperatureC;
  if (from === void 0 || input.machine?.settableTemperature === false)
    return ratioMove(input, hotter ? SMALL_RATIO : -SMALL_RATIO);
  const to = from + (hotter ? TEMPERATURE_STEP_C : -TEMPERATURE_STEP_C);
  return {
    variable: "temperatureC",
    from,
    to,
    words: `${hotter ? "Hotter" : "Cooler"}: ${temperatureFigure(from, units)} \u2192 ${temperatureWords(to, units)}. Grind, dose and yield stay.`
  };
}

// src/core/grinder/taught.ts
var ENOUGH_DIAL_INS = 3;
var isMostlyRule = (dialIns) => dialIns < ENOUGH_DIAL_INS;

// src/core/grinder/retention.ts
var PURGE_TIMES_RETENTION = 2;
function carriedShare({ retentionG, doseG: doseG2, purgeG }) {
  if (retentionG <= 0) return 0;
  return retentionG / doseG2 * Math.exp(-purgeG / retentionG) * (1 - Math.exp(-doseG2 / retentionG));
}
function effectiveDial(dial2, chamberDial, passage) {
  const share = carriedShare(passage);
  return (1 - share) * dial2 + share * chamberDial;
}
function chamberAfter(dial2, chamberDial, passage) {
  const { retentionG, doseG: doseG2, purgeG } = passage;
  if (retentionG <= 0) return dial2;
  const afterPurge = dial2 + (chamberDial - dial2) * Math.exp(-purgeG / retentionG);
  return dial2 + (afterPurge - dial2) * Math.exp(-doseG2 / retentionG);
}
var CARRIED_LN_TIME = 0.025;
var LEAST_PURGE_G = 1;
function fullPurge(retentionG) {
  return upToHalfGram(PURGE_TIMES_RETENTION * retentionG);
}
function purgeFor({
  retentionG,
  doseG: doseG2,
  lnTimeChange
}) {
  const carried2 = Math.abs(lnTimeChange) * carriedShare({ retentionG, doseG: doseG2, purgeG: 0 });
  if (carried2 <= CARRIED_LN_TIME) return 0;
  const needed = retentionG * Math.log(carried2 / CARRIED_LN_TIME);
  return Math.min(fullPurge(retentionG), Math.max(LEAST_PURGE_G, upToHalfGram(needed)));
}
function isSpoilt(carriedLnTime) {
  return Math.abs(carriedLnTime) > 1.5 * CARRIED_LN_TIME;
}
function upToHalfGram(grams) {
  return Math.max(0, Math.ceil(2 * grams - 1e-9) / 2);
}

// src/core/grinder/timeRows.ts
var NOISE_SD2 = 0.045;
var DOSE_EXPONENT = { mean: 1.4, sd: 0.5 };
var YIELD_EXPONENT = { mean: 1, sd: 0.2 };
var AGE_SLOPE = { mean: -8e-3, sd: 6e-3 };
var MIXING_NOISE = 0.3;
var CHOKED_LN_EXCESS = Math.log(2.5);
var CHOKED_VARIANCE = 0.04;
var LEAST_TIMED_G = 3;
var YIELD_DOUBT = 0.25;
function rowsOf({ shots, reference, retentionG, slope, expectedLnTimeS }) {
  const rows = [];
  const effectiveDials = [];
  let chamberDial = shots[0]?.dial ?? reference.dial;
  shots.forEach((shot, shotIndex) => {
    const passage = { retentionG, doseG: shot.doseG, purgeG: shot.purgeG };
    const dial2 = effectiveDial(shot.dial, chamberDial, passage);
    const mixing = mixingVariance(slope, shot.dial - chamberDial, passage);
    effectiveDials.push(dial2);
    chamberDial = chamberAfter(shot.dial, chamberDial, passage);
    const { aimYieldG = reference.yieldG } = shot;
    if (shot.choked && shot.yieldG < LEAST_TIMED_G) {
      rows.push({
        x: designOf({ ...shot, dial: dial2, yieldG: aimYieldG }, reference),
        lnTimeS: expectedLnTimeS + CHOKED_LN_EXCESS,
        extraVariance: 0,
        fixedVariance: CHOKED_VARIANCE,
        shotIndex,
        noiseShare: 1
      });
    } else if (shot.timeS !== null && isTimed(shot.yieldG, aimYieldG)) {
      const yields = YIELD_DOUBT * Math.log(shot.yieldG / aimYieldG);
      const fresh = shot.restDays === null ? 0 : freshVariance(shot.restDays);
      rows.push({
        x: designOf({ ...shot, dial: dial2 }, reference),
        lnTimeS: Math.log(shot.timeS),
        extraVariance: mixing + (shot.lnSd ?? 0) ** 2 + yields ** 2 + fresh,
        fixedVariance: null,
        shotIndex,
        noiseShare: shot.noiseShare ?? 1
      });
    }
  });
  return { rows, effectiveDials, chamberDial };
}
function designOf(shot, reference) {
  return [
    1,
    shot.dial - reference.dial,
    Math.log(shot.doseG / reference.doseG),
    Math.log(shot.yieldG / reference.yieldG),
    shot.restDays === null ? 0 : ageOf(shot.restDays) - ageOf(reference.restDays)
  ];
}
function mixingVariance(slope, dialChange, passage) {
  return (MIXING_NOISE * slope * dialChange * carriedShare(passage)) ** 2;
}
function isTimed(yieldG2, targetG) {
  return yieldG2 >= LEAST_TIMED_G && yieldG2 <= targetG * 2;
}

// src/core/advice/proofWords.ts
function proofWords({ meanS, sdS, inWindow: inWindow2 }) {
  return `This setting runs ${figure(meanS, 1)} \xB1 ${figure(Z_80 * sdS, 1)} s, ${surePct(inWindow2)} % sure that it holds the window.`;
}
var surePct = (probability) => Math.min(99, Math.max(1, Math.round(100 * probability)));

// src/core/advice/words.ts
var PREP_TEXT = {
  spurt: "It spurted: water found a channel. Mend distribution and tamp, and pull it again.",
  oneSided: "It ran on one side: level the bed and the tamp, and pull it again.",
  holes: "Holes in the puck: distribute more evenly, and pull it again.",
  coldMetal: "The portafilter was cold: warm it with a flush, and pull it again."
};
var BEANS_WORDS = {
  room: "at room temperature",
  warm: "warmed",
  frozen: "from the freezer",
  misted: "misted"
};
function offWords(timeS2, [low, high]) {
  if (timeS2 < low) return `${figure(low - timeS2, 1)} s too fast`;
  return timeS2 > high ? `${figure(timeS2 - high, 1)} s too slow` : "at the edge";
}
var REASON_WORDS = {
  firstShot: () => ({
    code: "firstShot",
    text: "Pull the first shot as the recipe says; weigh in and out, and time it."
  }),
  remembered: (dialIns) => ({
    code: "remembered",
    text: `${dialIns === 1 ? "One past dial-in" : `${dialIns} past dial-ins`} of this grinder say so${isMostlyRule(dialIns) ? ", with the trade\u2019s rule, which still weighs more" : ""}: begin there, weigh in and out, and time it.`
  }),
  newBatch: (dial2, proof) => ({
    code: "newBatch",
    text: `A new batch on the last recipe, its dial moved for age and colour. At ${dial2} it should run about ${figure(proof.meanS, 0)} s: one shot usually settles it.`
  }),
  carriesOver: (dial2, proof, isLiked) => ({
    code: "carriesOver",
    text: `The recipe carries over at dial ${dial2}: this batch runs ${figure(proof.meanS, 1)} \xB1 ${figure(Z_80 * proof.sdS, 1)} s there, ${surePct(proof.inWindow)} % sure that it holds the window. ${isLiked ? "The cup is liked: confirmed." : "Taste it: one cup guards against gross faults."}`
  }),
  oneMore: (dial2, proof, goal) => ({
    code: "oneMore",
    text: `Not sure yet: ${surePct(proof.inWindow)} % that dial ${dial2} holds the window, ${surePct(goal)} are asked for. One more shot at ${dial2}.`
  }),
  dialInAnew: () => ({
    code: "dialInAnew",
    text: "This batch lies farther off than age, colour and chance explain: dial it in anew."
  }),
  revised: () => ({
    code: "revised",
    text: "The recipe changed after the last shot: pull it as the plate says now. Earlier shots still teach the grinder."
  }),
  choked: ({ yieldG: yieldG2, timeS: timeS2 }, targetG) => ({
    code: "choked",
    text: `${yieldG2 < LEAST_TIMED_G ? "It choked." : `Choked, or nearly so: ${massWords(yieldG2)} in ${figure(timeS2, 0)} s would be about ${nearestTen(timeS2 * targetG / yieldG2)} s to ${massWords(targetG)}.`} Wait for the pressure to vent before you loosen the portafilter, then make a large move coarser.`
  }),
  gushing: () => ({
    code: "gushing",
    text: "It gushed through in under 12 s: a large move finer. Mind the spray."
  }),
  doseOff: (doseG2, aimG) => ({
    code: "doseOff",
    text: `Dose ${massWords(doseG2)} where ${massWords(aimG)} was meant: weigh the basket again before you judge the time.`
  }),
  yieldOff: (yieldG2, targetG) => ({
    code: "yieldOff",
    text: yieldG2 > targetG ? `Yield ${massWords(yieldG2)} is ${massWords(yieldG2 - targetG)} over: stop earlier, for ${massWords(targetG)}, and judge the time then.` : `Yield ${massWords(yieldG2)} is ${massWords(targetG - yieldG2)} short: let it run to ${massWords(targetG)}, and judge the time then.`
  }),
  byVolume: () => ({
    code: "byVolume",
    text: "Yield read by volume: crema fools the eye. Put the cup on the scale."
  }),
  noFirstDrip: (clock3) => ({
    code: "noFirstDrip",
    text: `The recipe's clock starts ${CLOCK_LABELS[clock3]}, this shot's does not, and its first drip was not noted: a usual one leaves open whether it hit. Note the first drip, or time it by the recipe's clock.`
  }),
  prepSign: (sign) => ({ code: `prep.${sign}`, text: PREP_TEXT[sign] }),
  otherEra: () => ({
    code: "otherEra",
    text: "The grinder has another zero point or new burrs since this shot, and nobody knows by how much its numbers moved: set it by eye and hand, and pull one to see. Older shots of this dial-in no longer count."
  }),
  unpurged: () => ({
    code: "unpurged",
    text: "The dial moved and the grinder was not purged: part of this dose was ground at the old setting, so it is not evidence. That shot has flushed the grinder; pull it again unchanged."
  }),
  knownFar: (timeS2, [low, high]) => ({
    code: "knownFar",
    text: `Not purged, so this time says little; but past dial-ins of this grinder say about ${figure(timeS2, 0)} s here, purged, likely ${figure(low, 0)}-${figure(high, 0)} (8 in 10). No need to pull that to find out.`
  }),
  otherBeans: (state, usual) => ({
    code: "otherBeans",
    text: `Beans ${BEANS_WORDS[state]}, at the shot before ${BEANS_WORDS[usual]}: they grind otherwise${state === "warm" ? " and run faster" : state === "room" ? "" : " and run slower"}, so the time says nothing of the grind. Keep to one state within a dial-in.`
  }),
  odd: () => ({
    code: "odd",
    text: "Odd one out: check puck prep, and pull it again unchanged before you believe it."
  }),
  tooFresh: (restDays, openDay) => ({
    code: "tooFresh",
    text: `Rested ${restDays} days, opens at ${openDay}: gas makes shots erratic. Wait, or take this one for practice.`
  }),
  uneven: () => ({
    code: "uneven",
    text: "Sour and bitter at once: the water ran unevenly. Mend distribution; the recipe stays."
  }),
  tasteFirst: () => ({
    code: "tasteFirst",
    text: "This house tastes before it judges the time: taste this shot."
  }),
  timeOff: (timeS2, [low, high], clock3) => ({
    code: timeS2 < low ? "tooFast" : "tooSlow",
    text: `${figure(timeS2, 1)} s ${CLOCK_LABELS[clock3]} is ${offWords(timeS2, [low, high])} for ${low}-${high} s.`
  }),
  /** In the window, but only by its dose or yield. */
  timeByYield: (timeS2, asRecipeS, [low, high], clock3) => ({
    code: asRecipeS < low ? "tooFast" : "tooSlow",
    text: `${figure(timeS2, 1)} s ${CLOCK_LABELS[clock3]} lies in ${low}-${high} s, but with the dose and yield of the recipe it would have been about ${figure(asRecipeS, 1)} s: ${offWords(asRecipeS, [low, high])}.`
  }),
  smallMiss: ({ doseG: doseG2, yieldG: yieldG2 }, aimG, ofDoseS) => ({
    code: "smallMiss",
    text: `Dose ${massWords(doseG2)} for ${massWords(aimG)}, yield ${massWords(yieldG2)}: the dose explains about ${figure(ofDoseS, 1)} s of it, so the time is believed. Weigh both again next time.`
  }),
  firstAfterPause: () => ({
    code: "firstAfterPause",
    text: "First shot after a pause: group and grinder were not yet warm, and a miss this small can be that. Flush, and pull it again unchanged before you move."
  }),
  dampDay: () => ({
    code: "dampDay",
    text: "A damp or hot day: beans take up water and burrs warm, and the time moves with them. Part of this may be the weather; it goes with it."
  }),
  aged: (days, seconds) => ({
    code: "aged",
    text: `The coffee is ${days} days older than at the shot before: about ${figure(Math.abs(seconds), 1)} s ${seconds > 0 ? "faster" : "slower"} of this is age.`
  }),
  otherTemperature: (pulledC, recipeC, units) => ({
    code: "otherTemperature",
    text: `Pulled at ${temperatureWords(pulledC, units)}, the recipe says ${temperatureWords(recipeC, units)}: the cup speaks for what was pulled.`
  }),
  fastAndBitter: () => ({
    code: "fastAndBitter",
    text: "Fast, and yet bitter or drying: clock and cup contradict each other. Look at distribution first, then at a group that is too hot; the grind stays."
  }),
  slowAndSour: () => ({
    code: "slowAndSour",
    text: "Slow, and yet sour: clock and cup contradict each other. Look for a channel first, then at a group that is too cold; the grind stays."
  }),
  likedOutside: (lowS, highS) => ({
    code: "likedOutside",
    text: `Everybody likes this cup: keep it, and move the window to ${lowS}-${highS} s.`
  }),
  landed: (proof) => ({
    code: "landed",
    text: `On target. Only a repeat counts: pull it again unchanged. ${proofWords(proof)}`
  }),
  edge: (proof) => ({
    code: "edge",
    text: `On target, but near the edge: the shots together say ${figure(proof.meanS, 1)} s, and a small move holds the window more surely.`
  }),
  noBetter: () => ({
    code: "noBetter",
    text: "No setting is clearly better than this one: pull it again unchanged to learn more."
  }),
  outvoted: (timeS2) => ({
    code: "outvoted",
    text: `The shots together say about ${figure(timeS2, 0)} s at this setting, and one shot is one shot: pull it again unchanged before you move.`
  }),
  nearest: (proof) => ({
    code: "nearest",
    text: `No setting of this grinder holds the window more surely. ${proofWords(proof)} Widen the window, trim the dose, or live with it: this is no confirmation.`
  }),
  repeated: (proof) => ({
    code: "repeated",
    text: `${proofWords(proof)} Taste it: only a liked cup confirms a recipe.`
  }),
  confirmed: (proof) => ({
    code: "confirmed",
    text: `${proofWords(proof)} The cup is liked: confirmed.`
  })
};
var nearestTen = (value) => 10 * Math.round(value / 10);

// src/core/advice/age.ts
var LEAST_S = 0.5;
function ageShare({ input: { shots }, model, marks }) {
  const last = shots.at(-1);
  const before = shots.findLast(
    (shot) => shot.restDays !== void 0 && shot.restDays !== last?.restDays
  );
  if (last?.restDays === void 0 || before?.restDays === void 0) return [];
  const change = model.coefficients[4] * (ageOf(last.restDays) - ageOf(before.restDays));
  const { timeOnTargetClockS: timeS2 } = marks.at(-1);
  const seconds = timeS2 * (1 - Math.exp(-change));
  return Math.abs(seconds) < LEAST_S ? [] : [REASON_WORDS.aged(last.restDays - before.restDays, seconds)];
}

// src/core/rest/carry.ts
import { inverse as inverse2, Matrix as Matrix4 } from "ml-matrix";

// src/core/advice/proof.ts
import jStat from "jstat";
function between(mean2, sd, low, high) {
  return jStat.normal.cdf(high, mean2, sd) - jStat.normal.cdf(low, mean2, sd);
}
var MOST_STEPS = 20;
var STEP_TOLERANCE = 1e-10;
function reach(variance, halfWindow, goal) {
  const sd = Math.sqrt(variance);
  const inside = (offset2) => between(offset2, sd, -halfWindow, halfWindow);
  if (inside(0) < goal) return null;
  const density = (distance) => jStat.normal.pdf(distance, 0, sd);
  let offset = Math.max(0, halfWindow - sd * jStat.normal.inv(goal, 0, 1));
  for (let i = 0; i < MOST_STEPS; i++) {
    const slope = density(halfWindow + offset) - density(halfWindow - offset);
    const step = slope === 0 ? 0 : (inside(offset) - goal) / slope;
    offset = Math.max(0, offset - step);
    if (Math.abs(step) < STEP_TOLERANCE) break;
  }
  return offset;
}
var LEAST_SHOTS = 2;
var MOST_AHEAD = 6;
var FAILURE_SHOTS = 2;
var NEVER = 1e7;
var NEVER_SLOPE = 1e6;
function proofCost({
  offset,
  variance,
  noiseSd,
  have,
  halfWindow,
  goal,
  landing: landing2
}) {
  let best = Infinity;
  for (let n = 1; n <= MOST_AHEAD; n++) {
    if (n >= best) break;
    if (have + n < LEAST_SHOTS) continue;
    const after = 1 / (1 / variance + n / noiseSd ** 2);
    const far = reach(after, halfWindow, goal);
    if (far === null) continue;
    const success = between(offset, Math.sqrt(variance - after), -far, far);
    if (success > 0) best = Math.min(best, n + FAILURE_SHOTS * (1 - success) / success);
  }
  return Number.isFinite(best) && best < NEVER - NEVER_SLOPE ? { cost: best, feasible: true } : { cost: NEVER - NEVER_SLOPE * landing2, feasible: false };
}

// src/core/grinder/timePrior.ts
import { Matrix as Matrix3 } from "ml-matrix";
var ODD_RATE = 0.04;
var ODD_SD = 0.3;
var EXPECTED_SD = 0.25;
function plainPrior(expectedTimeS, slope) {
  const all = [
    { mean: Math.log(expectedTimeS), sd: EXPECTED_SD },
    slope,
    DOSE_EXPONENT,
    YIELD_EXPONENT,
    AGE_SLOPE
  ];
  return {
    mean: all.map(({ mean: mean2 }) => mean2),
    covariance: Matrix3.diag(all.map(({ sd }) => sd ** 2)),
    noiseSd: NOISE_SD2,
    oddRate: ODD_RATE
  };
}
function weightOf(squared, variance, oddRate) {
  const wide = variance + ODD_SD ** 2;
  const odds = oddRate / (1 - oddRate) * Math.sqrt(variance / wide) * Math.exp(squared / 2 / variance - squared / 2 / wide);
  const good = 1 / (1 + odds);
  return { good, weight: good + (1 - good) * variance / wide };
}

// src/core/rest/carry.ts
var REFERENCE_S = 28;
var EFFECT = { mean: 1, sd: 0.12 };
var LEAST_WEIGHT = 1e-4;
var GAIN_TO_MOVE = 0.03;
var ANOTHER = { sds: 2.5, probability: 0.5, fromShots: 2 };
var USUAL_MOVES = Array.from({ length: 13 }, (_, i) => (i - 6) / 20);
function carryOver(input) {
  const { prior, window: window2, shots, goal, moves: moves2 = USUAL_MOVES } = input;
  const parts = posterior(input);
  const [low, high] = window2.map((timeS2) => Math.log(timeS2 / REFERENCE_S));
  const holds2 = (moveLn) => parts.reduce((sum2, part) => {
    const { mean: mean2, variance } = at(part, moveLn);
    return sum2 + part.weight * between(mean2, Math.sqrt(variance), low, high);
  }, 0);
  const here = input.here ?? shots.at(-1)?.moveLn ?? 0;
  const inWindow2 = holds2(here);
  const top = [here, ...moves2].map((moveLn) => ({ moveLn, inWindow: holds2(moveLn) })).reduce((a, b) => b.inWindow > a.inWindow + 1e-12 ? b : a);
  const best = top.inWindow - inWindow2 > GAIN_TO_MOVE ? top : { moveLn: here, inWindow: inWindow2 };
  const far = ANOTHER.sds * prior.sd;
  const isAnother = shots.length >= ANOTHER.fromShots && parts.reduce((sum2, { weight, mean: mean2, covariance }) => {
    const sd = Math.sqrt(covariance.get(0, 0));
    return sum2 + weight * (1 - between(mean2[0], sd, prior.mean - far, prior.mean + far));
  }, 0) >= ANOTHER.probability;
  return {
    mean: parts.reduce((sum2, { weight, mean: mean2 }) => sum2 + weight * mean2[0], 0),
    inWindow: inWindow2,
    best,
    settled: settledAt(parts, best.moveLn),
    verdict: isAnother ? "dialInAnew" : top.inWindow >= goal ? "carriesOver" : "oneMore"
  };
}
function at({ mean: mean2, covariance }, moveLn) {
  return {
    mean: mean2[0] + moveLn * mean2[1],
    variance: covariance.get(0, 0) + 2 * moveLn * covariance.get(0, 1) + moveLn ** 2 * covariance.get(1, 1)
  };
}
function settledAt(parts, moveLn) {
  const all = parts.map((part) => ({ weight: part.weight, ...at(part, moveLn) }));
  const mean2 = all.reduce((sum2, part) => sum2 + part.weight * part.mean, 0);
  const variance = all.reduce(
    (sum2, part) => sum2 + part.weight * (part.variance + (part.mean - mean2) ** 2),
    0
  );
  return { mean: mean2, sd: Math.sqrt(variance) };
}
function posterior({ prior, shots, noiseSd = NOISE_SD2 }) {
  let parts = [
    {
      weight: 1,
      mean: [prior.mean, EFFECT.mean],
      covariance: Matrix4.diag([prior.sd ** 2, EFFECT.sd ** 2])
    }
  ];
  for (const { moveLn, timeS: timeS2 } of shots) {
    const y = Math.log(timeS2 / REFERENCE_S);
    const split = parts.flatMap((part) => [
      updated(part, moveLn, y, { variance: noiseSd ** 2, share: 1 - ODD_RATE }),
      updated(part, moveLn, y, { variance: noiseSd ** 2 + ODD_SD ** 2, share: ODD_RATE })
    ]);
    const total = split.reduce((sum2, { weight }) => sum2 + weight, 0);
    const kept2 = split.filter(({ weight }) => weight / total >= LEAST_WEIGHT);
    const left = kept2.reduce((sum2, { weight }) => sum2 + weight, 0);
    parts = kept2.map((part) => ({ ...part, weight: part.weight / left }));
  }
  return parts;
}
function updated({ weight, mean: mean2, covariance }, moveLn, y, { variance, share }) {
  const x = Matrix4.columnVector([1, moveLn]);
  const predicted = x.transpose().mmul(covariance).mmul(x).get(0, 0) + variance;
  const miss = y - mean2[0] - moveLn * mean2[1];
  const precision = inverse2(covariance).add(x.mmul(x.transpose()).div(variance));
  const after = inverse2(precision);
  const gain = covariance.mmul(x).div(predicted);
  return {
    weight: weight * share * Math.exp(-miss * miss / 2 / predicted) / Math.sqrt(predicted),
    mean: [mean2[0] + gain.get(0, 0) * miss, mean2[1] + gain.get(1, 0) * miss],
    covariance: after
  };
}

// src/core/advice/judge.ts
import { Matrix as Matrix8 } from "ml-matrix";

// src/core/extraction/clock.ts
function pumpSeconds(seconds) {
  return seconds;
}
function fromPumpSeconds(timeS2, clock3, firstDripS) {
  return clock3 === "pump" ? timeS2 : timeS2 - firstDripS;
}
var USUAL_FIRST_DRIP_S = 7;
var fromPump = (timeS2, clock3, firstDripS = USUAL_FIRST_DRIP_S) => pumpSeconds(clock3 === "pump" ? timeS2 : timeS2 + firstDripS);

// src/core/extraction/volume.ts
var USUAL_CREMA_G_PER_ML = 0.75;
var VOLUME_LN_SD = 0.15;
function volumeOfMass(g, cremaGPerMl) {
  return Math.round(g / cremaGPerMl);
}
function readVolume(text3) {
  const found = /^([\d.,]+)\s*(ml|fl\.?\s*oz\.?)$/i.exec(text3.trim());
  if (!found) return null;
  const figure5 = Number(found[1].replace(",", "."));
  if (!Number.isFinite(figure5)) return null;
  return found[2].toLowerCase() === "ml" ? figure5 : Number((figure5 * ML_PER_FL_OZ).toFixed(1));
}

// src/core/grinder/memory.ts
import { inverse as inverse4, Matrix as Matrix7 } from "ml-matrix";

// src/core/runThrough.ts
function runThrough(work) {
  let step = work.next();
  while (!step.done) step = work.next();
  return step.value;
}

// src/core/start/priors.ts
var OUTPUTS = ["lnRatio", "temperatureC", "lnTimeS", "grindSteps", "lnDose"];
var ln = Math.log;
var BASE = [
  [ln(2), 0.1],
  [92, 1],
  [ln(28), 0.1],
  [0, 1],
  [0, 0.04]
];
var STYLE_ROWS = {
  longQuick: [
    [ln(1.45), 0.08],
    [0, 1],
    [ln(20 / 28), 0.08],
    [-4, 2],
    [0, 0.03]
  ],
  fastCoarse: [
    [ln(1.5), 0.08],
    [0, 1],
    [ln(22 / 28), 0.08],
    [-5, 2],
    [0, 0.03]
  ],
  soakFirst: [
    [ln(1.5), 0.08],
    [0, 1],
    [ln(60 / 28), 0.12],
    [-1, 2.5],
    [0, 0.03]
  ],
  shortDense: [
    [ln(0.625), 0.12],
    [0, 1],
    [0, 0.12],
    [1.5, 2],
    [0.02, 0.03]
  ],
  declining: [
    [0, 0.06],
    [0, 1],
    [ln(30 / 28), 0.08],
    [0.5, 1.5],
    [0, 0.03]
  ]
};
var LIGHT = [
  [0.2, 0.06],
  [2, 0.6],
  [0, 0.05],
  [1.5, 0.8],
  [0.01, 0.02]
];
var DARK = [
  [-0.3, 0.1],
  [-2, 1.5],
  [0, 0.06],
  [-1, 0.8],
  // A dark roast swells: the same grams take more room.
  [-0.015, 0.02]
];
var INTENSITY = [
  [-0.06, 0.04],
  [-0.8, 0.5],
  [-0.02, 0.04],
  [-0.8, 0.6],
  [0, 0.015]
];
var PROCESS = [
  [0, 0.05],
  [0, 0.6],
  [0, 0.04],
  [0, 0.7],
  [0, 0.015]
];
var DECAF = [PROCESS[0], PROCESS[1], PROCESS[2], [0, 1.2], PROCESS[4]];
var LANDRACE = [
  [0.05, 0.08],
  [0.5, 0.8],
  [0, 0.04],
  [0.7, 1],
  [0, 0.02]
];
var BIG_BEAN = [
  [-0.05, 0.08],
  [-0.5, 0.8],
  [0, 0.04],
  [-0.7, 1],
  [0, 0.02]
];
var ROBUSTA = [
  [-0.1, 0.12],
  [-1, 1.2],
  [0, 0.06],
  [0, 1.5],
  [0, 0.03]
];
var DENSITY = [
  [0.03, 0.03],
  [0.3, 0.3],
  [0, 0.03],
  [0.3, 0.4],
  [0, 0.01]
];
var ALTITUDE = [
  [0.02, 0.03],
  [0.2, 0.3],
  [0, 0.03],
  [0.2, 0.4],
  [0, 0.01]
];
var REST = [
  [0, 0.03],
  [0, 0.3],
  [0, 0.03],
  [0.5, 0.4],
  [0, 0.01]
];
var NOISE_SD3 = {
  lnRatio: 0.07,
  temperatureC: 0.7,
  lnTimeS: 0.06,
  grindSteps: 0.8,
  lnDose: 0.02
};
var SCHOOL_RULES = {
  both: { base: BASE[1], light: LIGHT[1], dark: DARK[1] },
  narrow: { base: [92, 1], light: [2, 0.6], dark: [-1, 0.5] },
  wide: { base: [88.5, 1.5], light: [3, 1], dark: [-4, 1.5] }
};
var MAIN_ROWS = {
  base: BASE,
  light: LIGHT,
  dark: DARK,
  intensity: INTENSITY,
  honey: PROCESS,
  natural: PROCESS,
  anaerobicWashed: PROCESS,
  anaerobicNatural: PROCESS,
  carbonicMaceration: PROCESS,
  infused: PROCESS,
  wetHulled: PROCESS,
  barrelAged: PROCESS,
  decaf: DECAF,
  landrace: LANDRACE,
  bigBean: BIG_BEAN,
  robusta: ROBUSTA,
  density: DENSITY,
  altitude: ALTITUDE,
  rest: REST
};
var CROSSED_FACTORS = ["light", "dark", "intensity"];
var ALTERED_STYLES = Object.keys(STYLE_ROWS);
function processSd(output) {
  return PROCESS[OUTPUTS.indexOf(output)][1];
}
function styleAtOneSetting(style, { perStep, yieldExponent }) {
  const [lnRatio, , lnTime, grind2] = STYLE_ROWS[style];
  return {
    mean: lnTime[0] - yieldExponent * lnRatio[0] - perStep * grind2[0],
    sd: Math.hypot(lnTime[1], yieldExponent * lnRatio[1], perStep * grind2[1])
  };
}
function styleShift(style) {
  if (style === "classic") return { lnRatio: 0, lnTimeS: 0, grindSteps: 0 };
  const [lnRatio, , lnTimeS, grindSteps] = STYLE_ROWS[style];
  return { lnRatio: lnRatio[0], lnTimeS: lnTimeS[0], grindSteps: grindSteps[0] };
}
var EDITABLE_FACTORS = [
  ...Object.keys(MAIN_ROWS),
  ...ALTERED_STYLES
];
var ROOM_ABOVE = [ln(0.95), 0.02];
function rulesInForce(own, headspace) {
  const isBase = ({ factor, output }) => factor === "base" && output === "lnDose";
  if (headspace === "toRating" || own.some(isBase)) return own;
  const [mean2, sd] = ROOM_ABOVE;
  return [...own, { factor: "base", output: "lnDose", mean: mean2, sd }];
}
function crossedRatioRule(style, factor) {
  if (factor === "light" && ["longQuick", "fastCoarse", "soakFirst"].includes(style))
    return [-0.15, 0.05];
  if (factor === "dark" && style === "shortDense") return [0.2, 0.06];
  return null;
}
function tradeRule(factor, output, school = "both") {
  if (output === "temperatureC" && (factor === "base" || factor === "light" || factor === "dark"))
    return SCHOOL_RULES[school][factor];
  const row = factor in MAIN_ROWS ? MAIN_ROWS[factor] : STYLE_ROWS[factor];
  return row[OUTPUTS.indexOf(output)];
}
function priorFor(output, school, own = []) {
  const ruleOf = (factor) => {
    const found = own.find((rule) => rule.factor === factor && rule.output === output);
    return found ? [found.mean, found.sd] : tradeRule(factor, output, school);
  };
  const editable = EDITABLE_FACTORS.map((factor) => {
    const [mean2, sd] = ruleOf(factor);
    return { factor, mean: mean2, sd };
  });
  const crossed = ALTERED_STYLES.flatMap(
    (style) => CROSSED_FACTORS.map((factor) => {
      const special = output === "lnRatio" ? crossedRatioRule(style, factor) : null;
      const [mean2, sd] = special ?? [0, ruleOf(factor)[1] / 2];
      return { factor: `${style}:${factor}`, mean: mean2, sd };
    })
  );
  return [...editable, ...crossed];
}
var FACTORS = priorFor("lnRatio", "both").map((rule) => rule.factor);

// src/core/coffee/roast.ts
var SPREAD_SD = 0.7;
var DEFAULT_COLOUR_MAP = [
  { colour: 50, roastLevel: 2 },
  { colour: 65, roastLevel: 1 },
  { colour: 80, roastLevel: 0 },
  { colour: 95, roastLevel: -1 },
  { colour: 110, roastLevel: -2 }
];
function roastLevelFromColour(colourGround, map = DEFAULT_COLOUR_MAP) {
  const levels = [...map].sort((a, b) => a.colour - b.colour);
  const distinct = new Set(levels.map((level2) => level2.colour)).size === levels.length;
  if (levels.length < 2 || !distinct) {
    throw userFault(
      "badInput",
      "colourMap",
      "A colour map needs at least two levels at different colours. Add a level or change a colour."
    );
  }
  const first = levels[0];
  const last = levels[levels.length - 1];
  if (colourGround <= first.colour) return first.roastLevel;
  if (colourGround >= last.colour) return last.roastLevel;
  const upper = levels.findIndex((level2) => level2.colour >= colourGround);
  const from = levels[upper - 1];
  const to = levels[upper];
  const share = (colourGround - from.colour) / (to.colour - from.colour);
  return from.roastLevel + share * (to.roastLevel - from.roastLevel);
}
var CRUSHES = ["resists", "cracks", "crumbles"];
var CRUSH_LABELS = {
  resists: "Resists the thumb",
  cracks: "Cracks with effort",
  crumbles: "Crumbles easily"
};
var CRUSH_LEVEL = { resists: -1.2, cracks: 0, crumbles: 1.2 };
var CRUSH_SD = 0.9;
var WORD_SD = 0.45;
function readRoast(batch, map) {
  const ground = levelsOf(map, "colourGround");
  const bean = levelsOf(map, "colourBean");
  const word2 = batch.roastLevel ?? null;
  const byColour = (level2, source) => ({
    level: level2,
    sd: 0,
    source,
    colourMinusWord: word2 === null ? null : level2 - word2
  });
  if (batch.colourGround !== void 0)
    return byColour(
      roastLevelFromColour(batch.colourGround, ground.length >= 2 ? ground : DEFAULT_COLOUR_MAP),
      "ground"
    );
  if (batch.colourBean !== void 0 && bean.length >= 2)
    return byColour(roastLevelFromColour(batch.colourBean, bean), "bean");
  if (batch.crush !== void 0) return byThumb(batch.crush, word2);
  return { level: word2, sd: 0, source: word2 === null ? null : "word", colourMinusWord: null };
}
function byThumb(crush, word2) {
  const before = word2 ?? 0;
  const beforeSd = word2 === null ? SPREAD_SD : WORD_SD;
  const share = beforeSd ** 2 / (beforeSd ** 2 + CRUSH_SD ** 2);
  const level2 = before + share * (CRUSH_LEVEL[crush] - before);
  const sd = word2 === null ? Math.sqrt(1 - share) * beforeSd : 0;
  return { level: level2, sd, source: word2 === null ? "thumb" : "word", colourMinusWord: null };
}
function levelsOf(map, reading) {
  return map.flatMap(
    ({ roastLevel, [reading]: colour }) => colour === void 0 ? [] : [{ colour, roastLevel }]
  );
}

// src/core/coffee/features.ts
var PROCESS_INTENSITY = {
  washed: 0,
  honey: 0.5,
  natural: 1,
  anaerobicWashed: 1,
  anaerobicNatural: 1.75,
  carbonicMaceration: 1.75,
  infused: 2,
  wetHulled: 1,
  barrelAged: 1,
  decaf: 1,
  other: 1.5
};
var SPREAD_IF_MISSING = {
  roast: 0.7,
  process: 0.5,
  variety: 0.4,
  structure: 0.25
};
function featuresOf(release) {
  const components = release.components?.length ? release.components : [release];
  const totalPct = components.reduce((sum2, part) => sum2 + (part.sharePct ?? 0), 0);
  const shareOf2 = (part) => totalPct > 0 ? (part.sharePct ?? 0) / totalPct : 1 / components.length;
  const processShare = {};
  const varietyShare = {};
  const sums = {
    intensity: 0,
    densityZ: 0,
    altitudeZ: 0,
    densityShare: 0,
    altitudeShare: 0,
    noProcess: 0,
    noVariety: 0,
    noStructure: 0
  };
  for (const part of components) {
    const share = shareOf2(part);
    if (part.process) {
      processShare[part.process] = (processShare[part.process] ?? 0) + share;
      sums.intensity += share * PROCESS_INTENSITY[part.process];
    } else sums.noProcess += share;
    if (part.varietyClass)
      varietyShare[part.varietyClass] = (varietyShare[part.varietyClass] ?? 0) + share;
    else sums.noVariety += share;
    if (part.densityGPerL !== void 0) {
      sums.densityShare += share;
      sums.densityZ += share * (part.densityGPerL - 700) / 30;
    } else if (part.altitudeM !== void 0) {
      sums.altitudeShare += share;
      sums.altitudeZ += share * (part.altitudeM - 1600) / 300;
    } else sums.noStructure += share;
  }
  const roastLevel = release.colourGround !== void 0 ? roastLevelFromColour(release.colourGround, release.colourMap) : release.roastLevel ?? null;
  return {
    roastLevel,
    roastSd: roastLevel === null ? SPREAD_IF_MISSING.roast : release.roastSd ?? 0,
    intensity: sums.intensity,
    processShare,
    varietyShare,
    densityZ: sums.densityZ,
    altitudeZ: sums.altitudeZ,
    densityShare: sums.densityShare,
    altitudeShare: sums.altitudeShare,
    missingShare: {
      process: sums.noProcess,
      variety: sums.noVariety,
      structure: sums.noStructure
    },
    restDays: release.restDays ?? null
  };
}

// src/core/fits/basketLaw.ts
var REFERENCE_BASKET = { diameterMm: 58, ratedG: 18 };
function basketLaw(from, to) {
  return (to.ratedG / from.ratedG) ** 2 * (from.diameterMm / to.diameterMm) ** 4;
}
var TIME_SHARE = 0.125;
function timeStretch(from, to) {
  return basketLaw(from, to) ** TIME_SHARE;
}
function referenceStretch(basket = {}) {
  const { diameterMm = REFERENCE_BASKET.diameterMm, ratedG = REFERENCE_BASKET.ratedG } = basket;
  return timeStretch(REFERENCE_BASKET, { diameterMm, ratedG });
}

// src/core/start/design.ts
var REST_CENTRE_DAYS = 14;
var REST_CLIP = [-2, 3];
var READERS = FACTORS.map(readerOf);
function readerOf(factor) {
  const [head, tail] = factor.split(":");
  if (tail) return ({ style, crossed }) => head === style ? crossed[tail] : 0;
  if (head in STYLE_LABELS) return ({ style }) => Number(head === style);
  switch (factor) {
    case "base":
      return () => 1;
    case "light":
    case "dark":
    case "intensity":
      return ({ crossed }) => crossed[factor];
    case "landrace":
    case "bigBean":
    case "robusta":
      return ({ features }) => features.varietyShare[factor] ?? 0;
    case "density":
      return ({ features }) => features.densityZ;
    case "altitude":
      return ({ features }) => features.altitudeZ;
    case "rest":
      return ({ restWeeks }) => restWeeks;
    default:
      return ({ features }) => features.processShare[factor] ?? 0;
  }
}
function designRow(features, style) {
  const roast = features.roastLevel ?? 0;
  const restWeeks = features.restDays === null ? 0 : (features.restDays - REST_CENTRE_DAYS) / 7;
  const reading = {
    features,
    style,
    crossed: {
      light: Math.max(0, -roast),
      dark: Math.max(0, roast),
      intensity: features.intensity
    },
    restWeeks: Math.min(REST_CLIP[1], Math.max(REST_CLIP[0], restWeeks))
  };
  return READERS.map((read) => read(reading));
}
var FIXED_LABELS = {
  base: "Medium washed, classic",
  light: "Lighter than medium",
  dark: "Darker than medium",
  intensity: "Process intensity",
  density: "Green density",
  altitude: "Altitude",
  rest: "Rest days"
};
function factorLabel(factor) {
  const fixed = FIXED_LABELS[factor];
  if (fixed) return fixed;
  const [head, tail] = factor.split(":");
  if (tail) {
    const with_ = { light: "a light roast", dark: "a dark roast", intensity: "this process" }[tail];
    return `${STYLE_LABELS[head]}, with ${with_}`;
  }
  if (head in STYLE_LABELS) return `Style: ${STYLE_LABELS[head].toLowerCase()}`;
  if (head in VARIETY_LABELS)
    return `Variety: ${VARIETY_LABELS[head].toLowerCase()}`;
  return `Process: ${PROCESS_LABELS[head].toLowerCase()}`;
}

// src/core/start/posterior.ts
import { CholeskyDecomposition, Matrix as Matrix5 } from "ml-matrix";
import jStat2 from "jstat";
var PRIOR_SHAPE = 4;
var TRUST = [
  { kappa: 0.5, weight: 0.15 },
  { kappa: 1, weight: 0.55 },
  { kappa: 2, weight: 0.2 },
  { kappa: 4, weight: 0.1 }
];
var TRUST_FROM_N = 5;
function summarise({ rows, outputs, weights, priorMean }) {
  const p = priorMean.length;
  const gram = new Float64Array(p * p);
  const gradient = new Float64Array(p);
  let n = 0;
  let squares = 0;
  rows.forEach((row, i) => {
    const weight = weights?.[i] ?? 1;
    if (weight === 0) return;
    const used = row.flatMap((value, j) => value === 0 ? [] : [j]);
    const residual = used.reduce((left, j) => left - row[j] * priorMean[j], outputs[i]);
    n += weight;
    squares += weight * residual ** 2;
    for (const j of used) {
      const weighted = weight * row[j];
      gradient[j] += weighted * residual;
      for (const k of used) if (k <= j) gram[j * p + k] += weighted * row[k];
    }
  });
  const seen = priorMean.flatMap((_, j) => gram[j * p + j] > 0 ? [j] : []);
  const half = (j, k) => gram[Math.max(j, k) * p + Math.min(j, k)];
  return {
    n,
    seen,
    gram: new Matrix5(seen.map((j) => seen.map((k) => half(j, k)))),
    gradient: Matrix5.columnVector(seen.map((j) => gradient[j])),
    squares
  };
}
function posteriorOf({ priorMean, priorSd, noiseSd }, { n, seen, gram, gradient, squares }, kappa) {
  const precision = priorSd.map((sd) => (noiseSd / (sd * kappa)) ** 2);
  const inverse9 = Matrix5.diag(precision.map((value) => 1 / value));
  const mean2 = [...priorMean];
  let fitted2 = 0;
  let lnDetRatio = 0;
  if (seen.length > 0) {
    const A = Matrix5.diag(seen.map((j) => precision[j])).add(gram);
    const cholesky = new CholeskyDecomposition(A);
    const seenInverse = cholesky.solve(Matrix5.eye(seen.length));
    const step = seenInverse.mmul(gradient);
    seen.forEach((j, a) => {
      mean2[j] += step.get(a, 0);
      seen.forEach((k, b) => inverse9.set(j, k, seenInverse.get(a, b)));
    });
    fitted2 = gradient.transpose().mmul(step).get(0, 0);
    const lower = cholesky.lowerTriangularMatrix.diag();
    lnDetRatio = 2 * lower.reduce((sum2, d) => sum2 + Math.log(d), 0) - seen.reduce((sum2, j) => sum2 + Math.log(precision[j]), 0);
  }
  const b0 = PRIOR_SHAPE * noiseSd ** 2;
  const bn = b0 + 0.5 * (squares - fitted2);
  const an = PRIOR_SHAPE + n / 2;
  const logMarginal = -(n / 2) * Math.log(2 * Math.PI) - 0.5 * lnDetRatio + PRIOR_SHAPE * Math.log(b0) - an * Math.log(bn) + jStat2.gammaln(an) - jStat2.gammaln(PRIOR_SHAPE);
  return { kappa, share: 1, mean: mean2, inverse: inverse9, s2: bn / an, degrees: 2 * an, logMarginal };
}
function posteriors(input) {
  const summary = summarise(input);
  const count2 = input.rows.filter((_, i) => (input.weights?.[i] ?? 1) > 0).length;
  if (count2 < TRUST_FROM_N) return [posteriorOf(input, summary, 1)];
  const fits = TRUST.map(({ kappa, weight }) => ({
    fit: posteriorOf(input, summary, kappa),
    weight
  }));
  const top = Math.max(...fits.map(({ fit }) => fit.logMarginal));
  const raw = fits.map(({ fit, weight }) => weight * Math.exp(fit.logMarginal - top));
  const total = raw.reduce((sum2, value) => sum2 + value, 0);
  return fits.map(({ fit }, i) => ({ ...fit, share: raw[i] / total }));
}
function predict(fits, row, extraVariance = () => 0, own = { mean: 0, noiseLeft: 1 }) {
  const { mean: mean2, halfWidth80 } = averaged(
    fits,
    row,
    (fit) => own.noiseLeft * fit.s2 + extraVariance(fit)
  );
  return { mean: mean2 + own.mean, halfWidth80 };
}
function estimate(fits, row) {
  return averaged(fits, row, () => 0);
}
function averaged(fits, row, ownVariance) {
  const mean2 = fits.reduce((sum2, fit) => sum2 + fit.share * dot(row, fit.mean), 0);
  const variance = fits.reduce((sum2, fit) => {
    const own = fit.s2 * quadratic(fit.inverse, row) + ownVariance(fit);
    return sum2 + fit.share * (own + (dot(row, fit.mean) - mean2) ** 2);
  }, 0);
  const quantile3 = jStat2.studentt.inv(0.9, fits[0].degrees);
  return { mean: mean2, halfWidth80: quantile3 * Math.sqrt(variance) };
}

// src/core/start/fit.ts
function learn(history, school, own = []) {
  const designs = history.map(rowOfPast);
  const fits = mapOutputs((output) => {
    const rule = priorFor(output, school, own);
    const known3 = history.flatMap((past, place) => {
      const value = outputOf(past, output);
      const weight = past.weight ?? 1;
      return value === null || weight === 0 ? [] : [{ place, value, weight }];
    });
    const rows = known3.map(({ place }) => designs[place]);
    const outputs = known3.map(({ value }) => value);
    const weights = known3.map(({ weight }) => weight);
    return {
      rule,
      rows,
      outputs,
      weights,
      places: known3.map(({ place }) => place),
      posteriors: posteriors({
        rows,
        outputs,
        weights,
        priorMean: rule.map(({ mean: mean2 }) => mean2),
        priorSd: rule.map(({ sd }) => sd),
        noiseSd: NOISE_SD3[output]
      })
    };
  });
  return { history, school, fits };
}
var pastRows = /* @__PURE__ */ new WeakMap();
function rowOfPast(past) {
  let row = pastRows.get(past);
  if (!row) pastRows.set(past, row = designRow(featuresOf(past.release), past.style));
  return row;
}
function outputOf({
  recipe,
  ratedG,
  diameterMm,
  grindSteps
}, output) {
  switch (output) {
    case "lnRatio":
      return Math.log(recipe.ratio);
    case "temperatureC":
      return recipe.temperatureC ?? null;
    case "lnTimeS":
      return timeOf(recipe, { ratedG, diameterMm });
    case "grindSteps":
      return grindSteps ?? null;
    case "lnDose":
      return ratedG === void 0 ? null : Math.log(recipe.doseG / ratedG);
  }
}
function timeOf({ timeS: timeS2, clock: clock3 }, basket) {
  if (!timeS2 || !clock3) return null;
  const dripS = clock3 === "firstDrip" ? USUAL_FIRST_DRIP_S : 0;
  return Math.log((timeS2[0] + timeS2[1]) / 2 + dripS) - Math.log(referenceStretch(basket));
}
function questionRow(release, style) {
  const features = featuresOf(release);
  return [features, designRow(features, style)];
}
function averageMean({ posteriors: fits }) {
  return fits[0].mean.map((_, j) => fits.reduce((sum2, fit) => sum2 + fit.share * fit.mean[j], 0));
}
function countOf({ history }) {
  return history.filter(({ weight = 1 }) => weight > 0).length;
}
function mapOutputs(make) {
  return Object.fromEntries(OUTPUTS.map((output) => [output, make(output)]));
}

// src/core/start/startDial.ts
var LN_TIME_PER_STEP = 0.1;
function startDialOf(grinder, grindSteps, halfWidthSteps) {
  const { referenceDial, stepSize, chokesAt } = grinder;
  if (referenceDial === void 0) return null;
  const perDial = slopePrior(grinder).mean;
  const at3 = (steps2) => referenceDial + LN_TIME_PER_STEP * steps2 / perDial;
  const wanted = at3(grindSteps);
  const { min, max } = settingLimits(grinder);
  const onGrid2 = roundDial(grinder.min + Math.round((wanted - grinder.min) / stepSize) * stepSize);
  const dial2 = Math.min(max, Math.max(min, onGrid2));
  const ends = [at3(grindSteps - halfWidthSteps), at3(grindSteps + halfWidthSteps)].map(
    (end) => Math.min(grinder.max, Math.max(grinder.min, end))
  );
  const isHeld = Math.abs(dial2 - wanted) > stepSize / 2 + 1e-9;
  const byChoke = chokesAt !== void 0 && wanted >= grinder.min && wanted <= grinder.max;
  return {
    dial: dial2,
    interval80: [Math.min(...ends), Math.max(...ends)],
    heldBy: isHeld ? byChoke ? "choke" : "range" : null
  };
}
function grindStepsOf(grinder, dial2) {
  if (grinder.referenceDial === void 0) return null;
  return slopePrior(grinder).mean * (dial2 - grinder.referenceDial) / LN_TIME_PER_STEP;
}
function inferredReference(grinder, past, rules) {
  if (past.length === 0) return null;
  const perDial = slopePrior(grinder).mean;
  const mean2 = averageMean(rules.fits.grindSteps);
  const implied = past.map(({ facts, style, dial: dial2 }) => {
    const [, row] = questionRow(facts, style);
    return dial2 - LN_TIME_PER_STEP * dot(row, mean2) / perDial;
  });
  return implied.reduce((sum2, dial2) => sum2 + dial2, 0) / implied.length;
}

// src/core/grinder/timeModel.ts
import { inverse as inverse3, Matrix as Matrix6 } from "ml-matrix";
var ROBUST_FROM_SHOTS = 2;
var MAX_ITERATIONS = 200;
var WEIGHT_TOLERANCE = 1e-8;
var DAMPING = 0.5;
var LEAST_SLOPE_SHARE = 0.15;
var HELD_SHARE = 0.1;
var ODD_WEIGHT = 0.35;
function fitTimeModel({ shots, reference, prior, retentionG }) {
  const slope = prior.mean[1];
  const { rows, effectiveDials, chamberDial } = rowsOf({
    shots,
    reference,
    retentionG,
    slope,
    expectedLnTimeS: prior.mean[0]
  });
  const variances = rows.map(
    ({ fixedVariance, extraVariance, noiseShare }) => fixedVariance ?? (prior.noiseSd * noiseShare) ** 2 + extraVariance
  );
  const free = robust(rows, variances, prior);
  const isTurned = free.fit.mean[1] / slope < LEAST_SLOPE_SHARE;
  const { fit, rowWeights } = isTurned ? robust(rows, variances, withSlopeHeld(prior)) : free;
  const weights = shots.map(() => null);
  rows.forEach((row, i) => {
    if (row.fixedVariance === null) weights[row.shotIndex] = rowWeights[i];
  });
  const [a, b, c, d, e] = fit.mean;
  const noiseSd = prior.noiseSd * (shots.at(-1)?.noiseShare ?? 1);
  assert([a, b, c, d, e].every(Number.isFinite), "the time model has a finite solution");
  return {
    coefficients: [a, b, c, d, e],
    covariance: fit.covariance,
    noiseSd,
    weights,
    effectiveDials,
    chamberDial,
    predict: (next) => {
      const passage = { retentionG, doseG: next.doseG, purgeG: next.purgeG };
      const dial2 = effectiveDial(next.dial, chamberDial, passage);
      const x = designOf({ ...next, dial: dial2 }, reference);
      const mixing = mixingVariance(slope, next.dial - chamberDial, passage);
      return {
        lnTimeS: dot(x, fit.mean),
        variance: noiseSd ** 2 + mixing + quadratic(fit.covariance, x)
      };
    },
    settled: (setting) => {
      const x = designOf(setting, reference);
      return { lnTimeS: dot(x, fit.mean), variance: quadratic(fit.covariance, x) };
    }
  };
}
function withSlopeHeld(prior) {
  const covariance = prior.covariance.clone();
  covariance.mulRow(1, HELD_SHARE).mulColumn(1, HELD_SHARE);
  return { ...prior, covariance };
}
function robust(rows, variances, prior) {
  const precision = inverse3(prior.covariance);
  const right = precision.mmul(Matrix6.columnVector([...prior.mean]));
  const solve3 = (weights) => {
    const [J, q] = [precision.clone(), right.clone()];
    rows.forEach((row, r) => addRow(J, q, row, weights[r] / variances[r]));
    const covariance = inverse3(J);
    return { mean: covariance.mmul(q).to1DArray(), covariance };
  };
  let rowWeights = rows.map(() => 1);
  let fit = solve3(rowWeights);
  if (rows.length < ROBUST_FROM_SHOTS) return { fit, rowWeights };
  let change = Infinity;
  for (let i = 0; i < MAX_ITERATIONS && change > WEIGHT_TOLERANCE; i++) {
    const next = rows.map((row, j) => {
      if (row.fixedVariance !== null) return 1;
      const squared = (row.lnTimeS - dot(row.x, fit.mean)) ** 2 + quadratic(fit.covariance, row.x);
      const wanted = weightOf(squared, variances[j], prior.oddRate).weight;
      return rowWeights[j] + DAMPING * (wanted - rowWeights[j]);
    });
    change = Math.max(...next.map((w, j) => Math.abs(w - rowWeights[j])));
    rowWeights = next;
    fit = solve3(rowWeights);
  }
  return { fit, rowWeights };
}
function addRow(J, q, { x, lnTimeS }, w) {
  x.forEach((xi, i) => {
    if (xi === 0) return;
    q.set(i, 0, q.get(i, 0) + w * xi * lnTimeS);
    x.forEach((xj, j) => J.set(i, j, J.get(i, j) + w * xi * xj));
  });
}

// src/core/grinder/memory.ts
var LEVEL = { mean: Math.log(28), sd: 0.22 };
var LIGHT2 = { mean: -0.15, sd: 0.08 };
var DARK2 = { mean: 0.1, sd: 0.08 };
var INTENSITY2 = { mean: 0.08, sd: 0.06 };
var OF_COEFFICIENTS = 8;
var MEMORY_SIZE = OF_COEFFICIENTS + ALTERED_STYLES.length;
var DOSE_SD = 0.4;
var YIELD_SD = 0.15;
var BETWEEN2 = { level: 0.1, slopeShare: 0.1, dose: 0.25, yield: 0.1, age: 1e-6 };
var BETWEEN_WORTH = [4, 4, 10, 20, Infinity];
var NOISE_WORTH = 12;
var ODD_WORTH = 25;
var PERSON_WORTH = 20;
var MOST_PASSES2 = 12;
var TOLERANCE2 = 5e-3;
var REMEMBERED_DIAL_INS = 100;
var NOISE_BELIEVED_FROM = 30;
var NOISE_ALLOWANCE = 1.1;
function mapOf({ light, dark, intensity, style = "classic" }) {
  const map = Matrix7.zeros(5, MEMORY_SIZE);
  const altered = ALTERED_STYLES.findIndex((one) => one === style);
  if (altered >= 0) map.set(0, OF_COEFFICIENTS + altered, 1);
  [1, light, dark, intensity].forEach((value, j) => map.set(0, j, value));
  for (let k = 1; k < 5; k++) map.set(k, k + 3, 1);
  return map;
}
function priorOf(slope) {
  const all = [
    LEVEL,
    LIGHT2,
    DARK2,
    INTENSITY2,
    slope,
    { mean: DOSE_EXPONENT.mean, sd: DOSE_SD },
    { mean: YIELD_EXPONENT.mean, sd: YIELD_SD },
    AGE_SLOPE,
    ...ALTERED_STYLES.map(
      (style) => styleAtOneSetting(style, { perStep: LN_TIME_PER_STEP, yieldExponent: YIELD_EXPONENT.mean })
    )
  ];
  return {
    mean: Matrix7.columnVector(all.map(({ mean: mean2 }) => mean2)),
    precision: Matrix7.diag(all.map(({ sd }) => 1 / sd ** 2))
  };
}
function firstState({ mean: mean2 }) {
  const { level: level2, slopeShare, dose: dose2, yield: ofYield, age } = BETWEEN2;
  return {
    between: [level2, slopeShare * Math.abs(mean2), dose2, ofYield, age],
    noiseSd: NOISE_SD2,
    oddRate: ODD_RATE
  };
}
function learnGrinder(dialIns, slope, referenceDial, start) {
  return runThrough(learningGrinder(dialIns, slope, referenceDial, start));
}
function* learningGrinder(dialIns, slope, referenceDial, start) {
  const { newest, learnt: learnt2 } = yield* converge(dialIns, slope, start);
  return {
    dialIns: newest.length,
    referenceDial,
    mean: learnt2.mean.to1DArray(),
    covariance: learnt2.covariance.to2DArray(),
    ...learnt2.state,
    people: learnt2.people
  };
}
function* converge(dialIns, slope, start) {
  const newest = dialIns.slice(-REMEMBERED_DIAL_INS).filter(({ rows }) => rows.length > 0);
  let state = start ?? firstState(slope);
  let weights = newest.map(({ rows }) => rows.map(() => 1));
  let learnt2 = pass(newest, slope, state, weights);
  for (let n = 1; n < MOST_PASSES2; n++) {
    yield n;
    const change = changeOf(state, learnt2.state);
    ({ state, weights } = learnt2);
    if (change < TOLERANCE2) break;
    learnt2 = pass(newest, slope, state, weights);
  }
  return { newest, learnt: learnt2 };
}
var changeOf = (before, after) => Math.abs(after.noiseSd / before.noiseSd - 1) + Math.abs((after.between[0] / before.between[0]) ** 2 - 1) + Math.abs((after.between[1] / before.between[1]) ** 2 - 1);
function pass(dialIns, slope, state, weights) {
  const { noiseSd, oddRate, between: between2 } = state;
  const precisionT = Matrix7.diag(between2.map((sd) => 1 / sd ** 2));
  const varianceOf = (row) => row.fixedVariance ?? noiseSd ** 2 + row.extraVariance;
  const prior = priorOf(slope);
  const total = prior.precision.clone();
  const right = prior.precision.mmul(prior.mean);
  const parts = dialIns.map(({ features, rows, people = [] }, i) => {
    const J = Matrix7.zeros(5, 5);
    const q = Matrix7.zeros(5, 1);
    rows.forEach((row, r) => addRow(J, q, row, weights[i][r] / varianceOf(row)));
    const S = inverse4(J.clone().add(precisionT));
    const JS = J.mmul(S);
    const G = J.clone().sub(JS.mmul(J));
    const g = q.clone().sub(JS.mmul(q));
    const M = mapOf(features);
    total.add(M.transpose().mmul(G).mmul(M));
    right.add(M.transpose().mmul(g));
    return { J, q, S, M, rows, people };
  });
  const covariance = inverse4(total);
  const mean2 = covariance.mmul(right);
  const squares = [0, 0, 0, 0, 0];
  let [noiseSum, goodSum, oddSum, shots] = [0, 0, 0, 0];
  const ofPeople = /* @__PURE__ */ new Map();
  const nextWeights = parts.map(({ J, q, S, M, rows, people }) => {
    const centre = M.mmul(mean2);
    const deviation = S.mmul(q.clone().sub(J.mmul(centre)));
    const spread = M.mmul(covariance).mmul(M.transpose());
    const SJ = S.mmul(J);
    const carried2 = SJ.mmul(spread).mmul(SJ.transpose());
    for (let k = 0; k < 5; k++)
      squares[k] += deviation.get(k, 0) ** 2 + S.get(k, k) + carried2.get(k, k);
    const theta = centre.add(deviation).to1DArray();
    const rest = Matrix7.eye(5).sub(SJ);
    const C = S.clone().add(rest.mmul(spread).mmul(rest.transpose()));
    return rows.map((row, r) => {
      const variance = varianceOf(row);
      const squared = (row.lnTimeS - dot(row.x, theta)) ** 2 + quadratic(C, row.x);
      if (row.fixedVariance !== null) return 1;
      const { good, weight } = weightOf(squared, variance, oddRate);
      const noise = good * squared * noiseSd ** 2 / variance;
      noiseSum += noise;
      addPerson(ofPeople, people[r], { squares: noise, shots: good });
      goodSum += good;
      oddSum += 1 - good;
      shots += 1;
      return weight;
    });
  });
  const first = firstState({ mean: mean2.get(4, 0) });
  const nextNoise = Math.sqrt((NOISE_WORTH * NOISE_SD2 ** 2 + noiseSum) / (NOISE_WORTH + goodSum));
  return {
    mean: mean2,
    covariance,
    weights: nextWeights,
    people: peopleNoise(ofPeople, nextNoise),
    state: {
      between: first.between.map((sd, k) => {
        const worth = BETWEEN_WORTH[k];
        if (worth === Infinity) return sd;
        return Math.sqrt((worth * sd ** 2 + squares[k]) / (worth + dialIns.length));
      }),
      noiseSd: nextNoise,
      oddRate: (ODD_WORTH * ODD_RATE + oddSum) / (ODD_WORTH + shots)
    }
  };
}
function addPerson(people, who, { squares, shots }) {
  if (who === void 0) return;
  const before = people.get(who) ?? { squares: 0, shots: 0 };
  people.set(who, { squares: before.squares + squares, shots: before.shots + shots });
}
function peopleNoise(people, noiseSd) {
  return Object.fromEntries(
    [...people].map(([who, { squares, shots }]) => [
      who,
      {
        sd: Math.sqrt((PERSON_WORTH * noiseSd ** 2 + squares) / (PERSON_WORTH + shots)),
        shots: Math.round(shots)
      }
    ])
  );
}
function priorFromMemory(memory, features) {
  const M = mapOf(features);
  const spread = M.mmul(new Matrix7(memory.covariance.map((row) => [...row]))).mmul(M.transpose());
  const isBelieved = memory.dialIns >= NOISE_BELIEVED_FROM;
  return {
    mean: M.mmul(Matrix7.columnVector([...memory.mean])).to1DArray(),
    covariance: spread.add(Matrix7.diag(memory.between.map((sd) => sd ** 2))),
    noiseSd: isBelieved ? NOISE_ALLOWANCE * memory.noiseSd : memory.noiseSd,
    oddRate: memory.oddRate
  };
}

// src/core/limits.ts
var LIMITS = {
  doseG: { label: "Dose", unit: "g", min: 3, max: 40 },
  yieldG: { label: "Yield", unit: "g", min: 2, max: 200 },
  /** A choked shot may leave almost nothing in the cup, and must still be recordable. */
  shotYieldG: { label: "Yield", unit: "g", min: 0, max: 200 },
  stagedCupG: { label: "Mass of a cup", unit: "g", min: 0, max: 200 },
  shotYieldMl: { label: "Yield by volume", unit: "ml", min: 3, max: 300 },
  cupMl: { label: "Cup", unit: "ml", min: 20, max: 1e3 },
  waterMgL: { label: "Of the brewing water", unit: "mg/L", min: 0, max: 500 },
  cremaGPerMl: { label: "Weight of a visible ml", unit: "g", min: 0.5, max: 1 },
  timeS: { label: "Time", unit: "s", min: 1, max: 180 },
  firstDripS: { label: "First drip", unit: "s", min: 0, max: 120 },
  blondS: { label: "Blonding", unit: "s", min: 0, max: 180 },
  temperatureC: { label: "Temperature", unit: "\xB0C", min: 60, max: 100 },
  tdsPct: { label: "TDS", unit: "%", min: 0, max: 30 },
  extractionPct: { label: "Extraction", unit: "%", min: 5, max: 40 },
  pressureBar: { label: "Pressure", unit: "bar", min: 1, max: 15 },
  /** bar or ml/s of a programme's step. */
  stepLevel: { label: "Level", unit: "", min: 0, max: 12 },
  stepS: { label: "Step", unit: "s", min: 0.5, max: 120 },
  dial: { label: "Dial", unit: "", min: -1e3, max: 1e4 },
  purgeG: { label: "Purge", unit: "g", min: 0, max: 40 },
  restDays: { label: "Rest days", unit: "days", min: 0, max: 365 },
  altitudeM: { label: "Altitude", unit: "m", min: 0, max: 3500 },
  cupScore: { label: "Cup score", unit: "", min: 0, max: 100 },
  densityGPerL: { label: "Green density", unit: "g/L", min: 500, max: 900 },
  moisturePct: { label: "Green moisture", unit: "%", min: 5, max: 20 },
  colourBean: { label: "Bean colour", unit: "", min: 0, max: 200 },
  colourGround: { label: "Ground colour", unit: "", min: 0, max: 200 },
  weightLossPct: { label: "Roast weight loss", unit: "%", min: 5, max: 30 },
  bagG: { label: "Grams in the bag", unit: "g", min: 1, max: 1e5 },
  sampleG: { label: "Sample set aside", unit: "g", min: 0, max: 1e5 },
  sharePct: { label: "Share", unit: "%", min: 0.1, max: 100 },
  divisions: { label: "Letters or marks", unit: "", min: 2, max: 200 },
  dialShift: { label: "Shift of the dial", unit: "", min: -1e3, max: 1e3 },
  roastLevel: { label: "Roast level", unit: "", min: -2, max: 2 },
  ratedG: { label: "Basket rating", unit: "g", min: 5, max: 30 },
  diameterMm: { label: "Basket diameter", unit: "mm", min: 35, max: 64 },
  retentionG: { label: "Retention", unit: "g", min: 0, max: 20 },
  stepSize: { label: "Dial step", unit: "", min: 0.01, max: 100 },
  displayOffsetC: { label: "Display above the group", unit: "\xB0C", min: -15, max: 15 },
  secondsPerStep: { label: "Seconds per step", unit: "s", min: 0.1, max: 20 },
  secondsPerStepHalf80: { label: "Seconds per step, \xB1", unit: "s", min: 0, max: 20 },
  flushS: { label: "Flush", unit: "s", min: 0, max: 30 },
  overrunG: { label: "Overrun", unit: "g", min: 0, max: 20 },
  depthMm: { label: "Basket depth", unit: "mm", min: 10, max: 60 },
  doseToleranceG: { label: "Dose tolerance", unit: "g", min: 0.05, max: 2 },
  yieldToleranceG: { label: "Yield tolerance", unit: "g", min: 0.1, max: 10 },
  pricePerKg: { label: "Coffee price per kg", unit: "", min: 0, max: 1e4 },
  umPerStep: { label: "Burr travel per step", unit: "\xB5m", min: 0.5, max: 200 },
  halfLife: { label: "Half-life", unit: "releases", min: 5, max: 1e3 },
  cup: { label: "Score", unit: "", min: 0, max: 10 },
  strength: { label: "Strength", unit: "", min: -2, max: 2 },
  proofGoalPct: { label: "A setting is proven from", unit: "%", min: 80, max: 90 },
  leastLiking: { label: "A cup confirms from a liking of", unit: "", min: 0, max: 10 },
  holdsYieldG: { label: "Taste holds within, yield", unit: "g", min: 0, max: 60 },
  holdsTemperatureC: { label: "Taste holds within, temperature", unit: "\xB0C", min: 0, max: 20 },
  holdsTimeS: { label: "Taste holds within, time", unit: "s", min: 0, max: 90 },
  costPoints: { label: "What caf\xE9s lose by being off", unit: "", min: 0, max: 10 },
  trialRecipes: { label: "Recipes to taste at most", unit: "", min: 1, max: 60 },
  keepG: { label: "Keep of this batch", unit: "g", min: 0, max: 1e5 },
  places: { label: "Tasters", unit: "", min: 1, max: 30 },
  openHours: { label: "Open for", unit: "h", min: 1, max: 72 },
  shotsAveraged: { label: "Shots averaged", unit: "", min: 1, max: 10 },
  backupDays: { label: "Daily backups kept", unit: "", min: 1, max: 60 },
  backupWeeks: { label: "Weekly backups kept", unit: "", min: 0, max: 200 }
};
var TEXT_LIMITS = {
  name: 80,
  note: 40,
  remark: 500,
  words: 400,
  story: 2e3,
  address: 200
};
function quantityFault(name3, value) {
  const { label, unit, min, max } = LIMITS[name3];
  const remedy = `Enter ${rangeWords(name3)}.`;
  if (value === void 0) return `${label} is missing. ${remedy}`;
  if (typeof value === "string" && isAmbiguous(value)) {
    const figure5 = value.replace(/\s/g, "");
    return `${label} \u201C${value}\u201D may mean ${figure5.replace(",", "")} or ${figure5.replace(",", ".")}. Write one of them.`;
  }
  if (typeof value !== "number" || Number.isNaN(value))
    return `${label} is not a number (came: ${JSON.stringify(value)?.slice(0, 40)}). ${remedy}`;
  if (value >= min && value <= max) return null;
  return `${label} ${String(value)}${unit ? ` ${unit}` : ""} is outside ${rangeWords(name3)}. ${remedy}`;
}
function rangeWords(name3) {
  const { min, max, unit } = LIMITS[name3];
  const separator = min < 0 ? " to " : "-";
  return `${min}${separator}${max}${unit ? ` ${unit}` : ""}`;
}

// src/core/choked.ts
var CHOKED = { underG: LIMITS.yieldG.min, afterS: 20 };
var GUSHING_UNDER_S = 12;

// src/core/taste/direction.ts
var SIDE_OF = {
  salty: "under",
  grassy: "under",
  papery: "under",
  burnt: "over",
  hollow: "over"
};
var SIGN_POINTS = 1.5;
var TOLERATED = { sharpness: 3, bitterness: 4, dryness: 3, thinBody: 3.5 };
var ROAST_ALLOWANCE = 1;
var UNEVEN_FROM = 1.5;
var SIZE_FROM = { small: 1, medium: 2.5, large: 4.5 };
var STRENGTH_FROM = 1;
var FLAT = { sweetness: 3, liking: 4 };
function tasteDirection(taste2, roastLevel, ranFast = false) {
  const sour = underPoints(taste2, roastLevel);
  const bitter = bitterPoints(taste2, roastLevel);
  const dry = Math.max(0, (taste2.dryness ?? 0) - TOLERATED.dryness);
  const isAstringent = bitter === 0 && (sour > 0 || ranFast);
  const under = sour + (isAstringent ? dry : 0);
  const over = isAstringent ? 0 : Math.max(bitter, dry) + 0.5 * Math.min(bitter, dry);
  const found = (verdict, words3, size2 = null) => ({
    verdict,
    size: size2,
    under,
    over,
    words: words3
  });
  if (Math.min(sour, bitter) >= UNEVEN_FROM)
    return found(
      "uneven",
      "Sour and bitter at once: water found a channel. Mend the preparation, not the recipe."
    );
  const size = sizeOf(Math.abs(under - over));
  if (size !== null) {
    const verdict = under > over ? "under" : "over";
    return found(verdict, sideWords(verdict, size), size);
  }
  const strength = taste2.strength ?? 0;
  if (Math.abs(strength) >= STRENGTH_FROM) {
    const verdict = strength < 0 ? "weak" : "strong";
    return found(verdict, `Balanced but ${verdict}: change the ratio, not the grind.`);
  }
  if ((taste2.sweetness ?? 10) <= FLAT.sweetness || (taste2.liking ?? 10) <= FLAT.liking)
    return found(
      "flat",
      "Flat: no fault, and nobody wants it. Two ways are known: a degree hotter, or a longer ratio. Taste them side by side."
    );
  return hasEvidence(taste2) ? found("right", "In balance: nothing to change.") : found(
    "unclear",
    "No direction from this sheet: give sharpness, bitterness or dryness, and sweetness or liking."
  );
}
var hasEvidence = ({ sharpness, bitterness, dryness, sweetness, liking }) => sharpness !== void 0 && (bitterness !== void 0 || dryness !== void 0) && (sweetness !== void 0 || liking !== void 0);
function underPoints(taste2, roastLevel) {
  const brightAllowed = TOLERATED.sharpness + ROAST_ALLOWANCE * Math.max(0, -roastLevel);
  const thinBelow = TOLERATED.thinBody - ROAST_ALLOWANCE * Math.max(0, -roastLevel);
  return Math.max(0, (taste2.sharpness ?? 0) - brightAllowed) + 0.5 * Math.max(0, thinBelow - (taste2.body ?? 5)) + signPoints(taste2, "under");
}
function bitterPoints(taste2, roastLevel) {
  const allowed = TOLERATED.bitterness + ROAST_ALLOWANCE * Math.max(0, roastLevel);
  return Math.max(0, (taste2.bitterness ?? 0) - allowed) + signPoints(taste2, "over");
}
function signPoints(taste2, side) {
  return SIGN_POINTS * (taste2.signs ?? []).filter((sign) => SIDE_OF[sign] === side).length;
}
function sizeOf(points) {
  if (points >= SIZE_FROM.large) return "large";
  if (points >= SIZE_FROM.medium) return "medium";
  return points >= SIZE_FROM.small ? "small" : null;
}
function sideWords(verdict, size) {
  const how = { small: "A little", medium: "Clearly", large: "Far" }[size];
  return verdict === "under" ? `${how} under-extracted: sharp or thin for this roast.` : `${how} over-extracted: bitter or drying for this roast.`;
}

// src/core/advice/prep.ts
var PREP_SIGNS = ["spurt", "oneSided", "holes", "coldMetal"];
function prepSigns({ seen }) {
  return PREP_SIGNS.filter((sign) => seen.includes(sign));
}

// src/core/advice/setting.ts
function settingAfter(here, move) {
  if (move?.variable === "dial") return { dial: move.to, doseG: move.doseTrim?.to ?? here.doseG };
  return move?.variable === "doseG" ? { ...here, doseG: move.to } : here;
}
function doseInForce(shot, recipe) {
  return shot?.aimDoseG ?? recipe.doseG;
}

// src/core/advice/types.ts
var USUAL_JUDGING = { doseSchool: "locked", proofGoal: 0.85, leastLiking: 6 };
var isProvenStatus = (status) => status === "repeated" || status === "confirmed";

// src/core/advice/judge.ts
var CHOKED_UNDER_SHARE = 0.6;
var CORROBORATED_SDS = 2.5;
var USUAL_DRIP_SD_S = 1.5;
var SURE = 0.9;
var MEMORY_REST_DAYS = 14;
function memoryReference({ ratedG }, dial2) {
  return { dial: dial2, doseG: ratedG, yieldG: 2 * ratedG, restDays: MEMORY_REST_DAYS };
}
function timedShots(input) {
  const { target, grinder, shots } = input;
  const dripS = usualFirstDrip(shots);
  const offsetS = target.clock === "firstDrip" ? dripS : 0;
  const beans2 = beansInForce(shots);
  const startDial = target.startDial ?? shots[0]?.dial ?? middleSetting(grinder);
  return {
    dripS,
    offsetS,
    beans: beans2,
    pumpWindowS: [target.timeS[0] + offsetS, target.timeS[1] + offsetS],
    reference: {
      dial: startDial,
      doseG: target.doseG,
      yieldG: target.yieldG,
      restDays: shots.find((shot) => shot.restDays !== void 0)?.restDays ?? 0
    },
    shots: shots.map((shot) => timedOf(shot, input, { dripS, offsetS, beans: beans2 }))
  };
}
function judge(input) {
  const { target, grinder, shots, targetFrom = 0 } = input;
  const isRevised = shots.length > 0 && targetFrom >= shots.length;
  const timed = timedShots(input);
  const { dripS, offsetS, beans: beans2, pumpWindowS, reference } = timed;
  const last = shots[shots.length - 1];
  const model = fitTimeModel({
    shots: timed.shots,
    reference: referenceOf(input, reference),
    prior: priorOf2(input, (pumpWindowS[0] + pumpWindowS[1]) / 2),
    retentionG: grinder.retentionG
  });
  return {
    input,
    model,
    marks: shots.map((_, index) => markOf(input, model, { index, dripS, beans: beans2 })),
    units: input.units ?? METRIC,
    offsetS,
    pumpWindowS,
    restDays: lastRestDays(shots),
    isRevised,
    dial: isRevised ? reference.dial : last?.dial ?? reference.dial,
    aimDoseG: isRevised ? target.doseG : doseInForce(last, target),
    temperatureC: last?.temperatureC,
    goal: input.proofGoal ?? USUAL_JUDGING.proofGoal
  };
}
function referenceOf({ carry, memory, target, basket }, own) {
  if (carry) {
    const { doseG: doseG2, yieldG: yieldG2 } = target;
    return { dial: carry.dial, doseG: doseG2, yieldG: yieldG2, restDays: carry.restDays };
  }
  return memory ? memoryReference(basket, memory.referenceDial) : own;
}
function priorOf2(input, expectedTimeS) {
  const { grinder, memory, coffee, carry } = input;
  if (carry) return carriedPrior(carry, priorOf2({ ...input, carry: void 0 }, expectedTimeS));
  if (memory) return priorFromMemory(memory, coffee ?? { light: 0, dark: 0, intensity: 0 });
  return plainPrior(pumpSeconds(expectedTimeS), slopePrior(grinder));
}
function carriedPrior({ mean: mean2, sd }, known3) {
  const variances = known3.covariance.diag().map((variance, k) => k === 0 ? sd ** 2 : variance);
  return { ...known3, mean: [mean2, ...known3.mean.slice(1)], covariance: Matrix8.diag(variances) };
}
function timedOf(shot, { target, grinder, memory }, { dripS, offsetS, beans: beans2 }) {
  const { timeS: timeS2, sdS } = timeOnClock(shot, target.clock, dripS);
  return {
    dial: shot.dial,
    doseG: shot.doseG,
    yieldG: shot.yieldG,
    aimYieldG: target.yieldG,
    timeS: beansOf(shot) === beans2 && !shot.isApart ? pumpSeconds(timeS2 + offsetS) : null,
    lnSd: Math.hypot(sdS / timeS2, isByVolume(shot) ? VOLUME_LN_SD : 0),
    purgeG: purgeOf(shot, grinder.retentionG),
    restDays: shot.restDays ?? null,
    choked: isChoked(shot, target, timeS2),
    noiseShare: noiseShareOf(shot, memory)
  };
}
function noiseShareOf({ pulledBy }, memory) {
  const person = pulledBy === void 0 ? void 0 : memory?.people?.[pulledBy];
  return person && memory && person.sd / memory.noiseSd;
}
var isByVolume = (shot) => shot.yieldMl !== void 0;
var beansOf = (shot) => shot.beans ?? "room";
function beansInForce(shots) {
  return shots.slice(-2).map(beansOf)[0] ?? "room";
}
function usualFirstDrip(shots) {
  const noted = shots.flatMap((shot) => shot.firstDripS ?? []);
  if (noted.length === 0) return USUAL_FIRST_DRIP_S;
  return noted.reduce((sum2, drip) => sum2 + drip, 0) / noted.length;
}
function lastRestDays(shots) {
  return shots.findLast(({ restDays }) => restDays !== void 0)?.restDays ?? null;
}
function purgeOf(shot, retentionG) {
  if (shot.purgeG !== void 0) return shot.purgeG;
  return shot.purged ? PURGE_TIMES_RETENTION * retentionG : 0;
}
function isChoked(shot, target, timeS2) {
  const stalled = shot.yieldG < CHOKED.underG && shot.timeS >= CHOKED.afterS;
  const crawled = shot.yieldG < CHOKED_UNDER_SHARE * target.yieldG && timeS2 >= target.timeS[1];
  return stalled || crawled || shot.seen.includes("choke") && shot.yieldG < target.yieldG / 2;
}
function directionOf(shot, roastLevel, side = "inside") {
  return shot.taste ? tasteDirection(shot.taste, roastLevel, side === "fast") : null;
}
function markOf({ target, grinder, shots }, model, { index, dripS, beans: beans2 }) {
  const shot = shots[index];
  const previous = shots[index - 1];
  const weight = model.weights[index];
  const purgeG = purgeOf(shot, grinder.retentionG);
  const moved = previous !== void 0 && !isSameDial(shot.dial, previous.dial);
  const carriedLnTime = model.coefficients[1] * (shot.dial - model.effectiveDials[index]);
  const unpurged = moved && isSpoilt(carriedLnTime) && purgeG < PURGE_TIMES_RETENTION * grinder.retentionG - 1e-9;
  const { isSound, isRight, ...measured } = measuredOf(shot, target, dripS);
  const choked = isChoked(shot, target, measured.timeOnTargetClockS);
  const odd = weight !== null && weight < ODD_WEIGHT && !choked && !corroborated(shots, index);
  const otherBeans = beansOf(shot) !== beans2;
  const valid = isSound && !odd && !unpurged && !otherBeans && !choked && !shot.isApart;
  return {
    weight,
    odd,
    unpurged,
    otherBeans,
    choked,
    gushing: !choked && shot.timeS < GUSHING_UNDER_S && shot.yieldG >= target.yieldG / 2,
    ...measured,
    ...choked && { side: "slow" },
    valid,
    landed: valid && isRight
  };
}
function measuredOf(shot, target, dripS) {
  const { timeS: timeS2, sdS } = timeOnClock(shot, target.clock, dripS);
  const [low, high] = target.timeS;
  const inTime = timeS2 >= low && timeS2 <= high;
  const inDose = Math.abs(shot.doseG - doseInForce(shot, target)) <= target.doseToleranceG + 1e-9;
  const inYield = Math.abs(shot.yieldG - target.yieldG) <= target.yieldToleranceG + 1e-9;
  const rested = target.openDay === void 0 || shot.restDays === void 0 || shot.restDays >= target.openDay;
  const measured = inDose && inYield && !isByVolume(shot) && sdS === 0;
  const tastesRight = target.tasteFirst && directionOf(shot, target.roastLevel)?.verdict === "right";
  return {
    inDose,
    inYield,
    timeOnTargetClockS: timeS2,
    isConverted: sdS > 0,
    inTime,
    side: measured ? sideOf(timeS2, target.timeS) : sureSide(shot, target, { timeS: timeS2, sdS }),
    isSound: measured && rested && prepSigns(shot).length === 0,
    isRight: inTime || tastesRight
  };
}
function isUnsound(shot, target) {
  return !measuredOf(shot, target, USUAL_FIRST_DRIP_S).isSound;
}
var sideOf = (timeS2, [low, high]) => timeS2 < low ? "fast" : timeS2 > high ? "slow" : "inside";
function sureSide(shot, target, { timeS: timeS2, sdS }) {
  const { lnTimeS, sd } = correctedLnTime(shot, target, timeS2);
  const sdAll = Math.hypot(sd, sdS / timeS2, isByVolume(shot) ? VOLUME_LN_SD : 0);
  const [low, high] = target.timeS;
  const fast = between(lnTimeS, sdAll, -Infinity, Math.log(low));
  const slow = between(lnTimeS, sdAll, Math.log(high), Infinity);
  return fast >= SURE ? "fast" : slow >= SURE ? "slow" : "unsure";
}
function correctedLnTime(shot, target, timeS2) {
  const dose2 = Math.log(shot.doseG / doseInForce(shot, target));
  const ofYield = Math.log(Math.max(shot.yieldG, 0.1) / target.yieldG);
  return {
    lnTimeS: Math.log(timeS2) - DOSE_EXPONENT.mean * dose2 - YIELD_EXPONENT.mean * ofYield,
    /** Change of ln time the wrong dose alone made. */
    ofDose: DOSE_EXPONENT.mean * dose2,
    sd: Math.hypot(DOSE_EXPONENT.sd * dose2, YIELD_EXPONENT.sd * ofYield, YIELD_DOUBT * ofYield)
  };
}
function timeOnClock(shot, clock3, usualDripS) {
  if (shot.clock === clock3) return { timeS: shot.timeS, sdS: 0 };
  const dripS = shot.firstDripS ?? usualDripS;
  const timeS2 = clock3 === "pump" ? shot.timeS + dripS : shot.timeS - dripS;
  return {
    timeS: Math.max(LEAST_TIME_S, timeS2),
    sdS: shot.firstDripS === void 0 ? USUAL_DRIP_SD_S : 0
  };
}
var LEAST_TIME_S = 1;
function corroborated(shots, index) {
  const shot = shots[index];
  return [shots[index - 1], shots[index + 1]].some(
    (other) => other !== void 0 && isSameDial(other.dial, shot.dial) && other.clock === shot.clock && Math.abs(Math.log(other.timeS / shot.timeS)) < CORROBORATED_SDS * NOISE_SD2
  );
}
function lastOf(judged2) {
  const shot = judged2.input.shots[judged2.input.shots.length - 1];
  const mark = judged2.marks[judged2.marks.length - 1];
  return { shot, mark };
}

// src/core/advice/carried.ts
var MOST_SHOTS = 8;
var STEPS_AROUND = 12;
function carriedOver(judged2) {
  const { input, marks, model, pumpWindowS, dial: dial2, aimDoseG, goal, offsetS } = judged2;
  const { carry, shots, grinder, target } = input;
  if (!carry || judged2.isRevised || shots.length > MOST_SHOTS) return null;
  const slope = slopeOf(judged2);
  const ageSlope = model.coefficients[4];
  const moveLnOf = (at3) => slope * (at3 - carry.dial);
  const counted = shots.flatMap((shot, i) => {
    const mark = marks[i];
    if (!mark.valid && !(mark.side === "fast" || mark.side === "slow")) return [];
    if (mark.unpurged || mark.otherBeans || mark.choked || mark.gushing) return [];
    const { lnTimeS } = correctedLnTime(shot, target, mark.timeOnTargetClockS);
    const ages = shot.restDays === void 0 ? 0 : ageOf(carry.restDays) - ageOf(shot.restDays);
    const timeS2 = (Math.exp(lnTimeS) + offsetS) * Math.exp(ageSlope * ages);
    return [{ moveLn: moveLnOf(model.effectiveDials[i]), timeS: timeS2 }];
  });
  const dials = dialsAround(dial2, grinder);
  const { verdict, best, settled: settled3 } = carryOver({
    prior: { mean: carry.mean - Math.log(REFERENCE_S), sd: carry.sd },
    window: pumpWindowS,
    noiseSd: model.noiseSd,
    shots: counted,
    moves: dials.map(moveLnOf),
    here: moveLnOf(dial2),
    goal
  });
  const to = dials.find((at3) => Math.abs(moveLnOf(at3) - best.moveLn) < 1e-9) ?? dial2;
  const meanS = REFERENCE_S * Math.exp(settled3.mean);
  return {
    // Without a sound shot nothing carries over, however sure the expectation is.
    verdict: verdict === "carriesOver" && counted.length === 0 ? "oneMore" : verdict,
    setting: { dial: to, doseG: aimDoseG },
    proof: { meanS: meanS - offsetS, sdS: meanS * settled3.sd, inWindow: best.inWindow }
  };
}
function slopeOf({ input: { memory, grinder } }) {
  return memory?.mean[4] ?? slopePrior(grinder).mean;
}
function dialsAround(dial2, grinder) {
  const { min, max } = settingLimits(grinder);
  return Array.from(
    { length: 2 * STEPS_AROUND + 1 },
    (_, i) => roundDial(dial2 + (i - STEPS_AROUND) * grinder.stepSize)
  ).filter((at3) => at3 >= min - 1e-9 && at3 <= max + 1e-9);
}

// src/core/advice/grind.ts
function expectAt(judged2, setting) {
  const { lnTimeS, variance } = predictAt(judged2, setting);
  const sd = Math.sqrt(variance);
  const { clock: clock3 } = judged2.input.target;
  const shown = (ln2) => fromPumpSeconds(pumpSeconds(Math.exp(ln2)), clock3, judged2.offsetS);
  return {
    timeS: shown(lnTimeS),
    interval80: [shown(lnTimeS - Z_80 * sd), shown(lnTimeS + Z_80 * sd)],
    clock: clock3,
    landing: landing(judged2, setting)
  };
}
function landing(judged2, setting) {
  const { lnTimeS, variance } = predictAt(judged2, setting);
  const [low, high] = judged2.pumpWindowS;
  return between(lnTimeS, Math.sqrt(variance), Math.log(low), Math.log(high));
}
function predictAt(judged2, { dial: dial2, doseG: doseG2 }) {
  return judged2.model.predict({
    dial: dial2,
    doseG: doseG2,
    yieldG: judged2.input.target.yieldG,
    restDays: judged2.restDays,
    purgeG: purgeBefore(judged2, { dial: dial2, doseG: doseG2 })
  });
}
function purgeBefore(judged2, { dial: dial2, doseG: doseG2 }) {
  if (dial2 === judged2.dial) return 0;
  const { coefficients, covariance, chamberDial } = judged2.model;
  const steepest = Math.abs(coefficients[1]) + Math.sqrt(covariance.get(1, 1));
  return purgeFor({
    retentionG: judged2.input.grinder.retentionG,
    doseG: doseG2,
    lnTimeChange: steepest * (dial2 - chamberDial)
  });
}
function moveTo(judged2, { dial: dial2, doseG: doseG2 }) {
  const { grinder } = judged2.input;
  const from = judged2.dial;
  const dosed = Math.abs(doseG2 - judged2.aimDoseG) > 1e-9;
  const doseWords = `dose ${massFigure(judged2.aimDoseG)} \u2192 ${massWords(doseG2)}`;
  if (dial2 === from)
    return dosed ? { variable: "doseG", from: judged2.aimDoseG, to: doseG2, words: capital(doseWords) } : null;
  const grind2 = `${capital(grindWord(grinder, from, dial2))}, ${dialMoveWords(grinder, from, dial2)}`;
  return {
    variable: "dial",
    from,
    to: dial2,
    words: dosed ? `${grind2}, with ${doseWords}` : grind2,
    ...dosed && { doseTrim: { from: judged2.aimDoseG, to: doseG2 } }
  };
}
function capital(words3) {
  return words3.charAt(0).toUpperCase() + words3.slice(1);
}

// src/core/advice/plan.ts
var PER_GRAM_OFF = 0.1;
var ANY_CHANGE = 0.1;
var DOSE_OF_PURGE_G = 18;
var STEPS_HERE = 1;
var STEPS_CENTRE = 2;
var FARTHEST_STEPS = 40;
var TRIM_LIMIT_G = 1;
var UNDER_RATING_G = 2;
var OVER_RATING_G = 1;
var LEAST_DOSE_EXPONENT = 0.5;
var NEAREST_FROM_SHOTS = 3;
var NEAREST_SD = 0.03;
var NEAREST_COST = 8;
var lnWindow = ({ pumpWindowS: [low, high] }) => [Math.log(low), Math.log(high)];
function settledAt2({ model, input, restDays }, { dial: dial2, doseG: doseG2 }) {
  return model.settled({ dial: dial2, doseG: doseG2, yieldG: input.target.yieldG, restDays });
}
function proofOf(judged2, setting) {
  const { lnTimeS, variance } = settledAt2(judged2, setting);
  const [low, high] = lnWindow(judged2);
  const sd = Math.sqrt(variance);
  const meanS = Math.exp(lnTimeS);
  return {
    meanS: meanS - judged2.offsetS,
    sdS: meanS * sd,
    inWindow: between(lnTimeS, sd, low, high)
  };
}
function shotsAt({ input, marks, temperatureC: temperatureC2 }, { dial: dial2, doseG: doseG2 }) {
  const { shots, target, targetFrom = 0 } = input;
  const here = shots.flatMap(
    (shot, i) => i >= targetFrom && isSameDial(shot.dial, dial2) && Math.abs(doseInForce(shot, target) - doseG2) < 1e-9 && isSameTemperature(shot.temperatureC, temperatureC2) ? [{ shot, mark: marks[i] }] : []
  );
  return {
    here,
    valid: here.filter(({ mark }) => mark.valid).length,
    odd: here.filter(({ mark }) => mark.odd).length
  };
}
var SAME_TEMPERATURE_C = 0.25;
var isSameTemperature = (a, b) => a === void 0 || b === void 0 || Math.abs(a - b) < SAME_TEMPERATURE_C;
var WITH_AN_ODD_ONE = { shots: 3, surer: 0.03 };
function isProven(judged2, setting) {
  const { valid, odd } = shotsAt(judged2, setting);
  if (!judged2.marks.at(-1)?.valid || odd > 1) return false;
  const [least, goal] = odd === 0 ? [LEAST_SHOTS, judged2.goal] : [WITH_AN_ODD_ONE.shots, judged2.goal + WITH_AN_ODD_ONE.surer];
  return valid >= least && proofOf(judged2, setting).inWindow >= goal;
}
var plans = /* @__PURE__ */ new WeakMap();
function planOf(judged2) {
  const known3 = plans.get(judged2) ?? makePlan(judged2);
  plans.set(judged2, known3);
  return known3;
}
function makePlan(judged2) {
  const here = { dial: judged2.dial, doseG: judged2.aimDoseG };
  const scored = candidates(judged2, here).filter((setting) => isSensible(judged2, setting)).map((setting) => ({ setting, cost: costOf(judged2, setting, here) }));
  const best = scored.reduce((a, b) => b.cost < a.cost - 1e-9 ? b : a);
  return {
    setting: best.setting,
    isNearest: best.setting === here && isNearest(judged2, here)
  };
}
function isNearest(judged2, here) {
  const { variance } = settledAt2(judged2, here);
  return shotsAt(judged2, here).valid >= NEAREST_FROM_SHOTS && Math.sqrt(variance) <= NEAREST_SD && proofAt(judged2, here, LEAST_SHOTS).cost >= NEAREST_COST;
}
function proofAt(judged2, setting, have) {
  const { lnTimeS, variance } = settledAt2(judged2, setting);
  const [low, high] = lnWindow(judged2);
  return proofCost({
    offset: lnTimeS - (low + high) / 2,
    variance,
    noiseSd: judged2.model.noiseSd,
    have,
    halfWindow: (high - low) / 2,
    goal: judged2.goal,
    landing: landing(judged2, setting)
  });
}
function costOf(judged2, setting, here) {
  const { cost } = proofAt(judged2, setting, shotsAt(judged2, setting).valid);
  const off = Math.abs(setting.doseG - judged2.input.target.doseG);
  return cost + PER_GRAM_OFF * off + (setting === here ? 0 : ANY_CHANGE) + purgeBefore(judged2, setting) / DOSE_OF_PURGE_G;
}
function candidates(judged2, here) {
  const { shots, target, grinder } = judged2.input;
  const { min, max } = settingLimits(grinder);
  const { stepSize } = grinder;
  const around = (dial2, steps2) => Array.from({ length: 2 * steps2 + 1 }, (_, i) => dial2 + (i - steps2) * stepSize);
  const centre = Math.max(
    here.dial - FARTHEST_STEPS * stepSize,
    Math.min(
      here.dial + FARTHEST_STEPS * stepSize,
      onGrid(centreDial(judged2), here.dial, stepSize)
    )
  );
  const dials = [
    ...shots.map(({ dial: dial2 }) => dial2),
    ...around(here.dial, STEPS_HERE),
    ...around(centre, STEPS_CENTRE)
  ].map(roundDial).filter((dial2) => dial2 >= min - 1e-9 && dial2 <= max + 1e-9);
  const settings = [.../* @__PURE__ */ new Set([here.dial, ...dials])].flatMap(
    (dial2) => [.../* @__PURE__ */ new Set([here.doseG, target.doseG, trimmedDose(judged2, dial2)])].flatMap(
      (doseG2) => doseG2 === null ? [] : [{ dial: dial2, doseG: doseG2 }]
    )
  );
  const isHere = ({ dial: dial2, doseG: doseG2 }) => dial2 === here.dial && doseG2 === here.doseG;
  return [here, ...settings.filter((setting) => !isHere(setting))];
}
function centreDial(judged2) {
  const [low, high] = lnWindow(judged2);
  const { lnTimeS } = settledAt2(judged2, { dial: judged2.dial, doseG: judged2.aimDoseG });
  return judged2.dial + ((low + high) / 2 - lnTimeS) / judged2.model.coefficients[1];
}
var onGrid = (dial2, from, stepSize) => from + Math.round((dial2 - from) / stepSize) * stepSize;
function isSensible(judged2, setting) {
  const { side, odd, otherBeans } = judged2.marks.at(-1) ?? {};
  if (judged2.isRevised || odd || otherBeans || side !== "fast" && side !== "slow") return true;
  const here = { dial: judged2.dial, doseG: judged2.aimDoseG };
  const change = settledAt2(judged2, setting).lnTimeS - settledAt2(judged2, here).lnTimeS;
  return side === "fast" ? change >= -1e-9 : change <= 1e-9;
}
function trimmedDose(judged2, dial2) {
  if (judged2.input.doseSchool !== "trim" || judged2.input.shots.length === 0) return null;
  return doseToCentre(judged2, dial2);
}
function doseToCentre(judged2, dial2) {
  const [low, high] = lnWindow(judged2);
  const { lnTimeS } = settledAt2(judged2, { dial: dial2, doseG: judged2.aimDoseG });
  const exponent = Math.max(LEAST_DOSE_EXPONENT, judged2.model.coefficients[2]);
  const wanted = judged2.aimDoseG + doseChange(judged2.aimDoseG, (low + high) / 2 - lnTimeS, exponent);
  const { ratedG } = judged2.input.basket;
  const targetG = judged2.input.target.doseG;
  const least = Math.max(targetG - TRIM_LIMIT_G, ratedG - UNDER_RATING_G);
  const most = Math.min(targetG + TRIM_LIMIT_G, ratedG + OVER_RATING_G);
  const doseG2 = Math.round(10 * Math.min(most, Math.max(least, wanted))) / 10;
  return least <= most && Math.abs(doseG2 - judged2.aimDoseG) > 0.05 ? doseG2 : null;
}
function doseChange(doseG2, lnTimeChange, exponent) {
  return doseG2 * (Math.exp(lnTimeChange / exponent) - 1);
}

// src/core/advice/timeReason.ts
function timeReason(judged2) {
  const { target } = judged2.input;
  const { shot, mark } = lastOf(judged2);
  const { timeOnTargetClockS: timeS2 } = mark;
  const [low, high] = target.timeS;
  const isIn2 = timeS2 >= low && timeS2 <= high && !(mark.inDose && mark.inYield);
  if (!isIn2) return REASON_WORDS.timeOff(timeS2, target.timeS, target.clock);
  const asRecipeS = Math.exp(correctedLnTime(shot, target, timeS2).lnTimeS);
  return REASON_WORDS.timeByYield(timeS2, asRecipeS, target.timeS, target.clock);
}

// src/core/advice/window.ts
var LIKED_OUTSIDE = 8;
function isLikedOutside(judged2) {
  const { shot, mark } = lastOf(judged2);
  const verdict = directionOf(shot, judged2.input.target.roastLevel)?.verdict;
  return mark.side !== "inside" && (shot.taste?.liking ?? 0) >= LIKED_OUTSIDE && (verdict === "right" || verdict === "unclear");
}
function isRightEnough(judged2) {
  const { target, leastLiking = USUAL_JUDGING.leastLiking } = judged2.input;
  const { shot } = lastOf(judged2);
  return directionOf(shot, target.roastLevel)?.verdict === "right" && (shot.taste?.liking ?? leastLiking) >= leastLiking;
}
function windowAround(judged2) {
  const [low, high] = judged2.input.target.timeS;
  const shift = Math.round(lastOf(judged2).mark.timeOnTargetClockS - (low + high) / 2);
  return [low + shift, high + shift];
}
function windowMoves(judged2) {
  return REASON_WORDS.likedOutside(...windowAround(judged2));
}
function movableWindow(judged2) {
  if (judged2.input.shots.length === 0 || judged2.isRevised) return null;
  const isRight = judged2.input.target.tasteFirst && isRightEnough(judged2);
  const isOutside = lastOf(judged2).mark.side !== "inside";
  return isLikedOutside(judged2) || isRight && isOutside ? windowAround(judged2) : null;
}

// src/core/advice/next.ts
var RANGE_ENDS_BELOW = 0.25;
var TRIM_OFFERED_BELOW = 0.5;
var OTHER_TEMPERATURE_C = 0.5;
var FAR_OFF = { landing: 0.1, gain: 0.3 };
var COLD_START_LN = 0.1;
var ALL_VARIABLES = ["dial", "doseG", "yieldG", "temperatureC"];
function nextMove(input) {
  const judged2 = judge(input);
  const carry = carriedOver(judged2);
  if (carry?.verdict === "dialInAnew") {
    const advice = nextMove({ ...input, carry: void 0 });
    return { ...advice, reasons: [REASON_WORDS.dialInAnew(), ...advice.reasons] };
  }
  const { beside, ...judgement } = firstShot(judged2, carry) ?? outOfRange(judged2) ?? measurement(judged2) ?? preparation(judged2) ?? taste(judged2) ?? carried(judged2, carry) ?? settled(judged2) ?? grind(judged2);
  const here = settingNow(judged2);
  const setting = settingAfter(here, judgement.move);
  return {
    ...judgement,
    hold: ALL_VARIABLES.filter((variable) => !moves(judgement.move, variable)),
    setting,
    expect: expectAt(judged2, setting),
    purgeG: purgeBefore(judged2, setting),
    costG: costOf2(judged2, setting),
    alternatives: alternatives(judged2, judgement, beside),
    window: movableWindow(judged2),
    offersTrim: offersTrim(judged2, judgement),
    proof: input.shots.length === 0 || judged2.isRevised ? null : carry?.proof ?? proofOf(judged2, here),
    marks: judged2.marks,
    warnings: basketWarnings(input.basket)
  };
}
var dialNamed = ({ input }, { dial: dial2 }) => dialWords(input.grinder, dial2);
function firstShot(judged2, carry) {
  if (judged2.input.shots.length > 0 && !judged2.isRevised) return null;
  if (carry) {
    const move2 = moveTo(judged2, carry.setting);
    return {
      status: move2 ? "grind" : "repeat",
      move: move2,
      reasons: [REASON_WORDS.newBatch(dialNamed(judged2, carry.setting), carry.proof)]
    };
  }
  const { memory } = judged2.input;
  const move = !judged2.isRevised && memory && memory.dialIns > 0 ? moveTo(judged2, planOf(judged2).setting) : null;
  if (move && memory)
    return { status: "grind", move, reasons: [REASON_WORDS.remembered(memory.dialIns)] };
  const reason = judged2.isRevised ? REASON_WORDS.revised() : REASON_WORDS.firstShot();
  return { status: "repeat", move: null, reasons: [reason] };
}
function outOfRange(judged2) {
  const { shot, mark } = lastOf(judged2);
  if (!mark.choked && !mark.gushing) return null;
  const reason = mark.choked ? REASON_WORDS.choked(shot, judged2.input.target.yieldG) : REASON_WORDS.gushing();
  return { ...grindMove2(judged2), reasons: [reason] };
}
function measurement(judged2) {
  const { target } = judged2.input;
  const { shot, mark } = lastOf(judged2);
  if (mark.side !== "unsure") return null;
  const reasons = [];
  if (!mark.inDose) reasons.push(REASON_WORDS.doseOff(shot.doseG, judged2.aimDoseG));
  if (!mark.inYield) reasons.push(REASON_WORDS.yieldOff(shot.yieldG, target.yieldG));
  if (isByVolume(shot)) reasons.push(REASON_WORDS.byVolume());
  if (mark.isConverted) reasons.push(REASON_WORDS.noFirstDrip(target.clock));
  return { status: "measure", move: null, reasons };
}
function preparation(judged2) {
  const { target, shots } = judged2.input;
  const { shot, mark } = lastOf(judged2);
  const reasons = prepSigns(shot).map((sign) => REASON_WORDS.prepSign(sign));
  if (shot.isApart) reasons.unshift(REASON_WORDS.otherEra());
  if (mark.otherBeans)
    reasons.unshift(REASON_WORDS.otherBeans(shot.beans ?? "room", shots.at(-2)?.beans ?? "room"));
  if (mark.unpurged) reasons.push(REASON_WORDS.unpurged());
  if (mark.odd && !mark.unpurged) reasons.push(REASON_WORDS.odd());
  if (target.openDay !== void 0 && shot.restDays !== void 0 && shot.restDays < target.openDay)
    reasons.push(REASON_WORDS.tooFresh(shot.restDays, target.openDay));
  if (isColdStart(judged2)) reasons.push(REASON_WORDS.firstAfterPause());
  const direction = directionOf(shot, target.roastLevel, mark.side);
  if (direction?.verdict === "uneven") reasons.push(REASON_WORDS.uneven());
  if (mark.side === "fast" && direction?.verdict === "over")
    reasons.push(REASON_WORDS.fastAndBitter());
  if (mark.side === "slow" && direction?.verdict === "under")
    reasons.push(REASON_WORDS.slowAndSour());
  if (reasons.length === 0) return null;
  return farOff(judged2, reasons) ?? { status: "prep", move: null, reasons };
}
function isColdStart({ input: { shots, target }, marks, dial: dial2 }) {
  const [shot, mark] = [shots.at(-1), marks.at(-1)];
  if (!shot.isFirst || mark.side === "inside" || mark.side === "unsure") return false;
  const [low, high] = target.timeS;
  const miss = Math.log(mark.timeOnTargetClockS / (mark.side === "fast" ? low : high));
  const isKnown = shots.slice(0, -1).some((other) => isSameDial(other.dial, dial2));
  return isKnown && Math.abs(miss) < COLD_START_LN;
}
function farOff(judged2, reasons) {
  const isOnlyUnpurged = reasons.every(({ code }) => code === "unpurged");
  if (!isOnlyUnpurged || !judged2.input.memory) return null;
  const here = settingNow(judged2);
  const { setting } = planOf(judged2);
  const gain = landing(judged2, setting) - landing(judged2, here);
  const move = moveTo(judged2, setting);
  if (move === null || landing(judged2, here) > FAR_OFF.landing || gain < FAR_OFF.gain) return null;
  const { timeS: timeS2, interval80 } = expectAt(judged2, here);
  return { status: "grind", move, reasons: [REASON_WORDS.knownFar(timeS2, interval80)] };
}
function taste(judged2) {
  const { target, grinder, machine } = judged2.input;
  const { shot, mark } = lastOf(judged2);
  const direction = directionOf(shot, target.roastLevel, mark.side);
  if (direction === null)
    return target.tasteFirst ? { status: "taste", move: null, reasons: [REASON_WORDS.tasteFirst()] } : null;
  if (mark.side !== "inside") {
    if (!target.tasteFirst) return null;
    if (isLikedOutside(judged2) || isRightEnough(judged2))
      return { status: "taste", move: null, reasons: [windowMoves(judged2)] };
    if (direction.verdict === "under" || direction.verdict === "over") return null;
  }
  const reasons = [{ code: `taste.${direction.verdict}`, text: direction.words }];
  const pulledC = shot.temperatureC;
  const isOther = pulledC !== void 0 && target.temperatureC !== void 0 && Math.abs(pulledC - target.temperatureC) > OTHER_TEMPERATURE_C;
  if (isOther)
    reasons.unshift(REASON_WORDS.otherTemperature(pulledC, target.temperatureC, judged2.units));
  const question = {
    direction,
    target: isOther ? { ...target, temperatureC: pulledC } : target,
    roastLevel: target.roastLevel,
    dial: shot.dial,
    grinder,
    machine,
    units: judged2.units
  };
  const found = tasteMove(question);
  if (found === null) return null;
  return {
    status: "taste",
    move: found,
    reasons,
    ...direction.verdict === "flat" && { beside: otherFlatMove(question) }
  };
}
function offersTrim(judged2, { status }) {
  if (judged2.input.doseSchool === "trim" || judged2.marks.length < 2 || judged2.isRevised)
    return false;
  if (status !== "grind" && status !== "nearest") return false;
  const doseG2 = doseToCentre(judged2, judged2.dial);
  if (doseG2 === null) return false;
  const best = landing(judged2, planOf(judged2).setting);
  return best < TRIM_OFFERED_BELOW && landing(judged2, { dial: judged2.dial, doseG: doseG2 }) > best;
}
function carried(judged2, carry) {
  if (!carry || !judged2.marks.at(-1)?.valid) return null;
  const { setting, proof, verdict } = carry;
  const move = moveTo(judged2, setting);
  if (verdict === "oneMore")
    return {
      status: move ? "grind" : "repeat",
      move,
      reasons: [REASON_WORDS.oneMore(dialNamed(judged2, setting), proof, judged2.goal)]
    };
  const all = judged2.input.shots.map((shot, i) => ({ shot, mark: judged2.marks[i] }));
  const isLiked = hasLikedCup(judged2, all);
  return {
    status: isLiked ? "confirmed" : "repeated",
    move,
    reasons: [REASON_WORDS.carriesOver(dialNamed(judged2, setting), proof, isLiked)]
  };
}
function settled(judged2) {
  const here = settingNow(judged2);
  if (!isProven(judged2, here)) return null;
  const proof = proofOf(judged2, here);
  return hasLikedCup(judged2, shotsAt(judged2, here).here) ? { status: "confirmed", move: null, reasons: [REASON_WORDS.confirmed(proof)] } : { status: "repeated", move: null, reasons: [REASON_WORDS.repeated(proof)] };
}
function hasLikedCup(judged2, shots) {
  const { target, leastLiking = USUAL_JUDGING.leastLiking } = judged2.input;
  return shots.some(
    ({ shot, mark }) => mark.valid && directionOf(shot, target.roastLevel)?.verdict === "right" && (shot.taste?.liking ?? 0) >= leastLiking
  );
}
function grind(judged2) {
  const { target } = judged2.input;
  const { shot, mark } = lastOf(judged2);
  const { move, status, isNearest: isNearest2 } = grindMove2(judged2);
  if (move === null && isNearest2)
    return {
      status: "nearest",
      move,
      reasons: [REASON_WORDS.nearest(proofOf(judged2, settingNow(judged2)))]
    };
  if (move === null) return { status: "repeat", move, reasons: [stayReason(judged2)] };
  if (mark.landed)
    return { status, move, reasons: [REASON_WORDS.edge(proofOf(judged2, settingNow(judged2)))] };
  const reasons = [
    timeReason(judged2),
    ...ageShare(judged2),
    ...shot.seen.includes("dampDay") ? [REASON_WORDS.dampDay()] : []
  ];
  if (!mark.inDose || !mark.inYield) {
    const { ofDose } = correctedLnTime(shot, target, mark.timeOnTargetClockS);
    const ofDoseS = Math.abs(mark.timeOnTargetClockS * (Math.exp(-ofDose) - 1));
    reasons.push(REASON_WORDS.smallMiss(shot, judged2.aimDoseG, ofDoseS));
  }
  return { status, move, reasons };
}
function grindMove2(judged2) {
  const { setting, isNearest: isNearest2 } = planOf(judged2);
  const { min, max } = settingLimits(judged2.input.grinder);
  const atEnd = setting.dial <= min + 1e-9 || setting.dial >= max - 1e-9;
  if (atEnd && setting.dial === judged2.dial && landing(judged2, setting) < RANGE_ENDS_BELOW) {
    const doseG2 = doseToCentre(judged2, judged2.dial);
    if (doseG2 !== null)
      return {
        status: "dose",
        move: moveTo(judged2, { dial: judged2.dial, doseG: doseG2 }),
        isNearest: false
      };
  }
  const move = moveTo(judged2, setting);
  const status = move === null ? "repeat" : move.variable === "doseG" ? "dose" : "grind";
  return { status, move, isNearest: isNearest2 };
}
function settingNow(judged2) {
  return { dial: judged2.dial, doseG: judged2.aimDoseG };
}
function stayReason(judged2) {
  const { mark } = lastOf(judged2);
  const proof = proofOf(judged2, settingNow(judged2));
  if (mark.landed) return REASON_WORDS.landed(proof);
  const [low, high] = judged2.input.target.timeS;
  return proof.meanS >= low && proof.meanS <= high ? REASON_WORDS.outvoted(proof.meanS) : REASON_WORDS.noBetter();
}
function costOf2(judged2, setting) {
  return setting.doseG + purgeBefore(judged2, setting);
}
function moves(move, variable) {
  return move?.variable === variable || variable === "doseG" && move?.doseTrim !== void 0;
}
function alternatives(judged2, { status, move }, beside) {
  if (judged2.input.shots.length === 0 || judged2.isRevised) return [];
  const found = [];
  const here = settingNow(judged2);
  const add = (setting, words3) => {
    const other = moveTo(judged2, setting);
    found.push({
      move: other,
      words: words3(other),
      expect: expectAt(judged2, setting),
      costG: costOf2(judged2, setting)
    });
  };
  if (beside)
    found.push({
      move: beside,
      words: beside.words,
      expect: expectAt(judged2, here),
      costG: costOf2(judged2, here)
    });
  if (isLikedOutside(judged2) && !judged2.input.target.tasteFirst)
    add(here, () => windowMoves(judged2).text);
  if (status === "grind" || status === "dose" || status === "taste")
    add(here, () => "Repeat unchanged");
  if (status === "grind" || status === "nearest") {
    const doseG2 = doseToCentre(judged2, judged2.dial);
    const trimmed = { dial: judged2.dial, doseG: doseG2 ?? judged2.aimDoseG };
    const isOffered = judged2.input.doseSchool === "trim" || landing(judged2, planOf(judged2).setting) < TRIM_OFFERED_BELOW;
    if (doseG2 !== null && isOffered && judged2.marks.length > 1 && isSensible(judged2, trimmed))
      add(trimmed, (other) => `${other.words}, grind stays`);
  }
  if ((status === "measure" || status === "prep") && move === null) {
    const best = planOf(judged2).setting;
    if (best.dial !== judged2.dial || best.doseG !== judged2.aimDoseG)
      add(best, (other) => `Believe the shot: ${other.words.toLowerCase()}`);
  }
  return found.slice(0, 2);
}

// src/core/rest/batchLevels.ts
var COLOUR_EFFECT = 0.12;
var BETWEEN3 = { sd: 0.05, worth: 6 };
var PASSES = 6;
var SKIPPED_FROM_SDS = 3;
var CLIPPED_AT_SDS = 4;
function meanOf({ shots, roastLevel }) {
  const n = shots.length;
  return {
    n,
    ln: shots.reduce((sum2, { lnTimeS }) => sum2 + lnTimeS, 0) / n,
    age: shots.reduce((sum2, { restDays }) => sum2 + ageOf(restDays), 0) / n,
    roastLevel
  };
}
function withBatch(state, batch, { slope, noiseSd, batchSd }) {
  const { n, ln: ln2, age, roastLevel } = meanOf(batch);
  const ofNoise = noiseSd ** 2 / n;
  const { week } = batch;
  if (state === null) {
    const variance = batchSd ** 2 + ofNoise;
    return { state: { level: ln2, variance, age, roastLevel, week, batches: 1 }, surprise: null };
  }
  const drifted = state.variance + DRIFT_PER_WEEK * Math.max(0, week - state.week);
  const ages = age - state.age;
  const z28 = ln2 - slope.mean * ages - COLOUR_EFFECT * (roastLevel - state.roastLevel);
  const otherVariance = drifted + (slope.sd * ages) ** 2 + ofNoise;
  const all = otherVariance + batchSd ** 2;
  const miss = z28 - state.level;
  const gain = Math.abs(miss) > SKIPPED_FROM_SDS * Math.sqrt(all) ? 0 : drifted / all;
  return {
    state: {
      level: state.level + gain * miss,
      variance: (1 - gain) * drifted,
      // The level stands for the age its evidence had, so that a slope in doubt is not counted twice.
      age: state.age,
      roastLevel: state.roastLevel,
      week: Math.max(week, state.week),
      batches: state.batches + 1
    },
    surprise: { miss, otherVariance }
  };
}
function levelAfter(batches, rules) {
  return batches.filter(({ shots }) => shots.length > 0).reduce((state, batch) => withBatch(state, batch, rules).state, null);
}
function expectBatch(state, { week, roastLevel, restDays }, { slope, batchSd }) {
  const ages = ageOf(restDays) - state.age;
  const variance = state.variance + DRIFT_PER_WEEK * Math.max(0, week - state.week) + batchSd ** 2 + (slope.sd * ages) ** 2;
  return {
    mean: state.level + slope.mean * ages + COLOUR_EFFECT * (roastLevel - state.roastLevel),
    sd: Math.sqrt(variance)
  };
}
function learnBatchSd(releases, rules) {
  let batchSd = BETWEEN3.sd;
  for (let pass2 = 0; pass2 < PASSES; pass2++) {
    let [sum2, count2] = [0, 0];
    for (const batches of releases) {
      let state = null;
      for (const batch of batches) {
        if (batch.shots.length === 0) continue;
        const step = withBatch(state, batch, { ...rules, batchSd });
        ({ state } = step);
        if (step.surprise === null) continue;
        const { miss, otherVariance: o } = step.surprise;
        const all = batchSd ** 2 + o;
        const squared = Math.min(miss ** 2, CLIPPED_AT_SDS ** 2 * all);
        sum2 += batchSd ** 4 * squared / all ** 2 + batchSd ** 2 * o / all;
        count2 += 1;
      }
    }
    batchSd = Math.sqrt((BETWEEN3.worth * BETWEEN3.sd ** 2 + sum2) / (BETWEEN3.worth + count2));
  }
  return batchSd;
}

// src/core/schema/target.ts
import { z as z5 } from "zod";

// src/core/entity/entry.ts
import { z as z3 } from "zod";

// src/core/programme/programme.ts
import { z as z2 } from "zod";

// src/core/schema/fields.ts
import { z } from "zod";

// src/core/text.ts
var UNSEEN = /(?![\t\n\r])[\p{Cc}\u200E\u200F\u202A-\u202E\u2066-\u2069\uFEFF]/u;
var HALF = /\p{Surrogate}/u;
var VISIBLE = /[\p{L}\p{N}\p{P}\p{S}]/u;
var graphemes = new Intl.Segmenter("en", { granularity: "grapheme" });
function characterCount(text3) {
  let count2 = 0;
  for (const _ of graphemes.segment(text3)) count2++;
  return count2;
}
function textFault(text3, label, max) {
  if (UNSEEN.test(text3) || HALF.test(text3))
    return `${label} holds signs that cannot be seen or that turn the direction of writing. Type it anew instead of pasting it.`;
  if (text3 !== "" && !VISIBLE.test(text3))
    return `${label} shows nothing. Enter letters or figures.`;
  const count2 = characterCount(text3);
  if (count2 > max) return `${label} has ${count2} characters; it takes ${max}. Shorten it.`;
  return [...text3].length > max ? `${label} has signs made of many parts, ${[...text3].length} in all; it takes ${max}. Use plainer ones.` : null;
}

// src/core/schema/fields.ts
function quantity(name3) {
  const { min, max } = LIMITS[name3];
  const error = ({ input }) => quantityFault(name3, input) ?? "";
  return z.number({ error }).min(min, { error }).max(max, { error });
}
function came(input) {
  return input === void 0 ? "" : ` (came: ${JSON.stringify(input)?.slice(0, 40)})`;
}
function text(label, limit) {
  return optionalText(label, limit).min(
    1,
    `${label} is empty. Enter 1-${TEXT_LIMITS[limit]} characters.`
  );
}
function optionalText(label, limit) {
  const max = TEXT_LIMITS[limit];
  return z.string({ error: `${label} is missing. Enter up to ${max} characters.` }).normalize("NFC").trim().superRefine((said, context) => {
    const message = textFault(said, label, max);
    if (message) context.addIssue({ code: "custom", message });
  });
}
function oneOf(label, words3) {
  return z.enum(words3, {
    error: (issue) => `${label}${came(issue.input)} is not one of ${words3.join(", ")}. Choose one of these.`
  });
}
function day(label) {
  return z.iso.date({
    error: `${label} is not a calendar day. Enter day, month and year, as 2026-05-20.`
  });
}

// src/core/programme/step.ts
var DRIVES = ["pressure", "flow"];
var MOST_STEPS2 = 12;
var DRIVE_UNITS = { pressure: "bar", flow: "ml/s" };
var MOST = { pressure: 12, flow: 10 };
function isPause({ level: level2, ramp }) {
  return level2 === 0 && !ramp;
}
function levelBefore(programme, at3) {
  const [before, step] = [programme[at3 - 1], programme[at3]];
  return before && before.drive === step?.drive ? before.level : 0;
}

// src/core/programme/programme.ts
var stepFields = {
  drive: oneOf("Step drives", DRIVES),
  level: z2.number({ error: "The level of a step is not a number. Enter bar or ml/s." }).min(0, { error: "The level of a step is below 0. Enter 0 for a pause." }),
  seconds: quantity("stepS"),
  ramp: z2.boolean({ error: "Say whether the step rises evenly or goes there at once." }),
  limitBar: quantity("pressureBar").optional()
};
var stepSchema = z2.strictObject(stepFields).refine(({ drive, level: level2 }) => level2 <= MOST[drive], {
  path: ["level"],
  error: ({ input }) => {
    const { drive } = input;
    return `The level of a ${drive} step is at most ${MOST[drive]} ${DRIVE_UNITS[drive]}. Lower it.`;
  }
});
var programmeSchema = z2.array(stepSchema).min(1, { error: "A programme needs at least one step. Add one." }).max(MOST_STEPS2, { error: `A programme takes at most ${MOST_STEPS2} steps. Remove some.` }).refine((steps2) => steps2.at(-1)?.level !== 0, {
  error: "The last step is a pause, so the cup never fills. End with pressure or flow."
});

// src/core/entity/field.ts
function quantity2(limit, options) {
  return { kind: "quantity", limit, label: LIMITS[limit].label, ...options };
}
function range(limit, options) {
  return { kind: "range", limit, label: LIMITS[limit].label, ...options };
}
function text2(limit, options) {
  return { kind: "text", limit, ...options };
}
function word(words3, labels, options) {
  return { kind: "word", words: words3, labels, ...options };
}
function words(list, labels, options) {
  return { kind: "words", words: list, labels, ...options };
}
function notes(options) {
  return { kind: "notes", limit: "note", ...options };
}
function flag(options) {
  return { kind: "flag", ...options };
}
function day2(options) {
  return { kind: "day", ...options };
}
function steps(options) {
  return { kind: "steps", ...options };
}
function entriesOf(fields2) {
  return Object.entries(fields2);
}
function snakeCase(name3) {
  return name3.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);
}
function isNeeded(field) {
  return !field.isOpen && field.unsaid === void 0;
}

// src/core/entity/entry.ts
function entryShape(fields2) {
  return Object.fromEntries(
    entriesOf(fields2).map(([name3, field]) => [name3, leftOut(field, knownSchema(field))])
  );
}
function leftOut({ isOpen, unsaid }, known3) {
  if (isOpen) return known3.optional();
  return unsaid === void 0 ? known3 : known3.default(unsaid);
}
function knownSchema(field) {
  switch (field.kind) {
    case "quantity":
      return field.isWhole ? whole(field.limit, field.label) : quantity(field.limit);
    case "range":
      return rangeSchema(field);
    case "text":
      return field.unsaid === void 0 ? text(field.label, field.limit) : optionalText(field.label, field.limit);
    case "word":
      return oneOf(field.label, field.words);
    case "words":
      return z3.array(oneOf(field.label, field.words)).max(field.words.length);
    case "notes":
      return z3.array(text(field.oneLabel, field.limit)).max(field.most, {
        error: `${field.label}: at most ${field.most}. Leave some out.`
      });
    case "flag":
      return z3.boolean({ error: `${field.label}: say yes or no.` });
    case "day":
      return day(field.label);
    case "steps":
      return programmeSchema;
  }
}
function whole(limit, label) {
  return quantity(limit).refine(Number.isInteger, {
    error: ({ input }) => `${label} ${String(input)} is not a whole number. Enter a whole one.`
  });
}
function rangeSchema({ limit, label, isWhole }) {
  const end = isWhole ? whole(limit, label) : quantity(limit);
  return z3.tuple([end, end], { error: `${label} takes two figures, [low, high]. Give both.` }).refine(([low, high]) => low <= high, {
    error: `${label} ends before it begins. Put the smaller figure first.`
  });
}

// src/core/entity/recipe.ts
var HOLDS = {
  holdsYieldG: quantity2("holdsYieldG", { step: 0.1, isOpen: true, isPublished: true }),
  holdsTemperatureC: quantity2("holdsTemperatureC", { step: 0.1, isOpen: true, isPublished: true }),
  holdsTimeS: quantity2("holdsTimeS", { step: 0.5, isOpen: true, isPublished: true }),
  /** Points an average café cup lies under one that hits the recipe. */
  costPoints: quantity2("costPoints", { step: 0.1, isOpen: true, isPublished: true })
};
var RECIPE = {
  doseG: quantity2("doseG", { step: 0.1, isPublished: true, headers: ["dose", "in", "dose in"] }),
  yieldG: quantity2("yieldG", {
    step: 0.5,
    isPublished: true,
    headers: ["yield", "out", "beverage", "beverage mass", "cup"]
  }),
  temperatureC: quantity2("temperatureC", {
    step: 0.5,
    isPublished: true,
    headers: ["temperature", "temp", "water temperature", "brew temperature", "brew temp"]
  }),
  timeS: range("timeS", {
    label: "Time window",
    columns: ["time_low_s", "time_high_s"],
    step: 1,
    isPublished: true
  }),
  clock: word(CLOCKS, CLOCK_LABELS, {
    label: "Clock",
    isPublished: true,
    headers: ["clock", "time counts"]
  }),
  /** What the machine does in a few words, and step by step. */
  programme: text2("name", {
    label: "Programme",
    unsaid: "",
    isPublished: true,
    headers: ["water", "programme", "profile"]
  }),
  steps: steps({ label: "Programme, step by step", isOpen: true, isPublished: true }),
  restDays: range("restDays", {
    label: "Rest span",
    columns: ["rest_from", "rest_to"],
    isWhole: true,
    step: 1,
    isPublished: true
  }),
  /** How far off a cup may be before it loses .3 points, as blind cups taught it; unknown without a trial. */
  ...HOLDS
};

// src/core/tolerance.ts
var DEFAULT_TOLERANCE = { doseG: 0.3, yieldG: 1 };
var YIELD_SHARE = 0.04;
function yieldTolerance(leastG, yieldG2) {
  return Math.max(leastG, Math.round(10 * YIELD_SHARE * yieldG2) / 10);
}

// src/core/schema/recipe.ts
import { z as z4 } from "zod";
var RATIO_TOLERANCE = 0.051;
var recipeFields = {
  ...entryShape(RECIPE),
  pressureBar: quantity("pressureBar").optional(),
  grindUm: z4.number().min(50).max(2e3).optional()
};
var ratioField = z4.number().min(LIMITS.yieldG.min / LIMITS.doseG.max).max(70);
var recipeSchema = z4.strictObject({ ...recipeFields, ratio: ratioField }).refine(({ ratio, doseG: doseG2, yieldG: yieldG2 }) => Math.abs(ratio - yieldG2 / doseG2) <= RATIO_TOLERANCE, {
  path: ["ratio"],
  error: "The ratio is not the yield divided by the dose. Correct one of the three."
});
function withRatio(recipe) {
  return { ...recipe, ratio: recipe.yieldG / recipe.doseG };
}

// src/core/schema/target.ts
var letBy = {
  ratio: ratioField.optional(),
  programme: recipeFields.programme.unwrap().optional(),
  steps: recipeFields.steps,
  pressureBar: recipeFields.pressureBar,
  grindUm: recipeFields.grindUm,
  restDays: recipeFields.restDays.optional(),
  ...entryShape(HOLDS)
};
var fields = z5.strictObject({
  ...letBy,
  doseG: recipeFields.doseG,
  yieldG: recipeFields.yieldG,
  timeS: recipeFields.timeS,
  clock: recipeFields.clock,
  temperatureC: recipeFields.temperatureC.optional(),
  doseToleranceG: z5.number().min(0.05).max(2).default(DEFAULT_TOLERANCE.doseG),
  /** The trade's share of the yield when absent. */
  yieldToleranceG: z5.number().min(0.1).max(10).optional(),
  /** Dial at which the target's time is expected; the first shot's dial when absent. */
  startDial: quantity("dial").optional(),
  /** Taste decides before time does. */
  tasteFirst: z5.boolean().default(false),
  /** First rest day on which a shot of this coffee is evidence. */
  openDay: quantity("restDays").optional(),
  roastLevel: quantity("roastLevel").default(0)
});
var targetSchema = fields.transform((given) => ({
  ...given,
  yieldToleranceG: given.yieldToleranceG ?? yieldTolerance(DEFAULT_TOLERANCE.yieldG, given.yieldG)
}));

// bench/batches/newBatches.ts
var WINDOW = [26.5, 29.5];
var CENTRE_S = 28;
var NOISE_SD4 = 0.045;
var ODD = { rate: 0.04, sd: 0.3 };
var STEP = 0.05;
var GRINDER = {
  stepSize: 1,
  finerIs: "lower",
  min: -60,
  max: 60,
  retentionG: 1,
  secondsPerStep: CENTRE_S * (Math.exp(STEP) - 1)
};
var BASKET = { ratedG: 18 };
var RELEASES = 12;
var BATCHES = 9;
var WARM_UP = 3;
var DAYS_BETWEEN = 14;
var MOST_SHOTS2 = 25;
var WITHIN_S = 2;
function lnMeanAt({ level: level2 }, dial2) {
  return level2 - STEP * dial2;
}
function pullAt(batch, dial2) {
  const { chance, restDays } = batch;
  const isOdd = chance.uniform() < ODD.rate;
  const sd = Math.sqrt(NOISE_SD4 ** 2 + freshVariance(restDays) + (isOdd ? ODD.sd ** 2 : 0));
  return {
    dial: dial2,
    doseG: 18,
    yieldG: 36,
    timeS: Math.exp(lnMeanAt(batch, dial2) + sd * chance.normal()),
    clock: "pump",
    purged: true,
    restDays,
    seen: []
  };
}
function drawBatches(seed, batchSd) {
  const chance = chanceFrom(seed);
  const slope = -9e-3 + 3e-3 * chance.normal();
  let level2 = Math.log(CENTRE_S) + 0.15 * chance.normal();
  return Array.from({ length: BATCHES }, (_, i) => {
    const weeks = i * DAYS_BETWEEN / 7;
    level2 += i === 0 ? 0 : 0.01 * Math.sqrt(DAYS_BETWEEN / 7) * chance.normal();
    const restDays = 7 + Math.round(10 * chance.uniform());
    const roastLevel = 0.15 * chance.normal();
    return {
      week: weeks,
      roastLevel,
      restDays,
      level: level2 + batchSd * chance.normal() + slope * ageOf(restDays) + COLOUR_EFFECT * roastLevel,
      chance: chanceFrom(1e3 * seed + i)
    };
  });
}
var TARGET = { doseG: 18, yieldG: 36, timeS: WINDOW, clock: "pump" };
function settledAt3(batch, dial2, pulled2, grams) {
  const meanS = Math.exp(lnMeanAt(batch, dial2));
  const isWrong = meanS < WINDOW[0] || meanS > WINDOW[1];
  return { shots: pulled2.length, grams, isWrong, pulled: pulled2, dial: dial2 };
}
function follow(batch, startDial, also, before = []) {
  const pulled2 = [...before];
  let grams = pulled2.length * 18;
  while (pulled2.length < MOST_SHOTS2) {
    const advice = nextMove({
      target: targetSchema.parse({ ...TARGET, startDial }),
      grinder: GRINDER,
      basket: BASKET,
      shots: pulled2,
      ...also
    });
    const isDone = isProvenStatus(advice.status) || advice.status === "nearest";
    if (isDone) return settledAt3(batch, advice.setting.dial, pulled2, grams);
    pulled2.push(pullAt(batch, advice.setting.dial));
    grams += 18 + advice.purgeG;
  }
  return settledAt3(batch, pulled2.at(-1).dial, pulled2, grams);
}
var WAYS = {
  "always dialled in anew": (batch, lastDial) => follow(batch, lastDial, {}),
  "never checked": (batch, lastDial) => settledAt3(batch, lastDial, [], 0),
  "accepted within 2 s": (batch, lastDial) => {
    const first = pullAt(batch, lastDial);
    return Math.abs(first.timeS - CENTRE_S) <= WITHIN_S ? settledAt3(batch, lastDial, [first], 18) : follow(batch, lastDial, {}, [first]);
  },
  "carried over, .80": (batch, lastDial, carry) => follow(batch, lastDial, { carry, proofGoal: 0.8 }),
  "carried over, .85": (batch, lastDial, carry) => follow(batch, lastDial, { carry, proofGoal: 0.85 })
};
function rulesOf(known3) {
  const aged = known3.flat().filter(({ shots }) => shots.length > 0).map(({ shots, roastLevel }) => ({ ...batchSlope(shots, NOISE_SD4), roastLevel }));
  const slope = expectedSlope(learnAgeing(aged), 0);
  return { slope, noiseSd: NOISE_SD4, batchSd: learnBatchSd(known3, { slope, noiseSd: NOISE_SD4 }) };
}
function judge2(way, batchSd, houses) {
  const all = [];
  for (let house = 0; house < houses; house++) {
    const releases = Array.from(
      { length: RELEASES },
      (_, i) => drawBatches(1 + house * RELEASES + i, batchSd)
    );
    const known3 = releases.map(() => []);
    const dials = releases.map(() => 0);
    for (let b = 0; b < BATCHES; b++) {
      const rules = rulesOf(known3);
      releases.forEach((batches, r) => {
        const batch = batches[b];
        const state = levelAfter(known3[r], rules);
        const carry = state && {
          dial: 0,
          restDays: batch.restDays,
          ...expectBatch(state, batch, rules)
        };
        const settled3 = state === null ? follow(batch, 0, {}) : way(batch, dials[r], carry ?? void 0);
        if (b >= WARM_UP) all.push(settled3);
        dials[r] = settled3.dial;
        known3[r].push(evidenceOf(batch, settled3));
      });
    }
  }
  const mean2 = (of) => all.reduce((sum2, settled3) => sum2 + of(settled3), 0) / all.length;
  return {
    shots: mean2(({ shots }) => shots),
    grams: mean2(({ grams }) => grams),
    wrong: mean2(({ isWrong }) => Number(isWrong))
  };
}
function evidenceOf({ week, roastLevel }, { pulled: pulled2 }) {
  const shots = pulled2.map(({ dial: dial2, timeS: timeS2, restDays }) => ({
    lnTimeS: Math.log(timeS2) + STEP * dial2,
    restDays
  }));
  const sorted = shots.map(({ lnTimeS }) => lnTimeS).sort((a, b) => a - b);
  const middle = sorted[Math.floor(sorted.length / 2)] ?? 0;
  return {
    week,
    roastLevel,
    shots: shots.filter(({ lnTimeS }) => Math.abs(lnTimeS - middle) < 6 * NOISE_SD4)
  };
}
var BATCH_SDS = [0.03, 0.05, 0.1];
function benchNewBatches(houses = 12, sds = BATCH_SDS) {
  return sds.flatMap(
    (batchSd) => Object.entries(WAYS).flatMap(([name3, way]) => {
      const { shots, grams, wrong } = judge2(way, batchSd, houses);
      const row = { part: "batches", case: `\u03C4 ${batchSd}, ${name3}` };
      return [
        { ...row, metric: "shots", value: shots, unit: "" },
        { ...row, metric: "grams", value: grams, unit: "g" },
        { ...row, metric: "wrong", value: 100 * wrong, unit: "%" }
      ];
    })
  );
}

// src/core/shot/parameters.ts
var parameters_exports = {};
__export(parameters_exports, {
  BEAN_TEMPERATURE: () => BEAN_TEMPERATURE,
  BED: () => BED,
  DEAD: () => DEAD,
  DISSOLVING: () => DISSOLVING,
  GAS: () => GAS,
  HEAT: () => HEAT,
  LAYERS: () => LAYERS,
  MACHINE: () => MACHINE,
  NOISE: () => NOISE,
  ROASTS: () => ROASTS,
  SOLUTES: () => SOLUTES,
  STEP_S: () => STEP_S,
  TUBES: () => TUBES,
  UNEVEN: () => UNEVEN
});
var STEP_S = 0.05;
var LAYERS = 12;
var TUBES = 3;
var MACHINE = {
  pumpMlS: 9.5,
  stallBar: 13,
  /** Water the hydraulics take up per bar. */
  compliance: 1.33,
  tauPressureS: 0.35,
  tauDumpS: 0.3,
  headSpaceMl: 4.6,
  lossC: 1,
  spoutS: 0.45,
  firstDripG: 0.2
};
var BED = {
  /** Bulk density of the tamped bed, g/ml. */
  bulk: 0.42,
  /** Liquid within and between the grains of a wet bed, ml per g of coffee. */
  poresMlG: 0.97,
  liquidMlG: 0.48,
  porosity: 0.17,
  porosityPerFines: 0.231,
  permeabilityM2: 24e-16,
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
  overfillPerG: 0.052
};
var DEAD = { share: 0.095, grindPower: 1.69, pressurePower: 1.05 };
var UNEVEN = {
  channelShare: 83e-4,
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
  soakOverS: 12
};
var HEAT = {
  coffeeJPerGK: 1.8,
  waterJPerGK: 4.19,
  metalJPerK: 22,
  metalC: 82,
  groundsC: 32,
  lossWPerK: 0.35
};
var SOLUTES = ["acid", "middle", "bitter"];
var DISSOLVING = {
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
  activationJ: [2e4, 3e4, 45e3],
  extraPerC: [24e-4, 6e-3, 0.0145],
  referenceC: 93
};
var BEAN_TEMPERATURE = { roomC: 22, warmUmPerC: 1.48, coldUmPerC: 0.85 };
var GAS = {
  resistance: 0.44,
  fadesOverDays: 25,
  scatter: 0.235,
  scatterFadesOverDays: 3,
  referenceDays: 14
};
var NOISE = {
  lnPermeability: 0.045,
  doseG: 0.05,
  lnSolubles: 0.02,
  lnChannel: 0.35,
  refractometerPct: 0.08,
  yieldG: 0.3,
  pressureBar: 0.04,
  weightG: 0.03,
  flowMlS: 0.012
};
var ROASTS = {
  light: { solubles: 0.24, ease: 0.85, fines: -0.09, density: 0.05 },
  medium: { solubles: 0.253, ease: 1, fines: 0, density: 0 },
  dark: { solubles: 0.268, ease: 1.18, fines: 0.09, density: -0.05 }
};

// src/core/programme/commandAt.ts
function commandAt(programme, timeS2) {
  let startS = 0;
  let at3 = 0;
  while (at3 < programme.length - 1 && timeS2 >= startS + programme[at3].seconds) {
    startS += programme[at3].seconds;
    at3++;
  }
  const step = programme[at3];
  assert(step, "a programme has a step");
  const from = levelBefore(programme, at3);
  const share = step.ramp ? Math.min(1, (timeS2 - startS) / step.seconds) : 1;
  return {
    drive: step.drive,
    level: from + (step.level - from) * share,
    limitBar: step.limitBar
  };
}

// src/core/shot/bed.ts
var bed_exports = {};
__export(bed_exports, {
  NO_CHANCE: () => NO_CHANCE,
  bedOf: () => bedOf,
  deadShare: () => deadShare,
  openness: () => openness
});
var NO_CHANCE = { lnPermeability: 0, lnSolubles: 0, lnChannel: 0 };
var MISTED_LN_RESISTANCE = 0.08;
var EASE_PER_INTENSITY = 0.06;
var LN_RESISTANCE_PER_INTENSITY = -0.02;
function bedOf(coffee, shot, basket, chance) {
  const roast = roastOf(coffee.roastLevel);
  const grainUm = shot.grindUm + beanTemperatureUm(shot.beanC ?? BEAN_TEMPERATURE.roomC);
  const fines = finesOf(grainUm, roast.fines);
  const porosity = porosityOf(fines);
  const areaM2 = Math.PI / 4 * (basket.diameterMm / 1e3) ** 2;
  const volumeMl = shot.doseG / (BED.bulk * (1 + roast.density));
  const { intensity, lnResistance = 0, lnEase = 0 } = coffee;
  const lnOther = lnResistance + LN_RESISTANCE_PER_INTENSITY * intensity + BED.overfillPerG * (shot.doseG - basket.ratedG) + (shot.isMisted ? MISTED_LN_RESISTANCE : 0) - chance.lnPermeability;
  const unevenPrep = UNEVEN.referencePrep - (shot.prep ?? UNEVEN.referencePrep);
  return {
    areaM2,
    depthM: volumeMl * 1e-6 / areaM2,
    grainUm,
    fines,
    porosity,
    permeabilityM2: BED.permeabilityM2 * kozeny(grainUm, fines, porosity) * Math.exp(-lnOther) / gasResistance(coffee.restDays),
    betweenMl: shot.doseG * BED.liquidMlG * porosity / BED.porosity,
    withinMl: shot.doseG * BED.poresMlG,
    solublesG: shot.doseG * roast.solubles * Math.exp(chance.lnSolubles),
    ease: roast.ease * Math.exp(EASE_PER_INTENSITY * intensity + lnEase),
    channelShare: Math.min(
      0.2,
      UNEVEN.channelShare * Math.exp(UNEVEN.prepGain * unevenPrep + chance.lnChannel) * (BED.referenceUm / grainUm) ** UNEVEN.channelPower
    ),
    spread: Math.max(0, UNEVEN.spread + UNEVEN.spreadPerPrep * unevenPrep)
  };
}
function beanTemperatureUm(beanC) {
  const { roomC, warmUmPerC, coldUmPerC } = BEAN_TEMPERATURE;
  const above = beanC - roomC;
  return above * (above > 0 ? warmUmPerC : coldUmPerC);
}
function finesOf(grainUm, roastFines) {
  const share = BED.fines * (1 + roastFines) * (BED.referenceUm / grainUm) ** BED.finesPower;
  return Math.min(0.6, share);
}
function porosityOf(fines) {
  return Math.max(0.05, BED.porosity - BED.porosityPerFines * (fines - BED.fines));
}
function kozeny(grainUm, fines, porosity) {
  const d32 = (share, um) => 1 / (share / BED.finesUm + (1 - share) / um);
  const size = d32(fines, grainUm) / d32(BED.fines, BED.referenceUm);
  return size ** 2 * openness(porosity) / openness(BED.porosity);
}
function openness(porosity) {
  const solid = 1 - porosity;
  return porosity * porosity * porosity / (solid * solid);
}
function gasResistance(restDays) {
  const at3 = (days) => 1 + GAS.resistance * Math.exp(-days / GAS.fadesOverDays);
  return at3(restDays) / at3(GAS.referenceDays);
}
function deadShare(grainUm, peakBar) {
  const share = DEAD.share * (BED.referenceUm / grainUm) ** DEAD.grindPower * (peakBar / 9) ** DEAD.pressurePower;
  return Math.min(0.7, share);
}
function roastOf(level2) {
  const { light, medium, dark } = ROASTS;
  const end = level2 < 0 ? light : dark;
  const share = Math.abs(level2);
  const between2 = (key) => medium[key] + share * (end[key] - medium[key]);
  return {
    solubles: between2("solubles"),
    ease: between2("ease"),
    fines: between2("fines"),
    density: between2("density")
  };
}

// src/core/shot/cup.ts
var HOT_WATER_G_ML = 0.965;
var TRACE_S = 0.1;
var Cup = class {
  constructor(options) {
    this.options = options;
    this.#delaySteps = Math.round(MACHINE.spoutS / options.stepS);
  }
  options;
  trace = [];
  firstDripS = null;
  weightG = 0;
  #spout = [];
  #portions = [newPortion()];
  #delaySteps;
  #density = HOT_WATER_G_ML;
  #nextTraceS = TRACE_S;
  /** Takes what leaves the bed in one step; it reaches the cup through the spout. */
  take({ timeS: timeS2, ml, solutesG, bar, pumpedMlS, temperatureC: temperatureC2 }) {
    const solute = sum(solutesG);
    const grams = ml * HOT_WATER_G_ML + solute * (1 - DISSOLVING.volumeMlG * HOT_WATER_G_ML);
    if (ml > 0) this.#density = grams / ml;
    this.#spout.push({ grams, solutesG });
    if (this.#spout.length > this.#delaySteps) this.#pour(this.#spout.shift(), timeS2);
    if (timeS2 < this.#nextTraceS - 1e-9) return;
    this.#nextTraceS += TRACE_S;
    this.trace.push({
      timeS: rounded(timeS2, 10),
      weightG: rounded(this.#read(this.weightG, NOISE.weightG), 100),
      pressureBar: rounded(Math.max(0, this.#read(bar, NOISE.pressureBar)), 100),
      flowMlS: rounded(Math.max(0, this.#read(pumpedMlS, NOISE.flowMlS)), 100),
      temperatureC: rounded(temperatureC2, 10)
    });
  }
  #pour({ grams, solutesG }, timeS2) {
    this.weightG += grams;
    if (this.firstDripS === null && this.weightG >= MACHINE.firstDripG) this.firstDripS = timeS2;
    const { cutsS } = this.options;
    const cut = cutsS[this.#portions.length - 1];
    if (cut !== void 0 && timeS2 > cut + 1e-9) this.#portions.push(newPortion());
    const portion = this.#portions.at(-1);
    portion.grams += grams;
    for (let k = 0; k < solutesG.length; k++)
      portion.solutesG[k] = portion.solutesG[k] + solutesG[k];
  }
  /** What still hangs in the spout falls into the cup. */
  drain() {
    const atS = this.trace.at(-1)?.timeS ?? 0;
    for (const parcel of this.#spout.splice(0)) this.#pour(parcel, atS);
  }
  /** What an instrument makes of a value. */
  #read(value, sd) {
    const { chance } = this.options;
    return chance ? value + sd * chance.normal() : value;
  }
  inSpoutG() {
    let grams = 0;
    for (const parcel of this.#spout) grams += parcel.grams;
    return grams;
  }
  gramsPerMl() {
    return this.#density;
  }
  solutesG() {
    return this.#portions.reduce((grams, portion) => grams + sum(portion.solutesG), 0);
  }
  /** Strength of the whole cup in % of its mass; 0 for an empty one. */
  tdsPct() {
    return this.weightG > 0 ? 100 * this.solutesG() / this.weightG : 0;
  }
  parts() {
    return this.#portions.map(({ grams, solutesG }) => ({
      yieldG: grams,
      tdsPct: grams > 0 ? 100 * sum(solutesG) / grams : 0,
      solutesG: Object.fromEntries(SOLUTES.map((kind, k) => [kind, solutesG[k]]))
    }));
  }
};
function rounded(value, parts) {
  return Math.round(value * parts) / parts;
}
function newPortion() {
  return { grams: 0, solutesG: new Float64Array(SOLUTES.length) };
}
function sum(values) {
  let total = 0;
  for (const value of values) total += value;
  return total;
}

// src/core/shot/tube.ts
var { BED: BED2, DISSOLVING: DISSOLVING2, HEAT: HEAT2, LAYERS: LAYERS2 } = parameters_exports;
var { deadShare: deadShare2, openness: openness2 } = bed_exports;
var KINDS = SOLUTES.length;
var LEAST_WET = 0.25;
function dryTube(bed, share, groundsC, extra) {
  const cells = LAYERS2 * KINDS;
  const fast = new Float64Array(cells);
  const kernel = new Float64Array(cells);
  const fastShare = fastShareOf(bed);
  for (let i = 0; i < LAYERS2; i++)
    for (let k = 0; k < KINDS; k++) {
      const solubles = bed.solublesG * share * DISSOLVING2.share[k] * extra[k] / LAYERS2;
      fast[i * KINDS + k] = solubles * fastShare;
      kernel[i * KINDS + k] = solubles * (1 - fastShare);
    }
  return {
    share,
    wet: new Float64Array(LAYERS2),
    temperatureC: new Float64Array(LAYERS2).fill(groundsC),
    liquid: new Float64Array(cells),
    fast,
    kernel,
    dead: new Float64Array(cells),
    fastAtFirst: fast.slice(),
    throughMl: 0
  };
}
function fastShareOf({ fines, grainUm }) {
  const core = Math.max(0, 1 - 2 * DISSOLVING2.surfaceUm / grainUm);
  return fines + (1 - fines) * (1 - core ** 3);
}
var isWetThrough = (tube) => tube.wet[LAYERS2 - 1] >= 1;
var PA_PER_BAR = 1e5;
var ML_PER_M3 = 1e6;
function conductance(tube, { permeabilityM2, bed }) {
  const dry = isWetThrough(tube) ? 1 : BED2.dryPermeability;
  const clogged = 1 + BED2.clogging * (1 - Math.exp(-tube.throughMl / tube.share / BED2.cloggingMl));
  const dz = bed.depthM / LAYERS2;
  const layerMl = bed.betweenMl * tube.share / LAYERS2;
  const closed = openness2(bed.porosity);
  let resistance = 0;
  for (let i = 0; i < LAYERS2; i++) {
    const wet = tube.wet[i];
    if (wet === 0 && i > 0) break;
    const opened = openness2(bed.porosity * (1 + BED2.opening * dissolvedFast(tube, i))) / closed;
    const viscosity = viscosityOf(tube.temperatureC[i], concentration(tube, i, layerMl));
    resistance += viscosity * dz * Math.max(wet, LEAST_WET) / opened;
  }
  return PA_PER_BAR * ML_PER_M3 * tube.share * bed.areaM2 * permeabilityM2 * dry / clogged / resistance;
}
function dissolvedFast(tube, layer) {
  let left = 0;
  let first = 0;
  for (let k = 0; k < KINDS; k++) {
    left += tube.fast[layer * KINDS + k];
    first += tube.fastAtFirst[layer * KINDS + k];
  }
  return first > 0 ? 1 - left / first : 0;
}
function concentration(tube, layer, layerMl) {
  const wet = tube.wet[layer];
  if (wet <= 0) return 0;
  let mass = 0;
  for (let k = 0; k < KINDS; k++) mass += tube.liquid[layer * KINDS + k];
  return mass / (layerMl * wet);
}
function viscosityOf(temperatureC2, gMl) {
  const v = DISSOLVING2.volumeMlG * gMl;
  return lookUp(WATER, temperatureC2) * (1 + 2.5 * v + 6.2 * v * v);
}
var TABLE_STEP_C = 0.25;
var TABLE_SIZE = 150 / TABLE_STEP_C;
var KELVIN = 273.15;
var GAS_CONSTANT = 8.314;
function tableOf(value) {
  return Float64Array.from({ length: TABLE_SIZE + 2 }, (_, i) => value(i * TABLE_STEP_C - 30));
}
function lookUp(table, temperatureC2) {
  const at3 = Math.min(TABLE_SIZE, Math.max(0, (temperatureC2 + 30) / TABLE_STEP_C));
  const below = at3 | 0;
  const low = table[below];
  return low + (at3 - below) * (table[below + 1] - low);
}
var WATER = tableOf((c) => 2414e-8 * 10 ** (247.8 / (c + KELVIN - 140)));
var RATES = DISSOLVING2.activationJ.map(
  (joule, k) => tableOf(
    (c) => DISSOLVING2.rate[k] * Math.exp(joule / GAS_CONSTANT * (1 / (DISSOLVING2.referenceC + KELVIN) - 1 / (c + KELVIN)))
  )
);
function advance(tube, bed, inflow) {
  const { dtS, metalC } = inflow;
  const betweenMl = bed.betweenMl * tube.share / LAYERS2;
  const withinMl = bed.withinMl * tube.share / LAYERS2;
  const coffeeJ = bed.withinMl / BED2.poresMlG * (tube.share / LAYERS2) * HEAT2.coffeeJPerGK;
  const carried2 = new Float64Array(KINDS);
  let ml = inflow.ml;
  let inC = inflow.temperatureC;
  let metalJ = 0;
  for (let i = 0; i < LAYERS2; i++) {
    const wetBefore = tube.wet[i];
    const held = coffeeJ + (betweenMl + withinMl) * wetBefore * HEAT2.waterJPerGK;
    const brought = ml * HEAT2.waterJPerGK;
    const exchanged = HEAT2.lossWPerK * tube.share * dtS / LAYERS2;
    const layerC = (held * tube.temperatureC[i] + brought * inC + exchanged * metalC) / (held + brought + exchanged);
    metalJ += exchanged * (layerC - metalC);
    tube.temperatureC[i] = layerC;
    const kept2 = Math.min(ml, (1 - wetBefore) * (betweenMl + withinMl));
    const wet = Math.min(1, wetBefore + kept2 / (betweenMl + withinMl));
    tube.wet[i] = kept2 > 0 && 1 - wet < 1e-9 ? 1 : wet;
    const out = ml - kept2;
    const intoGrains = kept2 > 0 && ml > 0 ? kept2 / ml * (withinMl / (betweenMl + withinMl)) : 0;
    const liquidMl = betweenMl * wet;
    for (let k = 0; k < KINDS; k++) {
      const cell = i * KINDS + k;
      const arriving = carried2[k];
      tube.kernel[cell] += arriving * intoGrains;
      const mixed = tube.liquid[cell] + arriving * (1 - intoGrains);
      const leaving = out > 0 ? mixed * out / (liquidMl + out) : 0;
      tube.liquid[cell] = mixed - leaving;
      carried2[k] = leaving;
    }
    ml = out;
    inC = layerC;
    if (ml <= 0 && wet < 1) break;
  }
  return { ml, temperatureC: inC, solutesG: carried2, metalJ };
}
function dissolve(tube, bed, dtS) {
  const betweenMl = bed.betweenMl * tube.share / LAYERS2;
  const withinMl = bed.withinMl * tube.share / LAYERS2;
  const slow = DISSOLVING2.kernelPerS * (BED2.referenceUm / bed.grainUm) ** DISSOLVING2.kernelPower * bed.ease * dtS;
  const quick = DISSOLVING2.fastPerS * bed.ease * dtS;
  const { fast, kernel, liquid } = tube;
  const poreRatio = withinMl / betweenMl;
  for (let i = 0; i < LAYERS2; i++) {
    const wet = tube.wet[i];
    if (wet <= 0) break;
    const thirst = 1 - concentration(tube, i, betweenMl) / DISSOLVING2.saturationGMl;
    const room = Math.max(0, thirst);
    const temperatureC2 = tube.temperatureC[i];
    for (let k = 0; k < KINDS; k++) {
      const cell = i * KINDS + k;
      const rate = wet * lookUp(RATES[k], temperatureC2);
      const pull2 = quick * rate * room;
      const push = slow * rate;
      const fromFast = fast[cell] * pull2 / (1 + pull2);
      const fromKernel = push * (kernel[cell] - liquid[cell] * poreRatio) / (1 + push * (1 + poreRatio));
      fast[cell] = fast[cell] - fromFast;
      kernel[cell] = kernel[cell] - fromKernel;
      liquid[cell] = liquid[cell] + fromFast + fromKernel;
    }
  }
}
function putOutOfReach(tube, bed, fromBar, toBar) {
  const before = deadShare2(bed.grainUm, fromBar);
  const after = deadShare2(bed.grainUm, toBar);
  if (after <= before) return;
  const lost = (after - before) / (1 - before);
  for (let cell = 0; cell < LAYERS2 * KINDS; cell++) {
    const fast = tube.fast[cell] * lost;
    const kernel = tube.kernel[cell] * lost;
    tube.fast[cell] -= fast;
    tube.kernel[cell] -= kernel;
    tube.dead[cell] += fast + kernel;
  }
}
function solutesIn({ liquid, fast, kernel, dead }) {
  return [liquid, fast, kernel, dead].reduce(
    (sum2, pool) => pool.reduce((part, grams) => part + grams, sum2),
    0
  );
}

// src/core/shot/simulate.ts
var { BED: BED3, BEAN_TEMPERATURE: BEAN_TEMPERATURE2, DISSOLVING: DISSOLVING3, GAS: GAS2, HEAT: HEAT3, MACHINE: MACHINE2, NOISE: NOISE2 } = parameters_exports;
var { SOLUTES: SOLUTES2, STEP_S: STEP_S2, TUBES: TUBES2, UNEVEN: UNEVEN2 } = parameters_exports;
var COLD_METAL_C = 35;
var GROUNDS_FOLLOW_BEANS = 0.3;
var MOST_SHOT_S = 120;
var SOAK_BELOW_BAR = 3;
var STILL_MLS = 0.05;
var DRAIN_S = 4;
function simulateShot({
  coffee,
  basket,
  shot,
  seed,
  stepS = STEP_S2
}) {
  const chance = seed === null ? null : chanceFrom(seed);
  const draw = (sd) => chance ? sd * chance.normal() : 0;
  const scatter = GAS2.scatter * Math.exp(-coffee.restDays / GAS2.scatterFadesOverDays);
  const bedChance = chance ? {
    lnPermeability: draw(Math.hypot(NOISE2.lnPermeability, scatter)),
    lnSolubles: draw(NOISE2.lnSolubles),
    lnChannel: draw(NOISE2.lnChannel)
  } : NO_CHANCE;
  const poured = { ...shot, doseG: Math.max(1, shot.doseG + draw(NOISE2.doseG)) };
  const aimG = Math.max(0.5, shot.yieldG + draw(NOISE2.yieldG));
  const bed = bedOf(coffee, poured, basket, bedChance);
  const tubes = tubesOf(bed, poured);
  const before = tubes.reduce((sum2, tube) => sum2 + solutesIn(tube), 0);
  const cup = new Cup({ stepS, cutsS: shot.cutsS ?? [], chance });
  const run = pull({ bed, tubes, cup, shot: poured, aimG, stepS });
  const left = tubes.reduce((sum2, tube) => sum2 + solutesIn(tube), 0);
  const tdsPct = Math.max(0, cup.tdsPct() + (cup.weightG > 0 ? draw(NOISE2.refractometerPct) : 0));
  return {
    timeS: run.stoppedS,
    firstDripS: cup.firstDripS,
    yieldG: cup.weightG,
    tdsPct,
    extractionPct: tdsPct * cup.weightG / shot.doseG,
    trace: cup.trace,
    stages: cup.parts(),
    channelled: run.throughMl > 0 ? run.channelMl / run.throughMl : 0,
    balance: { before, after: left + cup.solutesG() }
  };
}
function tubesOf(bed, shot) {
  const { roomC } = BEAN_TEMPERATURE2;
  const groundsC = HEAT3.groundsC + GROUNDS_FOLLOW_BEANS * ((shot.beanC ?? roomC) - roomC);
  const hotterC = shot.temperatureC - DISSOLVING3.referenceC;
  const extra = SOLUTES2.map((_, k) => Math.max(0.2, 1 + DISSOLVING3.extraPerC[k] * hotterC));
  const half = (1 - bed.channelShare) / 2;
  return [half, half, bed.channelShare].map((share) => dryTube(bed, share, groundsC, extra));
}
function pull({ bed, tubes, cup, shot, aimG, stepS }) {
  const mostS = Math.min(MOST_SHOT_S, shot.mostS ?? MOST_SHOT_S);
  const inletC = shot.temperatureC - MACHINE2.lossC;
  let metalC = shot.isColdMetal ? COLD_METAL_C : HEAT3.metalC;
  let headMl = 0;
  let bar = 0;
  let peakBar = 0;
  let wetS = 0;
  let soakS = 0;
  let stoppedS = null;
  let throughMl = 0;
  let channelMl = 0;
  const passing = new Float64Array(TUBES2);
  for (let step = 0; ; step++) {
    const timeS2 = step * stepS;
    const isOn = stoppedS === null;
    let total = 0;
    for (let i = 0; i < TUBES2; i++) {
      const permeabilityM2 = permeability(i, { bed, bar, peakBar, wetS, soakS });
      passing[i] = conductance(tubes[i], { bed, permeabilityM2 });
      total += passing[i];
    }
    const pumped = isOn ? pumpMlS(shot, { timeS: timeS2, bar, total, isFilling: headMl < MACHINE2.headSpaceMl }) : 0;
    const toHead = Math.min(pumped * stepS, MACHINE2.headSpaceMl - headMl);
    headMl += toHead;
    const ml = flows({ bar, pumpedMl: pumped * stepS - toHead, total, tubes, stepS, isOn, headMl });
    bar = ml.bar;
    if (bar > peakBar) {
      for (const tube of tubes) putOutOfReach(tube, bed, peakBar, bar);
      peakBar = bar;
    }
    let cupMl = 0;
    let cupC = 0;
    const solutesG = new Float64Array(SOLUTES2.length);
    for (let i = 0; i < TUBES2; i++) {
      const tube = tubes[i];
      const share = total > 0 ? ml.throughMl * passing[i] / total : 0;
      const out = advance(tube, bed, { ml: share, temperatureC: inletC, metalC, dtS: stepS });
      tube.throughMl += out.ml;
      if (i === TUBES2 - 1) channelMl += out.ml;
      cupMl += out.ml;
      cupC += out.ml * out.temperatureC;
      metalC += out.metalJ / HEAT3.metalJPerK;
      for (let k = 0; k < solutesG.length; k++) solutesG[k] = solutesG[k] + out.solutesG[k];
      dissolve(tube, bed, stepS);
    }
    throughMl += cupMl;
    if (isWetThrough(tubes[0]) && isWetThrough(tubes[1])) wetS += stepS;
    if (tubes[0].wet[0] > 0 && bar < SOAK_BELOW_BAR && isOn) soakS += stepS;
    cup.take({
      timeS: timeS2 + stepS,
      ml: cupMl,
      solutesG,
      bar,
      pumpedMlS: pumped,
      temperatureC: cupMl > 0 ? cupC / cupMl : inletC
    });
    const comingG = cup.inSpoutG() + cup.gramsPerMl() * (cupMl / stepS) * MACHINE2.tauDumpS;
    if (stoppedS === null && (cup.weightG + comingG >= aimG || timeS2 + stepS >= mostS))
      stoppedS = timeS2 + stepS;
    if (stoppedS === null) continue;
    const isStill = cupMl / stepS < STILL_MLS && cup.inSpoutG() < 1e-6;
    if (isStill || timeS2 > stoppedS + DRAIN_S) break;
  }
  cup.drain();
  return { stoppedS, throughMl, channelMl };
}
function permeability(tube, { bed, bar, peakBar, wetS, soakS }) {
  const meanBar = (bar + peakBar) / 2;
  const pressed = ((1 + meanBar / BED3.compactionBar) / (1 + 9 / BED3.compactionBar)) ** -BED3.compactionPower;
  const inBed = bed.permeabilityM2 * pressed;
  if (tube < TUBES2 - 1) {
    const healed = 1 - UNEVEN2.heals * (1 - Math.exp(-wetS / UNEVEN2.healsOverS));
    return inBed * Math.exp((tube === 0 ? 1 : -1) * bed.spread * healed);
  }
  const opened = 1 - Math.exp(-wetS / UNEVEN2.opensOverS);
  const soaked = Math.exp(-UNEVEN2.soakHeals * (1 - Math.exp(-soakS / UNEVEN2.soakOverS)));
  const channel = UNEVEN2.channelPermeability * BED3.permeabilityM2 * (bar / 9) * opened * soaked;
  return Math.max(inBed, channel);
}
function pumpMlS(shot, { timeS: timeS2, bar, total, isFilling }) {
  const { drive, level: level2, limitBar } = commandAt(shot.programme, timeS2);
  const can = MACHINE2.pumpMlS * Math.max(0, 1 - (bar / MACHINE2.stallBar) ** 2);
  if (level2 === 0) return 0;
  const most = drive === "flow" ? Math.min(can, level2) : can;
  const wantedBar = drive === "pressure" ? level2 : limitBar;
  if (wantedBar === void 0 || isFilling) return most;
  const toReach = total * bar + MACHINE2.compliance * (wantedBar - bar) / MACHINE2.tauPressureS;
  return Math.min(most, Math.max(0, toReach));
}
function flows(now2) {
  const { pumpedMl, total, stepS } = now2;
  if (now2.headMl < MACHINE2.headSpaceMl) return { bar: now2.bar, throughMl: 0 };
  const capillary = isWetThrough(now2.tubes[0]) ? 0 : BED3.capillaryBar;
  if (!now2.isOn) {
    const bar2 = now2.bar * Math.exp(-stepS / MACHINE2.tauDumpS);
    return { bar: bar2, throughMl: total * bar2 * stepS };
  }
  const { compliance } = MACHINE2;
  const bar = (compliance * now2.bar + pumpedMl - total * capillary * stepS) / (compliance + total * stepS);
  if (bar >= 0) return { bar, throughMl: total * (bar + capillary) * stepS };
  return { bar: 0, throughMl: Math.max(0, compliance * now2.bar + pumpedMl) };
}

// src/core/shot/drawStation.ts
var LOT_SD = 0.1;
var STEP_SD = 0.3;
function drawStation(input) {
  const { grinder, recipe, startDial, startSd } = input;
  const chance = chanceFrom(input.seed);
  const coffee = {
    ...input.coffee,
    lnResistance: LOT_SD * chance.normal(),
    lnEase: LOT_SD * chance.normal()
  };
  const believed = Math.abs(slopePrior(grinder).mean) * grinder.stepSize;
  const lnPerStep = input.lnPerStep ?? believed * Math.exp(STEP_SD * chance.normal());
  const drawn3 = startSd * chance.normal();
  const startError = input.startErrorLn ?? drawn3;
  const idealUm = sizeFor(
    recipe.centreS,
    (grindUm) => simulateShot({
      coffee,
      basket: input.basket,
      shot: { ...recipe, grindUm },
      seed: null,
      stepS: 0.1
    }).timeS
  );
  const umPerStep = lnPerStep / LN_TIME_PER_UM;
  const sign = finerSign(grinder);
  const idealDial = startDial - sign * startError * grinder.stepSize / lnPerStep;
  const referenceDial = idealDial + sign * grinder.stepSize * (idealUm - BED.referenceUm) / umPerStep;
  return {
    idealDial,
    station: { coffee, basket: input.basket, grinder, umPerStep, referenceDial }
  };
}
var MOST_ITERATIONS = 12;
var CLOSE_ENOUGH = 4e-3;
function sizeFor(centreS, timeAt, onProgress) {
  let grindUm = BED.referenceUm;
  for (let i = 0; i < MOST_ITERATIONS; i++) {
    onProgress?.(i / MOST_ITERATIONS);
    const off = Math.log(timeAt(grindUm) / centreS);
    if (Math.abs(off) < CLOSE_ENOUGH) break;
    const step = Math.min(80, Math.max(-80, off / LN_TIME_PER_UM));
    grindUm = Math.min(800, Math.max(200, grindUm + step));
  }
  return grindUm;
}

// src/core/shot/station.ts
var LEAST_UM = 150;
var MOST_UM = 900;
function grindUmAt({ grinder, umPerStep, referenceDial }, dial2) {
  const steps2 = (dial2 - referenceDial) / grinder.stepSize * -finerSign(grinder);
  return Math.min(MOST_UM, Math.max(LEAST_UM, BED.referenceUm + steps2 * umPerStep));
}
function pullAt2(station, chamberDial, pull2, seed, stepS) {
  const passage = {
    retentionG: station.grinder.retentionG,
    doseG: pull2.doseG,
    purgeG: pull2.purgeG
  };
  const stood = chamberDial ?? pull2.dial;
  const { dial: dial2, purgeG: _, ...shot } = pull2;
  const result = simulateShot({
    coffee: station.coffee,
    basket: station.basket,
    shot: { ...shot, grindUm: grindUmAt(station, effectiveDial(dial2, stood, passage)) },
    seed,
    ...stepS !== void 0 && { stepS }
  });
  return { result, chamberDial: chamberAfter(dial2, stood, passage) };
}

// bench/dialin/truths.ts
var TARGET2 = { doseG: 18, yieldG: 36, timeS: [26.5, 29.5] };
var RATED_G = 18;
var CENTRE_S2 = 28;
var CLASSIC_ASK = {
  doseG: TARGET2.doseG,
  yieldG: TARGET2.yieldG,
  temperatureC: 93,
  programme: [{ drive: "pressure", level: 9, seconds: 30, ramp: false }]
};
var BAD_PREP_SHARE = 0.04;
function drawnGrinder(chance) {
  return { lnPerStep: 0.02 + 0.22 * chance.uniform(), retentionG: 0.3 + 5.7 * chance.uniform() };
}
function grinderOf(retentionG) {
  return { stepSize: 1, finerIs: "lower", min: -80, max: 80, retentionG };
}
function statisticalBench({ seed, startSd }) {
  const chance = chanceFrom(seed);
  const { lnPerStep, retentionG } = drawnGrinder(chance);
  const startError = startSd * chance.normal();
  return benchOfMean(chance, {
    grinder: grinderOf(retentionG),
    startDial: 0,
    lnMean: Math.log(CENTRE_S2) + startError,
    lnPerStep,
    doseExponent: 1 + 0.2 * chance.normal()
  });
}
function benchOfMean(chance, {
  grinder,
  startDial,
  lnMean,
  lnPerStep,
  doseExponent,
  noiseSd = 0.045,
  toldG = grinder.retentionG
}) {
  let chamber = null;
  const meanAt2 = (dial2, doseG2) => lnMean - lnPerStep * dial2 + doseExponent * Math.log(doseG2 / TARGET2.doseG);
  return {
    grinder: { ...grinder, retentionG: toldG },
    startDial,
    lnPerStep,
    idealDial: (lnMean - Math.log(CENTRE_S2)) / lnPerStep,
    meanS: ({ dial: dial2, doseG: doseG2 }) => Math.exp(meanAt2(dial2, doseG2)),
    pull: ({ dial: dial2, doseG: doseG2, purgeG }) => {
      const passage = { retentionG: grinder.retentionG, doseG: doseG2, purgeG };
      const stood = chamber ?? dial2;
      const ground = effectiveDial(dial2, stood, passage);
      chamber = chamberAfter(dial2, stood, passage);
      const doseIn = doseG2 + 0.05 * chance.normal();
      const yieldG2 = TARGET2.yieldG + 0.3 * chance.normal();
      const badPrep = chance.isWithin(BAD_PREP_SHARE) ? -0.35 + 0.1 * chance.normal() : 0;
      const lnTime = meanAt2(ground, doseIn) + Math.log(yieldG2 / TARGET2.yieldG) + noiseSd * chance.normal() + badPrep;
      return shotOf({ dial: dial2, doseG: doseG2, purgeG, yieldG: yieldG2, timeS: Math.exp(lnTime), firstDripS: 6 });
    }
  };
}
var DRIP_S = { mean: 6, sd: 1 };
function windowOf(clock3) {
  const offS = clock3 === "pump" ? 0 : DRIP_S.mean;
  return [TARGET2.timeS[0] - offS, TARGET2.timeS[1] - offS];
}
function timedFromDrip(bench, chance) {
  return {
    ...bench,
    clock: "firstDrip",
    pull: (asked) => {
      const { firstDripS: _unnoted, ...shot } = bench.pull(asked);
      const dripS = DRIP_S.mean + DRIP_S.sd * chance.normal();
      const timeS2 = Math.max(1, Math.round(10 * (shot.timeS - dripS)) / 10);
      return { ...shot, clock: "firstDrip", timeS: timeS2 };
    }
  };
}
var COARSE_STEP_S = 0.1;
var known = /* @__PURE__ */ new Map();
function simulatedBench({ seed, startSd }) {
  const chance = chanceFrom(seed);
  const { lnPerStep, retentionG } = drawnGrinder(chance);
  chance.normal();
  const grinder = grinderOf(retentionG);
  const coffee = {
    roastLevel: chance.oneOf([-1, 0, 1]),
    intensity: chance.oneOf([0, 0.5, 1, 1.75]),
    restDays: 14
  };
  const { station, idealDial } = known.get(`${seed} ${startSd}`) ?? drawStation({
    coffee,
    basket: { diameterMm: 58, ratedG: RATED_G },
    grinder,
    recipe: { ...CLASSIC_ASK, centreS: CENTRE_S2 },
    startDial: 0,
    startSd,
    seed: seed + 1,
    lnPerStep
  });
  known.set(`${seed} ${startSd}`, { station, idealDial });
  return { ...benchOfStation(chance, station, { startDial: 0, lnPerStep }), idealDial };
}
function benchOfStation(chance, station, { startDial, lnPerStep }) {
  let chamber = null;
  return {
    grinder: { ...grinderOf(station.grinder.retentionG) },
    startDial,
    lnPerStep,
    idealDial: NaN,
    meanS: (setting) => pullAt2(station, null, { ...CLASSIC_ASK, ...setting, purgeG: 0, mostS: 75, prep: 0.8 }, null).result.timeS,
    pull: ({ dial: dial2, doseG: doseG2, purgeG }) => {
      const isBad = chance.isWithin(BAD_PREP_SHARE);
      const shotSeed = Math.floor(chance.uniform() * 2 ** 31);
      const { result, chamberDial } = pullAt2(
        station,
        chamber,
        { ...CLASSIC_ASK, dial: dial2, doseG: doseG2, purgeG, mostS: 75, prep: isBad ? 0.2 : 0.8 },
        shotSeed,
        COARSE_STEP_S
      );
      chamber = chamberDial;
      const { timeS: timeS2, yieldG: yieldG2, firstDripS } = result;
      return shotOf({ dial: dial2, doseG: doseG2, purgeG, yieldG: yieldG2, timeS: timeS2, firstDripS: firstDripS ?? void 0 });
    }
  };
}
function shotOf(shot) {
  const tenth = (value) => Math.round(value * 10) / 10;
  return {
    ...shot,
    yieldG: tenth(shot.yieldG),
    timeS: tenth(Math.max(1, shot.timeS)),
    firstDripS: shot.firstDripS === void 0 ? void 0 : tenth(shot.firstDripS),
    clock: "pump",
    purged: shot.purgeG > 0,
    restDays: 14,
    seen: shot.yieldG < 2 ? ["choke"] : []
  };
}

// bench/dialin/strategies.ts
var twoInARow = (next) => (bench, shots) => {
  const [before, last] = shots.slice(-2);
  const isSame = before?.dial === last?.dial && before?.aimDoseG === last?.aimDoseG;
  return before && last && isSame && lands(before) && lands(last) ? { end: "proven" } : next(bench, shots);
};
var CENTRE_S3 = 28;
var dose = TARGET2.doseG;
var lands = (shot) => inWindow(shot) && Math.abs(shot.yieldG - TARGET2.yieldG) <= 1;
var inWindow = ({ timeS: timeS2 }) => timeS2 >= TARGET2.timeS[0] && timeS2 <= TARGET2.timeS[1];
var full = (grinder) => PURGE_TIMES_RETENTION * grinder.retentionG;
var byHand = twoInARow((bench, shots) => {
  const last = shots.at(-1);
  if (!last) return { dial: bench.startDial, doseG: dose, purgeG: 0 };
  if (inWindow(last)) return { dial: last.dial, doseG: dose, purgeG: 0 };
  const offS = last.timeS - CENTRE_S3;
  const steps2 = Math.sign(offS) * (Math.abs(offS) > 3.5 ? 3 : 1);
  return { dial: last.dial + steps2, doseG: dose, purgeG: 0 };
});
var REMEMBERED = 6;
var bisection = twoInARow((bench, shots) => {
  const last = shots.at(-1);
  if (!last) return { dial: bench.startDial, doseG: dose, purgeG: 0 };
  const stay = { dial: last.dial, doseG: dose, purgeG: 0 };
  if (inWindow(last)) return stay;
  const recent = shots.slice(-REMEMBERED);
  const slow = recent.filter((shot) => shot.timeS > TARGET2.timeS[1]);
  const fast = recent.filter((shot) => shot.timeS < TARGET2.timeS[0]);
  const finest = Math.max(...slow.map((shot) => shot.dial));
  const coarsest = Math.min(...fast.map((shot) => shot.dial));
  const isBracketed = slow.length > 0 && fast.length > 0;
  const reach2 = 2 ** Math.min(5, shots.length);
  const way = last.timeS > CENTRE_S3 ? 1 : -1;
  const dial2 = isBracketed ? Math.round((finest + coarsest) / 2) : last.dial + way * reach2;
  const to = dial2 === last.dial || isBracketed && coarsest - finest < 2 ? last.dial + way : dial2;
  return { dial: to, doseG: dose, purgeG: 0 };
});
var proportional = twoInARow((bench, shots) => {
  const last = shots.at(-1);
  if (!last) return { dial: bench.startDial, doseG: dose, purgeG: 0 };
  if (inWindow(last)) return { dial: last.dial, doseG: dose, purgeG: 0 };
  const off = Math.log(last.timeS / CENTRE_S3);
  const steps2 = Math.round(off / 0.1) || Math.sign(off);
  return { dial: last.dial + steps2, doseG: dose, purgeG: 0 };
});
var perfect = twoInARow((bench) => ({
  dial: Math.round(bench.idealDial),
  doseG: dose,
  purgeG: full(bench.grinder)
}));
function advisor({ retention, trim, known: known3 = false, ...learnt2 }) {
  return (bench, shots) => {
    const { clock: clock3 = "pump", startDial } = bench;
    const target = targetSchema.parse({ ...TARGET2, clock: clock3, timeS: windowOf(clock3), startDial });
    const grinder = {
      ...bench.grinder,
      retentionG: retention ? bench.grinder.retentionG : 0,
      ...known3 && calibrated(bench.lnPerStep)
    };
    const advice = nextMove({
      target,
      grinder,
      basket: { ratedG: RATED_G },
      shots: [...shots],
      doseSchool: trim ? "trim" : "locked",
      ...learnt2
    });
    const said = advice.proof?.inWindow;
    if (isProvenStatus(advice.status)) return { end: "proven", said };
    if (advice.status === "nearest") return { end: "nearest", said };
    const { interval80 } = advice.expect;
    return { ...advice.setting, purgeG: retention ? advice.purgeG : 0, interval80 };
  };
}
function calibrated(lnPerStep) {
  const secondsPerStep = 28 * (Math.exp(lnPerStep) - 1);
  return { secondsPerStep, secondsPerStepHalf80: 0.12 * secondsPerStep };
}

// bench/dialin/dialin.ts
var MOST_SHOTS3 = 25;
var START_SD = 0.25;
var GOOD_START_SD = 0.1;
function dialIn(bench, strategy, shots = []) {
  let grams = 0;
  const expected2 = [];
  for (; ; ) {
    const asked = strategy(bench, shots);
    if ("end" in asked) {
      const last = shots.at(-1);
      const meanS = bench.meanS({ dial: last.dial, doseG: last.aimDoseG ?? TARGET2.doseG });
      const isInside = meanS >= TARGET2.timeS[0] && meanS <= TARGET2.timeS[1];
      return {
        shots: shots.length,
        grams,
        ...asked,
        isFalse: asked.end === "proven" && !isInside,
        expected: expected2
      };
    }
    if (shots.length === MOST_SHOTS3)
      return { shots: MOST_SHOTS3 + 1, grams, end: "never", isFalse: false, expected: expected2 };
    const shot = bench.pull(asked);
    if (asked.interval80) {
      const [low, high] = asked.interval80;
      expected2.push(shot.timeS >= low && shot.timeS <= high);
    }
    shots.push({
      ...shot,
      ...asked.doseG !== TARGET2.doseG && { aimDoseG: asked.doseG }
    });
    grams += asked.doseG + asked.purgeG;
  }
}
var WAYS2 = [
  { name: "by hand", strategy: byHand },
  { name: "bisection", strategy: bisection },
  { name: "proportional", strategy: proportional },
  { name: "advisor, plain", strategy: advisor({ retention: false, trim: false }) },
  { name: "advisor, retention", strategy: advisor({ retention: true, trim: false }) },
  { name: "advisor, trim", strategy: advisor({ retention: false, trim: true }) },
  { name: "advisor", strategy: advisor({ retention: true, trim: true }) },
  {
    name: "advisor, known grinder and good start",
    strategy: advisor({ retention: true, trim: true, known: true }),
    startSd: GOOD_START_SD
  },
  { name: "perfect knowledge", strategy: perfect }
];
var TRUTHS = [
  { name: "statistical", make: statisticalBench },
  { name: "simulator", make: simulatedBench }
];
function tryWay({ strategy, startSd = START_SD }, make, cases) {
  return Array.from(
    { length: cases },
    (_, i) => dialIn(make({ seed: 1e3 + i, startSd }), strategy)
  );
}
function quantile(values, share) {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))];
}
function spentOf(tried) {
  const shots = tried.map((one) => one.shots);
  const grams = tried.map((one) => one.grams);
  return {
    "shots, median": quantile(shots, 0.5),
    "shots, 90th percentile": quantile(shots, 0.9),
    "grams, median": quantile(grams, 0.5),
    "grams, 90th percentile": quantile(grams, 0.9)
  };
}
function measuresOf(name3, tried, against) {
  const measures = [];
  const add = (metric, value, unit) => measures.push({ part: "dialin", case: name3, metric, value, unit });
  const other = against && spentOf(against);
  for (const [metric, value] of Object.entries(spentOf(tried))) {
    add(metric, value, metric.startsWith("shots") ? "shots" : "g");
    if (other) add(`${metric} against by hand`, 100 * value / other[metric], "%");
  }
  const share = (is, among = tried) => 100 * among.filter(is).length / Math.max(1, among.length);
  const proven = tried.filter(({ end }) => end === "proven");
  const isNever = ({ end }) => end === "never";
  add(`never within ${MOST_SHOTS3}`, share(isNever), "%");
  const isNearest2 = ({ end }) => end === "nearest";
  add("nearest", share(isNearest2), "%");
  const isFalse = (one) => one.isFalse;
  add("false among the proven", share(isFalse, proven), "%");
  const said = proven.flatMap((one) => one.said ?? []);
  if (said.length > 0) {
    const mean2 = said.reduce((sum2, one) => sum2 + one, 0) / said.length;
    add("said to hold the window", 100 * mean2, "%");
    add("held the window", 100 - share(isFalse, proven), "%");
  }
  const expected2 = tried.flatMap((one) => one.expected);
  if (expected2.length > 0)
    add(
      "shots inside their 80 % band",
      100 * expected2.filter(Boolean).length / expected2.length,
      "%"
    );
  return measures;
}
async function benchDialin(cases = 1e3) {
  const measures = [];
  for (const { name: truth, make } of TRUTHS) {
    let hand;
    for (const way of WAYS2) {
      const tried = tryWay(way, make, cases);
      measures.push(...measuresOf(`${truth}: ${way.name}`, tried, hand));
      hand ??= tried;
      await new Promise((resolve) => setImmediate(resolve));
    }
  }
  return measures;
}

// src/core/advice/pastDialIn.ts
function grindFeatures(release, style) {
  const { roastLevel, intensity } = featuresOf(release);
  return {
    light: Math.max(0, -(roastLevel ?? 0)),
    dark: Math.max(0, roastLevel ?? 0),
    intensity,
    style
  };
}
function pastDialIn(input, features, referenceDial) {
  const { shots, pumpWindowS } = timedShots(input);
  const { rows } = rowsOf({
    shots,
    reference: memoryReference(input.basket, referenceDial),
    retentionG: input.grinder.retentionG,
    slope: slopePrior(input.grinder).mean,
    expectedLnTimeS: Math.log(pumpSeconds((pumpWindowS[0] + pumpWindowS[1]) / 2))
  });
  const people = rows.map(({ shotIndex }) => input.shots[shotIndex].pulledBy);
  return { features, rows, people };
}

// bench/dialin/houses.ts
var RULE = { light: -0.15, dark: 0.1, intensity: 0.08 };
var RULE_SD = { light: 0.08, dark: 0.08, intensity: 0.06 };
var LEVEL_SD = 0.22;
var COFFEE_SD = 0.1;
var SLOPE_SHARE_SD = 0.1;
var USUAL_STEP = 0.1;
var [SEEDS_APART, LOTS_APART] = [1e3, 5e5];
function coffeeOf(seed) {
  const chance = chanceFrom(seed);
  const roastLevel = chance.oneOf([-1, 0, 1]);
  const intensity = chance.oneOf([0, 0.5, 1, 1.75]);
  const features = {
    light: Math.max(0, -roastLevel),
    dark: Math.max(0, roastLevel),
    intensity
  };
  const rule = ruled(features, RULE);
  return { chance, roastLevel, features, startDial: Math.round(rule / USUAL_STEP) };
}
var ruled = (f, rule) => f.light * rule.light + f.dark * rule.dark + f.intensity * rule.intensity;
var statisticalHouse = ofKind({});
function ofKind({ noiseSd, timesFromDrip = false, toldShare = 1 }) {
  return (seed) => {
    const chance = chanceFrom(seed);
    const { lnPerStep, retentionG } = drawnGrinder(chance);
    const level2 = LEVEL_SD * chance.normal();
    const truth = {
      light: RULE.light + RULE_SD.light * chance.normal(),
      dark: RULE.dark + RULE_SD.dark * chance.normal(),
      intensity: RULE.intensity + RULE_SD.intensity * chance.normal()
    };
    return (coffee) => {
      const own = coffeeOf(SEEDS_APART * seed + coffee);
      const lnMean = Math.log(CENTRE_S2) + level2 + ruled(own.features, truth) + COFFEE_SD * own.chance.normal();
      const perStep = lnPerStep * Math.exp(SLOPE_SHARE_SD * own.chance.normal());
      const bench = {
        features: own.features,
        ...benchOfMean(own.chance, {
          grinder: grinderOf(retentionG),
          startDial: own.startDial,
          lnMean,
          lnPerStep: perStep,
          doseExponent: 1.4 + 0.25 * own.chance.normal(),
          toldG: toldShare * retentionG,
          ...noiseSd !== void 0 && { noiseSd }
        })
      };
      return timesFromDrip ? timedFromDrip(bench, own.chance) : bench;
    };
  };
}
var simulatedHouse = (seed) => {
  const chance = chanceFrom(seed);
  const { lnPerStep, retentionG } = drawnGrinder(chance);
  const grinder = grinderOf(retentionG);
  const { station } = drawStation({
    coffee: { roastLevel: 0, intensity: 0, restDays: 14 },
    basket: { diameterMm: 58, ratedG: RATED_G },
    grinder,
    recipe: { ...CLASSIC_ASK, centreS: CENTRE_S2 },
    startDial: 0,
    startSd: LEVEL_SD,
    seed,
    lnPerStep
  });
  return (coffee) => {
    const own = coffeeOf(SEEDS_APART * seed + coffee);
    const lot = chanceFrom(SEEDS_APART * seed + coffee + LOTS_APART);
    const ofCoffee = {
      ...station,
      coffee: {
        roastLevel: own.roastLevel,
        intensity: own.features.intensity,
        restDays: 14,
        lnResistance: COFFEE_SD * lot.normal(),
        lnEase: COFFEE_SD * lot.normal()
      }
    };
    return {
      features: own.features,
      ...benchOfStation(own.chance, ofCoffee, { startDial: own.startDial, lnPerStep })
    };
  };
};

// bench/dialin/history.ts
var HISTORY_SEED = 5e3;
function afterHistory(houseOf, seed, past, trim = true) {
  const coffee = houseOf(HISTORY_SEED + seed);
  const first = coffee(0);
  const histories = [];
  for (let n = 1; n <= past; n++) {
    const bench = coffee(n);
    const shots = [];
    dialIn(bench, advisor({ retention: true, trim }), shots);
    histories.push(asPast(bench, shots));
  }
  const memory = past === 0 ? void 0 : learnGrinder(histories, slopePrior(first.grinder), 0);
  return dialIn(
    first,
    advisor({ retention: true, trim, ...memory && { memory, coffee: first.features } })
  );
}
function asPast({ grinder, startDial, features, clock: clock3 = "pump" }, shots) {
  const target = targetSchema.parse({ ...TARGET2, clock: clock3, timeS: windowOf(clock3), startDial });
  return pastDialIn({ target, grinder, basket: { ratedG: RATED_G }, shots }, features, 0);
}
var OTHERWISE = [
  { name: "steady hand (3 %)", kind: { noiseSd: 0.03 } },
  { name: "unsteady hand (7 %)", kind: { noiseSd: 0.07 } },
  { name: "clock from the first drip", kind: { timesFromDrip: true } }
];
var TRIED = [
  ...[0, 3, 10, 30, 100].map((past) => ({
    truth: "statistical",
    house: statisticalHouse,
    past,
    houses: past > 30 ? 100 : 300
  })),
  ...[0, 3, 10, 30, 100].map((past) => ({
    truth: "simulator",
    house: simulatedHouse,
    past,
    houses: past > 30 ? 30 : past > 10 ? 60 : 150
  })),
  ...OTHERWISE.flatMap(
    ({ name: name3, kind }) => [0, 10, 30].map((past) => ({
      truth: `statistical, ${name3}`,
      house: ofKind(kind),
      past,
      houses: 150
    }))
  )
];
function benchHistory() {
  return TRIED.flatMap(
    ({ truth, house, past, houses }) => [true, false].flatMap(
      (trim) => measuresOf(
        `${truth}: ${past} past dial-ins, dose ${trim ? "trimmed" : "locked"}`,
        Array.from({ length: houses }, (_, seed) => afterHistory(house, seed, past, trim))
      )
    )
  );
}

// src/core/start/proposalLimits.ts
var RATIO_LIMIT = [0.9, 4];
var TEMPERATURE_LIMIT_C = [80, 97];

// src/core/rest/day.ts
var MS_PER_DAY = 864e5;
function dayNumber(day3) {
  return Math.round(Date.parse(`${day3}T00:00:00Z`) / MS_PER_DAY);
}
function daysBetween(from, to) {
  return dayNumber(to) - dayNumber(from);
}
function addDays(day3, days) {
  return new Date((dayNumber(day3) + days) * MS_PER_DAY).toISOString().slice(0, 10);
}

// src/core/rest/rest.ts
var BY_ROAST = [
  [-2, 14, 21, 45, 63],
  [-1, 10, 14, 35, 49],
  [0, 6, 8, 21, 35],
  [1, 4, 6, 16, 28],
  [2, 2, 4, 12, 24]
];
var PATIENT = { opens: 18, bestFrom: 21, later: 14 };
function restSpan(roastLevel, school) {
  const byRoast = interpolate(Math.min(2, Math.max(-2, roastLevel)));
  switch (school) {
    case "byRoast":
      return byRoast;
    case "oneWeek":
      return { opens: 7, bestFrom: 8, bestTo: 28, fades: 35 };
    case "early":
      return { opens: 2, bestFrom: 3, bestTo: 14, fades: 28 };
    case "patient":
      return {
        opens: Math.max(PATIENT.opens, byRoast.opens),
        bestFrom: Math.max(PATIENT.bestFrom, byRoast.bestFrom),
        bestTo: byRoast.bestTo + PATIENT.later,
        fades: byRoast.fades + PATIENT.later
      };
  }
}
function interpolate(roastLevel) {
  const upper = Math.max(
    1,
    BY_ROAST.findIndex((row) => row[0] >= roastLevel)
  );
  const from = BY_ROAST[upper - 1];
  const to = BY_ROAST[upper];
  const share = (roastLevel - from[0]) / (to[0] - from[0]);
  const at3 = (column2) => from[column2] + share * (to[column2] - from[column2]);
  return { opens: at3(1), bestFrom: at3(2), bestTo: at3(3), fades: at3(4) };
}
function spanOf({ roastLevel, school, span }) {
  if (span === void 0) return restSpan(roastLevel, school);
  const { opens, bestFrom, bestTo, fades } = span;
  if (!(opens <= bestFrom && bestFrom < bestTo && bestTo <= fades))
    throw userFault(
      "badInput",
      "span",
      `A span of days ${opens}, ${bestFrom}, ${bestTo}, ${fades} ends before it begins. Enter them in order: opens, best from, best to, fades.`
    );
  return span;
}
function restOn({ roastDate, frozen, on, ...asked }) {
  const { roastLevel, school } = asked;
  if (daysBetween(roastDate, on) < 0)
    throw userFault(
      "badInput",
      "roastDate",
      `Roast date ${roastDate} is in the future. Enter ${on} or an earlier day.`
    );
  const spells = checkedSpells(frozen, roastDate);
  const restDays = restDaysOn(roastDate, spells, on);
  const span = spanOf(asked);
  const dayOf2 = (days) => dayWhenRested(roastDate, spells, Math.round(days), on);
  return {
    restDays,
    state: restState(restDays, span),
    openOn: dayOf2(span.opens),
    bestFrom: dayOf2(span.bestFrom),
    bestTo: dayOf2(span.bestTo),
    fadesOn: dayOf2(span.fades),
    warnings: school === "early" && roastLevel < 0 ? [
      {
        code: "earlyForLight",
        text: "Light roasts this fresh run erratically and taste sharp. Rest them longer if you can."
      }
    ] : []
  };
}
function restDaysOn(roastDate, frozen, on) {
  const frozenDays = frozen.reduce((sum2, { from, to }) => {
    const end = to === void 0 || daysBetween(to, on) < 0 ? on : to;
    return sum2 + Math.max(0, daysBetween(from, end));
  }, 0);
  return daysBetween(roastDate, on) - frozenDays;
}
function restState(restDays, span) {
  if (restDays < Math.round(span.opens)) return "tooFresh";
  if (restDays < Math.round(span.bestFrom)) return "open";
  if (restDays <= Math.round(span.bestTo)) return "best";
  return restDays < Math.round(span.fades) ? "late" : "fading";
}
function dayWhenRested(roastDate, frozen, restDays, on) {
  let day3 = addDays(roastDate, restDays);
  for (const { from, to } of frozen) {
    const end = to ?? on;
    if (daysBetween(from, day3) > 0) day3 = addDays(day3, Math.max(0, daysBetween(from, end)));
  }
  return day3;
}
function checkedSpells(frozen, roastDate) {
  const spells = [...frozen].sort((a, b) => daysBetween(b.from, a.from));
  spells.forEach(({ from, to }, i) => {
    const earliest = i === 0 ? roastDate : spells[i - 1].to;
    const isLate = earliest !== void 0 && daysBetween(earliest, from) >= 0;
    if (!isLate || to !== void 0 && daysBetween(from, to) < 0)
      throw userFault(
        "badInput",
        `frozen.${i}`,
        "A frozen spell begins before the roast, overlaps another or ends before it begins. Correct its days."
      );
  });
  return spells;
}

// src/core/start/evidence.ts
var usedOf = (row) => row.flatMap((value, j) => value === 0 ? [] : [j]);
var known2 = /* @__PURE__ */ new WeakMap();
function pullsOf(fit) {
  let pulls = known2.get(fit);
  if (!pulls) {
    const { rows, outputs, weights, posteriors: posteriors2 } = fit;
    pulls = {
      used: rows.map(usedOf),
      byKappa: posteriors2.map(
        ({ mean: mean2, inverse: inverse9 }) => rows.map((row, i) => {
          const leverage = weights[i] * quadratic(inverse9, row);
          return (outputs[i] - dot(row, mean2)) / (1 - leverage);
        })
      )
    };
    known2.set(fit, pulls);
  }
  return pulls;
}
function prepareEvidence(fit) {
  pullsOf(fit);
}
function evidenceOf2(history, row, fit) {
  const { rows, weights, places, posteriors: posteriors2 } = fit;
  const { used, byKappa } = pullsOf(fit);
  const asked = usedOf(row);
  const found = rows.map((_, i) => ({
    id: history[places[i]].release.id ?? `release ${places[i] + 1}`,
    weight: 0,
    effect: 0
  }));
  posteriors2.forEach(({ share, inverse: inverse9 }, kappa) => {
    const reach2 = row.map((_, j) => asked.reduce((sum2, k) => sum2 + row[k] * inverse9.get(k, j), 0));
    rows.forEach((past, i) => {
      const w = weights[i] * used[i].reduce((sum2, j) => sum2 + past[j] * reach2[j], 0);
      found[i].weight += share * w;
      found[i].effect += share * w * byKappa[kappa][i];
    });
  });
  return found.sort(
    (a, b) => Math.abs(b.effect) - Math.abs(a.effect) || Math.abs(b.weight) - Math.abs(a.weight)
  );
}

// src/core/start/ownRecipe.ts
var SHARED = { same: 0.9, other: 0.7 };
var NOTHING = { mean: 0, noiseLeft: 1 };
function ownRecipeOf({ history }, releaseId) {
  if (releaseId === void 0) return null;
  return history.findLast(({ release, weight = 1 }) => release.id === releaseId && weight > 0) ?? null;
}
function ownRecipeShare(own, asked) {
  const isSame = own.style === asked.style && own.setupId === asked.setupId;
  return isSame ? SHARED.same : SHARED.other;
}
function ownParts({ fits }, own, asked) {
  if (own === null) return mapOutputs(() => NOTHING);
  const shared = ownRecipeShare(own, asked);
  const row = rowOfPast(own);
  return mapOutputs((output) => {
    const value = outputOf(own, output);
    if (value === null) return NOTHING;
    const deviation = value - dot(row, averageMean(fits[output]));
    return { mean: shared * deviation, noiseLeft: 1 - shared ** 2 };
  });
}

// src/core/start/learnTaste.ts
import { EigenvalueDecomposition as EigenvalueDecomposition2, Matrix as Matrix14 } from "ml-matrix";

// src/core/trials/coding.ts
var STEP2 = { lnRatio: 0.14, temperatureC: 1.5, lnTimeS: 0.15 };
var VARIABLES = 3;
function codedFrom(centre, { ratio, temperatureC: temperatureC2, timeS: timeS2 }) {
  return [
    Math.log(ratio / centre.ratio) / STEP2.lnRatio,
    (temperatureC2 - centre.temperatureC) / STEP2.temperatureC,
    Math.log(timeS2 / centre.timeS) / STEP2.lnTimeS
  ];
}
function placeAt(centre, [lnRatio, temperature, lnTime]) {
  return {
    ratio: centre.ratio * Math.exp(STEP2.lnRatio * lnRatio),
    temperatureC: centre.temperatureC + STEP2.temperatureC * temperature,
    timeS: centre.timeS * Math.exp(STEP2.lnTimeS * lnTime)
  };
}

// src/core/trials/curvature.ts
import jStat3 from "jstat";
import { Matrix as Matrix9, determinant } from "ml-matrix";
var PARTICLES = 160;
var LIKELY_H = [0.7, 0.5, 0.6];
var LN_H_SD = 0.495;
var CORRELATION = {
  mean: 0.1,
  sd: 0.25,
  most: 0.7,
  shrink: 0.85,
  leastDeterminant: 0.1
};
var LN_A_SD = 0.58;
var DIMENSIONS = 7;
var PHI = 1.085070245491451;
function curvatureParticles(release = 0) {
  return Array.from({ length: PARTICLES }, (_, s) => {
    const z28 = Array.from(
      { length: DIMENSIONS },
      (_unused, k) => jStat3.normal.inv((0.5 + (s + 1 + PARTICLES * release) * PHI ** -(k + 1)) % 1, 0, 1)
    );
    const h = LIKELY_H.map((likely, j) => likely * Math.exp(LN_H_SD * z28[j]));
    return {
      H: curvatureOf(h, z28.slice(3, 6).map(correlation)),
      a: Math.exp(LN_A_SD * z28[6]),
      weight: 1 / PARTICLES
    };
  });
}
function correlation(z28) {
  const { mean: mean2, sd, most } = CORRELATION;
  return Math.min(most, Math.max(-most, mean2 + sd * z28));
}
function curvatureOf(h, r) {
  const { shrink, leastDeterminant } = CORRELATION;
  for (let by = 1; ; by *= shrink) {
    const [r12, r13, r23] = r.map((value) => by * value);
    const R = new Matrix9([
      [1, r12, r13],
      [r12, 1, r23],
      [r13, r23, 1]
    ]);
    if (determinant(R) <= leastDeterminant) continue;
    const root = Matrix9.diag(h.map(Math.sqrt));
    return evened(root.mmul(R).mmul(root));
  }
}

// src/core/trials/surface.ts
import jStat4 from "jstat";
import { CholeskyDecomposition as CholeskyDecomposition2, Matrix as Matrix10 } from "ml-matrix";

// src/core/taste/cupNoise.ts
var CUP_SD = 0.8;

// src/core/trials/surface.ts
var PRIOR2 = {
  liking: { mean: 6.5, sd: 1.5 },
  tasterSd: 0.7,
  signOffsetSd: 0.8,
  cupSd: CUP_SD,
  signSd: 1.5
};
var USUAL_SIGNS = { mean: 0, sd: PRIOR2.signOffsetSd };
var MISFIT_SHARE = 0.35;
var REFITS = 2;
var BOX = 2;
var WHOLE_BOX = Array.from({ length: VARIABLES }, () => [-BOX, BOX]);
var LEAST_P = 0.02;
var SIGN_DIRECTION = (() => {
  const d = [0.6, 0.45, 0.66];
  const length = Math.hypot(...d);
  return d.map((value) => value / length);
})();
function fitSurface(input) {
  const first = fitWith(input, PRIOR2.cupSd);
  const responses = responsesOf(input, () => 1).length;
  const chi2 = first.fits.reduce((sum2, fit) => sum2 + fit.share * fit.chi2, 0);
  if (responses === 0 || 1 - jStat4.chisquare.cdf(chi2, responses) >= LEAST_P) return first;
  const again = fitWith(input, PRIOR2.cupSd * Math.sqrt(chi2 / responses));
  return { ...again, warnings: ["contradictory", ...again.warnings] };
}
function fitWith(input, noiseSd) {
  const curvatures = input.curvatures ?? curvatureParticles(input.release);
  const tasters = tastersOf(input.cups);
  const priorInverse = inverseOf(input.prior);
  let surface = null;
  for (let pass2 = 0; pass2 <= (input.misfit === false ? 0 : REFITS); pass2++) {
    const around = surface;
    const responses = responsesOf(
      input,
      (cup) => noiseSd ** 2 + (around ? misfitVariance(around, cup, input.cups) : 0)
    );
    const fits = curvatures.map(
      (curvature) => fitOne(curvature, {
        tasters,
        priorInverse,
        responses,
        signs: input.signOffset ?? USUAL_SIGNS
      })
    );
    surface = averaged2(fits, tasters, noiseSd);
  }
  return surface;
}
function misfitAt({ optimum, meanH }, x) {
  const away = x.map((value, j) => value - optimum[j]);
  return (MISFIT_SHARE * 0.5 * quadratic(meanH, away)) ** 2;
}
function misfitVariance(surface, { x }, cups) {
  const together = new Set(
    cups.filter((other) => other.x.every((value, j) => value === x[j])).map(({ taster }) => taster)
  ).size;
  return together * misfitAt(surface, x);
}
function responsesOf({ cups, useSigns = true }, likingVariance) {
  const tasters = tastersOf(cups);
  return cups.flatMap((cup) => {
    const { x, taster, liking, u } = cup;
    const scored = { x, taster: tasters.indexOf(taster), given: liking };
    const pointed = { x, taster: null, given: u ?? 0, variance: PRIOR2.signSd ** 2 };
    return [
      { ...scored, variance: likingVariance(cup) },
      ...useSigns && u !== void 0 ? [pointed] : []
    ];
  });
}
var tastersOf = (cups) => [...new Set(cups.map(({ taster }) => taster))];
var SIGN_AT = 1 + VARIABLES;
var OFFSETS_FROM = SIGN_AT + 1;
function fitOne(curvature, { tasters, priorInverse, responses, signs }) {
  const size = OFFSETS_FROM + tasters.length;
  const prior = new Matrix10(size, size);
  prior.set(0, 0, PRIOR2.liking.sd ** -2);
  prior.setSubMatrix(priorInverse, 1, 1);
  prior.set(SIGN_AT, SIGN_AT, signs.sd ** -2);
  for (let i = OFFSETS_FROM; i < size; i++) prior.set(i, i, PRIOR2.tasterSd ** -2);
  const lnDetPrior = lnDeterminant(new CholeskyDecomposition2(prior));
  const sums = prior.to2DArray();
  const b = new Array(size).fill(0);
  b[0] = PRIOR2.liking.mean * PRIOR2.liking.sd ** -2;
  b[SIGN_AT] = signs.mean * signs.sd ** -2;
  let squares = PRIOR2.liking.mean * b[0] + signs.mean * b[SIGN_AT];
  let lnScale = 0;
  const H = curvature.H.to2DArray();
  const row = new Array(size).fill(0);
  for (const response of responses) {
    const { variance } = response;
    const weight = 1 / variance;
    const value = fillRow(row, response, H, curvature.a);
    squares += value ** 2 * weight;
    lnScale += Math.log(2 * Math.PI * variance);
    for (let i = 0; i < size; i++) {
      if (row[i] === 0) continue;
      b[i] += row[i] * value * weight;
      const sum2 = sums[i];
      for (let j = 0; j < size; j++) sum2[j] += row[i] * row[j] * weight;
    }
  }
  const A = new Matrix10(sums);
  const cholesky = new CholeskyDecomposition2(A);
  if (!cholesky.isPositiveDefinite())
    throw new RangeError("The prior or a curvature is not positive definite.");
  const inverse9 = evened(cholesky.solve(Matrix10.eye(size)));
  const q = inverse9.mmul(Matrix10.columnVector(b)).to1DArray();
  const chi2 = squares - dot(b, q);
  return {
    ...curvature,
    share: 1,
    liking: q[0],
    best: q.slice(1, SIGN_AT),
    covariance: inverse9.subMatrix(1, VARIABLES, 1, VARIABLES),
    joint: inverse9.subMatrix(0, SIGN_AT, 0, SIGN_AT),
    lnEvidence: -0.5 * (lnDeterminant(cholesky) - lnDetPrior + lnScale + chi2),
    chi2,
    offsets: q.slice(OFFSETS_FROM),
    signOffset: q[SIGN_AT]
  };
}
function fillRow(row, { x, taster, given }, H, a) {
  row.fill(0);
  if (taster === null) {
    for (let j = 0; j < VARIABLES; j++) row[1 + j] = a * SIGN_DIRECTION[j];
    row[SIGN_AT] = 1;
    return given + a * dot(SIGN_DIRECTION, x);
  }
  row[0] = 1;
  row[OFFSETS_FROM + taster] = 1;
  let bent = 0;
  for (let j = 0; j < VARIABLES; j++) {
    const pull2 = dot(H[j], x);
    row[1 + j] = pull2;
    bent += pull2 * x[j];
  }
  return given + 0.5 * bent;
}
function averaged2(all, tasters, noiseSd) {
  const top = Math.max(...all.map(({ lnEvidence }) => lnEvidence));
  const raw = all.map(({ lnEvidence, weight }) => weight * Math.exp(lnEvidence - top));
  const total = raw.reduce((sum2, value) => sum2 + value, 0);
  const prior = all.reduce((sum2, { weight }) => sum2 + weight, 0);
  const fits = all.map((fit, s) => ({ ...fit, share: raw[s] / total }));
  const meanH = Matrix10.zeros(VARIABLES, VARIABLES);
  const pulled2 = Matrix10.zeros(VARIABLES, 1);
  const mean2 = [0, 0, 0];
  for (const { share, H, best } of fits) {
    meanH.add(Matrix10.mul(H, share));
    pulled2.add(Matrix10.mul(H.mmul(Matrix10.columnVector([...best])), share));
    best.forEach((value, j) => mean2[j] += share * value);
  }
  const optimum = inverseOf(meanH).mmul(pulled2).to1DArray();
  const covariance = Matrix10.zeros(VARIABLES, VARIABLES);
  for (const { share, best, covariance: own } of fits)
    covariance.add(Matrix10.mul(Matrix10.add(own, outer(best, mean2)), share));
  const weighted = (of) => fits.reduce((sum2, fit) => sum2 + fit.share * of(fit), 0);
  return {
    fits,
    optimum,
    mean: mean2,
    covariance,
    meanH,
    lnEvidence: top + Math.log(total / prior),
    tasters: Object.fromEntries(
      tasters.map((taster, i) => [taster, weighted(({ offsets }) => offsets[i])])
    ),
    signOffset: signsOf(fits),
    // L = ½Σw·tr(H(V + δδᵀ)).
    expectedLeft: weighted(
      ({ H, best, covariance: own }) => 0.5 * traceOf(H, Matrix10.add(own, outer(best, optimum)))
    ),
    noiseSd,
    warnings: optimum.some((value) => Math.abs(value) > BOX) ? ["edge"] : []
  };
}
function signsOf(fits) {
  const mean2 = fits.reduce((sum2, { share, signOffset }) => sum2 + share * signOffset, 0);
  const variance = fits.reduce(
    (sum2, { share, signOffset, joint }) => sum2 + share * (joint.get(SIGN_AT, SIGN_AT) + (signOffset - mean2) ** 2),
    0
  );
  return { mean: mean2, sd: Math.sqrt(variance) };
}
function outer(a, b) {
  const away = Matrix10.columnVector(a.map((value, j) => value - b[j]));
  return away.mmul(away.transpose());
}
function traceOf(A, B) {
  return Matrix10.mul(A, B).sum();
}
function inverseOf(M) {
  const cholesky = new CholeskyDecomposition2(evened(M));
  if (!cholesky.isPositiveDefinite())
    throw new RangeError("The prior or a curvature is not positive definite.");
  return evened(cholesky.solve(Matrix10.eye(M.rows)));
}
function lnDeterminant(cholesky) {
  return 2 * cholesky.lowerTriangularMatrix.diag().reduce((sum2, d) => sum2 + Math.log(d), 0);
}

// src/core/trials/plan.ts
var SIZE = 2 + VARIABLES;

// src/core/trials/robust.ts
import { CholeskyDecomposition as CholeskyDecomposition3, inverse as inverse5, Matrix as Matrix11 } from "ml-matrix";

// src/core/trials/bestRecipe.ts
function firstCupPoints(prior) {
  return curvatureParticles().reduce(
    (sum2, { H, weight }) => sum2 + 0.5 * weight * traceOf(H, prior),
    0
  );
}
var SAME_STEPS = 0.25;
function countRecipes(all) {
  const seen = [];
  for (const x of all) {
    const isKnown = seen.some(
      (other) => other.every((value, j) => Math.abs(value - x[j]) < SAME_STEPS)
    );
    if (!isKnown) seen.push(x);
  }
  return seen.length;
}

// src/core/trials/signs.ts
var BETWEEN_HOUSES_SD = 0.65;
var WITHIN_VARIANCE = USUAL_SIGNS.sd ** 2 - BETWEEN_HOUSES_SD ** 2;
function signMessageOf({ signOffset }, expected2 = USUAL_SIGNS) {
  const [after, before] = [signOffset.sd ** -2, expected2.sd ** -2];
  const precision = after - before;
  if (precision <= 1e-9) return null;
  return { precision, weighted: signOffset.mean * after - expected2.mean * before };
}
function houseSigns(messages) {
  let precision = BETWEEN_HOUSES_SD ** -2;
  let weighted = USUAL_SIGNS.mean * precision;
  for (const message of messages) {
    const share = 1 / (1 + WITHIN_VARIANCE * message.precision);
    precision += share * message.precision;
    weighted += share * message.weighted;
  }
  return { mean: weighted / precision, sd: Math.sqrt(1 / precision + WITHIN_VARIANCE) };
}

// src/core/trials/site.ts
import { EigenvalueDecomposition, Matrix as Matrix12 } from "ml-matrix";
function siteOf(surface, prior, centre) {
  const priorInverse = inverseOf(prior);
  const P = withoutNegative(Matrix12.sub(inverseOf(surface.covariance), priorInverse));
  const best = Matrix12.columnVector(surface.mean.map((value, j) => value + centre[j]));
  const h = Matrix12.add(P, priorInverse).mmul(best).sub(priorInverse.mmul(Matrix12.columnVector([...centre])));
  return { P, h: h.to1DArray() };
}
function withoutNegative(M) {
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(evened(M), {
    assumeSymmetric: true
  });
  const kept2 = Matrix12.diag(realEigenvalues.map((value) => Math.max(0, value)));
  return eigenvectorMatrix.mmul(kept2).mmul(eigenvectorMatrix.transpose());
}

// src/core/start/joint.ts
import { CholeskyDecomposition as CholeskyDecomposition4, inverse as inverse6, Matrix as Matrix13, solve } from "ml-matrix";
var JOINT_OUTPUTS = [
  "lnRatio",
  "temperatureC",
  "lnTimeS"
];
function byJointOutput(make) {
  return Object.fromEntries(JOINT_OUTPUTS.map((output) => [output, make(output)]));
}
var SPREAD_SHAPE = 4;
var EM_STEPS = 3;
var RULE_SPREAD = JOINT_OUTPUTS.map((output) => (NOISE_SD3[output] / STEP2[output]) ** 2);
function siteOfRecipe(coded) {
  const precision = RULE_SPREAD.map((variance) => 1 / variance);
  return { P: Matrix13.diag(precision), h: precision.map((value, j) => value * coded[j]) };
}
function* learningJoint({
  sites,
  rules,
  keepsSpread = false
}) {
  const prior = codedRules(rules);
  const used = sites.filter(({ weight = 1 }) => weight > 0);
  const columns = prior.mean[0].map((_, j) => j);
  const seen = columns.filter((j) => used.some(({ row }) => row[j] !== 0));
  const model = { prior, seen };
  let spread = RULE_SPREAD;
  for (let step = 0; step < (keepsSpread ? 0 : EM_STEPS); step++) {
    spread = nextSpread({ ...model, spread, fits: [trusted(model, used, spread, 1).fit] }, used);
    yield;
  }
  if (used.length < TRUST_FROM_N)
    return { ...model, spread, fits: [trusted(model, used, spread, 1).fit] };
  const all = [];
  for (const { kappa, weight } of TRUST) {
    all.push({ ...trusted(model, used, spread, kappa), weight });
    yield;
  }
  const top = Math.max(...all.map(({ lnEvidence }) => lnEvidence));
  const raw = all.map(({ lnEvidence, weight }) => weight * Math.exp(lnEvidence - top));
  const total = raw.reduce((sum2, value) => sum2 + value, 0);
  return { ...model, spread, fits: all.map(({ fit }, i) => ({ ...fit, share: raw[i] / total })) };
}
function codedRules(rules) {
  const coded = (of) => JOINT_OUTPUTS.map((output) => rules[output].map((rule) => of(rule) / STEP2[output]));
  return { mean: coded(({ mean: mean2 }) => mean2), sd: coded(({ sd }) => sd) };
}
function ruleAt({ mean: mean2 }, row) {
  return mean2.map((of) => of.reduce((sum2, value, j) => sum2 + value * row[j], 0));
}
function seenFrom(prior, { P, h, row }, spread) {
  const S = Matrix13.diag(spread.map((variance) => 1 / variance));
  const C = evened(inverse6(Matrix13.add(S, P)));
  const rest = Matrix13.columnVector([...h]).sub(P.mmul(Matrix13.columnVector(ruleAt(prior, row))));
  const W = evened(Matrix13.sub(S, S.mmul(C).mmul(S)));
  return { rest, C, W, Wy: S.mmul(C).mmul(rest).to1DArray() };
}
function trusted({ prior, seen }, sites, spread, kappa) {
  const width = seen.length;
  const size = VARIABLES * width;
  if (size === 0)
    return { fit: { share: 1, change: [], covariance: new Matrix13(0, 0) }, lnEvidence: 0 };
  const A = Matrix13.diag(
    prior.sd.flatMap((sd) => seen.map((column2) => (1 / (kappa * sd[column2])) ** 2))
  );
  const lnDetPrior = A.diag().reduce((sum2, value) => sum2 + Math.log(value), 0);
  const right = new Array(size).fill(0);
  for (const site of sites) {
    const { W, Wy } = seenFrom(prior, site, spread);
    const weight = site.weight ?? 1;
    const z28 = seen.map((column2) => site.row[column2]);
    const filled = z28.flatMap((value, j) => value === 0 ? [] : [j]);
    for (let a = 0; a < VARIABLES; a++)
      for (const j of filled) {
        const at3 = a * width + j;
        right[at3] += weight * Wy[a] * z28[j];
        for (let b = 0; b < VARIABLES; b++)
          for (const k of filled) {
            const to = b * width + k;
            A.set(at3, to, A.get(at3, to) + weight * W.get(a, b) * z28[j] * z28[k]);
          }
      }
  }
  const cholesky = new CholeskyDecomposition4(evened(A));
  const covariance = evened(cholesky.solve(Matrix13.eye(size)));
  const change = covariance.mmul(Matrix13.columnVector(right)).to1DArray();
  const fitted2 = change.reduce((sum2, value, i) => sum2 + value * right[i], 0);
  const lnDet = 2 * cholesky.lowerTriangularMatrix.diag().reduce((sum2, d) => sum2 + Math.log(d), 0);
  return {
    fit: { share: 1, change, covariance },
    lnEvidence: 0.5 * (lnDetPrior - lnDet + fitted2)
  };
}
function meanAt({ seen }, { change }, row) {
  const width = seen.length;
  return [0, 1, 2].map(
    (a) => seen.reduce((sum2, column2, j) => sum2 + row[column2] * change[a * width + j], 0)
  );
}
function blockAt({ seen }, { covariance }, x, z28) {
  const width = seen.length;
  const filled = (row) => seen.flatMap((column2, j) => row[column2] === 0 ? [] : [[j, row[column2]]]);
  const [left, right] = [filled(x), filled(z28)];
  const block = Matrix13.zeros(VARIABLES, VARIABLES);
  for (let a = 0; a < VARIABLES; a++)
    for (let b = 0; b < VARIABLES; b++) {
      let sum2 = 0;
      for (const [j, xj] of left)
        for (const [k, zk] of right) sum2 += xj * zk * covariance.get(a * width + j, b * width + k);
      block.set(a, b, sum2);
    }
  return block;
}
var changeAt = (columns, fit, row) => ({
  mean: meanAt(columns, fit, row),
  spread: blockAt(columns, fit, row, row)
});
function changeWithout(model, fit, row, site) {
  const { mean: mean2, spread } = changeAt(model, fit, row);
  const { W, Wy } = seenFrom(model.prior, site, model.spread);
  const weight = site.weight ?? 1;
  W.mul(weight);
  const wy = Matrix13.columnVector(Wy.map((value) => weight * value));
  const across = blockAt(model, fit, row, site.row);
  const own = changeAt(model, fit, site.row);
  const D = evened(solve(Matrix13.sub(Matrix13.eye(VARIABLES), W.mmul(own.spread)), W));
  const back = D.mmul(Matrix13.sub(Matrix13.columnVector(own.mean), own.spread.mmul(wy))).sub(wy);
  const shift = across.mmul(back).to1DArray();
  return {
    mean: mean2.map((value, j) => value + shift[j]),
    spread: Matrix13.add(spread, across.mmul(D).mmul(across.transpose()))
  };
}
function nextSpread(model, sites) {
  const squares = [0, 0, 0];
  let count2 = 0;
  for (const site of sites) {
    const { rest, C } = seenFrom(model.prior, site, model.spread);
    const { mean: mean2, spread } = changeAt(model, model.fits[0], site.row);
    const deviation = C.mmul(Matrix13.sub(rest, site.P.mmul(Matrix13.columnVector(mean2))));
    const pulled2 = C.mmul(site.P);
    const doubt = pulled2.mmul(spread).mmul(pulled2.transpose());
    const weight = site.weight ?? 1;
    count2 += weight;
    squares.forEach((_, j) => {
      const square = C.get(j, j) + deviation.get(j, 0) ** 2 + doubt.get(j, j);
      squares[j] += weight * square;
    });
  }
  return squares.map(
    (sum2, j) => (SPREAD_SHAPE * RULE_SPREAD[j] + 0.5 * sum2) / (SPREAD_SHAPE + count2 / 2)
  );
}
function predictJoint(model, row, without2) {
  const parts = model.fits.map((fit) => ({
    share: fit.share,
    ...without2 ? changeWithout(model, fit, row, without2) : changeAt(model, fit, row)
  }));
  const changed = [0, 1, 2].map(
    (j) => parts.reduce((sum2, { share, mean: mean2 }) => sum2 + share * mean2[j], 0)
  );
  const covariance = Matrix13.diag([...model.spread]);
  const isSeen = new Set(model.seen);
  model.prior.sd.forEach((sd, a) => {
    const unseen = sd.reduce((sum2, s, j) => sum2 + (isSeen.has(j) ? 0 : (s * row[j]) ** 2), 0);
    covariance.set(a, a, covariance.get(a, a) + unseen);
  });
  for (const { share, mean: mean2, spread } of parts) {
    const off = Matrix13.columnVector(mean2.map((value, j) => value - changed[j]));
    covariance.add(Matrix13.add(spread, off.mmul(off.transpose())).mul(share));
  }
  const rule = ruleAt(model.prior, row);
  return { mean: rule.map((value, j) => value + changed[j]), covariance };
}

// src/core/start/learnTaste.ts
var learnTaste = (...asked) => runThrough(learningTaste(...asked));
function* learningTaste(history, school, own = []) {
  const sites = /* @__PURE__ */ new Map();
  for (const past of history) {
    const site = past.site ?? recipeSiteOf(past);
    if (site) sites.set(past, { ...site, row: rowOfPast(past), weight: past.weight ?? 1 });
  }
  const rules = byJointOutput((output) => priorFor(output, school, own));
  const tasted = history.flatMap(({ site, weight = 1 }) => site && weight > 0 ? [site] : []);
  return {
    model: yield* learningJoint({ sites: [...sites.values()], rules }),
    sites,
    cups: tasted.reduce((sum2, site) => sum2 + site.cups, 0),
    coffees: tasted.length
  };
}
function codedRecipe(past) {
  const values = JOINT_OUTPUTS.map((output) => {
    const value = outputOf(past, output);
    return value === null ? null : value / STEP2[output];
  });
  return values.every((value) => value !== null) ? values : null;
}
function recipeSiteOf(past) {
  const coded = codedRecipe(past);
  return coded === null ? null : siteOfRecipe(coded);
}
var LEAST_RECIPES = 3;
var LEAST_PRECISION = 0.5;
function withRecipe({ P, h }, recipe) {
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition2(P, {
    assumeSymmetric: true
  });
  const isKnown = realEigenvalues.map((value) => value >= LEAST_PRECISION);
  if (!isKnown.includes(true)) return null;
  const onto = (some) => eigenvectorMatrix.mmul(Matrix14.diag(some.map(Number))).mmul(eigenvectorMatrix.transpose());
  const known3 = onto(isKnown);
  const cups = { P: known3.mmul(P).mmul(known3), h: known3.mmul(Matrix14.columnVector([...h])) };
  if (recipe === null) return { P: evened(cups.P), h: cups.h.to1DArray() };
  const open = onto(isKnown.map((one) => !one));
  const spoken = open.mmul(siteOfRecipe(recipe).P).mmul(open);
  return {
    P: evened(Matrix14.add(cups.P, spoken)),
    h: Matrix14.add(cups.h, spoken.mmul(Matrix14.columnVector([...recipe]))).to1DArray()
  };
}
function siteOfCups(past, cups, expected2, release) {
  const centre = placeAt({ ratio: 1, temperatureC: 0, timeS: 1 }, expected2.mean);
  const coded = cups.map((cup) => ({ ...cup, x: codedFrom(centre, cup) }));
  if (countRecipes(coded.map(({ x }) => x)) < LEAST_RECIPES) return null;
  const { covariance, mean: mean2, signs } = expected2;
  const surface = fitSurface({ cups: coded, prior: covariance, release, signOffset: signs });
  const site = withRecipe(siteOf(surface, covariance, mean2), codedRecipe(past));
  const message = signMessageOf(surface, signs);
  return site && { ...site, cups: cups.length, ...message && { signs: message } };
}
function expectedWithout({ model, sites }, past) {
  return predictJoint(model, rowOfPast(past), sites.get(past));
}
function expectedSigns(history, without2) {
  return houseSigns(
    history.flatMap((past) => {
      const { site, weight = 1 } = past;
      return site?.signs && weight > 0 && past !== without2 ? [site.signs] : [];
    })
  );
}
function withCupSites(history, school, own = []) {
  if (!history.some(({ cups = [] }) => cups.length > 0)) return [...history];
  const recipes = learnTaste(history, school, own);
  const tasted = [];
  for (const [i, past] of history.entries()) {
    const { cups = [] } = past;
    const expected2 = { ...expectedWithout(recipes, past), signs: expectedSigns(tasted) };
    const site = cups.length === 0 ? null : siteOfCups(past, cups, expected2, i);
    tasted.push(site ? { ...past, site } : past);
  }
  return tasted;
}
function learnWithCups(history, school, own = []) {
  const tasted = withCupSites(history, school, own);
  const model = learn(tasted, school, own);
  const hasCups = tasted.some(({ site, weight = 1 }) => site && weight > 0);
  return hasCups ? { ...model, taste: learnTaste(tasted, school, own) } : model;
}

// src/core/start/tasted.ts
function tastedParts(model, row, own, asked) {
  const { taste: taste2 } = model;
  if (!taste2) return {};
  const { mean: mean2, covariance } = predictJoint(taste2.model, row);
  const before = own && predictJoint(taste2.model, rowOfPast(own)).mean;
  const shared = own === null ? 0 : ownRecipeShare(own, asked);
  return Object.fromEntries(
    JOINT_OUTPUTS.map((output, j) => {
      const step = STEP2[output];
      const value = own && outputOf(own, output);
      const follows = before !== null && value !== null;
      const noise = taste2.model.spread[j];
      return [
        output,
        {
          cups: step * mean2[j] - dot(row, averageMean(model.fits[output])),
          own: follows ? shared * (value - step * before[j]) : 0,
          variance: step ** 2 * (covariance.get(j, j) - (follows ? shared ** 2 * noise : 0))
        }
      ];
    })
  );
}

// src/core/start/pushed.ts
var PUSHED = ["ratio", "temperatureC", "timeS", "grindSteps", "doseG"];
var WINDOW_SHARE = 0.07;
var WINDOW_MIN_S = 2;
function timeWindowOf(timeS2, dripS = 0) {
  const half = Math.max(WINDOW_MIN_S, Math.round(timeS2 * WINDOW_SHARE));
  const centre = Math.max(half + 1, Math.round(timeS2 - dripS));
  return [centre - half, centre + half];
}
function roundTo(value, step) {
  return Number((Math.round(value / step) * step).toFixed(6));
}

// src/core/start/pushes.ts
function pushesOf(input) {
  const {
    row,
    ruleMean,
    learnedMean,
    logarithmic,
    scale: scale2 = 1,
    own = 0,
    cups = 0,
    moved = [],
    proposed
  } = input;
  const base = FACTORS.indexOf("base");
  const show = (value) => logarithmic ? scale2 * Math.exp(value) : scale2 * value;
  const lnTotal = row.reduce((sum3, x, j) => sum3 + x * learnedMean[j], own + cups);
  const shownBase = show(learnedMean[base]);
  const shownTotal = show(lnTotal);
  const stretch = logarithmic ? stretchOf(shownBase, shownTotal, lnTotal - learnedMean[base]) : scale2;
  const bars = FACTORS.flatMap((factor, j) => {
    if (factor === "base") {
      const rule2 = show(ruleMean[j]);
      return [{ factor, label: factorLabel(factor), rule: rule2, learned: shownBase - rule2 }];
    }
    const rule = row[j] * ruleMean[j] * stretch;
    const learned = row[j] * (learnedMean[j] - ruleMean[j]) * stretch;
    return rule === 0 && learned === 0 ? [] : [{ factor, label: factorLabel(factor), rule, learned }];
  });
  if (cups !== 0)
    bars.push({
      factor: "cups",
      label: "Cups, and the three together",
      rule: 0,
      learned: cups * stretch
    });
  if (own !== 0)
    bars.push({
      factor: "own",
      label: "This coffee\u2019s own last recipe",
      rule: 0,
      learned: own * stretch
    });
  bars.push(...moved);
  const sum2 = bars.reduce((total, bar) => total + bar.rule + bar.learned, 0);
  const last = input.limited ? { factor: "limit", label: "Held by a limit", rule: proposed - sum2, learned: 0 } : { factor: "rounding", label: "Rounding", rule: proposed - sum2, learned: 0 };
  return [...bars, last];
}
function stretchOf(shownBase, shownTotal, lnDifference) {
  return Math.abs(lnDifference) < 1e-12 ? shownBase : (shownTotal - shownBase) / lnDifference;
}

// src/core/start/propose.ts
var DOSE_UNDER_RATED_G = 2;
var DOSE_OVER_RATED_G = 0.5;
var FIRST_DRIP_SD_S = 1.5;
function propose({
  temperatureSchool,
  history,
  rules,
  ...question
}) {
  const model = learnWithCups(history, temperatureSchool, rules);
  return withEvidence(proposeFrom(model, question), model, question);
}
function withEvidence(proposal, model, { release, style }) {
  const [, row] = questionRow(release, style);
  return { ...proposal, evidence: evidenceOf2(model.history, row, model.fits.lnRatio) };
}
function proposeFrom(model, question) {
  const { release, style, setup, units = METRIC } = question;
  const { fits } = model;
  const features = featuresOf(release);
  const row = designRow(features, style);
  const unlisted = (features.processShare.other ?? 0) + features.missingShare.process;
  const roastStep = roastStepOf(features, style);
  const ownRecipe = ownRecipeOf(model, release.id);
  const own = ownParts(model, ownRecipe, question);
  const tasted = tastedParts(model, row, ownRecipe, question);
  const predictions = mapOutputs((output) => {
    const { posteriors: posteriors2 } = fits[output];
    const unsaid = (fit) => unlistedVariance(fit, output, unlisted) + dot(roastStep, fit.mean) ** 2;
    const part = tasted[output];
    if (!part) return predict(posteriors2, row, unsaid, own[output]);
    const extra = posteriors2.reduce((sum2, fit) => sum2 + fit.share * unsaid(fit), 0);
    return {
      mean: dot(row, averageMean(fits[output])) + part.cups + part.own,
      halfWidth80: Z_80 * Math.sqrt(part.variance + extra)
    };
  });
  const mean2 = mapOutputs((output) => predictions[output].mean);
  const halfWidth80 = mapOutputs((output) => predictions[output].halfWidth80);
  const ratedG = setup?.basket?.ratedG ?? REFERENCE_BASKET.ratedG;
  const stretch = referenceStretch(setup?.basket);
  const dripS = question.clock === "firstDrip" ? USUAL_FIRST_DRIP_S : 0;
  const { values, limited, warnings } = bounded(mean2, ratedG, setup, units);
  const recipe = recipeFrom(values, question);
  const shown = {
    ratio: recipe.ratio,
    temperatureC: recipe.temperatureC,
    timeS: Math.round(values.timeS - dripS),
    grindSteps: roundTo(mean2.grindSteps, 0.5),
    doseG: recipe.doseG
  };
  const pushes = mapPushed((variable) => {
    const output = OUTPUT_OF[variable];
    return pushesOf({
      row,
      ruleMean: fits[output].rule.map(({ mean: own2 }) => own2),
      learnedMean: averageMean(fits[output]),
      logarithmic: output.startsWith("ln"),
      scale: variable === "doseG" ? ratedG : 1,
      own: tasted[output]?.own ?? own[output].mean,
      cups: tasted[output]?.cups ?? 0,
      ...variable === "timeS" && { moved: movedTime(mean2.lnTimeS, stretch, dripS) },
      proposed: shown[variable],
      limited: limited.has(variable)
    });
  });
  const interval80 = mapPushed((variable) => {
    const output = OUTPUT_OF[variable];
    const show = (value) => output.startsWith("ln") ? Math.exp(value) * (variable === "doseG" ? ratedG : 1) : value;
    const ends = [mean2[output] - halfWidth80[output], mean2[output] + halfWidth80[output]];
    const [low, high] = [show(ends[0]), show(ends[1])];
    return variable === "timeS" ? shownBand([stretch * low, stretch * high], stretch * show(mean2.lnTimeS), dripS) : [low, high];
  });
  const startDial = setup?.grinder === void 0 ? null : startDialOf(setup.grinder, mean2.grindSteps, halfWidth80.grindSteps);
  return {
    recipe,
    grindSteps: shown.grindSteps,
    startDial,
    interval80,
    mean: mean2,
    halfWidth80,
    pushes,
    warnings: [
      ...styleWarnings(style, setup?.machine),
      ...setupWarnings(setup, { temperatureC: recipe.temperatureC, units }),
      ...dialWarnings(startDial, setup?.grinder),
      ...warnings
    ],
    rulesOnly: countOf(model) < TRUST_FROM_N,
    releases: countOf(model),
    cups: model.taste?.cups ?? 0,
    ownRecipe: ownRecipe?.recipe ?? null
  };
}
var OUTPUT_OF = {
  ratio: "lnRatio",
  temperatureC: "temperatureC",
  timeS: "lnTimeS",
  grindSteps: "grindSteps",
  doseG: "lnDose"
};
function unlistedVariance(fit, output, share) {
  if (share === 0) return 0;
  const at3 = FACTORS.indexOf("intensity");
  const slope = fit.mean[at3];
  const own = 0.25 * slope ** 2 + 0.25 * fit.s2 * fit.inverse.get(at3, at3) + processSd(output) ** 2;
  return share ** 2 * own;
}
function roastStepOf(features, style) {
  const { roastLevel, roastSd } = features;
  const at3 = (level2) => designRow({ ...features, roastLevel: level2 }, style);
  const [low, high] = [at3((roastLevel ?? 0) - roastSd), at3((roastLevel ?? 0) + roastSd)];
  return low.map((value, j) => (high[j] - value) / 2);
}
function movedTime(lnTimeS, stretch, dripS) {
  const bars = [
    {
      factor: "basket",
      label: "This basket",
      rule: Math.exp(lnTimeS) * (stretch - 1),
      learned: 0
    },
    { factor: "clock", label: "Counted from the first drip", rule: -dripS, learned: 0 }
  ];
  return bars.filter(({ rule }) => Math.abs(rule) > 1e-9);
}
function shownBand([low, high], centre, dripS) {
  if (dripS === 0) return [low, high];
  const dripHalf = Z_80 * FIRST_DRIP_SD_S;
  return [
    Math.max(1, centre - Math.hypot(centre - low, dripHalf) - dripS),
    centre + Math.hypot(high - centre, dripHalf) - dripS
  ];
}
function bounded(mean2, ratedG, setup, units) {
  const limited = /* @__PURE__ */ new Set();
  const warnings = [];
  const hold = (variable, value, low, high) => {
    const held = Math.min(high, Math.max(low, value));
    if (held !== value) limited.add(variable);
    return held;
  };
  const machine = setup?.machine;
  let temperatureC2 = hold("temperatureC", mean2.temperatureC, ...TEMPERATURE_LIMIT_C);
  if (machine?.settableTemperature === false) {
    const fixedC = machine.fixedTemperatureC;
    if (fixedC !== void 0 && Math.abs(fixedC - temperatureC2) >= 0.5) {
      limited.add("temperatureC");
      warnings.push({
        code: "fixedTemperature",
        text: `This machine stands at ${temperatureWords(fixedC, units)}; the coffee asks for ${temperatureWords(temperatureC2, units)}. Answer the difference with the ratio, about .08 for each \xB0C too cool.`
      });
    }
    temperatureC2 = fixedC ?? temperatureC2;
  }
  const values = {
    ratio: hold("ratio", Math.exp(mean2.lnRatio), ...RATIO_LIMIT),
    temperatureC: temperatureC2,
    timeS: referenceStretch(setup?.basket) * Math.exp(mean2.lnTimeS),
    doseG: hold(
      "doseG",
      ratedG * Math.exp(mean2.lnDose),
      ratedG - DOSE_UNDER_RATED_G,
      ratedG + DOSE_OVER_RATED_G
    )
  };
  return { values, limited, warnings };
}
function recipeFrom(values, { style, release, restSchool = "byRoast", span: ownSpan, clock: clock3 = "pump" }) {
  const doseG2 = roundTo(values.doseG, 0.1);
  const yieldG2 = roundTo(doseG2 * values.ratio, 0.5);
  const dripS = clock3 === "firstDrip" ? USUAL_FIRST_DRIP_S : 0;
  const span = spanOf({
    roastLevel: featuresOf(release).roastLevel ?? 0,
    school: restSchool,
    span: ownSpan
  });
  return {
    doseG: doseG2,
    yieldG: yieldG2,
    ratio: yieldG2 / doseG2,
    temperatureC: roundTo(values.temperatureC, 0.5),
    timeS: timeWindowOf(values.timeS, dripS),
    clock: clock3,
    programme: STYLE_PROGRAMMES[style],
    restDays: [Math.round(span.bestFrom), Math.round(span.bestTo)]
  };
}
function mapPushed(make) {
  return Object.fromEntries(PUSHED.map((name3) => [name3, make(name3)]));
}

// src/core/start/recency.ts
var DEFAULT_HALF_LIFE = 50;
function recencyWeight(ago, halfLife) {
  return halfLife === null ? 1 : 0.5 ** (ago / halfLife);
}

// bench/start/rivals.ts
import { Matrix as Matrix15, solve as solve2 } from "ml-matrix";
var JUDGED = ["lnRatio", "temperatureC"];
var valueOf = (past, output) => outputOf(past, output);
var rowOf = ({ release, style }) => designRow(featuresOf(release), style);
var rulesOnly = (_history, asked, output) => dot(
  rowOf(asked),
  priorFor(output, "both").map(({ mean: mean2 }) => mean2)
);
var lastCoffee = (history, asked, output) => {
  const last = history.findLast(({ style }) => style === asked.style) ?? history.at(-1);
  return last ? valueOf(last, output) : priorFor(output, "both")[0].mean;
};
var RIDGE = 1;
var plainRidge = (history, asked, output) => {
  if (history.length === 0) return priorFor(output, "both")[0].mean;
  const X = new Matrix15(history.map(rowOf));
  const values = history.map((past) => valueOf(past, output));
  const average = values.reduce((sum2, value) => sum2 + value, 0) / values.length;
  const penalty = Matrix15.diag(X.getRow(0).map((_, j) => j === 0 ? 1e-6 : RIDGE));
  const right = X.transpose().mmul(Matrix15.columnVector(values.map((value) => value - average)));
  const fitted2 = solve2(X.transpose().mmul(X).add(penalty), right).to1DArray();
  return average + dot(rowOf(asked), fitted2);
};
var RIVALS = {
  "rules only": rulesOnly,
  "last coffee": lastCoffee,
  "plain ridge": plainRidge
};

// bench/start/simulatedHouse.ts
var KINDS2 = ["rules", "wide", "opposite"];
function simulateHouse(kind, seed) {
  const chance = chanceFrom(seed);
  const spread = kind === "wide" ? 1.6 : 1;
  const coefficients = Object.fromEntries(
    OUTPUTS.map((output) => [
      output,
      priorFor(output, "both").map(({ factor, mean: mean2, sd }) => {
        const isTurned = kind === "opposite" && !isStyle(factor) && factor !== "base";
        return (isTurned ? -mean2 : mean2) + spread * sd * chance.normal();
      })
    ])
  );
  const truth = (release, style) => {
    const row = designRow(featuresOf(release), style);
    return Object.fromEntries(
      OUTPUTS.map((output) => [output, dot(row, coefficients[output])])
    );
  };
  return {
    truth,
    next: () => {
      const { release, style } = anyCoffee(chance);
      const best = truth(release, style);
      const noisy = (output) => best[output] + NOISE_SD3[output] * chance.normal();
      const timeS2 = Math.exp(noisy("lnTimeS"));
      return {
        release,
        style,
        recipe: {
          doseG: 18 * Math.exp(noisy("lnDose")),
          ratio: Math.exp(noisy("lnRatio")),
          temperatureC: noisy("temperatureC"),
          timeS: [timeS2, timeS2],
          clock: "pump"
        },
        ratedG: 18,
        grindSteps: noisy("grindSteps")
      };
    }
  };
}
var isStyle = (factor) => STYLES.some((style) => factor.startsWith(style));
var PROCESS_SHARES = [
  ["washed", 0.45],
  ["natural", 0.22],
  ["honey", 0.12],
  ["anaerobicNatural", 0.06],
  ["anaerobicWashed", 0.04],
  ["carbonicMaceration", 0.03],
  ["decaf", 0.05],
  ["wetHulled", 0.03]
];
var VARIETY_SHARES = [
  ["ordinary", 0.7],
  ["landrace", 0.15],
  ["bigBean", 0.1],
  ["robusta", 0.05]
];
var STYLE_SHARES = [
  ["classic", 0.7],
  ["longQuick", 0.08],
  ["fastCoarse", 0.06],
  ["soakFirst", 0.06],
  ["shortDense", 0.05],
  ["declining", 0.05]
];
function drawn(shares, chance) {
  let left = chance.uniform();
  for (const [value, share] of shares) {
    left -= share;
    if (left < 0) return value;
  }
  return shares[0][0];
}
function anyCoffee(chance) {
  const roastLevel = chance.oneOf([-2, -1, -1, -1, -0.5, -0.5, 0, 0, 0, 0.5, 0.5, 1, 1, 2]);
  const isMeasured = chance.isWithin(0.5);
  return {
    release: {
      roastLevel,
      process: drawn(PROCESS_SHARES, chance),
      varietyClass: drawn(VARIETY_SHARES, chance),
      ...isMeasured ? { densityGPerL: 700 + 30 * chance.normal() } : { altitudeM: 1600 + 300 * chance.normal() },
      restDays: Math.round(14 + 6 * chance.normal())
    },
    style: drawn(STYLE_SHARES, chance)
  };
}

// bench/start/start.ts
var HOUSES_PER_KIND = 34;
var SIZES = [0, 5, 20, 100];
var ASKED = 20;
var UNITS = { lnRatio: "ln", temperatureC: "\xB0C" };
var Tally = class {
  squares = {};
  counts = {};
  add(key, value) {
    this.squares[key] = (this.squares[key] ?? 0) + value;
    this.counts[key] = (this.counts[key] ?? 0) + 1;
  }
  mean(key) {
    return this.squares[key] / this.counts[key];
  }
};
async function benchStart() {
  const measures = [];
  const overall = new Tally();
  for (const kind of KINDS2) {
    const own = new Tally();
    for (let house = 0; house < HOUSES_PER_KIND; house++) judgeHouse(kind, house, [own, overall]);
    measures.push(...tableOf2(`${kind} houses`, own));
  }
  measures.push(...tableOf2("all houses", overall), ...timings());
  return Promise.resolve(measures);
}
function judgeHouse(kind, house, tallies) {
  const { next } = simulateHouse(kind, 1e3 * KINDS2.indexOf(kind) + house + 1);
  const coffees = Array.from({ length: Math.max(...SIZES) }, next);
  const asked = Array.from({ length: ASKED }, next);
  for (const n of SIZES) {
    const history = coffees.slice(0, n);
    const fading = history.map((past, i) => ({
      ...past,
      weight: recencyWeight(n - 1 - i, DEFAULT_HALF_LIFE)
    }));
    const models = { model: learn(history, "both"), "model, half-life 50": learn(fading, "both") };
    for (const coffee of asked) {
      for (const output of JUDGED) {
        const truth = valueOf2(coffee, output);
        const error = (name3, value) => tallies.forEach((tally2) => tally2.add(`${name3} ${output} ${n}`, (value - truth) ** 2));
        for (const [name3, rival] of Object.entries(RIVALS))
          error(name3, rival(history, coffee, output));
        for (const [name3, model] of Object.entries(models)) {
          const { mean: mean2, halfWidth80 } = proposeFrom(model, coffee);
          error(name3, mean2[output]);
          const isInside = Math.abs(truth - mean2[output]) <= halfWidth80[output];
          tallies.forEach((tally2) => tally2.add(`${name3} inside ${output} ${n}`, Number(isInside)));
        }
      }
    }
  }
}
function valueOf2({ recipe }, output) {
  return output === "lnRatio" ? Math.log(recipe.ratio) : recipe.temperatureC;
}
function tableOf2(houses, tally2) {
  const line3 = (name3, metric, value, unit) => ({
    part: "start",
    case: `${houses}, ${name3}`,
    metric,
    value,
    unit
  });
  return SIZES.flatMap(
    (n) => JUDGED.flatMap((output) => [
      ...[...Object.keys(RIVALS), "model", "model, half-life 50"].map(
        (name3) => line3(
          name3,
          `rms error of ${output}, n ${n}`,
          Math.sqrt(tally2.mean(`${name3} ${output} ${n}`)),
          UNITS[output]
        )
      ),
      ...["model", "model, half-life 50"].map(
        (name3) => line3(
          name3,
          `share inside 80 % of ${output}, n ${n}`,
          tally2.mean(`${name3} inside ${output} ${n}`),
          ""
        )
      )
    ])
  );
}
var RUNS = 7;
function medianMs(run) {
  run();
  const times2 = Array.from({ length: RUNS }, () => {
    const begin = performance.now();
    run();
    return performance.now() - begin;
  });
  return times2.sort((a, b) => a - b)[Math.floor(RUNS / 2)];
}
function timings() {
  const { next } = simulateHouse("rules", 7);
  return [20, 1e3].flatMap((n) => {
    const history = Array.from({ length: n }, next);
    const model = learn(history, "both");
    const question = next();
    const line3 = (metric, value) => ({
      part: "start",
      case: `${n} releases \xD7 5 outputs`,
      metric,
      value,
      unit: "ms"
    });
    return [
      line3(
        "learn, with trust averaging",
        medianMs(() => learn(history, "both"))
      ),
      line3(
        "propose from a learnt model, with evidence",
        medianMs(() => proposeFrom(model, question))
      )
    ];
  });
}

// bench/field/network.ts
var FAULTS = ["grinder", "machine", "scale", "oldYield", "dose", "silence"];
var COFFEES = 4;
var REGION_SIZE = 10;
var FIRST_FAULT_DAY = 30;
var FAULT_DAYS = 30;
var BAD_BATCH_RATE = 0.12;
var TARGET3 = { doseG: 18, yieldG: 36, timeS: 28 };
var OLD_YIELD_OFF_G = -4;
var HALF_WINDOW = 0.071;
var Network = class {
  constructor(plan) {
    this.plan = plan;
    const chance = chanceFrom(plan.seed);
    this.ageing = Array.from({ length: COFFEES }, () => -8e-3 + 2e-3 * chance.normal());
    this.batches = drawBatches2(plan.days, chance);
    this.weather = Array.from(
      { length: Math.ceil(plan.cafes / REGION_SIZE) },
      () => drawWeather(plan.days, chance)
    );
    this.cafes = Array.from({ length: plan.cafes }, (_, i) => drawCafe(i, plan));
    this.faults = this.cafes.flatMap(({ faults }) => faults);
  }
  plan;
  batches;
  faults;
  cafes;
  weather;
  ageing;
  regionOf(cafe) {
    return `region ${Math.floor(cafe / REGION_SIZE)}`;
  }
  /** All visits in order of time; cafés move their dials as they go. */
  *visits() {
    for (let day3 = 0; day3 < this.plan.days; day3++)
      for (let slot = 0; slot < this.plan.checksADay; slot++)
        for (let cafe = 0; cafe < this.plan.cafes; cafe++) {
          const atDay = day3 + (slot + 1) / 8 + cafe * 1e-5;
          yield { cafe, atDay, checks: this.checksOf(cafe, atDay) };
        }
  }
  batchOn(coffee, atDay) {
    return this.batches.findLast((batch) => batch.coffee === coffee && batch.fromDay <= atDay);
  }
  /** ln of the true mean time ÷ the recipe's at the café's usual weights, `steps` of the dial further. */
  offLn(cafe, coffee, atDay, steps2 = 0) {
    const { doseOffG, yieldOffG } = this.weightsOf(cafe, coffee, atDay);
    return this.levelLn(cafe, coffee, atDay) + this.cafes[cafe].slope * steps2 + 1.2 * Math.log(1 + doseOffG / TARGET3.doseG) + Math.log(1 + yieldOffG / TARGET3.yieldG);
  }
  movedSince(cafe, coffee) {
    return this.cafes[cafe].moved[coffee];
  }
  slopeOf(cafe) {
    return this.cafes[cafe].slope;
  }
  weightsOf(cafe, coffee, atDay) {
    const { doseOffG, yieldOffG, faults } = this.cafes[cafe];
    const active = faults.filter((f) => f.fromDay <= atDay && atDay < f.toDay);
    const habit = active.find(({ kind }) => kind === "dose");
    const old = active.find((f) => f.kind === "oldYield" && f.coffee === coffee);
    return {
      doseOffG: doseOffG + (habit === void 0 ? 0 : 0.6 * habit.sign),
      yieldOffG: yieldOffG + (old === void 0 ? 0 : OLD_YIELD_OFF_G)
    };
  }
  /** Without weights: dial, level, batch, age, weather and what is wrong with the café. */
  levelLn(cafe, coffee, atDay) {
    const { slope, levels, dials, faults } = this.cafes[cafe];
    const batch = this.batchOn(coffee, atDay);
    const day3 = Math.floor(atDay);
    const wrong = faults.filter((f) => f.fromDay <= atDay && atDay < f.toDay).reduce((sum2, { kind, sign }) => sum2 + faultLn(kind) * sign, 0);
    return levels[coffee] + slope * dials[coffee] + batch.beta + this.ageing[coffee] * (ageOf2(batch, atDay) - 10) + this.weather[Math.floor(cafe / REGION_SIZE)][day3] + wrong;
  }
  checksOf(cafe, atDay) {
    const state = this.cafes[cafe];
    const { chance } = state;
    const isSilent = state.faults.some(
      (f) => f.kind === "silence" && f.fromDay <= atDay && atDay < f.toDay
    );
    if (isSilent || chance.isWithin(state.missed)) return null;
    const visitLn = 0.02 * chance.normal();
    return Array.from({ length: COFFEES }, (_, coffee) => {
      const { doseOffG, yieldOffG } = this.weightsOf(cafe, coffee, atDay);
      const doseG2 = TARGET3.doseG + doseOffG + 0.3 * chance.normal();
      const yieldG2 = TARGET3.yieldG + yieldOffG + 1.5 * chance.normal();
      const oddSd = chance.isWithin(0.04) ? 0.25 : 0;
      const noise = Math.hypot(this.plan.noiseSd, oddSd) * chance.normal();
      const lnTime = Math.log(TARGET3.timeS) + this.levelLn(cafe, coffee, atDay) + 1.2 * Math.log(doseG2 / TARGET3.doseG) + Math.log(yieldG2 / TARGET3.yieldG) + visitLn + noise;
      const batch = this.batchOn(coffee, atDay);
      const dial2 = state.dials[coffee];
      this.moveByHand(state, coffee, lnTime - Math.log(TARGET3.timeS));
      return {
        id: `${cafe} ${atDay} ${coffee}`,
        visit: `${cafe} ${atDay}`,
        atDay,
        coffee: `coffee ${coffee}`,
        batch: batch.name,
        doseG: doseG2,
        yieldG: yieldG2,
        timeS: Math.exp(lnTime),
        dial: chance.isWithin(this.plan.dialMissing) ? null : dial2,
        shots: 1,
        ageDays: ageOf2(batch, atDay),
        target: TARGET3
      };
    });
  }
  /** The habit of a bar: outside 2.5 s the dial is moved by the last shot, mostly. */
  moveByHand({ chance, dials, moved }, coffee, offLn) {
    moved[coffee] = 0;
    if (Math.abs(offLn) <= 1.25 * HALF_WINDOW || !chance.isWithin(0.5)) return;
    moved[coffee] = Math.max(-2, Math.min(2, Math.round(offLn / 0.1)));
    dials[coffee] += moved[coffee];
  }
};
function faultLn(kind) {
  if (kind === "grinder") return 0.1;
  if (kind === "machine") return 0.07;
  return kind === "scale" ? 1.2 * Math.log(1 + 0.7 / TARGET3.doseG) : 0;
}
function ageOf2({ fromDay }, atDay) {
  return 8 + Math.floor(atDay) - fromDay;
}
function drawBatches2(days, chance) {
  return Array.from({ length: COFFEES }, (_, coffee) => {
    const batches = [];
    for (let day3 = -Math.floor(10 * chance.uniform()); day3 < days; ) {
      const isBad = day3 > FIRST_FAULT_DAY && chance.isWithin(BAD_BATCH_RATE);
      const last = batches.at(-1);
      const usual = 0.02 * chance.normal();
      const sign = chance.isWithin(0.5) ? 1 : -1;
      batches.push({
        coffee,
        name: `batch ${batches.length}`,
        before: last?.name ?? null,
        fromDay: day3,
        // A bad batch is .08 from the one before it, and a batch after a bad one is as usual again.
        beta: isBad && last?.isBad === false ? last.beta + 0.08 * sign : usual,
        isBad: isBad && last?.isBad === false
      });
      day3 += 10 + Math.floor(5 * chance.uniform());
    }
    return batches;
  }).flat();
}
function drawWeather(days, chance) {
  let now2 = 0.02 * chance.normal();
  return Array.from({ length: days }, () => {
    now2 = 0.8 * now2 + 0.02 * 0.6 * chance.normal();
    return now2;
  });
}
function drawCafe(cafe, plan) {
  const chance = chanceFrom(plan.seed * 1e3 + cafe + 1);
  const slope = -Math.max(0.04, 0.1 + 0.03 * chance.normal());
  const levels = Array.from({ length: COFFEES }, () => 0.2 * chance.normal());
  const faults = [];
  const { daysBetweenFaults } = plan;
  let day3 = FIRST_FAULT_DAY + chance.uniform() * daysBetweenFaults;
  while (daysBetweenFaults > 0 && day3 < plan.days - 14) {
    faults.push({
      kind: chance.oneOf(FAULTS),
      cafe,
      fromDay: day3,
      toDay: day3 + FAULT_DAYS,
      sign: chance.isWithin(0.5) ? 1 : -1,
      coffee: Math.floor(COFFEES * chance.uniform())
    });
    day3 += FAULT_DAYS + daysBetweenFaults * (0.5 + chance.uniform());
  }
  return {
    slope,
    levels,
    doseOffG: 0.2 * chance.normal(),
    yieldOffG: chance.normal(),
    missed: 0.02 + 0.16 * chance.uniform(),
    faults,
    dials: levels.map((level2) => Math.round(-level2 / slope)),
    moved: levels.map(() => 0),
    chance
  };
}

// src/core/field/fieldRules.ts
var FIELD = {
  /** Days of checks one fit looks at. */
  windowDays: 28,
  /** Exponents of dose and yield in the time of a shot; the simulator's own are within .4 and .2 of these. */
  doseExponent: 1.2,
  yieldExponent: 1,
  /** What a day of age does to ln time where no curve of the coffee is known, and the age the card means. */
  agePerDay: -8e-3,
  cardAgeDays: 10,
  /** A café's own level for a coffee. */
  levelSd: 0.3,
  /** One step of a café's grinder. */
  slope: { mean: -0.1, sd: 0.04, leastSd: 8e-3, widening: 1.5 },
  /** A step that an alarm entered. */
  stepSd: 0.09,
  mostSteps: 3,
  batchSd: 0.05,
  /** How far a coffee's ageing differs from the house's, a day. */
  ageSd: 2e-3,
  /** Weather of one region: first-order autoregression from day to day. */
  weather: { carry: 0.8, sd: 0.02 },
  /** What the checks of one visit share; worth this many visits before any is seen. */
  visit: { sd: 0.02, worth: 200 },
  /** Scatter of one shot at a café; worth this many checks before any is seen. */
  noise: { sd: 0.06, worth: 60 },
  /** Odd shots: how many, and how much wider they scatter. */
  odd: { rate: 0.04, sd: 0.25 },
  /** Passes of the robust weights for each fit, started from the last one. */
  passes: 2
};
var INTERVAL_SDS = 1.44;

// src/core/field/check.ts
function ageOffset({ ageDays }) {
  return ageDays === null ? 0 : ageDays - FIELD.cardAgeDays;
}
function lnTimeAt(target, at3) {
  return Math.log(target.timeS) + FIELD.doseExponent * Math.log(at3.doseG / target.doseG) + FIELD.yieldExponent * Math.log(at3.yieldG / target.yieldG);
}
function responseOf(check, reference) {
  return Math.log(check.timeS) - lnTimeAt(reference, check) - FIELD.agePerDay * ageOffset(check);
}
function batchKey({ coffee, batch }) {
  return `${coffee}
${batch ?? ""}`;
}

// bench/field/rivals.ts
var LEARNING_VISITS = 40;
var QUIET_VISITS = 9;
function chart(judge3) {
  const lines = /* @__PURE__ */ new Map();
  return {
    take: ({ cafe, atDay, checks }) => {
      if (checks === null) return [];
      const line3 = lines.get(cafe) ?? { learnt: [], quiet: 0, ewma: 0 };
      lines.set(cafe, line3);
      const value = meanOf2(checks);
      if (line3.quiet > 0) line3.quiet -= 1;
      if (line3.learnt.length < LEARNING_VISITS) {
        line3.learnt.push(value);
        return [];
      }
      const { mean: mean2, sd } = momentsOf(line3.learnt);
      if (!judge3(line3, value, mean2, sd) || line3.quiet > 0) return [];
      line3.learnt.splice(0, line3.learnt.length - QUIET_VISITS);
      line3.quiet = QUIET_VISITS;
      line3.ewma = 0;
      const said = { cafe, kind: "step", coffee: null, atDay };
      return [said];
    }
  };
}
var meanOf2 = (checks) => checks.reduce((sum2, check) => sum2 + responseOf(check, TARGET3), 0) / checks.length;
function momentsOf(values) {
  const mean2 = values.reduce((a, b) => a + b, 0) / values.length;
  const squares = values.reduce((sum2, value) => sum2 + (value - mean2) ** 2, 0);
  return { mean: mean2, sd: Math.sqrt(squares / (values.length - 1)) };
}
var threeSigma = () => chart((_, value, mean2, sd) => Math.abs(value - mean2) > 3 * sd);
var WEIGHT = 0.2;
var ewma = () => chart((line3, value, mean2, sd) => {
  line3.ewma = (1 - WEIGHT) * line3.ewma + WEIGHT * (value - mean2);
  return Math.abs(line3.ewma) > 3 * sd * Math.sqrt(WEIGHT / (2 - WEIGHT));
});

// src/core/field/habits.ts
var HABIT = {
  /** Scatter of a weighing, spread of cafés' own habits, size of a step, chance of one at any visit. */
  dose: { sd: 0.32, ownSd: 0.3, stepSd: 0.5, chance: 2e-3 },
  yield: { sd: 1.6, ownSd: 1.2, stepSd: 3, chance: 7e-4 },
  /** Odds from which it is said: 85 in 100. */
  opensAt: 5.67
};
function usualOff(offG, rule) {
  const sum2 = offG.reduce((total, off) => total + off, 0);
  return sum2 / rule.sd ** 2 / (offG.length / rule.sd ** 2 + 1 / rule.ownSd ** 2);
}
function habitSignal(offG, kind, formerOffG) {
  const rule = HABIT[kind];
  const precision = 1 / rule.sd ** 2;
  const mean2 = usualOff(offG, rule);
  const whole2 = offG.length * precision + 1 / rule.ownSd ** 2;
  let S = 0;
  let I0 = 0;
  let odds = 0;
  let best = null;
  for (let from2 = offG.length - 1; from2 >= 0; from2--) {
    S += (offG[from2] - mean2) * precision;
    I0 += precision;
    const I = I0 - I0 ** 2 / whole2;
    const posterior2 = I + 1 / rule.stepSd ** 2;
    const free = -0.5 * Math.log(posterior2 * rule.stepSd ** 2) + 0.5 * S * S / posterior2;
    const former = formerOffG === void 0 ? null : S * formerOffG - 0.5 * I * formerOffG ** 2;
    const bayes = former === null ? Math.exp(free) : 0.5 * Math.exp(free) + 0.5 * Math.exp(former);
    odds += rule.chance * bayes;
    if (best === null || Math.log(bayes) > best.lnBayes)
      best = {
        lnBayes: Math.log(bayes),
        from: from2,
        sizeG: S / posterior2,
        sdG: 1 / Math.sqrt(posterior2)
      };
  }
  if (best === null) return null;
  const { from, sizeG, sdG } = best;
  return { probability: odds / (1 + odds), from, sizeG, sdG };
}

// src/core/field/alarms.ts
var ALARM_STATES = ["open", "kept", "withdrawn"];
var ALARM = {
  opensAt: 0.85,
  withdrawnUnder: 0.3,
  openDays: 5,
  apartDays: 2,
  /** A café is learnt for so long before it can be off. */
  firstDays: 14
};
function isInForce({ state }) {
  return state !== "withdrawn";
}
function alarmsInWindow(alarms, nowDay) {
  return alarms.filter((alarm) => isInForce(alarm) && alarm.fromDay >= nowDay - FIELD.windowDays);
}
function judged(alarm, withoutIt, nowDay) {
  const probability = totalOf(withoutIt);
  if (probability < ALARM.withdrawnUnder) return { ...alarm, probability, state: "withdrawn" };
  const state = nowDay - alarm.openedDay >= ALARM.openDays ? "kept" : "open";
  const best = withoutIt[0];
  return best === void 0 ? { ...alarm, probability, state } : { ...asStep(best), openedDay: alarm.openedDay, probability, state };
}
function opening(signals, standing, { nowDay, firstDay }) {
  const best = signals[0];
  if (best === void 0 || nowDay - firstDay < ALARM.firstDays) return null;
  if (standing.some(({ openedDay }) => nowDay - openedDay < ALARM.apartDays)) return null;
  const probability = totalOf(signals);
  if (probability < ALARM.opensAt) return null;
  return { ...asStep(best), openedDay: nowDay, state: "open", probability };
}
function withRoom(standing) {
  return [...standing].sort((a, b) => a.fromDay - b.fromDay).slice(-(FIELD.mostSteps - 1));
}
function totalOf(signals) {
  return signals.reduce((sum2, { probability }) => sum2 + probability, 0);
}
function asStep({ coffee, fromDay, size, sd }) {
  return { coffee, fromDay, size, sd };
}

// src/core/field/dense.ts
import { inverse as inverse7, Matrix as Matrix16 } from "ml-matrix";
function zeros(rows, columns) {
  return { rows, columns, values: new Float64Array(rows * columns) };
}
function inverseOf2({ rows, columns, values }) {
  const solved2 = inverse7(Matrix16.from1DArray(rows, columns, values));
  return { rows, columns, values: Float64Array.from(solved2.to1DArray()) };
}
function at2({ columns, values }, i, j) {
  return values[i * columns + j];
}
function timesVector(M, x) {
  const { rows, columns, values } = M;
  const out = new Float64Array(rows);
  for (let i = 0; i < rows; i++) {
    let sum2 = 0;
    for (let j = 0, k = i * columns; j < columns; j++, k++) sum2 += values[k] * x[j];
    out[i] = sum2;
  }
  return out;
}
function times(A, B) {
  const out = zeros(A.rows, B.columns);
  for (let i = 0; i < A.rows; i++)
    for (let k = 0; k < A.columns; k++) {
      const a = A.values[i * A.columns + k];
      if (a !== 0) addRow2(out, i, B, k, a);
    }
  return out;
}
function transposedTimes(A, B) {
  const out = zeros(A.columns, B.columns);
  for (let k = 0; k < A.rows; k++)
    for (let i = 0; i < A.columns; i++) {
      const a = A.values[k * A.columns + i];
      if (a !== 0) addRow2(out, i, B, k, a);
    }
  return out;
}
function addRow2(into, i, from, k, factor) {
  const { columns } = from;
  for (let j = 0; j < columns; j++)
    into.values[i * columns + j] += factor * from.values[k * columns + j];
}
function quadraticForm({ rows, values }, x) {
  let sum2 = 0;
  for (let i = 0; i < rows; i++) {
    const xi = x[i];
    if (xi === 0) continue;
    const start = i * rows;
    let row = 0.5 * values[start + i] * xi;
    for (let j = 0; j < i; j++) row += values[start + j] * x[j];
    sum2 += xi * row;
  }
  return 2 * sum2;
}

// src/core/field/block.ts
function rowWeight(row, residual, noise, slope) {
  const shotVariance = noise.shotSd ** 2;
  const variance = shotVariance / row.check.shots + slope ** 2 * row.dialVarianceSteps2;
  if (residual === null) return { w: 1 / variance, good: 1, variance, shotVariance };
  const usual = variance + noise.visitSd ** 2;
  const wide = usual + FIELD.odd.sd ** 2;
  const { rate } = FIELD.odd;
  const lnOdds = 0.5 * Math.log(usual / wide) + residual ** 2 / (2 * usual) - residual ** 2 / (2 * wide);
  const good = 1 / (1 + rate / (1 - rate) * Math.exp(Math.min(50, lnOdds)));
  return {
    w: (good + (1 - good) * variance / (variance + FIELD.odd.sd ** 2)) / variance,
    good,
    variance,
    shotVariance
  };
}
function cafeBlock(rows, weights, noise, slope) {
  const { localSize, slopeAt: slopeAt2, sharedKeys } = rows;
  const shared = sharedKeys.length;
  const sums = {
    local: zeros(localSize, localSize),
    cross: zeros(localSize, shared),
    shared: zeros(shared, shared),
    localSide: new Float64Array(localSize),
    sharedSide: new Float64Array(shared)
  };
  const ofVisit = new Float64Array(localSize + shared);
  const visitShare = rows.visits.map((visit, v) => {
    let weight = 0;
    let sumY = 0;
    const touched = [];
    visit.forEach(({ columns, values: values2, y }, i) => {
      const { w } = weights[v][i];
      weight += w;
      sumY += w * y;
      addTo(sums, columns, values2, w, y);
      columns.forEach((at3, k) => {
        if (!touched.includes(at3)) touched.push(at3);
        ofVisit[at3] += w * values2[k];
      });
    });
    const share = noise.visitSd > 0 ? 1 / (1 / noise.visitSd ** 2 + weight) : 0;
    const values = touched.map((at3) => ofVisit[at3]);
    addTo(sums, touched, values, -share, sumY);
    for (const at3 of touched) ofVisit[at3] = 0;
    return share;
  });
  addLocalPrior(sums, slopeAt2, slope);
  const { local, cross, localSide } = sums;
  const inverseLocal = inverseOf2(local);
  const solved2 = times(inverseLocal, cross);
  const schur = sums.shared;
  const taken = transposedTimes(cross, solved2);
  for (let i = 0; i < schur.values.length; i++) schur.values[i] -= taken.values[i];
  const schurSide = sums.sharedSide;
  for (let i = 0; i < localSize; i++)
    for (let j = 0; j < shared; j++)
      schurSide[j] -= solved2.values[i * shared + j] * localSide[i];
  return { weights, visitShare, inverseLocal, cross, localSide, schur, schurSide };
}
function addTo({ local, cross, shared, localSide, sharedSide }, columns, values, weight, y) {
  const size = local.rows;
  const width = shared.columns;
  for (let a = 0; a < columns.length; a++) {
    const i = columns[a];
    const wx = weight * values[a];
    const isLocal = i < size;
    if (isLocal) localSide[i] += wx * y;
    else sharedSide[i - size] += wx * y;
    for (let b = 0; b < columns.length; b++) {
      const j = columns[b];
      const product = wx * values[b];
      if (isLocal && j < size) local.values[i * size + j] += product;
      else if (isLocal) cross.values[i * width + j - size] += product;
      else if (j >= size) shared.values[(i - size) * width + j - size] += product;
    }
  }
}
function addLocalPrior({ local, localSide }, slopeAt2, slope) {
  const size = local.rows;
  for (let i = 0; i < size; i++) {
    const sd = i < slopeAt2 ? FIELD.levelSd : i === slopeAt2 ? slope.sd : FIELD.stepSd;
    local.values[i * size + i] += 1 / sd ** 2;
    if (i === slopeAt2) localSide[i] += slope.mean / sd ** 2;
  }
}

// src/core/field/cafeFit.ts
function fitCafe(rows, { inverseLocal, cross, localSide }, shared) {
  const taken = timesVector(cross, shared);
  const local = timesVector(
    inverseLocal,
    localSide.map((h, i) => h - taken[i])
  );
  const effects = new Float64Array(local.length + shared.length);
  effects.set(local);
  effects.set(shared, local.length);
  return {
    effects,
    residuals: rows.visits.map((visit) => visit.map((row) => row.y - fitted(row, effects)))
  };
}
function fitted({ columns, values }, effects) {
  let sum2 = 0;
  for (let k = 0; k < columns.length; k++) sum2 += values[k] * effects[columns[k]];
  return sum2;
}

// src/core/field/evidence.ts
var RULES = {
  lookBackDays: 12,
  /** Chance of a step at any one visit, where a café is checked three times a day. */
  chance: { all: 0.01, coffee: 3e-4 },
  checksADay: 3
};
function stepSignals(question) {
  const { rows, checksADay } = question;
  const all = { coffee: null, candidates: candidatesOf(question, null) };
  const each = rows.coffees.map((coffee, at3) => ({
    coffee,
    candidates: candidatesOf(question, at3)
  }));
  return weighed([all, ...each], checksADay);
}
function weighed(kinds, checksADay) {
  const rate = RULES.checksADay / checksADay;
  const scored = kinds.flatMap(({ coffee, candidates: candidates2 }) => {
    if (candidates2.length === 0) return [];
    const chance = coffee === null ? RULES.chance.all : RULES.chance.coffee;
    const odds = chance * rate * candidates2.reduce((sum2, { lnBayes }) => sum2 + Math.exp(lnBayes), 0);
    const best = candidates2.reduce((best2, one) => one.lnBayes > best2.lnBayes ? one : best2);
    return [{ coffee, odds, best }];
  });
  const total = scored.reduce((sum2, { odds }) => sum2 + odds, 0);
  return scored.map(({ coffee, odds, best: { fromDay, size, sd } }) => ({
    coffee,
    probability: odds / (1 + total),
    fromDay,
    size,
    sd
  })).sort((a, b) => b.probability - a.probability);
}
function candidatesOf(question, coffeeAt) {
  const { rows, block, residuals } = question;
  const { visits, localSize } = rows;
  const newest = visits.at(-1)?.[0]?.check.atDay ?? 0;
  const q = new Float64Array(localSize + rows.sharedKeys.length);
  const candidates2 = [];
  let S = 0;
  let I0 = 0;
  for (let v = visits.length - 1; v >= 0; v--) {
    const visit = visits[v];
    const { atDay } = visit[0].check;
    if (atDay < newest - RULES.lookBackDays) break;
    const weights = block.weights[v];
    const share = block.visitShare[v];
    const hasKind = visit.map((row) => coffeeAt === null || row.coffeeAt === coffeeAt);
    let ofKind2 = 0;
    let sumR = 0;
    visit.forEach((_, i) => {
      const { w } = weights[i];
      if (hasKind[i]) ofKind2 += w;
      sumR += w * residuals[v][i];
    });
    if (ofKind2 === 0) continue;
    I0 += ofKind2 - share * ofKind2 * ofKind2;
    visit.forEach((row, i) => {
      const { w } = weights[i];
      const u = hasKind[i] ? 1 : 0;
      const weight = w * (u - share * ofKind2);
      if (u === 1) S += w * (residuals[v][i] - share * sumR);
      row.columns.forEach((at3, k) => q[at3] += weight * row.values[k]);
    });
    const I = I0 - explained(question, q);
    candidates2.push({ ...sizeOf2(S, I), fromDay: atDay });
  }
  return candidates2;
}
function explained({ rows, block, sharedCovariance: sharedCovariance2 }, q) {
  const { localSize } = rows;
  const { inverseLocal, cross } = block;
  const own = q.subarray(0, localSize);
  const solved2 = timesVector(inverseLocal, own);
  const ofLocal = solved2.reduce((sum2, value, i) => sum2 + value * own[i], 0);
  if (sharedCovariance2 === null) return ofLocal;
  const z28 = q.slice(localSize);
  for (let i = 0; i < localSize; i++)
    for (let j = 0, k = i * z28.length; j < z28.length; j++, k++)
      z28[j] -= cross.values[k] * solved2[i];
  return ofLocal + quadraticForm(sharedCovariance2, z28);
}
function sizeOf2(S, I) {
  const prior = FIELD.stepSd ** 2;
  const precision = Math.max(0, I) + 1 / prior;
  return {
    lnBayes: -0.5 * Math.log(prior * precision) + 0.5 * S * S / precision,
    size: S / precision,
    sd: 1 / Math.sqrt(precision)
  };
}

// src/core/field/noise.ts
var NO_NOISE = { shots: 0, shotSquares: 0, visits: 0, visitSquares: 0 };
function noiseSums({ weights, visitShare }, residuals) {
  let [shots, shotSquares, visitSquares] = [0, 0, 0];
  for (let v = 0; v < weights.length; v++) {
    const visit = weights[v];
    const left = residuals[v];
    const share = visitShare[v];
    let sum2 = 0;
    for (let i = 0; i < visit.length; i++) sum2 += visit[i].w * left[i];
    const effect = share * sum2;
    visitSquares += effect ** 2 + share;
    for (let i = 0; i < visit.length; i++) {
      const { good, variance, shotVariance } = visit[i];
      shots += good;
      shotSquares += good * ((left[i] - effect) ** 2 + share) * shotVariance / variance;
    }
  }
  return { shots, shotSquares, visits: weights.length, visitSquares };
}
function learntShotSd({ shots, shotSquares }) {
  const { sd, worth } = FIELD.noise;
  return Math.sqrt((worth * sd ** 2 + shotSquares) / (worth + shots));
}
function learntVisitSd(all) {
  const { sd, worth } = FIELD.visit;
  let squares = worth * sd ** 2;
  let visits = worth;
  for (const one of all) {
    squares += one.visitSquares;
    visits += one.visits;
  }
  return Math.sqrt(squares / visits);
}

// src/core/groupBy.ts
function groupBy(items, keyOf3) {
  const groups = /* @__PURE__ */ new Map();
  for (const item of items) {
    const key = keyOf3(item);
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return groups;
}

// src/core/field/dials.ts
var BETWEEN_LEAST = 0.05;
var WANDER_A_VISIT = 0.16;
var WANDER_MOST_VISITS = 12;
var NEVER_KNOWN = 0.64;
var OLD_GROUNDS = 0.2;
function placeDials(dials, first) {
  let last = null;
  const next = nextKnown(dials);
  return dials.map((dial2, at3) => {
    if (dial2 !== null) {
      const moved = last === null ? 0 : dial2 - last.dial;
      last = { dial: dial2, at: at3 };
      return { dial: dial2, varianceSteps2: (OLD_GROUNDS * moved) ** 2 };
    }
    const later = next[at3] ?? null;
    if (last === null) return { dial: later ?? first, varianceSteps2: NEVER_KNOWN };
    if (later === null) {
      const visits = Math.min(at3 - last.at, WANDER_MOST_VISITS);
      return { dial: last.dial, varianceSteps2: WANDER_A_VISIT * visits };
    }
    const half = (later - last.dial) / 2;
    return { dial: last.dial + half, varianceSteps2: half ** 2 + BETWEEN_LEAST };
  });
}
function nextKnown(dials) {
  let known3 = null;
  return [...dials].reverse().map((dial2) => {
    const after = known3;
    known3 = dial2 ?? known3;
    return after;
  }).reverse();
}

// src/core/field/rows.ts
function batchColumn(of) {
  return `batch ${batchKey(of)}`;
}
function cafeRows({ checks, known: known3, steps: steps2 }) {
  const coffees = [...new Set(checks.map(({ coffee }) => coffee))];
  const slopeAt2 = coffees.length;
  const localSize = slopeAt2 + 1 + steps2.length;
  const places = /* @__PURE__ */ new Map();
  const sharedKeys = [];
  const columnOf = (name3, day3, isBatch) => {
    let place = places.get(name3);
    if (place === void 0) {
      place = localSize + sharedKeys.push({ name: name3, day: day3, isBatch }) - 1;
      places.set(name3, place);
    }
    return place;
  };
  const dials = dialsOf(checks, known3);
  const visits = [];
  checks.forEach((check, i) => {
    const { coffee, atDay, visit } = check;
    const coffeeAt = coffees.indexOf(coffee);
    const { dial: dial2, varianceSteps2 } = dials[i];
    const { reference, firstDial } = known3.get(coffee);
    const day3 = Math.floor(atDay);
    const columns = [
      coffeeAt,
      columnOf(`day ${day3}`, day3, false),
      columnOf(batchColumn(check), null, true)
    ];
    const values = [1, 1, 1];
    const add = (column2, value) => {
      if (value === 0) return;
      columns.push(column2);
      values.push(value);
    };
    add(slopeAt2, dial2 - firstDial);
    add(columnOf(`age ${coffee}`, null, false), ageOffset(check));
    steps2.forEach((step, k) => add(slopeAt2 + 1 + k, hasStep(step, check) ? 1 : 0));
    const row = {
      check,
      coffeeAt,
      y: responseOf(check, reference),
      columns,
      values,
      dialVarianceSteps2: varianceSteps2
    };
    const last = visits.at(-1);
    if (last?.[0]?.check.visit === visit) last.push(row);
    else visits.push([row]);
  });
  return { visits, localSize, slopeAt: slopeAt2, coffees, sharedKeys };
}
function hasStep({ coffee, fromDay }, check) {
  return check.atDay >= fromDay && (coffee === null || coffee === check.coffee);
}
function dialsOf(checks, known3) {
  const placed = new Array(checks.length);
  const byCoffee = groupBy(
    checks.map((check, i) => ({ check, i })),
    ({ check }) => check.coffee
  );
  for (const [coffee, those] of byCoffee) {
    const dials = placeDials(
      those.map(({ check }) => check.dial),
      known3.get(coffee).firstDial
    );
    those.forEach(({ i }, k) => placed[i] = dials[k]);
  }
  return placed;
}

// src/core/field/shared.ts
function globalColumns(parts) {
  const at3 = /* @__PURE__ */ new Map();
  const keys = [];
  for (const part of parts)
    for (const key of part)
      if (key.day === null && !at3.has(key.name)) at3.set(key.name, keys.push(key) - 1);
  return { keys, at: at3 };
}
function fitRegion(parts, columns) {
  const days = parts.flatMap(({ keys }) => keys.flatMap(({ day: day3 }) => day3 ?? []));
  const firstDay = Math.min(...days);
  const dayCount = Math.max(...days) - firstDay + 1;
  const globals = columns.keys.length;
  const own = weatherPrecision(dayCount);
  const cross = zeros(dayCount, globals);
  const schur = zeros(globals, globals);
  const daySide = new Float64Array(dayCount);
  const schurSide = new Float64Array(globals);
  for (const { keys, block } of parts) {
    const places = keys.map(
      ({ day: day3, name: name3 }) => day3 === null ? columns.at.get(name3) : day3 - firstDay
    );
    const size = keys.length;
    for (let i = 0; i < size; i++) {
      const isDay = keys[i].day !== null;
      const row = places[i];
      if (isDay) daySide[row] += block.schurSide[i];
      else schurSide[row] += block.schurSide[i];
      for (let j = 0; j < size; j++) {
        const value = block.schur.values[i * size + j];
        if (!isDay) {
          if (keys[j].day === null) schur.values[row * globals + places[j]] += value;
        } else if (keys[j].day === null) cross.values[row * globals + places[j]] += value;
        else own.values[row * dayCount + places[j]] += value;
      }
    }
  }
  const inverseDays = inverseOf2(own);
  const solved2 = times(inverseDays, cross);
  const taken = transposedTimes(cross, solved2);
  for (let i = 0; i < schur.values.length; i++) schur.values[i] -= taken.values[i];
  for (let d = 0; d < dayCount; d++)
    for (let g = 0; g < globals; g++)
      schurSide[g] -= solved2.values[d * globals + g] * daySide[d];
  return { firstDay, days: dayCount, inverseDays, cross: solved2, daySide, schur, schurSide };
}
function fitGlobals(columns, regions) {
  const globals = columns.keys.length;
  const Q = zeros(globals, globals);
  const side = new Float64Array(globals);
  columns.keys.forEach(({ isBatch }, i) => {
    Q.values[i * globals + i] = 1 / (isBatch ? FIELD.batchSd : FIELD.ageSd) ** 2;
  });
  for (const { schur, schurSide } of regions)
    for (let i = 0; i < schur.rows; i++) {
      side[i] += schurSide[i];
      for (let j = 0; j < schur.rows; j++) Q.values[i * globals + j] += at2(schur, i, j);
    }
  const covariance = inverseOf2(Q);
  return { mean: timesVector(covariance, side), covariance };
}
function weatherOf(region, globals) {
  const days = timesVector(region.inverseDays, region.daySide);
  const taken = timesVector(region.cross, globals.mean);
  return days.map((value, i) => value - taken[i]);
}
function sharedCovariance(keys, columns, region, { covariance }) {
  const globals = columns.keys.length;
  const places = keys.map(
    ({ day: day3, name: name3 }) => day3 === null ? columns.at.get(name3) : day3 - region.firstDay
  );
  const L = zeros(keys.length, globals);
  keys.forEach(({ day: day3 }, i) => {
    if (day3 === null) L.values[i * globals + places[i]] = 1;
    else
      for (let g = 0; g < globals; g++)
        L.values[i * globals + g] = -at2(region.cross, places[i], g);
  });
  const V = timesTransposed(times(L, covariance), L);
  keys.forEach((a, i) => {
    if (a.day === null) return;
    keys.forEach((b, j) => {
      if (b.day === null) return;
      V.values[i * keys.length + j] += at2(region.inverseDays, places[i], places[j]);
    });
  });
  return V;
}
function timesTransposed(A, B) {
  const out = zeros(A.rows, B.rows);
  for (let i = 0; i < A.rows; i++)
    for (let j = 0; j < B.rows; j++) {
      let sum2 = 0;
      for (let k = 0; k < A.columns; k++) sum2 += at2(A, i, k) * at2(B, j, k);
      out.values[i * B.rows + j] = sum2;
    }
  return out;
}
function weatherPrecision(days) {
  const { carry, sd } = FIELD.weather;
  const precision = zeros(days, days);
  const fresh = 1 / (sd ** 2 * (1 - carry ** 2));
  for (let i = 0; i < days; i++) {
    const ends = Number(i === 0) + Number(i === days - 1);
    precision.values[i * days + i] = fresh * (1 + (1 - ends) * carry ** 2);
    if (i === 0) continue;
    precision.values[i * days + i - 1] = -carry * fresh;
    precision.values[(i - 1) * days + i] = -carry * fresh;
  }
  return precision;
}

// src/core/field/uncertainty.ts
function rowVariance({ columns, values }, { inverseLocal, cross }, covariance) {
  const size = inverseLocal.rows;
  const x = new Float64Array(size + covariance.rows);
  columns.forEach((at3, k) => x[at3] += values[k]);
  const own = x.subarray(0, size);
  const z28 = x.slice(size);
  const solved2 = timesVector(inverseLocal, own);
  for (let i = 0; i < size; i++)
    for (let j = 0, k = i * z28.length; j < z28.length; j++, k++)
      z28[j] -= cross.values[k] * solved2[i];
  const ofLocal = solved2.reduce((sum2, value, i) => sum2 + value * own[i], 0);
  return ofLocal + quadraticForm(covariance, z28);
}

// src/core/field/model.ts
var FieldModel = class {
  states = /* @__PURE__ */ new Map();
  regions = /* @__PURE__ */ new Map();
  columns = { keys: [], at: /* @__PURE__ */ new Map() };
  globals = null;
  visitSd = FIELD.visit.sd;
  addCafe(cafe, before = {}) {
    const { mean: mean2, sd } = before.taught ?? cafe.slope ?? FIELD.slope;
    const slope = { mean: mean2, sd };
    this.states.set(cafe.id, {
      cafe,
      checks: [],
      known: /* @__PURE__ */ new Map(),
      alarms: [...before.alarms ?? []],
      signals: [],
      slope,
      slopeMean: slope.mean,
      slopeDay: before.taught?.sinceDay ?? null,
      firstDay: before.taught?.firstDay ?? null,
      shotSd: FIELD.noise.sd,
      sums: NO_NOISE,
      left: [],
      rows: null,
      block: null,
      fit: null
    });
  }
  /** Takes in checks without judging them: for what is already known when the model is made. */
  remember(cafeId, checks) {
    const state = this.state(cafeId);
    state.checks = [...state.checks, ...checks].sort((a, b) => a.atDay - b.atDay);
    for (const { coffee, target, dial: dial2 } of state.checks) {
      const seen = state.known.get(coffee);
      if (seen === void 0 || Number.isNaN(seen.firstDial) && dial2 !== null)
        state.known.set(coffee, { reference: seen?.reference ?? target, firstDial: dial2 ?? NaN });
    }
    for (const [coffee, seen] of state.known)
      if (Number.isNaN(seen.firstDial)) state.known.set(coffee, { ...seen, firstDial: 0 });
    state.firstDay ??= state.checks[0]?.atDay ?? null;
    state.slopeDay ??= state.firstDay;
  }
  /** Takes in the checks of one visit and says what that opened, withdrew or kept. */
  addVisit(cafeId, checks) {
    if (checks.length === 0) return [];
    this.remember(cafeId, checks);
    const state = this.state(cafeId);
    const nowDay = state.checks.at(-1).atDay;
    state.checks = state.checks.filter(({ atDay }) => atDay >= nowDay - FIELD.windowDays);
    this.fitOne(state);
    this.passSlopeOn(state, nowDay);
    const news = this.judge(state, nowDay);
    this.measureSteps(state);
    return news.map((told) => state.alarms.find((one) => one.openedDay === told.openedDay) ?? told);
  }
  /** Fits all cafés anew on the days up to `nowDay`. Opens and withdraws nothing. */
  refit(nowDay) {
    const used = [...this.states.values()];
    for (const state of used) {
      state.checks = state.checks.filter(({ atDay }) => atDay >= nowDay - FIELD.windowDays);
      this.setRows(state);
    }
    if (used.every(({ rows }) => rows === null)) {
      this.regions.clear();
      this.globals = null;
      return;
    }
    for (let pass2 = 0; pass2 < FIELD.passes; pass2++) {
      for (const state of used) this.weigh(state);
      this.columns = globalColumns(
        used.flatMap(({ rows }) => rows === null ? [] : [rows.sharedKeys])
      );
      this.regions.clear();
      for (const region of new Set(used.map(({ cafe }) => cafe.region))) this.fitRegion(region);
      this.solve();
      for (const state of used) this.settle(state);
      this.learnVisits();
    }
    for (const state of used) this.measureSteps(state);
    for (const state of used)
      if (state.rows !== null && state.checks.length > 0)
        state.signals = stepSignals(this.question(state, state.rows, state.block, state.fit));
  }
  alarms(cafeId) {
    return this.state(cafeId).alarms;
  }
  /** Chances of a change by kind that no alarm has taken up yet. */
  signals(cafeId) {
    return this.state(cafeId).signals;
  }
  /** Null before a café has sent anything. */
  fitted(cafeId) {
    const state = this.state(cafeId);
    const { rows, block, fit } = state;
    if (rows === null || block === null || fit === null) return null;
    return { rows, block, fit, covariance: this.covarianceOf(state) };
  }
  noise(cafeId) {
    return { shotSd: this.state(cafeId).shotSd, visitSd: this.visitSd };
  }
  slope(cafeId) {
    const state = this.state(cafeId);
    const { rows, block, fit } = state;
    if (rows === null || block === null || fit === null) return state.slope;
    const x = { columns: [rows.slopeAt], values: [1] };
    const variance = rowVariance(x, block, this.covarianceOf(state));
    return { mean: fit.effects[rows.slopeAt], sd: Math.sqrt(variance) };
  }
  /** Null before the café has sent anything. */
  taught(cafeId) {
    const { slope, slopeDay, firstDay } = this.state(cafeId);
    if (slopeDay === null || firstDay === null) return null;
    return { ...slope, sinceDay: slopeDay, firstDay };
  }
  known(cafeId, coffee) {
    return this.state(cafeId).known.get(coffee) ?? null;
  }
  /** Means and covariance of the columns of the whole field: batches and ageing. */
  wholeField() {
    return this.globals === null ? null : { keys: this.columns.keys, fit: this.globals };
  }
  region(region) {
    const fit = this.regions.get(region);
    return fit === void 0 || this.globals === null ? null : { fit, globals: this.globals };
  }
  state(cafeId) {
    const state = this.states.get(cafeId);
    if (state === void 0) throw new RangeError(`No caf\xE9 ${cafeId} in the field.`);
    return state;
  }
  fitOne(state) {
    this.setRows(state);
    for (let pass2 = 0; pass2 < FIELD.passes; pass2++) {
      this.weigh(state);
      this.growColumns(state.rows.sharedKeys);
      this.fitRegion(state.cafe.region);
      this.solve();
      this.settle(state);
      this.learnVisits();
    }
  }
  learnVisits() {
    this.visitSd = learntVisitSd([...this.states.values()].map(({ sums }) => sums));
  }
  setRows(state) {
    const { checks, known: known3, rows: before, fit } = state;
    const residuals = /* @__PURE__ */ new Map();
    before?.visits.forEach(
      (visit, v) => visit.forEach(({ check }, i) => residuals.set(check.id, fit.residuals[v][i]))
    );
    state.rows = checks.length === 0 ? null : cafeRows({ checks, known: known3, steps: stepsOf(state) });
    if (state.rows === null) state.block = state.fit = null;
    state.left = state.rows?.visits.map(
      (visit) => visit.map(({ check }) => residuals.get(check.id) ?? null)
    ) ?? [];
  }
  /** Block of a café by its newest weights. */
  weigh(state) {
    const { rows } = state;
    if (rows === null) return;
    const noise = this.noise(state.cafe.id);
    const slope = state.slopeMean;
    const weights = rows.visits.map(
      (visit, v) => visit.map((row, i) => rowWeight(row, state.left[v][i], noise, slope))
    );
    state.block = cafeBlock(rows, weights, noise, state.slope);
  }
  growColumns(keys) {
    const isNew = keys.some(({ day: day3, name: name3 }) => day3 === null && !this.columns.at.has(name3));
    if (isNew) this.columns = globalColumns([this.columns.keys, keys]);
  }
  fitRegion(region) {
    const parts = [...this.states.values()].flatMap(
      ({ cafe, rows, block }) => cafe.region === region && rows !== null && block !== null ? [{ keys: rows.sharedKeys, block }] : []
    );
    if (parts.length > 0) this.regions.set(region, fitRegion(parts, this.columns));
  }
  solve() {
    this.globals = fitGlobals(this.columns, this.regions.values());
  }
  /** A café's own columns, residuals and noise under the shared columns as they stand. */
  settle(state) {
    const { rows, block } = state;
    if (rows === null || block === null) return;
    state.fit = fitCafe(rows, block, this.sharedOf(state, rows));
    state.left = state.fit.residuals;
    state.slopeMean = state.fit.effects[rows.slopeAt];
    state.sums = noiseSums(block, state.fit.residuals);
    state.shotSd = learntShotSd(state.sums);
  }
  sharedOf(state, { sharedKeys }) {
    const region = this.regions.get(state.cafe.region);
    const weather = weatherOf(region, this.globals);
    return sharedKeys.map(
      ({ day: day3, name: name3 }) => day3 === null ? this.globals.mean[this.columns.at.get(name3)] : weather[day3 - region.firstDay]
    );
  }
  covarianceOf(state) {
    return sharedCovariance(
      state.rows.sharedKeys,
      this.columns,
      this.regions.get(state.cafe.region),
      this.globals
    );
  }
  question(state, rows, block, { residuals }) {
    const { checksADay } = state.cafe;
    return { rows, block, residuals, sharedCovariance: this.covarianceOf(state), checksADay };
  }
  /** A full window of shots: what it taught of the slope is where the next one begins, a little wider. */
  passSlopeOn(state, nowDay) {
    if (nowDay - state.slopeDay < FIELD.windowDays) return;
    const { mean: mean2, sd } = this.slope(state.cafe.id);
    const { widening, leastSd } = FIELD.slope;
    state.slope = { mean: mean2, sd: Math.max(leastSd, sd * Math.sqrt(widening)) };
    state.slopeDay = nowDay;
  }
  judge(state, nowDay) {
    const news = [];
    const open = state.alarms.find((alarm) => alarm.state === "open");
    if (open !== void 0) {
      const after = judged(open, this.signalsWithout(state, open), nowDay);
      state.alarms = state.alarms.map((alarm) => alarm === open ? after : alarm);
      if (after.state !== "open") news.push(after);
      const isMoved = after.state === "withdrawn" || after.fromDay !== open.fromDay || after.coffee !== open.coffee;
      if (isMoved) this.fitOne(state);
    }
    state.alarms = state.alarms.filter(
      ({ fromDay }) => fromDay >= nowDay - FIELD.windowDays - ALARM.apartDays
    );
    state.signals = stepSignals(this.question(state, state.rows, state.block, state.fit));
    const standing = alarmsInWindow(state.alarms, nowDay);
    const opened = opening(state.signals, standing, { nowDay, firstDay: state.firstDay });
    if (opened === null) return news;
    const kept2 = standing.length >= FIELD.mostSteps ? withRoom(standing) : standing;
    state.alarms = [
      ...state.alarms.filter((alarm) => !standing.includes(alarm) || kept2.includes(alarm)),
      opened
    ];
    this.fitOne(state);
    return [...news, opened];
  }
  /** The evidence as it would be had the open alarm not been entered: the whole field is fitted without it. */
  signalsWithout(state, open) {
    const { rows, block, fit } = state;
    const steps2 = stepsOf(state).filter((step) => step !== open);
    const noise = this.noise(state.cafe.id);
    state.rows = cafeRows({ checks: state.checks, known: state.known, steps: steps2 });
    state.block = cafeBlock(state.rows, block.weights, noise, state.slope);
    this.fitRegion(state.cafe.region);
    this.solve();
    const without2 = fitCafe(state.rows, state.block, this.sharedOf(state, state.rows));
    const signals = stepSignals(this.question(state, state.rows, state.block, without2));
    Object.assign(state, { rows, block, fit });
    this.fitRegion(state.cafe.region);
    this.solve();
    return signals;
  }
  /** What the fit makes of the steps that were entered: nearer the truth than what opened them. */
  measureSteps(state) {
    const { rows, block, fit } = state;
    if (rows === null || block === null || fit === null) return;
    const steps2 = stepsOf(state);
    if (steps2.length === 0) return;
    const covariance = this.covarianceOf(state);
    state.alarms = state.alarms.map((alarm) => {
      const at3 = steps2.indexOf(alarm);
      if (at3 < 0) return alarm;
      const column2 = rows.slopeAt + 1 + at3;
      const sd = Math.sqrt(rowVariance({ columns: [column2], values: [1] }, block, covariance));
      return { ...alarm, size: fit.effects[column2], sd };
    });
  }
};
function stepsOf({ alarms, checks }) {
  const nowDay = checks.at(-1)?.atDay ?? 0;
  return alarmsInWindow(alarms, nowDay).slice(-FIELD.mostSteps);
}

// src/core/field/advice.ts
var MOVES = [-3, -2, -1, 0, 1, 2, 3];
var LEAST_GAIN = 0.05;
function chanceAfter(steps2, { offLn, sd, slope, window: window2 }) {
  const mean2 = offLn + steps2 * slope.mean;
  const spread = Math.hypot(sd, steps2 * slope.sd);
  const [low, high] = window2;
  return between(mean2, spread, low, high);
}
function bestMove(question) {
  const asItIs = chanceAfter(0, question);
  const best = MOVES.map((steps2) => ({ steps: steps2, inWindow: chanceAfter(steps2, question) })).reduce(
    (best2, one) => one.inWindow > best2.inWindow ? one : best2
  );
  if (best.inWindow - asItIs < LEAST_GAIN) return { steps: 0, inWindow: asItIs, asItIs };
  return { ...best, asItIs };
}

// src/core/field/nextAtCafe.ts
var RULES2 = {
  /** Days of weighings that say what the café usually weighs, worth 2.25 on the recipe. */
  habitDays: 5,
  habitWorth: 2.25,
  visitShare: 0.3,
  /** Unsure of each step of a move, ln time. */
  moveSd: 0.015
};
function whereItLies(model, cafeId, coffee) {
  const found = lastRow(model, cafeId, coffee);
  if (found === null) return null;
  const { cafe, row, last } = found;
  const { reference } = model.known(cafeId, coffee);
  const recent = cafe.rows.visits.flat().map(({ check }) => check).filter((check) => check.coffee === coffee && check.atDay >= last.atDay - RULES2.habitDays);
  const { target } = last;
  const offDose = usually(recent.map((check) => check.doseG - check.target.doseG));
  const offYield = usually(recent.map((check) => check.yieldG - check.target.yieldG));
  const usual = { doseG: target.doseG + offDose, yieldG: target.yieldG + offYield };
  const { visitSd } = model.noise(cafeId);
  const variance = rowVariance(row, cafe.block, cafe.covariance) + RULES2.visitShare * visitSd ** 2;
  return {
    levelLn: fitted(row, cafe.fit.effects) + FIELD.agePerDay * ageOffset(last) + lnTimeAt(reference, target) - Math.log(target.timeS),
    sd: Math.sqrt(variance),
    habitLn: lnTimeAt(target, usual) - Math.log(target.timeS),
    last
  };
}
function nextAtCafe(model, cafeId, coffee, window2) {
  const lies = whereItLies(model, cafeId, coffee);
  if (lies === null) return null;
  const { levelLn, habitLn, sd } = lies;
  const offLn = levelLn + habitLn;
  return { offLn, sd, move: bestMove({ offLn, sd, slope: slopeAt(model, cafeId), window: window2 }) };
}
function slopeAt(model, cafeId) {
  return { mean: model.slope(cafeId).mean, sd: RULES2.moveSd };
}
function lastRow(model, cafeId, coffee) {
  const cafe = model.fitted(cafeId);
  if (cafe === null) return null;
  const row = cafe.rows.visits.flat().findLast(({ check }) => check.coffee === coffee);
  return row === void 0 ? null : { cafe, row, last: row.check };
}
function usually(offG) {
  return offG.reduce((sum2, off) => sum2 + off, 0) / (offG.length + RULES2.habitWorth);
}

// src/core/field/silence.ts
var SILENCE = {
  prior: { missed: 2, made: 8 },
  forgetting: 0.995,
  /** One café in so many falls silent at any check. */
  chanceOneIn: 300,
  opensAt: 9
};
function missedShare(wasMade) {
  let { missed, made } = SILENCE.prior;
  for (const isMade of wasMade) {
    missed = missed * SILENCE.forgetting + (isMade ? 0 : 1);
    made = made * SILENCE.forgetting + (isMade ? 1 : 0);
  }
  return missed / (missed + made);
}
function silenceOdds(missedInARow, q) {
  let sum2 = 0;
  for (let j = 1; j <= missedInARow; j++) sum2 += q ** -j;
  return sum2 / SILENCE.chanceOneIn;
}

// src/core/field/wholeField.ts
var BATCH = { isOffLn: 0.04, opensAt: 0.85 };
function chanceBeyond(mean2, sd, least) {
  return 1 - between(mean2, sd, -least, least);
}
function batchContrast(model, coffee, batch, before) {
  const whole2 = model.wholeField();
  if (whole2 === null) return null;
  const [now2, then] = [batch, before].map((name3) => {
    const wanted = batchColumn({ coffee, batch: name3 });
    return whole2.keys.findIndex((key) => key.name === wanted);
  });
  if (now2 < 0 || then < 0) return null;
  const { mean: mean2, covariance } = whole2.fit;
  const size = mean2[now2] - mean2[then];
  const variance = at2(covariance, now2, now2) + at2(covariance, then, then) - 2 * at2(covariance, now2, then);
  const sd = Math.sqrt(variance);
  return { size, sd, probability: chanceBeyond(size, sd, BATCH.isOffLn) };
}

// bench/field/watch.ts
function fieldWatcher(network, isPooled = true) {
  const { plan } = network;
  const models = Array.from({ length: isPooled ? 1 : plan.cafes }, () => new FieldModel());
  const modelOf = (cafe) => models[isPooled ? 0 : cafe];
  const habits = Array.from({ length: plan.cafes }, () => new Habits());
  const missed = Array.from({ length: plan.cafes }, () => new Missed());
  for (let i = 0; i < plan.cafes; i++)
    modelOf(i).addCafe({
      id: String(i),
      region: network.regionOf(i),
      checksADay: plan.checksADay
    });
  const saidBatches = /* @__PURE__ */ new Set();
  let day3 = 0;
  return {
    take: ({ cafe, atDay, checks }) => {
      const said = [];
      if (Math.floor(atDay) !== day3) {
        day3 = Math.floor(atDay);
        for (const model2 of models) model2.refit(atDay);
      }
      if (missed[cafe].add(checks !== null, atDay))
        said.push({ cafe, kind: "silence", coffee: null, atDay });
      if (checks === null) return said;
      const model = modelOf(cafe);
      for (const alarm of model.addVisit(String(cafe), checks))
        if (alarm.state === "open") said.push({ cafe, kind: "step", coffee: alarm.coffee, atDay });
      for (const { kind, coffee } of habits[cafe].add(checks))
        said.push({ cafe, kind, coffee, atDay });
      if (isPooled)
        for (const { coffee, batch } of checks) {
          const before = network.batchOn(Number(coffee.split(" ")[1]), atDay).before;
          if (before === null || saidBatches.has(`${coffee} ${batch}`)) continue;
          const contrast = batchContrast(model, coffee, batch, before);
          if (contrast === null || contrast.probability < BATCH.opensAt) continue;
          saidBatches.add(`${coffee} ${batch}`);
          said.push({ cafe: null, kind: "batch", coffee, batch, atDay });
        }
      return said;
    },
    chanceOf: ({ cafe, kind, coffee, fromDay }) => {
      if (kind === "silence") return missed[cafe].chance();
      if (kind === "dose") return habits[cafe].chance("dose", null, fromDay);
      if (kind === "oldYield") return habits[cafe].chance("yield", `coffee ${coffee}`, fromDay);
      const model = modelOf(cafe);
      const alarm = model.alarms(String(cafe)).findLast((one) => one.state !== "withdrawn" && one.openedDay > fromDay);
      if (alarm !== void 0) return alarm.coffee === null ? alarm.probability : 0;
      return model.signals(String(cafe)).find((signal) => signal.coffee === null)?.probability ?? 0;
    },
    chanceOfBatch: ({ coffee, name: name3, before }) => batchContrast(models[0], `coffee ${coffee}`, name3, before)?.probability ?? 0,
    advise: (cafe, coffee) => {
      const next = nextAtCafe(modelOf(cafe), String(cafe), `coffee ${coffee}`, [
        -HALF_WINDOW,
        HALF_WINDOW
      ]);
      return next === null ? null : { steps: next.move.steps, offLn: next.offLn, sd: next.sd };
    }
  };
}
var WINDOW_VISITS = 84;
var Habits = class {
  offs = /* @__PURE__ */ new Map();
  add(checks) {
    const atDay = checks[0].atDay;
    const news = this.push(
      "dose",
      null,
      checks.map((c) => c.doseG - c.target.doseG),
      atDay
    );
    const others = checks.map(
      (c) => this.push("yield", c.coffee, [c.yieldG - c.target.yieldG], atDay)
    );
    return [news, ...others].flatMap((one) => one ?? []);
  }
  chance(kind, coffee, fromDay) {
    const line3 = this.offs.get(`${kind} ${coffee ?? ""}`);
    if (line3 === void 0) return 0;
    const signal = signalOf(kind, line3.offG);
    return signal !== null && line3.days[signal.from] > fromDay - 3 ? signal.probability : 0;
  }
  push(kind, coffee, offG, atDay) {
    const name3 = `${kind} ${coffee ?? ""}`;
    const line3 = this.offs.get(name3) ?? { offG: [], days: [], isSaid: false };
    this.offs.set(name3, line3);
    for (const off of offG) {
      line3.offG.push(off);
      line3.days.push(atDay);
    }
    const most = WINDOW_VISITS * offG.length;
    line3.offG.splice(0, line3.offG.length - most);
    line3.days.splice(0, line3.days.length - most);
    const isOn = (signalOf(kind, line3.offG)?.probability ?? 0) >= HABIT_CHANCE && atDay > 14;
    const isNew = isOn && !line3.isSaid;
    line3.isSaid = isOn;
    return isNew ? { kind, coffee } : null;
  }
};
var HABIT_CHANCE = HABIT.opensAt / (1 + HABIT.opensAt);
function signalOf(kind, offG) {
  return habitSignal(offG, kind, kind === "yield" ? OLD_YIELD_OFF_G : void 0);
}
var Missed = class {
  made = [];
  inARow = 0;
  isSaid = false;
  add(isMade, atDay) {
    this.made.push(isMade);
    this.inARow = isMade ? 0 : this.inARow + 1;
    if (isMade) this.isSaid = false;
    if (this.isSaid || atDay < 14 || this.odds() <= SILENCE.opensAt) return false;
    this.isSaid = true;
    return true;
  }
  chance() {
    const odds = this.odds();
    return odds / (1 + odds);
  }
  odds() {
    const before = this.made.slice(0, this.made.length - this.inARow);
    return silenceOdds(this.inARow, missedShare(before));
  }
};
var VERDICT_DAYS = [1, 2, 4];
var HAS_CAUSE_DAYS = 14;
var ADVICE_SHARE = 0.1;
var TRUE_BATCH_LN = 0.03;
function follow2(network, watcher) {
  const { plan } = network;
  const chance = chanceFrom(plan.seed + 77);
  const begun = [];
  const ahead = [
    ...network.faults.map((of) => ({ of, kind: of.kind, checks: 0, found: null, right: [] })),
    ...network.batches.filter(({ isBad }) => isBad).map((of) => ({ of, kind: "batch", checks: 0, found: null, right: [] }))
  ].sort((a, b) => a.of.fromDay - b.of.fromDay);
  const falses = {};
  const advice = { out: 0, brought: 0, byHand: 0, in: 0, left: 0, covered: 0, asked: 0 };
  let ms = 0;
  let visits = 0;
  for (const visit of network.visits()) {
    let judgeAdvice2 = function(coffee) {
      const advised = watcher.advise(cafe, coffee);
      if (advised === null) return;
      const moved = network.movedSince(cafe, coffee);
      const off = network.offLn(cafe, coffee, atDay, -moved);
      const after = network.offLn(cafe, coffee, atDay, advised.steps - moved);
      const lastShot = Math.log(checks[coffee].timeS / TARGET3.timeS);
      const byHand2 = network.offLn(cafe, coffee, atDay, Math.round(lastShot / 0.1) - moved);
      const isIn2 = (ln2) => Math.abs(ln2) <= HALF_WINDOW;
      advice.asked += 1;
      if (Math.abs(advised.offLn - off) <= INTERVAL_SDS * advised.sd) advice.covered += 1;
      if (isIn2(off)) {
        advice.in += 1;
        if (isIn2(after)) advice.left += 1;
      } else {
        advice.out += 1;
        if (isIn2(after)) advice.brought += 1;
        if (isIn2(byHand2)) advice.byHand += 1;
      }
    };
    var judgeAdvice = judgeAdvice2;
    const { cafe, atDay, checks } = visit;
    while (ahead[0] !== void 0 && ahead[0].of.fromDay <= atDay) begun.push(ahead.shift());
    for (const open of begun) askVerdict(open, atDay, watcher);
    const start = performance.now();
    const said = watcher.take(visit);
    ms += performance.now() - start;
    visits += 1;
    for (const open of begun) {
      if (open.found !== null || isOver(open, atDay)) continue;
      const isOwn = open.kind === "batch" ? cafe === 0 : open.of.cafe === cafe;
      const counts = open.kind === "silence" || open.kind === "batch" || checks !== null;
      if (isOwn && counts) open.checks += 1;
      if (said.some((one) => names(one, open))) open.found = Math.max(1, open.checks);
    }
    for (const one of said)
      if (!hasCause(one, network)) falses[one.kind] = (falses[one.kind] ?? 0) + 1;
    if (checks !== null && atDay > 21 && watcher.advise && chance.isWithin(ADVICE_SHARE))
      for (const check of checks) judgeAdvice2(Number(check.coffee.split(" ")[1]));
  }
  const weeks = plan.cafes * (plan.days - 14) / 7;
  const total = Object.values(falses).reduce((a, b) => a + b, 0);
  return {
    found: begun.filter(({ of }) => of.fromDay < plan.days - 7).map(({ kind, found, right }) => ({ kind, checks: found, right })),
    falsePer100CafeWeeks: 100 * total / weeks,
    falseByKind: Object.fromEntries(
      Object.entries(falses).map(([kind, count2]) => [kind, 100 * count2 / weeks])
    ),
    broughtIn: advice.brought / advice.out,
    broughtInByHand: advice.byHand / advice.out,
    leftIn: advice.left / advice.in,
    coverage: advice.covered / advice.asked,
    msPerVisit: ms / visits
  };
}
function isOver({ of, kind, checks }, atDay) {
  return kind === "batch" ? checks > 60 : atDay >= of.toDay;
}
function askVerdict(open, atDay, watcher) {
  const due2 = VERDICT_DAYS[open.right.length];
  if (due2 === void 0 || atDay < open.of.fromDay + due2 || !watcher.chanceOf) return;
  const p = open.kind === "batch" ? watcher.chanceOfBatch(open.of) : watcher.chanceOf(open.of);
  open.right.push(p >= 0.5);
}
var SAYS = {
  grinder: "step",
  machine: "step",
  scale: "step",
  dose: "dose",
  oldYield: "yield",
  silence: "silence"
};
function names(said, { of, kind }) {
  if (kind === "batch") {
    const { coffee, name: name3 } = of;
    return said.kind === "batch" && said.coffee === `coffee ${coffee}` && said.batch === name3;
  }
  const fault = of;
  const isCoffee = kind !== "oldYield" || said.coffee === `coffee ${fault.coffee}`;
  return said.cafe === fault.cafe && said.kind === SAYS[kind] && isCoffee;
}
function hasCause(said, network) {
  if (said.kind === "batch") {
    const batch = network.batches.find(
      ({ coffee, name: name3 }) => said.coffee === `coffee ${coffee}` && said.batch === name3
    );
    const before = network.batches.find(
      ({ coffee, name: name3 }) => coffee === batch.coffee && name3 === batch.before
    );
    return before === void 0 || Math.abs(batch.beta - before.beta) >= TRUE_BATCH_LN;
  }
  return network.faults.some(
    ({ cafe, kind, fromDay, toDay }) => cafe === said.cafe && SAYS[kind] === said.kind && [fromDay, toDay].some((day3) => said.atDay >= day3 && said.atDay < day3 + HAS_CAUSE_DAYS)
  );
}

// bench/field/field.ts
var USUAL = {
  seed: 1,
  cafes: 20,
  days: 365,
  checksADay: 3,
  dialMissing: 0,
  noiseSd: 0.06,
  daysBetweenFaults: 45
};
var CASES = {
  "20 caf\xE9s": {},
  "dial missing in 30 %": { dialMissing: 0.3, days: 180, seed: 2 },
  "once a day": { checksADay: 1, seed: 3 },
  "3 caf\xE9s": { cafes: 3, seed: 4 },
  "200 caf\xE9s": { cafes: 200, days: 75, seed: 5 },
  "noise \xD7 2": { noiseSd: 0.12, days: 180, seed: 6 }
};
var RIVALS2 = {
  "no pooling": (network) => fieldWatcher(network, false),
  "three sigma": threeSigma,
  EWMA: ewma
};
function benchField() {
  const rivals = Object.entries(RIVALS2).flatMap(([name3, rival]) => {
    const network = new Network({ ...USUAL, days: 180 });
    const { found, falseByKind } = follow2(network, rival(network));
    const those = found.filter(({ kind }) => kind === "grinder");
    return [
      line2(name3, "grinder: checks to detection, median", quantile2(those, 0.5), "checks"),
      line2(name3, "grinder: checks to detection, 90th", quantile2(those, 0.9), "checks"),
      line2(name3, "false alarms of steps", falseByKind.step ?? 0, "per 100 caf\xE9-weeks")
    ];
  });
  const cases = Object.entries(CASES).flatMap(([name3, change]) => {
    const network = new Network({ ...USUAL, ...change });
    return measuresOf2(name3, follow2(network, fieldWatcher(network)));
  });
  return [...cases, ...rivals, ...benchThousand()];
}
var THOUSAND = { ...USUAL, seed: 7, cafes: 1e3, days: 20, daysBetweenFaults: 0 };
function benchThousand() {
  const network = new Network(THOUSAND);
  const watcher = fieldWatcher(network);
  const lastDay = THOUSAND.days - 1;
  let ms = 0;
  let visits = 0;
  for (const visit of network.visits()) {
    const start = performance.now();
    watcher.take(visit);
    if (visit.atDay < lastDay || visit.cafe === 0) continue;
    ms += performance.now() - start;
    visits += 1;
  }
  return [line2("1,000 caf\xE9s", "time of one check", ms / visits, "ms")];
}
function line2(name3, metric, value, unit) {
  return { part: "field", case: name3, metric, value, unit };
}
function measuresOf2(name3, outcome) {
  const byKind2 = [...FAULTS, "batch"].flatMap((kind) => {
    const those = outcome.found.filter((one) => one.kind === kind);
    if (those.length === 0) return [];
    return [
      line2(name3, `${kind}: checks to detection, median`, quantile2(those, 0.5), "checks"),
      line2(name3, `${kind}: checks to detection, 90th`, quantile2(those, 0.9), "checks"),
      line2(
        name3,
        `${kind}: missed`,
        those.filter(({ checks }) => checks === null).length / those.length,
        "share"
      ),
      ...[1, 2, 4].map(
        (days, i) => line2(
          name3,
          `${kind}: right after ${days} d`,
          shareRight(those, i),
          `share of ${those.length}`
        )
      )
    ];
  });
  return [
    ...byKind2,
    line2(name3, "false alarms", outcome.falsePer100CafeWeeks, "per 100 caf\xE9-weeks"),
    ...Object.entries(outcome.falseByKind).map(
      ([kind, value]) => line2(name3, `of these ${kind}`, value, "per 100 caf\xE9-weeks")
    ),
    line2(name3, "advice brings inside \xB1 2 s", outcome.broughtIn, "share"),
    line2(name3, "last shot's rule brings inside", outcome.broughtInByHand, "share"),
    line2(name3, "advice leaves inside", outcome.leftIn, "share"),
    line2(name3, "coverage of 80 % intervals", outcome.coverage, "share"),
    line2(name3, "time of one check", outcome.msPerVisit, "ms")
  ];
}
function quantile2(those, share) {
  const sorted = those.map(({ checks }) => checks ?? Infinity).sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))];
}
function shareRight(those, i) {
  const asked = those.filter(({ right }) => right[i] !== void 0);
  return asked.filter(({ right }) => right[i]).length / asked.length;
}

// src/core/fits/fit.ts
var FIT_CODES = [
  "same",
  "pressurised",
  "basket",
  "coarser",
  "finer",
  "soak",
  "ratioForHeat",
  "heatOutOfReach",
  "flush",
  "style",
  "noScale",
  "clock"
];
var LN_PER_STEP = 0.1;
var HALF_WIDTH = 0.2;
var HAND_SOAK_S = 10;
var LN_RATIO_PER_C = { cooler: 0.055, hotter: 0.04 };
var HEAT_COUNTS_FROM_C = 0.75;
var HEAT_ANSWERED_TO_C = 5;
var LAW_COUNTS_FROM = 0.02;
function fitRecipe(input) {
  const { recipe, style, from, to } = input;
  const centre = (recipe.timeS[0] + recipe.timeS[1]) / 2;
  if (to.isPressurised)
    return {
      recipe: null,
      style,
      centreS: centre,
      coarserSteps: 0,
      notes: [{ code: "pressurised" }]
    };
  const made = styleFor(style, to);
  const doseG2 = roundTo2(0.1, to.ratedG * (recipe.doseG / from.ratedG));
  const law = basketLaw({ ...from, ratedG: recipe.doseG }, { ...to, ratedG: doseG2 });
  const heat = heatAnswer(input);
  const ratio = recipe.yieldG / recipe.doseG * Math.exp(heat.lnRatio + made.lnRatio);
  const yieldG2 = roundTo2(0.5, doseG2 * ratio);
  const soakS = to.soaksByHand ? HAND_SOAK_S : 0;
  const isOther = Math.abs(Math.log(law)) > LAW_COUNTS_FROM || made.style !== style;
  const stretch = law ** TIME_SHARE * Math.exp(made.lnTimeS);
  const onPump = (s) => fromPump(s, recipe.clock) * stretch + soakS;
  const centreS = onClock(onPump(centre), to.clock);
  const timeS2 = isOther ? [centreS * (1 - HALF_WIDTH), centreS * (1 + HALF_WIDTH)] : [onClock(onPump(recipe.timeS[0]), to.clock), onClock(onPump(recipe.timeS[1]), to.clock)];
  const coarserSteps = isOther ? (1 - TIME_SHARE) * Math.log(law) / LN_PER_STEP + made.coarserSteps : 0;
  const yieldMl = to.hasScale ? void 0 : volumeOfMass(yieldG2, input.cremaGPerMl);
  const notes2 = [
    ...made.notes,
    ...basketNotes({ isOther, law, coarserSteps }),
    ...soakS > 0 ? [{ code: "soak", figures: { s: soakS } }] : [],
    ...heat.notes,
    ...to.runsHot ? [{ code: "flush" }] : [],
    ...yieldMl === void 0 ? [] : [{ code: "noScale", figures: { ml: yieldMl } }],
    ...to.clock === recipe.clock ? [] : [{ code: "clock", figures: { s: USUAL_FIRST_DRIP_S } }]
  ];
  return {
    recipe: {
      doseG: doseG2,
      yieldG: yieldG2,
      ratio: yieldG2 / doseG2,
      temperatureC: heat.temperatureC,
      timeS: [Math.round(timeS2[0]), Math.round(timeS2[1])],
      clock: to.clock,
      ...yieldMl !== void 0 && { yieldMl }
    },
    style: made.style,
    centreS,
    coarserSteps,
    notes: notes2.length === 0 ? [{ code: "same" }] : notes2
  };
}
var onClock = (pumpS, clock3) => clock3 === "pump" ? pumpS : pumpS - USUAL_FIRST_DRIP_S;
var roundTo2 = (step, value) => Number((Math.round(value / step) * step).toFixed(1));
function basketNotes({
  isOther,
  law,
  coarserSteps
}) {
  if (!isOther) return [];
  const share = Math.round(100 * HALF_WIDTH);
  const steps2 = Math.abs(coarserSteps);
  const isOtherBasket = Math.abs(Math.log(law)) > LAW_COUNTS_FROM;
  return [
    ...isOtherBasket ? [{ code: "basket", figures: { share } }] : [],
    ...steps2 >= 0.5 ? [{ code: coarserSteps > 0 ? "coarser" : "finer", figures: { steps: steps2 } }] : []
  ];
}
function styleFor(style, { canShape }) {
  const nearest = canShape ? void 0 : NEAREST_STYLE[style];
  if (nearest === void 0)
    return { style, lnRatio: 0, lnTimeS: 0, coarserSteps: 0, notes: [] };
  const [own, other] = [styleShift(style), styleShift(nearest)];
  return {
    style: nearest,
    lnRatio: other.lnRatio - own.lnRatio,
    lnTimeS: other.lnTimeS - own.lnTimeS,
    coarserSteps: own.grindSteps - other.grindSteps,
    notes: [{ code: "style" }]
  };
}
function heatAnswer({ recipe, to, lnRatioPerC }) {
  const fixed = to.fixedTemperatureC;
  if (fixed === void 0) return { temperatureC: recipe.temperatureC, lnRatio: 0, notes: [] };
  const missing = recipe.temperatureC - fixed;
  if (Math.abs(missing) < HEAT_COUNTS_FROM_C) return { temperatureC: fixed, lnRatio: 0, notes: [] };
  const answered = Math.min(HEAT_ANSWERED_TO_C, Math.max(-HEAT_ANSWERED_TO_C, missing));
  const perC = lnRatioPerC ?? (missing > 0 ? LN_RATIO_PER_C.cooler : LN_RATIO_PER_C.hotter);
  return {
    temperatureC: fixed,
    lnRatio: perC * answered,
    notes: [
      { code: "ratioForHeat", figures: { c: missing } },
      ...answered === missing ? [] : [{ code: "heatOutOfReach", figures: { c: missing } }]
    ]
  };
}

// src/core/programme/styles.ts
var flat = (level2) => [{ drive: "pressure", level: level2, seconds: 30, ramp: false }];
var STYLE_STEPS = {
  classic: flat(9),
  longQuick: flat(6.5),
  fastCoarse: [{ drive: "flow", level: 7, seconds: 30, ramp: false, limitBar: 6 }],
  soakFirst: [
    { drive: "flow", level: 8, seconds: 4, ramp: false, limitBar: 3 },
    { drive: "flow", level: 0, seconds: 30, ramp: false },
    { drive: "flow", level: 2.5, seconds: 30, ramp: false, limitBar: 9 }
  ],
  shortDense: flat(9),
  declining: [
    { drive: "pressure", level: 9, seconds: 10, ramp: false },
    { drive: "pressure", level: 6, seconds: 25, ramp: true }
  ]
};

// bench/fits.ts
var COFFEES2 = 300;
var HOUSE = { diameterMm: 58, ratedG: 18 };
var BASKETS = [
  { diameterMm: 54, ratedG: 18 },
  { diameterMm: 51, ratedG: 16 },
  { diameterMm: 49, ratedG: 14 },
  { diameterMm: 46, ratedG: 16 }
];
var OFF_C = 3;
var ROASTS2 = [-1.5, -1, -0.5, 0, 0.5, 1];
var INTENSITIES = [0, 0.5, 1, 1.75];
function drawn2(seed) {
  const chance = chanceFrom(seed);
  const one = (list) => list[Math.floor(chance.uniform() * list.length)];
  const roastLevel = one(ROASTS2);
  const [light, dark] = [Math.max(0, -roastLevel), Math.max(0, roastLevel)];
  const coffee = {
    roastLevel,
    intensity: one(INTENSITIES),
    restDays: 10 + Math.floor(chance.uniform() * 15),
    lnResistance: 0.1 * chance.normal(),
    lnEase: 0.1 * chance.normal()
  };
  const centre = 28 * Math.exp(0.08 * chance.normal());
  return {
    coffee,
    recipe: {
      doseG: HOUSE.ratedG,
      yieldG: HOUSE.ratedG * 2 * Math.exp(0.2 * light - 0.3 * dark + 0.1 * chance.normal()),
      temperatureC: 92 + 2 * light - 2 * dark + chance.normal(),
      timeS: [centre - 1.5, centre + 1.5],
      clock: "pump"
    }
  };
}
function pulled(coffee, basket, cup, grindUm) {
  const shot = { ...cup, grindUm, programme: STYLE_STEPS.classic };
  return simulateShot({ coffee, basket, shot, seed: null });
}
var MOST_STEPS3 = 12;
var CLOSE_LN = 4e-3;
var USUAL_SLOPE = -3;
function extractionAt(coffee, basket, cup, timeS2) {
  let at3 = { lnUm: Math.log(380), shot: pulled(coffee, basket, cup, 380) };
  let slope = USUAL_SLOPE;
  for (let step = 0; step < MOST_STEPS3; step++) {
    const miss = Math.log(at3.shot.timeS / timeS2);
    if (Math.abs(miss) < CLOSE_LN) return at3.shot.extractionPct;
    const lnUm = at3.lnUm - Math.max(-0.4, Math.min(0.4, miss / slope));
    const shot = pulled(coffee, basket, cup, Math.exp(lnUm));
    const learnt2 = Math.log(shot.timeS / at3.shot.timeS) / (lnUm - at3.lnUm);
    if (learnt2 < -0.5) slope = learnt2;
    at3 = { lnUm, shot };
  }
  throw new Error(`No grind takes ${timeS2} s: ${at3.shot.timeS} s at ${Math.exp(at3.lnUm)} \xB5m`);
}
function difference({ coffee, recipe }, to) {
  const centre = (recipe.timeS[0] + recipe.timeS[1]) / 2;
  const own = extractionAt(coffee, HOUSE, recipe, centre);
  const { recipe: there, centreS } = fitRecipe({
    recipe,
    style: "classic",
    from: HOUSE,
    to: { canShape: true, hasScale: true, isPressurised: false, clock: "pump", ...to },
    cremaGPerMl: 0.75
  });
  return extractionAt(coffee, to, there, centreS) - own;
}
function benchFits(coffees = COFFEES2) {
  const all = Array.from({ length: coffees }, (_, i) => drawn2(7 * i + 1));
  const cases = [
    ...BASKETS.map((basket) => [nameOf(basket), () => basket]),
    ...[-OFF_C, OFF_C].map(
      (offC) => [
        `58 mm, stands ${Math.abs(offC)} \xB0C ${offC < 0 ? "cooler" : "hotter"}`,
        ({ recipe }) => ({ ...HOUSE, fixedTemperatureC: recipe.temperatureC + offC })
      ]
    )
  ];
  return cases.flatMap(
    ([name3, placeOf2]) => measuresOf3(
      name3,
      all.map((one) => difference(one, placeOf2(one)))
    )
  );
}
var nameOf = ({ diameterMm, ratedG }) => `${diameterMm} mm, ${ratedG} g`;
function measuresOf3(name3, differences) {
  const sizes = differences.map(Math.abs).sort((a, b) => a - b);
  const one = (metric, value) => ({
    part: "fits",
    case: name3,
    metric,
    value,
    unit: "points of extraction"
  });
  return [
    one("mean", differences.reduce((sum2, value) => sum2 + value, 0) / differences.length),
    one("off by, median", sizes[Math.floor(sizes.length / 2)]),
    one("off by, 99 of 100", sizes[Math.floor(sizes.length * 0.99)]),
    one("off by, worst", sizes.at(-1))
  ];
}

// bench/longViews.ts
import { setImmediate as nextTurn } from "node:timers/promises";
import Database2 from "better-sqlite3";

// src/core/entity/draft.ts
var DRAFT = {
  temperatureSchool: word(TEMPERATURE_SCHOOLS, TEMPERATURE_SCHOOL_LABELS, {
    label: "Temperature school"
  }),
  /** Judged by cups of its own kind alone. */
  drink: word(DRINKS, DRINK_LABELS, { label: "For", unsaid: "straight" }),
  startDial: quantity2("dial", { label: "Dial to start at", step: 1 }),
  /** False where a record of the house did not say it. */
  isDialKnown: flag({ label: "Dial known", unsaid: true, column: "dial_known" }),
  why: text2("words", { label: "Why", unsaid: "" }),
  /** Day since which a recipe of the house's own records was in force. */
  decidedOn: day2({ label: "Decided on", isOpen: true })
};

// src/data/database.ts
import {
  accessSync,
  chmodSync,
  constants,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  statSync
} from "node:fs";
import { dirname, join } from "node:path";
import Database from "better-sqlite3";

// src/data/storage.ts
var WORDS = [
  [
    /^(SQLITE_FULL|SQLITE_IOERR_SHMSIZE|ENOSPC|EDQUOT)/,
    () => "the disk is full. Make room on it, then try again."
  ],
  [
    /^(SQLITE_READONLY|EROFS)/,
    (where) => `${where} can only be read. Let the person the server runs as write there.`
  ],
  [
    /^(SQLITE_(CANTOPEN|PERM|AUTH)|EACCES|EPERM)/,
    (where) => `${where} belongs to somebody else or is closed to us. Give it to the person the server runs as.`
  ],
  [
    /^(SQLITE_(CORRUPT|NOTADB))/,
    (where) => `${where} is damaged. It was left as it is: put it aside and bring back the last backup (npm run kb -- restore FILE).`
  ],
  [/^(ENOENT|ENOTDIR)/, (where) => `${where} is not there. Correct the name, or make it.`],
  [/^(SQLITE_BUSY|SQLITE_LOCKED)/, () => "another program holds it. Close that, then try again."],
  [
    /^(SQLITE_IOERR|EIO)/,
    () => "the disk answers with faults. Copy what is on it, and replace it."
  ]
];
function knownWords(error, where) {
  const code = String(error?.code ?? "");
  return WORDS.find(([pattern]) => pattern.test(code))?.[1](where) ?? null;
}

// src/data/database.ts
var MIGRATIONS_FOLDER = join(
  /* turbopackIgnore: true */
  process.cwd(),
  "src/data/migrations"
);
var BUSY_TIMEOUT_MS = 5e3;
function readMigrations(folder = MIGRATIONS_FOLDER) {
  return readdirSync(folder).filter((name3) => /^\d{4}_.+\.sql$/.test(name3)).sort().map((name3) => ({
    version: Number(name3.slice(0, 4)),
    name: name3,
    sql: readFileSync(join(
      /* turbopackIgnore: true */
      folder,
      name3
    ), "utf8")
  }));
}
function openDatabase(file) {
  if (file === ":memory:") return prepare(new Database(file), file);
  return explained2(file, () => {
    refuseEmpty(file);
    mkdirSync(dirname(file), { recursive: true, mode: 448 });
    const db = prepare(new Database(file), file);
    chmodSync(file, 384);
    return db;
  });
}
function prepare(db, file) {
  try {
    db.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
    refuseNewer(db, file);
    db.pragma("journal_mode = WAL");
    db.pragma("synchronous = FULL");
    db.pragma("foreign_keys = ON");
    migrate(db);
    return db;
  } catch (error) {
    db.close();
    throw error;
  }
}
function explained2(file, open) {
  try {
    return open();
  } catch (error) {
    const words3 = knownWords(againstWriting(dirname(file)) ?? error, file);
    if (words3 === null) throw error;
    throw userFault("storage", "database", `Kettlebrand cannot open its database: ${words3}`);
  }
}
function againstWriting(folder) {
  try {
    accessSync(folder, constants.W_OK);
    return null;
  } catch (error) {
    return error;
  }
}
function refuseEmpty(file) {
  if (existsSync(file) && statSync(file).size === 0)
    throw userFault(
      "storage",
      "database",
      `${file} is empty: a copy broke off or the disk was full. Put it aside and bring back the last backup (npm run kb -- restore FILE).`
    );
}
function versionOf(db) {
  return db.pragma("user_version", { simple: true });
}
var newestSchema = () => readMigrations().at(-1).version;
function refuseNewer(db, file) {
  const newest = newestSchema();
  const found = versionOf(db);
  if (found > newest)
    throw userFault(
      "newerDatabase",
      "database",
      `The database ${file} has schema ${found}; this Kettlebrand knows up to ${newest}. It was written by a newer version and was left untouched. Update Kettlebrand, or point KETTLEBRAND_DATA at another folder.`
    );
}
function migrate(db) {
  for (const { version, sql } of readMigrations()) {
    db.transaction(() => {
      if (versionOf(db) >= version) return;
      db.exec(sql);
      db.pragma(`user_version = ${version}`);
    }).immediate();
  }
}
var statements = /* @__PURE__ */ new WeakMap();
function prepared(db, sql) {
  let known3 = statements.get(db);
  if (!known3) statements.set(db, known3 = /* @__PURE__ */ new Map());
  let statement = known3.get(sql);
  if (!statement) known3.set(sql, statement = db.prepare(sql));
  return statement;
}

// src/data/many.ts
var IDS = "(SELECT value FROM json_each(?))";
function allRows(db, sql, ...parameters) {
  const statement = prepared(db, sql);
  const names2 = statement.columns().map(({ name: name3 }) => name3);
  const rows = statement.raw(true).all(...parameters);
  statement.raw(false);
  return rows.map((values) => {
    const row = {};
    for (let i = 0; i < names2.length; i++) row[names2[i]] = values[i];
    return row;
  });
}
function groupedByOwner(db, sql, ids, complete4) {
  const rows = allRows(db, sql, JSON.stringify(ids));
  const groups = groupBy(rows, ({ owner }) => owner);
  const completed = new Map([...groups].map(([owner, group]) => [owner, group.map(complete4)]));
  return (owner) => completed.get(owner) ?? [];
}

// src/data/rows.ts
import { z as z6 } from "zod";

// src/data/clock.ts
var clock = { now: () => /* @__PURE__ */ new Date() };

// src/data/rows.ts
var bool = z6.union([z6.literal(0), z6.literal(1)]).transform((value) => value === 1);
function optional(schema) {
  return z6.preprocess((value) => value ?? void 0, schema.optional());
}
function json(schema) {
  return z6.string().transform((text3, context) => {
    const result = schema.safeParse(JSON.parse(text3));
    if (result.success) return result.data;
    context.addIssue({ code: "custom", message: `stored JSON: ${result.error.message}` });
    return z6.NEVER;
  });
}
function now() {
  return clock.now().toISOString();
}

// src/data/table.ts
function columnsOf(name3, field) {
  if (field.kind !== "range") return [{ parameter: name3, column: field.column ?? snakeCase(name3) }];
  return field.columns.map((column2, end) => ({ parameter: `${name3}${end}`, column: column2 }));
}
function tableOf3(name3, fields2) {
  const entries = entriesOf(fields2);
  const columns = entries.flatMap(([field, kind]) => columnsOf(field, kind));
  return {
    name: name3,
    fields: fields2,
    selected: (alias = name3, prefix = "") => columns.map(({ parameter, column: column2 }) => `${alias}.${column2} AS ${prefix}${parameter}`).join(", "),
    columns: columns.map(({ column: column2 }) => column2).join(", "),
    parameters: columns.map(({ parameter }) => `@${parameter}`).join(", "),
    sets: columns.map(({ parameter, column: column2 }) => `${column2} = @${parameter}`).join(", "),
    read: (row, prefix = "") => {
      const values = {};
      for (const [field, kind] of entries)
        values[field] = valueOf3(prefix + field, kind, row);
      return values;
    },
    write: (values) => {
      const given = values;
      const written = {};
      for (const [field, kind] of entries)
        Object.assign(written, parametersOf(field, kind, given[field]));
      return written;
    }
  };
}
function valueOf3(name3, field, row) {
  if (field.kind === "range") return [row[`${name3}0`], row[`${name3}1`]];
  const raw = row[name3];
  assert(raw !== void 0, `${name3} was not selected`);
  if (raw === null) return void 0;
  switch (field.kind) {
    case "flag":
      return raw === 1;
    case "words":
    case "notes":
    case "steps":
      return JSON.parse(String(raw));
    default:
      return raw;
  }
}
function parametersOf(name3, field, given) {
  const value = given === void 0 ? field.unsaid : given;
  if (field.kind === "range") {
    const ends = value;
    return { [`${name3}0`]: ends[0], [`${name3}1`]: ends[1] };
  }
  return { [name3]: value === void 0 ? null : sqlOf(field, value) };
}
function sqlOf({ kind }, value) {
  switch (kind) {
    case "flag":
      return Number(value);
    case "words":
    case "notes":
    case "steps":
      return JSON.stringify(value);
    default:
      return value;
  }
}

// src/data/dialIns.ts
var RECIPE_TABLE = tableOf3("recipe_draft", RECIPE);
var DRAFT_TABLE = tableOf3("recipe_draft", DRAFT);
var DRAFT_COLUMNS = `
  r.id, r.dial_in_id AS dialInId, d.release_id AS releaseId, d.batch_id AS batchId,
  d.setup_id AS setupId, d.style, r.revision, r.created_at AS createdAt, r.proposed,
  r.carried_from AS carriedFrom,
  ${RECIPE_TABLE.selected("r")}, ${DRAFT_TABLE.selected("r")}`;
function completeDraft(row) {
  const { id, dialInId, releaseId, batchId, setupId, style, ...rest } = row;
  const { revision, createdAt, carriedFrom, proposed } = rest;
  return {
    id,
    dialInId,
    releaseId,
    batchId,
    setupId,
    style,
    revision,
    createdAt,
    carriedFrom,
    recipe: withRatio(RECIPE_TABLE.read(row)),
    ...DRAFT_TABLE.read(row),
    proposed: proposed === null ? void 0 : JSON.parse(String(proposed))
  };
}
var SELECT_DRAFT = `
  SELECT ${DRAFT_COLUMNS} FROM recipe_draft r JOIN dial_in d ON d.id = r.dial_in_id`;
function findBenchDrafts(db, releaseIds) {
  return prepared(
    db,
    `${SELECT_DRAFT} WHERE r.id IN (SELECT draft_id FROM bench WHERE release_id IN ${IDS})`
  ).all(JSON.stringify(releaseIds)).map(completeDraft);
}
function findBenchDraft(db, releaseId) {
  return findBenchDrafts(db, [releaseId])[0] ?? null;
}
function putOnBench(db, releaseId, draftId) {
  prepared(
    db,
    `INSERT INTO bench (release_id, draft_id) VALUES (?, ?)
     ON CONFLICT (release_id) DO UPDATE SET draft_id = excluded.draft_id`
  ).run(releaseId, draftId);
}
function listOpenDrafts(db, releaseId) {
  return prepared(
    db,
    `${SELECT_DRAFT} WHERE d.release_id = ? AND r.revision =
       (SELECT max(revision) FROM recipe_draft WHERE dial_in_id = d.id AND drink = r.drink)
     ORDER BY r.created_at DESC, r.rowid DESC`
  ).all(releaseId).map(completeDraft);
}
function findDraft(db, id) {
  const row = prepared(db, `${SELECT_DRAFT} WHERE r.id = ?`).get(id);
  return row === void 0 ? null : completeDraft(row);
}
var MOST_BENCHES = 25;
function listBenchNames(db) {
  return prepared(
    db,
    `SELECT l.id, l.name FROM release l JOIN bench b ON b.release_id = l.id
     JOIN recipe_draft r ON r.id = b.draft_id WHERE l.removed_at IS NULL ORDER BY r.created_at DESC LIMIT ?`
  ).all(MOST_BENCHES);
}
function listDialIns(db, releaseIds) {
  return prepared(
    db,
    `SELECT id, release_id AS releaseId, batch_id AS batchId, setup_id AS setupId, style
     FROM dial_in WHERE release_id IN ${IDS} ORDER BY started_at, rowid`
  ).all(JSON.stringify(releaseIds));
}
function listNewestDialIns(db, most) {
  return prepared(
    db,
    `SELECT id, release_id AS releaseId, batch_id AS batchId, setup_id AS setupId, style
     FROM dial_in ORDER BY started_at DESC LIMIT ?`
  ).all(most);
}
function findDraftsOf(db, releaseIds) {
  const drafts = prepared(db, `${SELECT_DRAFT} WHERE d.release_id IN ${IDS}`).all(JSON.stringify(releaseIds)).map(completeDraft);
  return new Map(drafts.map((draft) => [draft.id, draft]));
}
function findDialIn(db, key) {
  const found = prepared(
    db,
    `SELECT id FROM dial_in
     WHERE release_id = @releaseId AND batch_id = @batchId AND setup_id = @setupId AND style = @style`
  ).get(key);
  return found?.id ?? null;
}
function ensureDialIn(db, newId, key, at3 = now()) {
  const found = findDialIn(db, key);
  if (found !== null) return found;
  prepared(
    db,
    `INSERT INTO dial_in (id, release_id, batch_id, setup_id, style, started_at)
     VALUES (@id, @releaseId, @batchId, @setupId, @style, @at)`
  ).run({ ...key, id: newId, at: at3 });
  return newId;
}
function insertDraft(db, id, dialInId, { recipe, proposed, carriedFrom, ...fields2 }, personId, at3 = now()) {
  prepared(
    db,
    `INSERT INTO recipe_draft (id, dial_in_id, revision, proposed, carried_from, created_at, created_by,
       ${RECIPE_TABLE.columns}, ${DRAFT_TABLE.columns})
     VALUES (@id, @dialInId,
       (SELECT coalesce(max(revision), 0) + 1 FROM recipe_draft WHERE dial_in_id = @dialInId),
       @proposed, @carriedFrom, @at, @personId, ${RECIPE_TABLE.parameters}, ${DRAFT_TABLE.parameters})`
  ).run({
    ...RECIPE_TABLE.write(recipe),
    ...DRAFT_TABLE.write(fields2),
    proposed: proposed === void 0 ? null : JSON.stringify(proposed),
    carriedFrom: carriedFrom ?? null,
    id,
    dialInId,
    at: at3,
    personId
  });
}

// src/data/house.ts
import { z as z9 } from "zod";

// src/core/language/language.ts
var LANGUAGES = ["en", "de", "fr", "it", "es", "pt"];
var LANGUAGE_NAMES = {
  en: "English",
  de: "Deutsch",
  fr: "Fran\xE7ais",
  it: "Italiano",
  es: "Espa\xF1ol",
  pt: "Portugu\xEAs"
};

// src/core/entity/house.ts
var HOUSE2 = {
  name: text2("name", { label: "Name of the roastery" }),
  brewStyle: word(STYLES, STYLE_LABELS, { label: "Brew style" }),
  temperatureSchool: word(TEMPERATURE_SCHOOLS, TEMPERATURE_SCHOOL_LABELS, {
    label: "Temperature school"
  }),
  restSchool: word(REST_SCHOOLS, REST_SCHOOL_LABELS, { label: "Rest school" }),
  clock: word(CLOCKS, CLOCK_LABELS, { label: "Clock" }),
  doseSchool: word(DOSE_SCHOOLS, DOSE_SCHOOL_LABELS, { label: "Dose", unsaid: "locked" }),
  headspace: word(HEADSPACES, HEADSPACE_LABELS, { label: "Basket", unsaid: "toRating" }),
  proofGoalPct: quantity2("proofGoalPct", { unsaid: 85 }),
  leastLiking: quantity2("leastLiking", { unsaid: 6 }),
  tasteFirst: flag({ label: "The house tastes first" }),
  doseToleranceG: quantity2("doseToleranceG", {}),
  yieldToleranceG: quantity2("yieldToleranceG", {}),
  /** Of fresh espresso with its crema: what a visible millilitre weighs. */
  cremaGPerMl: quantity2("cremaGPerMl", { step: 0.05, unsaid: USUAL_CREMA_G_PER_ML }),
  /** Of the water it brews with, as CaCO₃; said on the card where known. */
  waterHardnessMgL: quantity2("waterMgL", {
    label: "Hardness",
    isOpen: true,
    column: "water_hardness_mg_l"
  }),
  waterAlkalinityMgL: quantity2("waterMgL", {
    label: "Alkalinity",
    isOpen: true,
    column: "water_alkalinity_mg_l"
  }),
  /** The language the house's own words on cards are in. */
  cardLanguage: word(LANGUAGES, LANGUAGE_NAMES, {
    label: "Own words on cards are in",
    unsaid: "en"
  }),
  /** Where the house likes its cups to lie; drawn beside shots, and nothing is judged by it. */
  tdsFromPct: quantity2("tdsPct", { label: "Strength from", isOpen: true }),
  tdsToPct: quantity2("tdsPct", { label: "Strength to", isOpen: true }),
  extractionFromPct: quantity2("extractionPct", { label: "Extraction from", isOpen: true }),
  extractionToPct: quantity2("extractionPct", { label: "Extraction to", isOpen: true }),
  /** ISO 4217. */
  currency: text2("note", { label: "Currency" }),
  coffeePricePerKg: quantity2("pricePerKg", { isOpen: true }),
  /** By its name in the public list of zones, as Europe/Madrid; the machine's when empty. */
  timeZone: text2("note", { label: "Time zone", unsaid: "" }),
  publicAddress: text2("address", { label: "Public address", unsaid: "" }),
  /** Where the cards are also put as a folder for a web host; nowhere when empty. */
  siteFolder: text2("address", { label: "Folder of the cards for a web host", unsaid: "" }),
  backupFolder: text2("address", { label: "Folder of the backups", unsaid: "" }),
  backupDays: quantity2("backupDays", { isWhole: true, unsaid: 7 }),
  backupWeeks: quantity2("backupWeeks", { isWhole: true, unsaid: 8 })
};

// src/core/extraction/drinks.ts
import { z as z7 } from "zod";
var FILLS = ["none", "milk", "water"];
var SHOTS = [0.5, 1, 2];
var drinkSchema = z7.strictObject({
  name: text("Drink", "note"),
  cupMl: quantity("cupMl"),
  shots: z7.union(SHOTS.map((share) => z7.literal(share))),
  fill: oneOf("Filled with", FILLS)
});

// src/core/schema/ownRule.ts
import { z as z8 } from "zod";
var MOST2 = 100;
var ownRuleSchema = z8.strictObject({
  factor: oneOf("Factor", EDITABLE_FACTORS),
  output: oneOf("Output", OUTPUTS),
  mean: z8.number({ error: "The figure of a rule is not a number. Enter one, or reset the rule." }).min(-MOST2).max(MOST2, { error: `A rule beyond ${MOST2} is a slip. Enter a smaller figure.` }),
  sd: z8.number({ error: "The \xB1 of a rule is not a number. Enter one, or reset the rule." }).positive({ error: "The \xB1 of a rule is 0 or less. Enter how far it may be off." }).max(MOST2, { error: `A \xB1 beyond ${MOST2} is a slip. Enter a smaller figure.` })
});
var ownRulesSchema = z8.array(ownRuleSchema).max(EDITABLE_FACTORS.length * OUTPUTS.length).refine(
  (rules) => new Set(rules.map(({ factor, output }) => `${factor} ${output}`)).size === rules.length,
  { error: "One rule is given twice. Keep one of them." }
);

// src/data/house.ts
var roastReading = z9.object({
  roastLevel: z9.number(),
  colourBean: z9.number().optional(),
  colourGround: z9.number().optional()
});
var lists = z9.object({
  rowVersion: z9.number(),
  closedWeekdays: json(z9.array(z9.number())),
  closedDates: json(z9.array(z9.string())),
  roastMap: json(z9.array(roastReading)),
  rules: json(z9.array(ownRuleSchema)),
  /** The cups of its bar, for the table on cards. */
  drinks: json(z9.array(drinkSchema)),
  /** Releases after which a past recipe counts half; undefined when it never fades. */
  halfLife: optional(z9.number())
});
var HOUSE_TABLE = tableOf3("house", HOUSE2);
function findHouse(db) {
  const row = prepared(
    db,
    `SELECT ${HOUSE_TABLE.selected()}, row_version AS rowVersion, closed_weekdays AS closedWeekdays,
       closed_dates AS closedDates, roast_map AS roastMap, rules, drinks, half_life AS halfLife
     FROM house WHERE id = 1`
  ).get();
  return row === void 0 ? null : { ...HOUSE_TABLE.read(row), ...lists.parse(row) };
}

// src/data/people.ts
import { z as z10 } from "zod";

// src/core/roles.ts
var ROLES = ["lead", "bench", "reader"];

// src/data/people.ts
var personRow = z10.object({
  id: z10.string(),
  name: z10.string(),
  role: z10.enum(ROLES),
  signInName: z10.string().nullable(),
  volume: z10.enum(VOLUME_UNITS),
  temperature: z10.enum(TEMPERATURE_UNITS)
}).transform(({ volume, temperature, ...row }) => ({ ...row, units: { volume, temperature } }));
var SELECT = `
  SELECT id, name, role, sign_in_name AS signInName, volume_unit AS volume,
         temperature_unit AS temperature
  FROM person`;
function listPeople(db) {
  return prepared(db, `${SELECT} WHERE removed_at IS NULL ORDER BY role <> 'lead', role, name`).all().map((row) => personRow.parse(row));
}
function findLead(db) {
  const row = prepared(
    db,
    `${SELECT} WHERE role = 'lead' AND removed_at IS NULL ORDER BY created_at LIMIT 1`
  ).get();
  return row === void 0 ? null : personRow.parse(row);
}
var keyRow = z10.object({ id: z10.string(), passwordHash: z10.string() });

// src/core/entity/batch.ts
var BATCH2 = {
  roastDate: day2({
    label: "Roast date",
    isPublished: true,
    headers: ["roast date", "roasted", "roasted on", "date"]
  }),
  roastLevel: quantity2("roastLevel", {
    label: "Roast, in the house\u2019s word",
    named: ROAST_WORDS,
    isOpen: true,
    headers: ["roast", "roast level", "roast degree"]
  }),
  label: text2("note", {
    label: "Name of the batch",
    hint: "If there are several",
    unsaid: "",
    headers: ["batch", "batch name", "lot"]
  }),
  colourGround: quantity2("colourGround", {
    label: "Colour of the ground coffee",
    hint: "Is used instead of the name",
    step: 1,
    isOpen: true,
    headers: ["colour ground", "color ground", "ground colour", "ground color"]
  }),
  colourBean: quantity2("colourBean", {
    label: "Colour of the bean",
    hint: "Counts by the house\u2019s own map",
    step: 1,
    isOpen: true,
    headers: ["colour bean", "color bean", "bean colour", "whole bean colour"]
  }),
  crush: word(CRUSHES, CRUSH_LABELS, {
    label: "Crush test",
    hint: "A cool bean under the thumb, on a hard surface; a weak reading",
    isOpen: true,
    headers: ["thumb", "crush"]
  }),
  weightLossPct: quantity2("weightLossPct", {
    step: 0.1,
    isOpen: true,
    headers: ["weight loss pct", "weight loss", "roast loss", "loss"]
  }),
  /** Of the components in their order, where this roast was blended otherwise. */
  sharesPct: text2("name", {
    label: "Shares of this batch, %",
    unsaid: "",
    headers: ["shares pct", "batch shares", "shares"]
  }),
  sampleG: quantity2("sampleG", {
    hint: "For dial-in and checks",
    step: 50,
    isOpen: true,
    headers: ["sample g", "sample"]
  })
};

// src/core/entity/component.ts
var COMPONENT = {
  sharePct: quantity2("sharePct", {
    step: 5,
    isPublished: true,
    headers: ["share pct", "share", "percentage", "part"]
  }),
  country: text2("name", {
    label: "Country",
    unsaid: "",
    isPublished: true,
    headers: ["country", "origin"]
  }),
  region: text2("name", {
    label: "Region",
    unsaid: "",
    isPublished: true,
    headers: ["region", "area"]
  }),
  producer: text2("name", {
    label: "Producer",
    unsaid: "",
    isPublished: true,
    headers: ["producer", "farm", "station", "grower"]
  }),
  variety: text2("name", {
    label: "Variety",
    unsaid: "",
    isPublished: true,
    headers: ["variety", "varietal", "cultivar"]
  }),
  varietyClass: word(VARIETY_CLASSES, VARIETY_LABELS, {
    label: "Variety class",
    isOpen: true,
    isPublished: true,
    headers: ["variety class", "class"]
  }),
  process: word(PROCESSES, PROCESS_LABELS, {
    label: "Process",
    isOpen: true,
    isPublished: true,
    headers: ["process", "processing"]
  }),
  altitudeM: quantity2("altitudeM", {
    step: 50,
    isOpen: true,
    isPublished: true,
    headers: ["altitude m", "altitude", "elevation", "masl"]
  }),
  altitudeToM: quantity2("altitudeM", {
    label: "Altitude, up to",
    hint: "If the bag gives a range",
    step: 50,
    isOpen: true,
    isPublished: true
  }),
  densityGPerL: quantity2("densityGPerL", {
    label: "Green density, measured",
    hint: "Wins over altitude",
    step: 5,
    isOpen: true,
    isPublished: true,
    headers: ["density g per l", "density", "green density"]
  }),
  moisturePct: quantity2("moisturePct", {
    step: 0.1,
    isOpen: true,
    headers: ["moisture pct", "moisture"]
  }),
  harvest: text2("note", {
    label: "Harvest",
    unsaid: "",
    isPublished: true,
    headers: ["harvest", "crop", "crop year", "harvested"]
  }),
  lot: text2("note", {
    label: "Lot",
    unsaid: "",
    isPublished: true,
    headers: ["lot number", "lot id"]
  }),
  certification: text2("name", {
    label: "Certification",
    unsaid: "",
    isPublished: true,
    headers: ["certification", "certificates", "certified"]
  }),
  cupScore: quantity2("cupScore", {
    hint: "Of the green coffee, 0-100",
    step: 0.25,
    isOpen: true,
    headers: ["cup score", "cupping score", "green score"]
  })
};

// src/core/entity/release.ts
var RELEASE = {
  name: text2("name", {
    label: "Name of the release",
    isPublished: true,
    headers: ["release", "name", "coffee", "coffee name"]
  }),
  serving: word(SERVED, SERVED_LABELS, {
    label: "Served",
    unsaid: "both",
    isPublished: true,
    headers: ["served", "serving"]
  }),
  /** May a dial-in of this coffee touch the dose? As the house does when unsaid. */
  doseSchool: word(DOSE_SCHOOLS, DOSE_SCHOOL_LABELS, {
    label: "Dose while dialling in",
    hint: "Empty: as the house does",
    isOpen: true,
    headers: ["dose school"]
  }),
  promisedNotes: notes({
    label: "Promised notes",
    oneLabel: "A promised note",
    hint: "Separated by commas",
    most: 12,
    unsaid: [],
    isPublished: true,
    headers: ["notes", "promised notes", "tasting notes", "flavour notes", "flavor notes"]
  }),
  /** A menu, a season, a customer: lists are narrowed by them. */
  tags: notes({
    label: "Tags",
    oneLabel: "A tag",
    hint: "The house\u2019s own, separated by commas: a menu, a season",
    most: 12,
    unsaid: [],
    headers: ["tags", "labels"]
  }),
  pricePerKg: quantity2("pricePerKg", {
    hint: "This coffee\u2019s own; empty for the house\u2019s usual",
    step: 1,
    isOpen: true,
    headers: ["price per kg", "price"]
  }),
  /** Kept beside the proposal, and never taken for an overruling of it. */
  suggestedRecipe: text2("words", {
    label: "Recipe its supplier suggests",
    hint: "In their words; shown beside the proposal",
    unsaid: "",
    headers: ["suggested recipe", "supplier recipe", "importer recipe"]
  }),
  contains: text2("words", {
    label: "Allergens and added flavours",
    hint: "On the card. What must be declared, local food-labelling law decides",
    unsaid: "",
    isPublished: true,
    headers: ["contains", "allergens", "added flavours", "flavourings"]
  }),
  story: text2("story", {
    label: "Story",
    hint: "On the public page",
    unsaid: "",
    isPublished: true,
    headers: ["story", "description"]
  }),
  freeNotes: text2("story", {
    label: "Notes of the house",
    hint: "Stay in the house",
    unsaid: "",
    headers: ["house notes", "free notes", "internal notes"]
  }),
  /** The house is done with it: left out of what is at hand, and of nothing else. */
  isArchived: flag({ label: "Archived", unsaid: false, headers: ["archived"] })
};

// src/core/rest/bags.ts
function spellsOf(bag, roastDate) {
  if (bag?.frozenOn === void 0) return [];
  const { frozenOn, thawedOn } = bag;
  if (thawedOn !== void 0 && daysBetween(roastDate, thawedOn) < 0) return [];
  const from = daysBetween(roastDate, frozenOn) < 0 ? roastDate : frozenOn;
  return [{ from, to: thawedOn }];
}

// src/core/entity/sample.ts
var SAMPLE = {
  label: text2("note", { label: "Bag" }),
  bagG: quantity2("bagG", { step: 50 }),
  place: text2("note", { label: "Where it lies", unsaid: "" }),
  frozenOn: day2({ label: "Frozen on", isOpen: true }),
  /** Counts as a day of rest. */
  thawedOn: day2({ label: "Thawed on", hint: "Empty while it is frozen", isOpen: true })
};

// src/data/samples.ts
var TABLE = tableOf3("sample", SAMPLE);
var SPENT = `
  SELECT coalesce(sum(s.dose_g + CASE WHEN s.purged = 0 THEN 0
    ELSE coalesce(s.purge_g, 2 * g.retention_g) END), 0)
  FROM shot s JOIN recipe_draft r ON r.id = s.recipe_draft_id JOIN dial_in d ON d.id = r.dial_in_id
  JOIN setup u ON u.id = d.setup_id JOIN grinder g ON g.id = u.grinder_id
  WHERE s.sample_id = x.id AND s.removed_at IS NULL`;
var SELECT2 = `
  SELECT x.batch_id AS owner, x.id, x.row_version AS rowVersion, (${SPENT}) AS spentG,
    ${TABLE.selected("x")}
  FROM sample x WHERE x.batch_id IN ${IDS} AND x.removed_at IS NULL ORDER BY x.batch_id, x.made_at, x.id`;
function samplesOfBatches(db, batchIds) {
  return groupedByOwner(db, SELECT2, batchIds, (row) => {
    const { id, rowVersion, spentG } = row;
    return { id, rowVersion, spentG, ...TABLE.read(row) };
  });
}

// src/data/releases.ts
var RELEASE_TABLE = tableOf3("release", RELEASE);
var COMPONENT_TABLE = tableOf3("component", COMPONENT);
var BATCH_TABLE = tableOf3("batch", BATCH2);
var SELECT_RELEASE = `
  SELECT id, row_version AS rowVersion, created_at AS createdAt, rest_opens AS opens,
    rest_best_from AS bestFrom, rest_best_to AS bestTo, rest_fades AS fades, ${RELEASE_TABLE.selected()}
  FROM release`;
var SELECT_COMPONENTS = `
  SELECT release_id AS owner, id, ${COMPONENT_TABLE.selected()}
  FROM component WHERE release_id IN ${IDS} ORDER BY release_id, position`;
var SELECT_BATCHES = `
  SELECT release_id AS owner, id, row_version AS rowVersion, open_sample_id AS openSampleId,
    ${BATCH_TABLE.selected()}
  FROM batch WHERE release_id IN ${IDS} AND removed_at IS NULL
  ORDER BY roast_date DESC, id DESC`;
function completeComponent(row) {
  return { id: row.id, ...COMPONENT_TABLE.read(row) };
}
function completeBatch(row) {
  const { id, rowVersion, openSampleId } = row;
  return { id, rowVersion, openSampleId, ...BATCH_TABLE.read(row) };
}
function withSamples(batch, samples) {
  const open = samples.find(({ id }) => id === batch.openSampleId);
  return { ...batch, samples, frozen: spellsOf(open, batch.roastDate) };
}
function spanFrom(row) {
  const { opens, bestFrom, bestTo, fades } = row;
  return opens === null || bestFrom === null || bestTo === null || fades === null ? void 0 : { opens, bestFrom, bestTo, fades };
}
function complete(db, rows) {
  const ids = rows.map((row) => row.id);
  const componentsOf = groupedByOwner(db, SELECT_COMPONENTS, ids, completeComponent);
  const batchesOf = groupedByOwner(db, SELECT_BATCHES, ids, completeBatch);
  const samplesOf = samplesOfBatches(
    db,
    ids.flatMap((id) => batchesOf(id).map((batch) => batch.id))
  );
  return rows.map((row) => {
    const { id, rowVersion, createdAt } = row;
    return {
      id,
      rowVersion,
      createdAt,
      ...RELEASE_TABLE.read(row),
      span: spanFrom(row),
      components: componentsOf(id),
      batches: batchesOf(id).map((batch) => withSamples(batch, samplesOf(batch.id)))
    };
  });
}
function findReleases(db, ids) {
  const rows = prepared(
    db,
    `${SELECT_RELEASE} WHERE id IN ${IDS} AND removed_at IS NULL
     ORDER BY created_at DESC, rowid DESC`
  ).all(JSON.stringify(ids));
  return complete(db, rows);
}
function listReleases(db) {
  return complete(
    db,
    allRows(db, `${SELECT_RELEASE} WHERE removed_at IS NULL ORDER BY created_at DESC, rowid DESC`)
  );
}
function findRelease(db, id) {
  return findReleases(db, [id])[0] ?? null;
}
function listAtHand(db, roastedSince) {
  const rows = prepared(
    db,
    `SELECT id FROM release l WHERE removed_at IS NULL AND is_archived = 0 AND (
       EXISTS (SELECT 1 FROM batch b WHERE b.release_id = l.id AND b.removed_at IS NULL
               AND b.roast_date >= ?)
       OR EXISTS (SELECT 1 FROM publication p WHERE p.release_id = l.id AND p.withdrawn_at IS NULL))`
  ).all(roastedSince);
  return rows.map(({ id }) => id);
}
var RECENT_EVENTS = 400;
function listRecentReleases(db, most) {
  return prepared(
    db,
    `SELECT l.id, l.name FROM release l LEFT JOIN (
       SELECT release_id, max(n) AS n FROM (
         SELECT rowid AS n, release_id FROM event ORDER BY rowid DESC LIMIT ${RECENT_EVENTS})
       WHERE release_id IS NOT NULL GROUP BY release_id) e ON e.release_id = l.id
     WHERE l.removed_at IS NULL AND l.is_archived = 0 ORDER BY e.n DESC NULLS LAST, l.created_at DESC LIMIT ?`
  ).all(most);
}
function insertRelease(db, id, fields2, personId) {
  prepared(
    db,
    `INSERT INTO release (id, created_at, created_by, ${RELEASE_TABLE.columns})
     VALUES (@id, @at, @personId, ${RELEASE_TABLE.parameters})`
  ).run({ ...RELEASE_TABLE.write(fields2), id, at: now(), personId });
  insertComponents(db, id, fields2.components);
}
function insertComponents(db, releaseId, components) {
  const insert = prepared(
    db,
    `INSERT INTO component (id, release_id, position, ${COMPONENT_TABLE.columns})
     VALUES (@id, @releaseId, @position, ${COMPONENT_TABLE.parameters})`
  );
  components.forEach(
    (component, i) => insert.run({
      ...COMPONENT_TABLE.write(component),
      id: `${releaseId}-${i + 1}`,
      releaseId,
      position: i + 1
    })
  );
}
function insertBatch(db, id, releaseId, fields2) {
  prepared(
    db,
    `INSERT INTO batch (id, release_id, ${BATCH_TABLE.columns})
     VALUES (@id, @releaseId, ${BATCH_TABLE.parameters})`
  ).run({ ...BATCH_TABLE.write(fields2), id, releaseId });
}

// src/data/shots.ts
import { z as z11 } from "zod";

// src/core/entity/shot.ts
var SHOT = {
  dial: quantity2("dial", {
    headers: ["dial", "grind", "grind setting", "grinder setting", "setting"]
  }),
  doseG: quantity2("doseG", { headers: ["dose", "in", "dose in"] }),
  /** Dose aimed at when it was trimmed on purpose; the recipe's dose when unknown. */
  aimDoseG: quantity2("doseG", { label: "Dose aimed at", isOpen: true }),
  yieldG: quantity2("shotYieldG", { headers: ["yield", "out", "beverage", "beverage mass", "cup"] }),
  /** As read on a cup's marks; the mass is then worked out from it, and rough. */
  yieldMl: quantity2("shotYieldMl", {
    isOpen: true,
    headers: ["yield ml", "yield volume", "volume", "cup volume", "beverage volume"]
  }),
  timeS: quantity2("timeS", { headers: ["time", "shot time", "brew time", "extraction time"] }),
  firstDripS: quantity2("firstDripS", { isOpen: true, headers: ["first drip", "drip"] }),
  clock: word(CLOCKS, CLOCK_LABELS, { label: "Clock", headers: ["clock", "time counts"] }),
  temperatureC: quantity2("temperatureC", {
    step: 0.5,
    headers: ["temperature", "temp", "water temperature", "brew temperature", "brew temp"]
  }),
  purged: flag({ label: "Purged", unsaid: false, headers: ["purged", "purge"] }),
  /** Grams purged; a tick without a figure counts as twice the retention. */
  purgeG: quantity2("purgeG", { isOpen: true, headers: ["purge weight", "purged amount"] }),
  seen: words(SEEN, SEEN_LABELS, {
    label: "Seen",
    unsaid: [],
    headers: ["seen", "looks", "flow"]
  }),
  /** How the beans went into the grinder. */
  beans: word(BEAN_STATES, BEAN_STATE_LABELS, {
    label: "Beans",
    unsaid: "room",
    headers: ["bean state", "beans were"]
  }),
  /** When the stream turned pale, from the pump. */
  blondS: quantity2("blondS", { label: "Turns pale at", step: 0.5, isOpen: true }),
  puck: text2("remark", { label: "Spent puck", unsaid: "", headers: ["spent puck", "puck"] }),
  /** What ran into the cup after the pump stopped, off the scale. */
  overrunG: quantity2("overrunG", { isOpen: true }),
  tdsPct: quantity2("tdsPct", { isOpen: true, headers: ["tds", "strength"] }),
  /** A shot of the simulator: it is shown as such and publishes nothing. */
  isSimulated: flag({ label: "Simulated", unsaid: false }),
  /** Why it was pulled otherwise than advised; unknown when the advice was followed. */
  overruled: text2("words", { label: "Why you overrule the advice", isOpen: true }),
  remark: text2("remark", { label: "Remark", unsaid: "", headers: ["remark", "comment", "notes"] })
};

// src/core/rest/batchRest.ts
function batchRestDays({ roastDate, frozen = [] }, on) {
  return Math.min(LIMITS.restDays.max, Math.max(0, restDaysOn(roastDate, frozen, on)));
}

// src/data/today.ts
function today() {
  return dayOf(clock.now());
}
var two = (part) => String(part).padStart(2, "0");
function dayOf(moment) {
  const at3 = new Date(moment);
  return `${at3.getFullYear()}-${two(at3.getMonth() + 1)}-${two(at3.getDate())}`;
}
function timeOf2(moment) {
  const at3 = new Date(moment);
  return `${two(at3.getHours())}:${two(at3.getMinutes())}:${two(at3.getSeconds())}`;
}

// src/data/shots.ts
var SHOT_TABLE = tableOf3("shot", SHOT);
var SHOT_COLUMNS = `
  s.id, s.row_version AS rowVersion, s.recipe_draft_id AS draftId, s.pulled_at AS pulledAt, p.name AS pulledBy,
  EXISTS (SELECT 1 FROM flight_cup c WHERE c.shot_id = s.id) AS isOfFlight, s.sample_id AS sampleId,
  (SELECT x.frozen_on FROM sample x WHERE x.id = s.sample_id) AS frozenOn,
  (SELECT x.thawed_on FROM sample x WHERE x.id = s.sample_id) AS thawedOn,
  ${SHOT_TABLE.selected("s")}`;
var SELECT_SHOT = `
  SELECT r.dial_in_id AS owner, b.roast_date AS roastDate, r.drink, ${SHOT_COLUMNS}
  FROM shot s JOIN recipe_draft r ON r.id = s.recipe_draft_id
  JOIN dial_in d ON d.id = r.dial_in_id JOIN batch b ON b.id = d.batch_id
  JOIN person p ON p.id = s.pulled_by`;
function completeShot(row) {
  const { id, rowVersion, draftId, drink, pulledAt, pulledBy, isOfFlight, ...rest } = row;
  const { sampleId, roastDate, frozenOn, thawedOn } = rest;
  const bag = { frozenOn: frozenOn ?? void 0, thawedOn: thawedOn ?? void 0 };
  const frozen = spellsOf(bag, roastDate);
  return Object.assign(SHOT_TABLE.read(row), {
    id,
    rowVersion,
    draftId,
    drink,
    pulledAt,
    pulledBy,
    sampleId,
    restDays: batchRestDays({ roastDate, frozen }, dayOf(pulledAt)),
    isOfFlight: Boolean(isOfFlight)
  });
}
function shotsOfDialIns(db, dialInIds) {
  const sql = `${SELECT_SHOT} WHERE r.dial_in_id IN ${IDS} AND s.removed_at IS NULL
     ORDER BY s.pulled_at, s.rowid`;
  return groupedByOwner(db, sql, dialInIds, completeShot);
}
function listShots(db, dialInId) {
  return shotsOfDialIns(db, [dialInId])(dialInId);
}
function insertShot(db, id, fields2, personId) {
  prepared(
    db,
    `INSERT INTO shot (id, recipe_draft_id, pulled_at, pulled_by, sample_id, ${SHOT_TABLE.columns})
     VALUES (@id, @draftId, @pulledAt, @personId, @sampleId, ${SHOT_TABLE.parameters})`
  ).run({
    ...SHOT_TABLE.write(fields2),
    id,
    personId,
    draftId: fields2.draftId,
    pulledAt: fields2.pulledAt ?? now(),
    sampleId: fields2.sampleId ?? null
  });
}
var whereaboutsRow = z11.object({
  releaseId: z11.string(),
  draftId: z11.string(),
  pulledAt: z11.string(),
  removed: bool
});
var massesRow = z11.object({ doseG: z11.number(), yieldG: z11.number() });
function spentOfBatches(db, batchIds) {
  const sql = `
    SELECT d.batch_id AS owner, s.dose_g AS doseG, s.purged, s.purge_g AS purgeG,
      g.retention_g AS retentionG
    FROM dial_in d JOIN recipe_draft r ON r.dial_in_id = d.id
    JOIN shot s ON s.recipe_draft_id = r.id
    JOIN setup u ON u.id = d.setup_id JOIN grinder g ON g.id = u.grinder_id
    WHERE d.batch_id IN ${IDS} AND s.removed_at IS NULL`;
  return groupedByOwner(db, sql, batchIds, (row) => {
    const { doseG: doseG2, purged, purgeG, retentionG } = row;
    return {
      doseG: doseG2,
      purged: purged === 1,
      purgeG: purgeG ?? void 0,
      retentionG
    };
  });
}

// src/core/entity/equipment.ts
var MACHINE3 = {
  name: text2("name", { label: "Machine" }),
  settableTemperature: flag({ label: "Temperature can be set" }),
  fixedTemperatureC: quantity2("temperatureC", {
    label: "It stands at",
    hint: "At the group",
    step: 0.5,
    isOpen: true
  }),
  /** Temperature on the display minus temperature at the group. */
  displayOffsetC: quantity2("displayOffsetC", {
    hint: "Measured at the group; empty if not known",
    step: 0.5,
    isOpen: true
  }),
  boiler: word(BOILERS, BOILER_LABELS, { label: "Brewing water comes from", isOpen: true }),
  /** Seconds of water let through the group before the portafilter goes in. */
  flushS: quantity2("flushS", {
    label: "Flush before a shot",
    hint: "Empty if none is needed",
    step: 1,
    isOpen: true
  }),
  /** What still runs into the cup after the pump stops. */
  overrunG: quantity2("overrunG", {
    label: "Drips after the stop",
    hint: "Into the cup, after the pump stops",
    step: 0.5,
    isOpen: true
  }),
  pressureControl: flag({ label: "Pressure can be programmed" }),
  flowControl: flag({ label: "Flow can be programmed" }),
  preinfusion: flag({ label: "Pre-infusion" })
};
var GRINDER2 = {
  name: text2("name", { label: "Grinder" }),
  finerIs: word(
    ["lower", "higher"],
    { lower: "lower numbers", higher: "higher numbers" },
    {
      label: "Finer is"
    }
  ),
  /** How its settings are written; they are counted in one figure all the same. */
  notation: word(NOTATIONS, NOTATION_LABELS, { label: "The dial shows", unsaid: "numbers" }),
  /** Letters between two numbers, or marks to a turn. */
  divisions: quantity2("divisions", {
    label: "Letters to a number",
    step: 1,
    isWhole: true,
    isOpen: true
  }),
  retentionG: quantity2("retentionG", { hint: "Grounds that stay inside", step: 0.1 }),
  min: quantity2("dial", { label: "Lowest dial", step: 1, column: "dial_min" }),
  max: quantity2("dial", { label: "Highest dial", step: 1, column: "dial_max" }),
  /** Turns without steps; `stepSize` is then what a hand can repeat. */
  stepless: flag({ label: "Steps", unsaid: false }),
  stepSize: quantity2("stepSize", {
    label: "One step on the dial",
    hint: "The smallest move that is proposed",
    step: 0.1
  }),
  /** Finest dial that still lets water through; finer ones are never proposed. */
  chokesAt: quantity2("dial", {
    label: "Choke point",
    hint: "If known: finer is never proposed",
    step: 1,
    isOpen: true
  }),
  /** What one step changes in a shot of about 28 s; believed before the burr travel. */
  secondsPerStep: quantity2("secondsPerStep", {
    label: "What one step changes",
    hint: "In a shot of 28 s, if you know it",
    step: 0.5,
    isOpen: true
  }),
  /** Half of the 80 % interval of `secondsPerStep`, as calibrated. */
  secondsPerStepHalf80: quantity2("secondsPerStepHalf80", {
    label: "What one step changes, \xB1",
    isOpen: true,
    column: "seconds_per_step_half80"
  }),
  /** Dial at which the house's usual coffee runs 28 s from the pump. */
  referenceDial: quantity2("dial", {
    label: "Dial where your usual coffee runs 28 s",
    step: 0.5,
    isOpen: true
  }),
  /** Burr travel of one step. */
  umPerStep: quantity2("umPerStep", {
    label: "Burr travel of one step",
    hint: "If you know no seconds",
    step: 1,
    isOpen: true
  })
};
var BASKET2 = {
  name: text2("name", { label: "Basket" }),
  diameterMm: quantity2("diameterMm", { label: "Diameter", step: 1 }),
  depthMm: quantity2("depthMm", {
    label: "Depth",
    hint: "Inside, from rim to floor",
    step: 1,
    isOpen: true
  }),
  ratedG: quantity2("ratedG", { label: "Rated for", step: 0.5 }),
  /** With a valve that makes its own resistance. */
  pressurised: flag({ label: "Pressurised" })
};
var PARTS = { machine: MACHINE3, grinder: GRINDER2, basket: BASKET2 };
var PART_NAMES = Object.keys(PARTS);

// src/core/entity/setup.ts
var link = (instrument) => word(LINKS, LINK_LABELS, { label: INSTRUMENT_LABELS[instrument], unsaid: "none" });
var SETUP = { name: text2("name", { label: "Name of the setup" }) };
var SETUP_LINKS = {
  scale: link("scale"),
  machineLink: link("machineLink"),
  refractometer: link("refractometer"),
  colourMeter: link("colourMeter")
};

// src/data/equipment.ts
var PART_TABLES = {
  machine: tableOf3("machine", MACHINE3),
  grinder: tableOf3("grinder", GRINDER2),
  basket: tableOf3("basket", BASKET2)
};
var tableOfPart = (part) => PART_TABLES[part];
function partColumns(part, prefix = "") {
  const identity = `${part}.id AS ${prefix}id, ${part}.row_version AS ${prefix}rowVersion`;
  return `${identity}, ${tableOfPart(part).selected(part, prefix)}`;
}
function readPart(part, row, prefix = "") {
  const raw = row;
  return {
    id: raw[`${prefix}id`],
    rowVersion: raw[`${prefix}rowVersion`],
    ...tableOfPart(part).read(row, prefix)
  };
}

// src/data/setups.ts
var SETUP_TABLE = tableOf3("setup", SETUP);
var LINKS_TABLE = tableOf3("setup", SETUP_LINKS);
var SELECT3 = `
  SELECT u.id, u.row_version AS rowVersion, ${SETUP_TABLE.selected("u")}, ${LINKS_TABLE.selected("u")},
         ${PART_NAMES.map((part) => partColumns(part, part)).join(", ")}
  FROM setup u ${PART_NAMES.map((part) => `JOIN ${part} ON ${part}.id = u.${part}_id`).join(" ")}`;
function complete2(row) {
  const { id, rowVersion } = row;
  return {
    id,
    rowVersion,
    ...SETUP_TABLE.read(row),
    links: LINKS_TABLE.read(row),
    machine: readPart("machine", row, "machine"),
    grinder: readPart("grinder", row, "grinder"),
    basket: readPart("basket", row, "basket")
  };
}
function listSetups(db) {
  return prepared(db, `${SELECT3} WHERE u.removed_at IS NULL ORDER BY u.created_at, u.rowid`).all().map(complete2);
}
function allSetups(db) {
  const setups = prepared(db, SELECT3).all().map(complete2);
  return new Map(setups.map((setup) => [setup.id, setup]));
}
function findSetup(db, id) {
  const row = prepared(db, `${SELECT3} WHERE u.id = ?`).get(id);
  return row === void 0 ? null : complete2(row);
}
var PART_SETS = PART_NAMES.map((part) => `${part}_id = @${part}Id`).join(", ");

// src/core/entity/tasting.ts
var scale = (label, headers) => quantity2("cup", { label, headers, isOpen: true });
var SCALES = {
  acidity: scale("Acidity", ["acidity"]),
  sharpness: scale("Sharpness", ["sharpness", "sourness"]),
  sweetness: scale("Sweetness", ["sweetness"]),
  bitterness: scale("Bitterness", ["bitterness"]),
  dryness: scale("Dryness", ["dryness", "astringency"]),
  body: scale("Body", ["body", "mouthfeel"]),
  clarity: scale("Clarity", ["clarity", "clean cup"]),
  strength: quantity2("strength", { label: "Strength", headers: ["strength"], isOpen: true }),
  liking: scale("Liking", ["liking", "score", "overall", "rating"]),
  /** Words ticked beside the scales. */
  signs: words(TASTE_SIGNS, TASTE_SIGN_LABELS, {
    label: "Signs",
    headers: ["signs", "defects"],
    isOpen: true
  })
};
var TASTING = {
  moment: word(MOMENTS, MOMENT_LABELS, {
    label: "Moment",
    headers: ["moment", "cup temperature"]
  }),
  serving: word(SERVINGS, SERVING_LABELS, { label: "Served", headers: ["served", "serving"] }),
  notesFound: notes({
    label: "Notes found",
    oneLabel: "A note",
    most: 24,
    unsaid: [],
    headers: ["notes found", "notes", "flavours", "flavors"]
  }),
  remark: text2("remark", { label: "Remark", unsaid: "", headers: ["remark", "comment"] })
};

// src/data/tastings.ts
var TASTING_TABLE = tableOf3("tasting", TASTING);
var TASTER_COLUMNS = `
  COALESCE(t.guest, p.name) AS tastedBy,
  CASE WHEN t.guest IS NULL THEN t.tasted_by ELSE 'guest ' || lower(t.guest) END AS tastedById`;
var TASTING_COLUMNS = `
  t.id, t.row_version AS rowVersion, t.shot_id AS shotId, t.tasted_at AS tastedAt, ${TASTER_COLUMNS},
  t.flight_id IS NOT NULL AS isBlind, t.scales, ${TASTING_TABLE.selected("t")}`;
function completeTasting(row) {
  const { id, rowVersion, shotId, tastedAt, tastedBy, tastedById, isBlind, scales } = row;
  return {
    id,
    rowVersion,
    shotId,
    tastedAt,
    tastedBy,
    tastedById,
    isBlind: Boolean(isBlind),
    scales: JSON.parse(String(scales)),
    ...TASTING_TABLE.read(row)
  };
}
function tastingsOfDialIns(db, dialInIds) {
  const sql = `
    SELECT r.dial_in_id AS owner, ${TASTING_COLUMNS}
    FROM tasting t JOIN shot s ON s.id = t.shot_id AND t.removed_at IS NULL
    JOIN recipe_draft r ON r.id = s.recipe_draft_id JOIN person p ON p.id = t.tasted_by
    WHERE r.dial_in_id IN ${IDS} AND s.removed_at IS NULL ORDER BY t.tasted_at, t.rowid`;
  return groupedByOwner(db, sql, dialInIds, completeTasting);
}
function insertTasting(db, id, fields2, personId) {
  const { shotId, scales, guest = null, tastedAt = now() } = fields2;
  prepared(
    db,
    `INSERT INTO tasting (id, shot_id, tasted_at, tasted_by, guest, scales, ${TASTING_TABLE.columns})
     VALUES (@id, @shotId, @tastedAt, @personId, @guest, @scales, ${TASTING_TABLE.parameters})`
  ).run({
    ...TASTING_TABLE.write(fields2),
    id,
    shotId,
    tastedAt,
    personId,
    guest,
    scales: JSON.stringify(scales)
  });
}

// src/formats/sheets/columns.ts
var plain = (text3) => text3.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, " ").trim();
var DIGITS = 2;
function figureIn(text3, unit) {
  const value = readNumber(text3);
  if (typeof value !== "number") return value;
  switch (unit) {
    case "oz":
      return Number((value * G_PER_OZ).toFixed(DIGITS));
    case "flOz":
      return Number((value * ML_PER_FL_OZ).toFixed(DIGITS));
    case "F":
      return Number(celsiusOf(value).toFixed(DIGITS));
    default:
      return value;
  }
}

// src/formats/sheets/commas.ts
function settled2(text3, commas) {
  if (commas === void 0 || !isAmbiguous(text3)) return text3;
  return text3.replace(",", commas === "decimal" ? "." : "");
}

// src/formats/sheets/csv.ts
import Papa from "papaparse";
function csvDay(text3, order) {
  const parts = text3.trim().split(/[-/.\s]+/).filter((part) => part !== "");
  if (parts.length !== 3 || parts.some((part) => !/^\d{1,4}$/.test(part))) return text3.trim();
  const at3 = (part) => parts[order.indexOf(part)];
  const year = at3("y").length === 2 ? `20${at3("y")}` : at3("y");
  return `${year}-${at3("m").padStart(2, "0")}-${at3("d").padStart(2, "0")}`;
}
var FORMULA = /^[=+\-@\t\r]/;
var MARK = "\uFEFF";
var ROWS_AT_ONCE = 200;
function* csvChunks(rows) {
  let waiting = [];
  let mark = MARK;
  for (const row of rows) {
    waiting.push(row);
    if (waiting.length < ROWS_AT_ONCE) continue;
    yield mark + textOf(waiting);
    [waiting, mark] = [[], ""];
  }
  if (waiting.length > 0) yield mark + textOf(waiting);
}
var textOf = (rows) => `${Papa.unparse(rows, { newline: "\r\n", escapeFormulae: FORMULA })}\r
`;

// src/formats/sheets/cells.ts
var rangeColumns = (name3) => [`${name3}0`, `${name3}1`];
function measureOf(limit) {
  const { unit } = LIMITS[limit];
  if (unit === "g") return { measure: "mass" };
  if (unit === "ml") return { measure: "volume" };
  return unit === "\xB0C" ? { measure: "temperature" } : {};
}
function labelOf({ label, ...field }) {
  if (field.kind !== "quantity") return label;
  const { unit } = LIMITS[field.limit];
  return unit === "" || measureOf(field.limit).measure ? label : `${label}, ${unit}`;
}
function wayOf(name3, field) {
  const one = (read, write, extra = {}) => ({
    columns: {
      [name3]: {
        label: labelOf(field),
        required: isNeeded(field),
        headers: field.headers ?? [plain(field.label)],
        ...extra
      }
    },
    read: (cells, options) => read(cells(name3), options),
    write: (value, cells) => {
      cells[name3] = write(value);
    }
  });
  switch (field.kind) {
    case "quantity": {
      const { named } = field;
      const isVolume = measureOf(field.limit).measure === "volume";
      const levelOf = (text3) => named?.find(({ label }) => plain(label) === plain(text3))?.level;
      return one(
        (written, { units, notation, commas }) => {
          const text3 = settled2(written, commas);
          if (field.limit === "dial") return readDial(notation ?? {}, text3);
          if (isVolume && units[name3] === void 0) return readVolume(text3) ?? textOf2(text3);
          return levelOf(text3) ?? figureIn(text3, units[name3]);
        },
        (value) => value,
        { ...measureOf(field.limit), ...field.limit === "dial" && { isDial: true } }
      );
    }
    case "range":
      return rangeWay(name3, field);
    case "text":
      return one(
        (text3) => text3 === "" && field.isOpen ? void 0 : text3,
        (value) => value
      );
    case "word":
      return one(
        (text3) => wordOf(text3, field.words, field.labels),
        (value) => field.labels[value]
      );
    case "words":
      return one(
        (text3) => {
          const read = listOf(text3).map((item) => wordOf(item, field.words, field.labels));
          return read.length === 0 ? void 0 : read;
        },
        (value) => value.map((item) => field.labels[item].replaceAll(",", " ")).join("; ")
      );
    case "notes":
      return one(
        (text3) => listOf(text3),
        (value) => value.join("; ")
      );
    case "flag":
      return one(yesNoOf, (value) => value ? "yes" : "no");
    case "day":
      return one(
        (text3, { dateOrder }) => text3 === "" ? void 0 : csvDay(text3, dateOrder),
        (value) => value
      );
    case "steps":
      return one(jsonOf, (value) => JSON.stringify(value));
  }
}
var textOf2 = (text3) => text3 === "" ? void 0 : text3;
function rangeWay(name3, field) {
  const [from, to] = rangeColumns(name3);
  const column2 = (end) => ({
    label: `${field.label}, ${end}`,
    required: false,
    headers: (field.headers ?? [plain(field.label)]).map((header) => `${header} ${end}`)
  });
  return {
    columns: { [from]: column2("from"), [to]: column2("to") },
    read: (cells, { commas }) => {
      const ends = [from, to].map((end) => readNumber(settled2(cells(end), commas)));
      return ends.every((end) => end === void 0) ? void 0 : ends;
    },
    write: (value, cells) => {
      [cells[from], cells[to]] = value;
    }
  };
}
function jsonOf(text3) {
  if (text3 === "") return void 0;
  try {
    return JSON.parse(text3);
  } catch {
    return text3;
  }
}
var ways = /* @__PURE__ */ new WeakMap();
function waysOf(fields2) {
  let known3 = ways.get(fields2);
  if (!known3)
    ways.set(
      fields2,
      known3 = new Map(entriesOf(fields2).map(([name3, field]) => [name3, wayOf(name3, field)]))
    );
  return known3;
}
function columnsOf2(fields2, optional2 = []) {
  return Object.assign(
    {},
    ...[...waysOf(fields2)].map(
      ([name3, { columns }]) => optional2.includes(name3) ? Object.fromEntries(
        Object.entries(columns).map(([key, column2]) => [key, { ...column2, required: false }])
      ) : columns
    )
  );
}
function writeCells(fields2, ...sources) {
  const cells = {};
  for (const [name3, { write }] of waysOf(fields2)) {
    for (let i = sources.length - 1; i >= 0; i--) {
      const value = sources[i][name3];
      if (value === void 0) continue;
      write(value, cells);
      break;
    }
  }
  return cells;
}
function wordOf(text3, words3, labels) {
  const sought = plain(text3);
  if (sought === "") return void 0;
  return words3.find((word2) => plain(word2) === sought || plain(labels[word2]) === sought) ?? text3.trim();
}
function yesNoOf(text3) {
  const sought = plain(text3);
  if (sought === "") return void 0;
  if (["yes", "y", "true", "1", "x", "ja", "oui"].includes(sought)) return true;
  if (["no", "n", "false", "0", "nein", "non"].includes(sought)) return false;
  return text3.trim();
}
function listOf(text3) {
  return text3.split(/[,;|]/).map((word2) => word2.trim()).filter((word2) => word2 !== "");
}

// src/formats/sheets/recipeSheet.ts
import { z as z12 } from "zod";

// src/formats/sheets/where.ts
var WHERE = {
  release: text2("name", {
    label: "Release",
    headers: ["release", "name", "coffee", "coffee name", "bean", "beans"]
  }),
  roastDate: day2({
    label: "Roast date of the batch",
    isOpen: true,
    headers: ["roast date", "roasted", "roasted on"]
  }),
  setup: text2("name", { label: "Setup", unsaid: "", headers: ["setup", "bench", "station"] }),
  style: word(STYLES, STYLE_LABELS, {
    label: "Brew style",
    unsaid: "classic",
    headers: ["style", "brew style"]
  })
};

// src/formats/sheets/recipeSheet.ts
var RECIPE_SHEET = {
  ...WHERE,
  decidedOn: day2({
    label: "Decided on",
    headers: ["decided on", "decided", "since", "published on", "published", "date"]
  }),
  ...RECIPE,
  dial: quantity2("dial", {
    isOpen: true,
    headers: ["dial", "grind", "grind setting", "grinder setting", "setting"]
  }),
  why: text2("words", {
    label: "Remark",
    unsaid: "",
    headers: ["remark", "why", "comment", "notes"]
  })
};
var INSTEAD = {
  ratio: { label: "Ratio, if no yield", required: false, headers: ["ratio", "brew ratio"] },
  time: {
    label: "Time, if no window",
    required: false,
    headers: ["time", "shot time", "brew time", "extraction time"]
  }
};
var RECIPE_COLUMNS = {
  ...columnsOf2(RECIPE_SHEET, ["yieldG", "timeS", "clock", "restDays"]),
  ...INSTEAD
};
var shape = entryShape(RECIPE_SHEET);
var recipeRow = z12.strictObject({ ...shape, restDays: shape.restDays.optional() });

// src/core/schema/shares.ts
var TOLERANCE_PCT = 0.1;
function shareSumPct(sharesPct) {
  return Number(sharesPct.reduce((sum2, share) => sum2 + share, 0).toFixed(2));
}
function sharesFault(sharesPct) {
  const totalPct = shareSumPct(sharesPct);
  if (Math.abs(totalPct - 100) <= TOLERANCE_PCT) return null;
  return `The shares add up to ${totalPct} %. Change them so that they make 100 %.`;
}
function readShares(text3) {
  const parts = text3.split(/[\s,;/%]+/).filter((part) => part !== "");
  return parts.length === 0 ? null : parts.map(Number);
}
function batchSharesFault(text3, components) {
  const shares = readShares(text3);
  if (shares === null) return null;
  const example = components.length === 2 ? "60 / 40" : "60 / 25 / 15";
  if (shares.length !== components.length || shares.some((share) => !(share > 0)))
    return `The blend has ${components.length} components: give ${components.length} shares in their order, as ${example}, or leave it empty for the blend\u2019s own.`;
  return sharesFault(shares);
}
function blendedOf(components, sharesPct) {
  if (batchSharesFault(sharesPct, components) !== null) return components;
  const shares = readShares(sharesPct);
  return shares === null ? components : components.map((component, i) => ({ ...component, sharePct: shares[i] }));
}

// src/core/schema/releaseEntry.ts
import { z as z13 } from "zod";
var MOST_COMPONENTS = 12;
var componentShape = z13.strictObject(entryShape(COMPONENT));
var altitudeRange = {
  path: ["altitudeToM"],
  error: "The altitudes end before they begin. Put the lower one first."
};
var isAltitudeRange = ({
  altitudeM,
  altitudeToM
}) => altitudeM === void 0 || altitudeToM === void 0 || altitudeM <= altitudeToM;
var componentEntry = componentShape.refine(isAltitudeRange, altitudeRange);
var componentRow = componentShape.partial({ sharePct: true }).refine(isAltitudeRange, altitudeRange);
var releaseEntry = z13.strictObject({
  ...entryShape(RELEASE),
  components: z13.array(componentEntry, { error: "A release has at least one component. Add one." }).min(1, { error: "A release has at least one component. Add one." }).max(MOST_COMPONENTS, {
    error: `At most ${MOST_COMPONENTS} components. Put the smallest together.`
  }).superRefine((components, context) => {
    const message = sharesFault(components.map(({ sharePct }) => sharePct));
    if (message) context.addIssue({ code: "custom", message });
  })
});
var batchEntry = z13.strictObject(entryShape(BATCH2));

// src/formats/sheets/releaseSheet.ts
var RELEASE_SHEET = { ...RELEASE, ...BATCH2, ...COMPONENT };
var RELEASE_COLUMNS = columnsOf2(RELEASE_SHEET, ["sharePct"]);

// src/formats/sheets/shotSheet.ts
import { z as z15 } from "zod";

// src/core/schema/shot.ts
import { z as z14 } from "zod";
var tasteSchema = z14.strictObject(entryShape(SCALES));
var shotEntry = entryShape(SHOT);
var dripInTime = {
  path: ["firstDripS"],
  error: "The first drip comes after the shot ended. Correct the first drip or the time."
};
var isDripInTime = (shot) => shot.clock !== "pump" || shot.firstDripS === void 0 || shot.firstDripS <= shot.timeS;
var thinYield = {
  path: ["yieldG"],
  error: `Yield is under ${CHOKED.underG} g, which only a choked shot leaves. Enter ${rangeWords("yieldG")}, or mark it choked.`
};
var isYieldPlausible = (shot) => shot.yieldG >= CHOKED.underG || shot.timeS >= CHOKED.afterS || shot.seen.includes("choke");
var shotSchema = z14.strictObject(shotEntry).omit({
  puck: true,
  overrunG: true,
  tdsPct: true,
  isSimulated: true,
  overruled: true,
  remark: true
}).extend({
  temperatureC: shotEntry.temperatureC.optional(),
  purged: shotEntry.purged.unwrap(),
  seen: shotEntry.seen.unwrap(),
  beans: shotEntry.beans.unwrap().optional(),
  restDays: quantity("restDays").optional(),
  /** Pulled first after a pause: group and grinder were not yet as warm as they get. */
  isFirst: z14.boolean().optional(),
  taste: tasteSchema.optional(),
  /** The grinder's numbers meant something else then, and nobody knows what: its time says nothing of a dial. */
  isApart: z14.boolean().optional(),
  /** Who pulled it: hands differ. */
  pulledBy: z14.string().max(80).optional()
}).refine(isDripInTime, dripInTime).refine(isYieldPlausible, thinYield);

// src/formats/sheets/shotSheet.ts
var SHOT_SHEET = {
  ...WHERE,
  pulledOn: day2({ label: "Pulled on", headers: ["pulled on", "date", "pulled", "day"] }),
  pulledAt: text2("note", {
    label: "At (hour)",
    isOpen: true,
    headers: ["pulled at", "at", "hour", "clock time"]
  }),
  ...SHOT,
  person: text2("name", {
    label: "Pulled by",
    unsaid: "",
    headers: ["pulled by", "barista", "person", "by"]
  })
};
var SHOT_COLUMNS2 = columnsOf2(SHOT_SHEET, ["clock", "temperatureC", "yieldG"]);
var shape2 = entryShape(SHOT_SHEET);
var hour = z15.string().regex(/^([01]?\d|2[0-3]):[0-5]\d(:[0-5]\d)?$/, {
  error: "That is no time of day. Write it as 9:05 or 14:30."
});
var shotRow = z15.strictObject({
  ...shape2,
  pulledAt: hour.optional(),
  temperatureC: shape2.temperatureC.optional()
}).refine(isDripInTime, dripInTime).refine(isYieldPlausible, thinYield);

// src/formats/sheets/tastingSheet.ts
import { z as z16 } from "zod";
var PLACED = {
  ...WHERE,
  tastedOn: day2({ label: "Tasted on", headers: ["tasted on", "date", "tasted", "day"] }),
  pulledOn: day2({
    label: "Shot pulled on, if another day",
    isOpen: true,
    headers: ["pulled on", "shot pulled on"]
  }),
  pulledAt: text2("note", {
    label: "Shot pulled at (hour)",
    isOpen: true,
    headers: ["pulled at", "shot pulled at"]
  }),
  taster: text2("name", {
    label: "Taster",
    unsaid: "",
    headers: ["taster", "tasted by", "person", "by"]
  }),
  ...TASTING
};
var TASTING_SHEET = { ...PLACED, ...SCALES };
var TASTING_COLUMNS2 = columnsOf2(TASTING_SHEET, ["moment", "serving"]);
var isJudged = (scales) => Object.values(scales).some((value) => value !== void 0);
var tastingRow = z16.strictObject({
  ...entryShape(PLACED),
  scales: tasteSchema.refine(isJudged, {
    path: ["liking"],
    error: "Nothing was judged in this row. Fill in a scale, or leave the row out."
  })
});

// src/core/grinder/era.ts
function dialToday(dial2, at3, eras2) {
  return eras2.filter(({ beganAt }) => beganAt > at3).reduce(
    (now2, { shift }) => now2 === null || shift === null ? null : now2 + shift,
    dial2
  );
}

// src/data/eras.ts
var SELECT_ERA = `
  SELECT e.id, e.grinder_id AS grinderId, e.kind, e.shift, e.reason, e.began_at AS beganAt,
    p.name AS createdBy
  FROM grinder_era e JOIN person p ON p.id = e.created_by`;
function listEras(db) {
  return prepared(db, `${SELECT_ERA} ORDER BY e.began_at, e.rowid`).all();
}
function erasOf(db, grinderId) {
  return prepared(db, `${SELECT_ERA} WHERE e.grinder_id = ? ORDER BY e.began_at, e.rowid`).all(
    grinderId
  );
}

// src/core/coffee/altitude.ts
function altitudeOf({ altitudeM, altitudeToM }) {
  if (altitudeM === void 0 || altitudeToM === void 0) return altitudeM ?? altitudeToM;
  return (altitudeM + altitudeToM) / 2;
}

// src/views/facts.ts
function factsOf(release, batch) {
  return {
    id: release.id,
    roastLevel: batch.roast.level ?? void 0,
    roastSd: batch.roast.sd || void 0,
    restDays: batch.restDays,
    components: blendedOf(release.components, batch.sharesPct).map((component) => {
      const { sharePct, process: process2, varietyClass, densityGPerL } = component;
      return { sharePct, process: process2, varietyClass, densityGPerL, altitudeM: altitudeOf(component) };
    })
  };
}
function factsToday(release, batch, today2) {
  return factsOf(release, { ...batch, restDays: batchRestDays(batch, today2) });
}

// src/views/history.ts
var DECIDED = `
  SELECT ${DRAFT_COLUMNS}, v.published_at AS decidedAt, v.number AS version
  FROM publication b JOIN recipe_version v ON v.id = b.version_id
  JOIN recipe_draft r ON r.id = v.draft_id JOIN dial_in d ON d.id = r.dial_in_id
  WHERE b.teaches = 1
  UNION ALL
  SELECT ${DRAFT_COLUMNS}, max(r.decided_on) || 'T23:59:59.999Z' AS decidedAt, NULL AS version
  FROM recipe_draft r JOIN dial_in d ON d.id = r.dial_in_id
  WHERE r.decided_on IS NOT NULL AND d.release_id NOT IN (SELECT release_id FROM publication)
  GROUP BY d.release_id`;
var HISTORY = `
  SELECT q.*, c.name AS name, b.roast_date AS roastDate, l.dial AS lastDial,
    l.pulled_at AS lastPulledAt
  FROM (${DECIDED}) q
  JOIN release c ON c.id = q.releaseId AND c.removed_at IS NULL
  JOIN batch b ON b.id = q.batchId AND b.removed_at IS NULL
  LEFT JOIN shot l ON l.rowid = (
    SELECT s.rowid FROM shot s
    WHERE s.recipe_draft_id = q.id AND s.removed_at IS NULL AND s.pulled_at <= q.decidedAt
    ORDER BY s.pulled_at DESC, s.rowid DESC LIMIT 1)
  ORDER BY decidedAt, q.id`;
function listEnded(db) {
  const setups = allSetups(db);
  const erasOf2 = groupBy(listEras(db), ({ grinderId }) => grinderId);
  return allRows(db, HISTORY).flatMap((row) => {
    const { name: name3, roastDate, version, decidedAt, lastDial, lastPulledAt } = row;
    const draft = completeDraft(row);
    const setup = setups.get(draft.setupId);
    if (!setup) return [];
    const read = lastDial ?? (draft.isDialKnown ? draft.startDial : null);
    const eras2 = erasOf2.get(setup.grinder.id) ?? [];
    const dial2 = read === null ? null : dialToday(read, lastPulledAt ?? decidedAt, eras2);
    return [{ name: name3, roastDate, version, decidedAt, draft, setup, dial: dial2, lastPulledAt }];
  });
}
function listDecided(db, house) {
  const releases = new Map(listReleases(db).map((release) => [release.id, release]));
  return listEnded(db).flatMap((ended) => {
    const release = releases.get(ended.draft.releaseId);
    const batch = release?.batches.find(({ id }) => id === ended.draft.batchId);
    if (!release || !batch) return [];
    const { lastPulledAt } = ended;
    const restDays = lastPulledAt === null ? void 0 : batchRestDays(batch, dayOf(lastPulledAt));
    const roast = readRoast(batch, house.roastMap);
    return [
      {
        ...ended,
        facts: factsOf(release, { ...batch, roast, restDays }),
        varieties: release.components.map(({ variety }) => variety)
      }
    ];
  });
}

// src/features/import/sheets.ts
var SHEETS = {
  releases: {
    columns: RELEASE_COLUMNS,
    dayColumn: "roastDate",
    command: "importReleases"
  },
  recipes: {
    columns: RECIPE_COLUMNS,
    dayColumn: "decidedOn",
    command: "importRecipes"
  },
  shots: {
    columns: SHOT_COLUMNS2,
    dayColumn: "pulledOn",
    command: "importShots"
  },
  tastings: {
    columns: TASTING_COLUMNS2,
    dayColumn: "tastedOn",
    command: "importTastings"
  }
};

// src/features/import/exports.ts
function* exportSheet(db, sheet, only = null) {
  const { columns } = SHEETS[sheet];
  const names2 = Object.keys(columns);
  yield names2.map((name3) => columns[name3].headers[0]);
  for (const row of ROWS[sheet](db, only)) yield names2.map((name3) => row[name3] ?? "");
}
var ROWS = {
  releases: releaseRows,
  recipes: recipeRows,
  shots: shotRows,
  tastings: tastingRows
};
function* releaseRows(db, only) {
  for (const release of only ? findReleases(db, only) : listReleases(db))
    for (const batch of release.batches)
      for (const component of release.components)
        yield writeCells(RELEASE_SHEET, release, batch, component);
}
function* recipeRows(db, only) {
  const isAsked = isIn(only);
  for (const { name: name3, roastDate, draft, setup, dial: dial2, decidedAt } of listEnded(db)) {
    if (!isAsked(draft.releaseId)) continue;
    yield writeCells(RECIPE_SHEET, draft.recipe, {
      release: name3,
      roastDate,
      setup: setup.name,
      style: draft.style,
      decidedOn: dayOf(decidedAt),
      dial: dial2 === null ? void 0 : dialCell(setup.grinder, dial2),
      why: draft.why
    });
  }
}
function isIn(only) {
  const asked = only && new Set(only);
  return (releaseId) => asked === null || asked.has(releaseId);
}
var dialCell = (grinder, dial2) => (grinder.notation ?? "numbers") === "numbers" ? dial2 : dialWords(grinder, dial2);
var PLACED2 = `
  JOIN recipe_draft r ON r.id = s.recipe_draft_id
  JOIN dial_in d ON d.id = r.dial_in_id
  JOIN batch b ON b.id = d.batch_id AND b.removed_at IS NULL
  JOIN release l ON l.id = d.release_id AND l.removed_at IS NULL
  JOIN setup u ON u.id = d.setup_id
  WHERE s.removed_at IS NULL ORDER BY d.started_at, d.rowid, s.pulled_at, s.rowid`;
var PLACE_COLUMNS = `
  l.id AS releaseId, l.name AS release, b.roast_date AS roastDate, u.name AS setup, d.style AS style,
  s.pulled_at AS pulledAt`;
var placeOf = ({ release, roastDate, setup, style, pulledAt }) => ({
  release,
  roastDate,
  setup,
  style,
  pulledOn: dayOf(pulledAt),
  pulledAt: timeOf2(pulledAt)
});
var PAGE = 500;
function* inPages(db, only, { places, rows }) {
  const isAsked = isIn(only);
  const all = allRows(db, places).filter(({ releaseId }) => isAsked(releaseId));
  for (let at3 = 0; at3 < all.length; at3 += PAGE) {
    const page = all.slice(at3, at3 + PAGE);
    const found = allRows(db, rows, JSON.stringify(page.map(({ id }) => id)));
    for (const [i, place] of page.entries()) yield [place, found[i]];
  }
}
var IN_PAGE_ORDER = "FROM json_each(?) page CROSS JOIN";
function* shotRows(db, only) {
  const grinders = new Map(listSetups(db).map(({ name: name3, grinder }) => [name3, grinder]));
  const rows = inPages(db, only, {
    places: `SELECT s.id, ${PLACE_COLUMNS} FROM shot s ${PLACED2}`,
    rows: `SELECT ${SHOT_COLUMNS} ${IN_PAGE_ORDER} shot s ON s.id = page.value
     JOIN person p ON p.id = s.pulled_by ORDER BY page.key`
  });
  for (const [place, row] of rows) {
    const shot = completeShot(Object.assign(row, { roastDate: place.roastDate }));
    yield writeCells(SHOT_SHEET, shot, placeOf(place), {
      person: shot.pulledBy,
      dial: dialCell(grinders.get(place.setup) ?? {}, shot.dial)
    });
  }
}
function* tastingRows(db, only) {
  const rows = inPages(db, only, {
    places: `SELECT t.id, ${PLACE_COLUMNS} FROM tasting t JOIN shot s ON s.id = t.shot_id AND t.removed_at IS NULL
     ${PLACED2}, t.tasted_at, t.rowid`,
    rows: `SELECT ${TASTING_COLUMNS} ${IN_PAGE_ORDER} tasting t ON t.id = page.value
     JOIN person p ON p.id = t.tasted_by ORDER BY page.key`
  });
  for (const [place, row] of rows) {
    const { scales, ...tasting } = completeTasting(row);
    yield writeCells(TASTING_SHEET, tasting, scales, placeOf(place), {
      tastedOn: dayOf(tasting.tastedAt),
      taster: tasting.tastedBy
    });
  }
}

// src/features/import/sheetNames.ts
var SHEET_NAMES = ["releases", "recipes", "shots", "tastings"];

// src/core/coffee/roastBand.ts
var ROAST_BANDS = ["light", "medium", "dark"];
var LIGHT_TO = -0.4;
var DARK_FROM = 0.4;
function roastBandOf(roastLevel) {
  if (roastLevel <= LIGHT_TO) return "light";
  return roastLevel >= DARK_FROM ? "dark" : "medium";
}

// src/core/dayWords.ts
var DAY = new Intl.DateTimeFormat("en-GB", {
  day: "numeric",
  month: "short",
  year: "numeric",
  timeZone: "UTC"
});
var SHORT_DAY = new Intl.DateTimeFormat("en-GB", {
  day: "numeric",
  month: "short",
  timeZone: "UTC"
});
function dayWords(day3) {
  return DAY.format(/* @__PURE__ */ new Date(`${day3.slice(0, 10)}T00:00:00Z`));
}

// src/core/programme/words.ts
function stepWords(step, isLast = false) {
  const { drive, level: level2, seconds, ramp, limitBar } = step;
  if (isPause(step)) return `pause ${seconds} s`;
  const height = `${level2} ${DRIVE_UNITS[drive]}`;
  const limit = drive === "flow" && limitBar !== void 0 ? `, at most ${limitBar} bar` : "";
  if (ramp)
    return `evenly to ${height} over ${seconds} s${limit}${isLast ? ", then on to target weight" : ""}`;
  return `${height}${limit}${isLast ? " to target weight" : ` for ${seconds} s`}`;
}
function programmeWords(programme) {
  return programme.map((step, i) => stepWords(step, i === programme.length - 1)).join("; ");
}

// src/core/entity/words.ts
function valueWords(field, value) {
  if (value === void 0 || value === null) return "";
  switch (field.kind) {
    case "quantity":
      return withUnit(
        field.named?.find(({ level: level2 }) => level2 === value)?.label ?? String(value),
        field.named ? "" : LIMITS[field.limit].unit
      );
    case "range": {
      const [low, high] = value;
      return withUnit(low === high ? String(low) : `${low}-${high}`, LIMITS[field.limit].unit);
    }
    case "word":
      return field.labels[value] ?? "";
    case "words":
      return value.map((word2) => field.labels[word2]).join(", ");
    case "notes":
      return value.join(", ");
    case "flag":
      return value ? "yes" : "no";
    case "day":
      return dayWords(value);
    case "steps":
      return programmeWords(value);
    case "text":
      return value;
  }
}
function withUnit(figure5, unit) {
  return unit === "" ? figure5 : `${figure5} ${unit}`;
}

// src/data/events.ts
import { z as z17 } from "zod";
function insertEvent(db, event) {
  prepared(
    db,
    `INSERT INTO event (id, at, person_id, release_id, kind, words, result)
     VALUES (@id, @at, @personId, @releaseId, @kind, @words, @result)`
  ).run({ ...event, at: now(), result: JSON.stringify(event.result) });
}
var doneRow = z17.object({
  kind: z17.string(),
  personId: z17.string().nullable(),
  result: json(z17.unknown())
});
var eventRow = z17.object({
  id: z17.string(),
  at: z17.string(),
  person: z17.string().nullable(),
  words: z17.string()
});
var freshRow = eventRow.extend({
  order: z17.number(),
  releaseId: z17.string(),
  personId: z17.string().nullable()
});
var OF_MANY = [
  "importReleases",
  "importRecipes",
  "importShots",
  "importTastings"
];
function newestEvents(db) {
  const { ofMany } = prepared(
    db,
    `SELECT coalesce(max(rowid), 0) AS ofMany FROM event
     WHERE release_id IS NULL AND kind IN (${OF_MANY.map(() => "?").join(", ")})`
  ).get(...OF_MANY);
  const rows = prepared(
    db,
    `SELECT l.id, max(e.rowid) AS n FROM release l LEFT JOIN event e ON e.release_id = l.id
     WHERE l.removed_at IS NULL GROUP BY l.id ORDER BY l.rowid`
  ).all();
  return new Map(rows.map(({ id, n }) => [id, Math.max(n ?? 0, ofMany)]));
}

// src/data/findable.ts
var IN_WORDS = ["text", "word", "words", "notes"];
function wordsOf(fields2, values) {
  const given = values;
  return entriesOf(fields2).filter(([, { kind }]) => IN_WORDS.includes(kind)).map(([name3, field]) => valueWords(field, given[name3])).filter((words3) => words3 !== "").join(" \xB7 ");
}
var without = (fields2, ...names2) => Object.fromEntries(Object.entries(fields2).filter(([name3]) => !names2.includes(name3)));
var SHOT_WORDS = without(SHOT, "clock", "beans");
var CUP_WORDS = { ...without(TASTING, "moment", "serving"), signs: SCALES.signs };
var DRAFT_WORDS = { programme: RECIPE.programme, why: DRAFT.why };
var ofRelease = (sql) => `${sql} JOIN recipe_draft r ON r.id = s.recipe_draft_id JOIN dial_in d ON d.id = r.dial_in_id
   JOIN batch b ON b.id = d.batch_id WHERE d.release_id = ? AND s.removed_at IS NULL`;
function entriesOfRelease(db, releaseId) {
  const release = findRelease(db, releaseId);
  if (!release) return [];
  const coffee = [
    wordsOf(without(RELEASE, "serving"), release),
    ...release.components.map((component) => wordsOf(COMPONENT, component)),
    ...release.batches.map((batch) => wordsOf(BATCH2, batch))
  ];
  const drafts = prepared(
    db,
    `SELECT ${DRAFT_COLUMNS} FROM recipe_draft r JOIN dial_in d ON d.id = r.dial_in_id
     WHERE d.release_id = ?`
  ).all(releaseId).map(completeDraft);
  const shots = prepared(
    db,
    ofRelease(
      `SELECT b.roast_date AS roastDate, ${SHOT_COLUMNS} FROM shot s JOIN person p ON p.id = s.pulled_by`
    )
  ).all(releaseId).map(completeShot);
  const cups = prepared(
    db,
    ofRelease(`SELECT ${TASTING_COLUMNS} FROM tasting t JOIN shot s ON s.id = t.shot_id AND t.removed_at IS NULL
      JOIN person p ON p.id = t.tasted_by`)
  ).all(releaseId).map(completeTasting);
  const cards = prepared(
    db,
    `SELECT id, number, json_extract(document, '$.body.sensory.right') || ' \xB7 ' ||
       json_extract(document, '$.body.sensory.short') || ' \xB7 ' ||
       json_extract(document, '$.body.sensory.long') || ' \xB7 ' ||
       json_extract(document, '$.body.whatChanged') AS text
     FROM recipe_version WHERE release_id = ?`
  ).all(releaseId);
  const entries = [
    { kind: "release", rowId: release.id, place: "Coffee", text: coffee.join(" \xB7 ") },
    ...drafts.map((draft) => ({
      kind: "recipe",
      rowId: draft.id,
      place: `Recipe of ${dayWords(dayOf(draft.createdAt))}`,
      text: wordsOf(DRAFT_WORDS, { ...draft.recipe, ...draft })
    })),
    ...shots.map((shot) => ({
      kind: "shot",
      rowId: shot.id,
      place: `Shot of ${dayWords(dayOf(shot.pulledAt))}, ${shot.pulledBy}`,
      text: wordsOf(SHOT_WORDS, shot)
    })),
    ...cups.map((cup) => ({
      kind: "cup",
      rowId: cup.id,
      place: `Cup of ${dayWords(dayOf(cup.tastedAt))}, ${cup.tastedBy}`,
      text: wordsOf(CUP_WORDS, { ...cup, ...cup.scales })
    })),
    ...cards.map(({ id, number, text: text3 }) => ({
      kind: "card",
      rowId: id,
      place: `Card, version ${number}`,
      text: text3 ?? ""
    }))
  ];
  return entries.filter(({ text: text3 }) => text3 !== "");
}
function replace(db, releaseId, entries) {
  prepared(db, "DELETE FROM findable WHERE release_id IS ?").run(releaseId);
  const insert = prepared(
    db,
    `INSERT INTO findable (release_id, kind, row_id, place, text)
     VALUES (@releaseId, @kind, @rowId, @place, @text)`
  );
  for (const entry of entries) insert.run({ ...entry, releaseId });
}
var AT_ONCE = 40;
function* refreshIndex(db) {
  const { newest, known: known3 } = prepared(
    db,
    `SELECT (SELECT coalesce(max(rowid), 0) FROM event) AS newest,
       (SELECT event FROM findable_state WHERE id = 1) AS known`
  ).get();
  if (known3 === newest) return;
  const touched = prepared(
    db,
    "SELECT DISTINCT release_id AS releaseId, kind FROM event WHERE rowid > ?"
  ).all(known3 ?? 0);
  const isWhole = known3 === null || touched.some(({ kind }) => OF_MANY.includes(kind));
  const ids = isWhole ? prepared(db, "SELECT id FROM release").all().map(({ id }) => id) : [...new Set(touched.flatMap(({ releaseId }) => releaseId ?? []))];
  for (let at3 = 0; at3 < ids.length; at3 += AT_ONCE) {
    if (at3 > 0) yield;
    db.transaction(() => {
      for (const id of ids.slice(at3, at3 + AT_ONCE)) replace(db, id, entriesOfRelease(db, id));
    }).immediate();
  }
  db.transaction(() => {
    replace(db, null, peopleEntries(db));
    prepared(
      db,
      `INSERT INTO findable_state (id, event) VALUES (1, ?)
       ON CONFLICT (id) DO UPDATE SET event = excluded.event`
    ).run(newest);
  }).immediate();
}
var peopleEntries = (db) => listPeople(db).map(({ id, name: name3 }) => ({
  kind: "person",
  rowId: id,
  place: "Person of the house",
  text: name3
}));
var [OPEN, CLOSE] = ["", ""];
var SNIPPET_WORDS = 16;
var FILTERED = `
  (@process IS NULL OR EXISTS (
     SELECT 1 FROM component c WHERE c.release_id = l.id AND c.process = @process))
  AND (@variety IS NULL OR EXISTS (
     SELECT 1 FROM component c WHERE c.release_id = l.id AND instr(lower(c.variety), lower(@variety)) > 0))
  AND (@style IS NULL OR EXISTS (
     SELECT 1 FROM dial_in d WHERE d.release_id = l.id AND d.style = @style))
  AND (@year IS NULL OR EXISTS (
     SELECT 1 FROM batch b WHERE b.release_id = l.id AND b.removed_at IS NULL
       AND substr(b.roast_date, 1, 4) = @year))`;
function findWords(db, words3, filters, most) {
  const query = words3.split(/[^\p{L}\p{N}]+/u).filter((word2) => word2 !== "").map((word2) => `"${word2}"*`).join(" ");
  if (query === "") return findReleases2(db, filters, most);
  const isNarrowed = Object.values(filters).some((value) => value !== null);
  const rows = prepared(
    db,
    // A common word is found thousands of times: releases are looked up for the best alone.
    `SELECT f.release_id AS releaseId, (SELECT name FROM release WHERE id = f.release_id) AS releaseName,
       f.kind, f.row_id AS rowId, f.place,
       snippet(found, 0, '${OPEN}', '${CLOSE}', '\u2026', ${SNIPPET_WORDS}) AS snippet
     FROM found JOIN findable f ON f.id = found.rowid
     WHERE found MATCH @query
       AND (@isNarrowed = 0 OR f.release_id IN (SELECT l.id FROM release l WHERE ${FILTERED}))
     ORDER BY f.kind <> 'release', bm25(found), f.id DESC LIMIT @most`
  ).all({ ...filters, query, most, isNarrowed: Number(isNarrowed) });
  return rows.map(({ snippet, ...row }) => ({ ...row, parts: partsOf(snippet) }));
}
function findReleases2(db, filters, most) {
  const rows = prepared(
    db,
    `SELECT l.id AS releaseId, l.name AS releaseName, 'release' AS kind, l.id AS rowId,
       'Coffee' AS place, coalesce(f.text, '') AS text
     FROM release l LEFT JOIN findable f ON f.release_id = l.id AND f.kind = 'release'
     WHERE l.removed_at IS NULL AND ${FILTERED} ORDER BY l.created_at DESC, l.rowid DESC LIMIT @most`
  ).all({ ...filters, most });
  return rows.map(({ text: text3, ...row }) => ({
    ...row,
    parts: [{ text: text3.slice(0, 160), isFound: false }]
  }));
}
function partsOf(snippet) {
  return snippet.replace(/^[ ·…]*· | ·[ ·…]*$/g, "").split(OPEN).flatMap((part, i) => {
    if (i === 0) return [{ text: part, isFound: false }];
    const [found = "", rest = ""] = part.split(CLOSE);
    return [
      { text: found, isFound: true },
      { text: rest, isFound: false }
    ];
  }).filter(({ text: text3 }) => text3 !== "");
}
function listRoastYears(db) {
  const rows = prepared(
    db,
    `SELECT DISTINCT substr(roast_date, 1, 4) AS year FROM batch WHERE removed_at IS NULL
     ORDER BY year DESC`
  ).all();
  return rows.map(({ year }) => year);
}

// src/data/kept.ts
import { setImmediate as setImmediate2 } from "node:timers/promises";
function raiseEpochs(db, topics) {
  const raise = prepared(
    db,
    `INSERT INTO epoch (topic, n) VALUES (?, 1) ON CONFLICT (topic) DO UPDATE SET n = n + 1`
  );
  for (const topic of topics) raise.run(topic);
}
function epochOf(db, topics) {
  const rows = prepared(db, "SELECT topic, n FROM epoch").all();
  const known3 = new Map(rows.map(({ topic, n }) => [topic, n]));
  return topics.map((topic) => known3.get(topic) ?? 0).join(" ");
}
var shelves = /* @__PURE__ */ new WeakMap();
var MOST_KEYS = 40;
function shelfOf(db, { name: name3, restsOn }) {
  let ofDb = shelves.get(db);
  if (!ofDb) shelves.set(db, ofDb = /* @__PURE__ */ new Map());
  const epoch = epochOf(db, restsOn);
  let shelf = ofDb.get(name3);
  if (shelf?.epoch !== epoch)
    ofDb.set(name3, shelf = { epoch, byKey: /* @__PURE__ */ new Map(), coming: /* @__PURE__ */ new Map() });
  return shelf;
}
function keep({ byKey }, key, answer) {
  byKey.set(key, answer);
  if (byKey.size > MOST_KEYS) byKey.delete(byKey.keys().next().value);
  return answer;
}
function kept(db, options, work) {
  const { key = "" } = options;
  const shelf = shelfOf(db, options);
  return shelf.byKey.has(key) ? shelf.byKey.get(key) : keep(shelf, key, work());
}
async function prepareKept(db, options, work) {
  const { key = "" } = options;
  const shelf = shelfOf(db, options);
  if (shelf.byKey.has(key)) return;
  let coming = shelf.coming.get(key);
  if (!coming) {
    coming = inSteps(work()).then((answer) => {
      if (shelfOf(db, options) === shelf) keep(shelf, key, answer);
    });
    shelf.coming.set(key, coming);
  }
  try {
    await coming;
  } finally {
    shelf.coming.delete(key);
  }
}
async function inSteps(work) {
  let step = work.next();
  while (!step.done) {
    await setImmediate2();
    step = work.next();
  }
  return step.value;
}

// src/views/find.ts
var MOST_HITS = 60;
var MOST_CHARACTERS = 200;
function readAskedFind(search) {
  const text3 = (key) => {
    const value = search[key];
    return typeof value === "string" ? value.trim().slice(0, MOST_CHARACTERS) : "";
  };
  const word2 = (words3, key) => words3.find((known3) => known3 === text3(key)) ?? null;
  return {
    words: text3("q"),
    process: word2(PROCESSES, "process"),
    roast: word2(ROAST_BANDS, "roast"),
    variety: text3("variety") || null,
    style: word2(STYLES, "style"),
    year: /^\d{4}$/.test(text3("year")) ? text3("year") : null
  };
}
function readFind(db, house, search) {
  const asked = readAskedFind(search);
  const { words: words3, roast, ...filters } = asked;
  const isEmpty = words3 === "" && roast === null && Object.values(filters).every((value) => !value);
  const hits = isEmpty ? [] : find(db, house, asked, MOST_HITS + 1);
  return {
    asked,
    hits: hits.slice(0, MOST_HITS),
    isCut: hits.length > MOST_HITS,
    years: kept(
      db,
      { name: "roast years", restsOn: ["release", "batch"] },
      () => listRoastYears(db)
    )
  };
}
function find(db, house, { words: words3, roast, ...filters }, most) {
  runThrough(refreshIndex(db));
  const isOfRoast = roastFilter(db, house, roast);
  return findWords(db, words3, filters, roast === null ? most : MOST_BEFORE_ROAST).filter(({ releaseId }) => isOfRoast(releaseId)).slice(0, most).map(({ rowId, ...row }) => ({ ...row, id: `${row.kind} ${rowId}`, href: hrefOf(row) }));
}
var MOST_BEFORE_ROAST = 2e3;
function roastFilter(db, house, roast) {
  const known3 = /* @__PURE__ */ new Map();
  return (releaseId) => {
    if (roast === null) return true;
    if (releaseId === null) return false;
    if (!known3.has(releaseId)) {
      const batches = findRelease(db, releaseId)?.batches ?? [];
      const levels = batches.flatMap((batch) => readRoast(batch, house.roastMap).level ?? []);
      known3.set(
        releaseId,
        levels.some((level2) => roastBandOf(level2) === roast)
      );
    }
    return known3.get(releaseId);
  };
}
var STAGE_OF = {
  release: "read",
  recipe: "start",
  shot: "pull",
  cup: "taste",
  card: "publish",
  person: ""
};
function hrefOf({ kind, releaseId }) {
  return releaseId === null ? "/people" : `/releases/${releaseId}/${STAGE_OF[kind]}`;
}

// src/views/houseModel.ts
import { setImmediate as setImmediate3 } from "node:timers/promises";

// src/data/tasteSites.ts
import { Matrix as Matrix17 } from "ml-matrix";
var allOf = (db) => prepared(db, "SELECT release_id AS releaseId, signature, site FROM taste_site").all();
function tasteSites(db) {
  return new Map(
    allOf(db).flatMap(
      ({ releaseId, site }) => site === null ? [] : [[releaseId, siteFrom(site)]]
    )
  );
}
function siteSignatures(db) {
  return new Map(allOf(db).map(({ releaseId, signature }) => [releaseId, signature]));
}
function keepTasteSite(db, { releaseId, signature, site }) {
  db.transaction(() => {
    const before = allOf(db).find((row) => row.releaseId === releaseId)?.site ?? null;
    const written = site === null ? null : JSON.stringify({ ...site, P: site.P.to2DArray() });
    prepared(
      db,
      `INSERT INTO taste_site (release_id, signature, site) VALUES (@releaseId, @signature, @site)
       ON CONFLICT (release_id) DO UPDATE SET signature = excluded.signature, site = excluded.site`
    ).run({ releaseId, signature, site: written });
    if (written !== before) raiseEpochs(db, ["site"]);
  }).immediate();
}
function dropTasteSites(db, releaseIds) {
  if (releaseIds.length === 0) return;
  db.transaction(() => {
    prepared(db, "DELETE FROM taste_site WHERE release_id IN (SELECT value FROM json_each(?))").run(
      JSON.stringify(releaseIds)
    );
    raiseEpochs(db, ["site"]);
  }).immediate();
}
function siteFrom(text3) {
  const { P, h, cups } = JSON.parse(text3);
  return { P: new Matrix17(P), h, cups };
}

// src/views/houseModel.ts
function rulesOf2({ rules, headspace }) {
  return rulesInForce(rules, headspace);
}
function readHouseModel(db, house) {
  return kept(
    db,
    { name: "house model", restsOn: [...MODEL_RESTS_ON, "site"] },
    () => knowledgeOf(listDecided(db, house), tasteSites(db), house)
  );
}
async function prepareModel(db, house) {
  const knowledge = readHouseModel(db, house);
  await setImmediate3();
  await inSteps(knowledge.learningTasteOf(house.temperatureSchool));
  const { fits } = knowledge.modelOf(house.temperatureSchool);
  for (const fit of Object.values(fits)) {
    await setImmediate3();
    prepareEvidence(fit);
  }
}
var MODEL_RESTS_ON = [
  "house",
  "equipment",
  "release",
  "batch",
  "recipe",
  "decidedShot",
  "publication"
];
function knowledgeOf(decided, sites, house) {
  const withReference = referencesOf(decided, house);
  const history = decided.map((item, i) => {
    const { facts, draft, setup, dial: dial2 } = item;
    const { style, recipe } = draft;
    const ago = decided.length - 1 - i;
    return {
      release: facts,
      style,
      recipe,
      ratedG: setup.basket.ratedG,
      diameterMm: setup.basket.diameterMm,
      setupId: setup.id,
      grindSteps: dial2 === null ? void 0 : grindStepsOf(withReference(setup.grinder), dial2) ?? void 0,
      weight: recencyWeight(ago, house.halfLife ?? null),
      site: sites.get(draft.releaseId)
    };
  });
  const models = /* @__PURE__ */ new Map();
  const tastes = /* @__PURE__ */ new Map();
  function* learningTasteOf(school) {
    if (!tastes.has(school))
      tastes.set(school, yield* learningTaste(history, school, rulesOf2(house)));
  }
  const tasteOf = (school) => {
    runThrough(learningTasteOf(school));
    return tastes.get(school);
  };
  return {
    decided,
    history,
    withReference,
    modelOf: (school) => {
      let model = models.get(school);
      if (!model) {
        const learnt2 = learn(history, school, rulesOf2(house));
        model = sites.size === 0 ? learnt2 : { ...learnt2, taste: tasteOf(school) };
        models.set(school, model);
      }
      return model;
    },
    tasteOf,
    learningTasteOf
  };
}
function referencesOf(decided, house) {
  const rules = learn([], house.temperatureSchool, rulesOf2(house));
  const inferred = /* @__PURE__ */ new Map();
  return (grinder) => {
    if (grinder.referenceDial !== void 0) return grinder;
    if (!inferred.has(grinder.id)) {
      const own = decided.flatMap(
        (item) => item.dial !== null && item.setup.grinder.id === grinder.id ? [{ facts: item.facts, style: item.draft.style, dial: item.dial }] : []
      );
      inferred.set(grinder.id, inferredReference(grinder, own, rules));
    }
    const referenceDial = inferred.get(grinder.id) ?? null;
    return referenceDial === null ? grinder : { ...grinder, referenceDial };
  };
}

// src/core/start/effects.ts
var NOTICED_SHARE = 0.25;
var processes = PROCESSES.filter(
  (process2) => process2 !== "washed" && process2 !== "other"
);
var CONTRASTS = [
  { name: "base", label: "Medium washed, classic", weights: { base: 1 } },
  { name: "light", label: "One roast step lighter", weights: { light: 1 } },
  { name: "dark", label: "One roast step darker", weights: { dark: 1 } },
  ...processes.map((process2) => ({
    name: process2,
    label: `${PROCESS_LABELS[process2]}, beside washed`,
    weights: { intensity: PROCESS_INTENSITY[process2], [process2]: 1 }
  })),
  ...["landrace", "bigBean", "robusta"].map((variety) => ({
    name: variety,
    label: `${VARIETY_LABELS[variety]}, beside ordinary`,
    weights: { [variety]: 1 }
  })),
  { name: "density", label: "30 g/L denser", weights: { density: 1 } },
  { name: "altitude", label: "300 m higher", weights: { altitude: 1 } },
  { name: "rest", label: "One week more rest", weights: { rest: 1 } },
  ...ALTERED_STYLES.map((style) => ({
    name: style,
    label: `${STYLE_LABELS[style]}, beside classic`,
    weights: { [style]: 1 }
  }))
];
function effectsOf({ fits }, output) {
  const fit = fits[output];
  const ruleMean = fit.rule.map(({ mean: mean2 }) => mean2);
  return CONTRASTS.map(({ name: name3, label, weights }) => {
    const row = FACTORS.map((factor) => weights[factor] ?? 0);
    const rule = dot(row, ruleMean);
    const { mean: mean2, halfWidth80 } = estimate(fit.posteriors, row);
    const at3 = FACTORS.indexOf(name3);
    const releases = fit.rows.filter((past) => past[at3] !== 0).length;
    const apart = Math.abs(mean2 - rule);
    const isDifferent = releases > 0 && apart > halfWidth80 && apart > NOTICED_SHARE * NOISE_SD3[output];
    return { name: name3, label, rule, learned: mean2, halfWidth80, releases, isDifferent };
  });
}

// src/core/patterns/notes.ts
var CLEARLY = Z_80;
var LEAST_COFFEES = 3;
function notesFound(cups) {
  const finders = /* @__PURE__ */ new Map();
  const promised = /* @__PURE__ */ new Map();
  for (const { releaseId, promised: told, found } of cups) {
    for (const note of plain2(told)) setOf(promised, note).add(releaseId);
    for (const note of plain2(found)) {
      const own = finders.get(note) ?? /* @__PURE__ */ new Map();
      finders.set(note, own.set(releaseId, (own.get(releaseId) ?? 0) + 1));
    }
  }
  const places = placesOf(cups);
  return [...finders].map(([note, own]) => {
    const releaseIds = [...own].sort((a, b) => b[1] - a[1]).map(([releaseId]) => releaseId);
    const promisedFor = [...promised.get(note) ?? []];
    return {
      note,
      cups: [...own.values()].reduce((sum2, count2) => sum2 + count2, 0),
      releaseIds,
      promisedFor: promisedFor.length,
      kept: promisedFor.filter((releaseId) => own.has(releaseId)).length,
      mostIn: places.get(note) ?? null
    };
  }).sort(
    (a, b) => b.releaseIds.length - a.releaseIds.length || b.cups - a.cups || a.note.localeCompare(b.note)
  );
}
var plain2 = (notes2) => new Set(notes2.map((note) => note.trim().toLowerCase()));
function setOf(sets, key) {
  const set = sets.get(key) ?? /* @__PURE__ */ new Set();
  sets.set(key, set);
  return set;
}
function placesOf(cups) {
  const best = /* @__PURE__ */ new Map();
  const groups = new Set(cups.flatMap((cup) => cup.groups));
  for (const group of groups) {
    const here = tally(cups.filter((cup) => cup.groups.includes(group)));
    const elsewhere = tally(cups.filter((cup) => !cup.groups.includes(group)));
    if (here.coffees < LEAST_COFFEES || elsewhere.coffees < LEAST_COFFEES) continue;
    for (const [note, finders] of here.finders) {
      const place = {
        group,
        here: [finders.size, here.coffees],
        elsewhere: [elsewhere.finders.get(note)?.size ?? 0, elsewhere.coffees]
      };
      const [a, b] = [shareOf(place.here), shareOf(place.elsewhere)];
      const clear = (a.mean - b.mean) / Math.sqrt(a.variance + b.variance);
      if (clear > (best.get(note)?.clear ?? CLEARLY)) best.set(note, { place, clear });
    }
  }
  return new Map([...best].map(([note, { place }]) => [note, place]));
}
function tally(cups) {
  const finders = /* @__PURE__ */ new Map();
  for (const { releaseId, found } of cups)
    for (const note of plain2(found)) setOf(finders, note).add(releaseId);
  return { finders, coffees: new Set(cups.map(({ releaseId }) => releaseId)).size };
}
function shareOf([found, of]) {
  const mean2 = (1 + found) / (2 + of);
  return { mean: mean2, variance: mean2 * (1 - mean2) / (3 + of) };
}

// src/core/patterns/summary.ts
import jStat5 from "jstat";
function meanOf3(values) {
  const count2 = values.length;
  if (count2 === 0) return null;
  const mean2 = values.reduce((sum2, value) => sum2 + value, 0) / count2;
  if (count2 === 1) return { mean: mean2, half80: null, count: count2 };
  const squares = values.reduce((sum2, value) => sum2 + (value - mean2) ** 2, 0);
  const standardError = Math.sqrt(squares / (count2 - 1) / count2);
  return { mean: mean2, half80: jStat5.studentt.inv(0.9, count2 - 1) * standardError, count: count2 };
}

// src/core/patterns/tongue.ts
import { CholeskyDecomposition as CholeskyDecomposition5, Matrix as Matrix18 } from "ml-matrix";
var TONGUE = ["liking", "sweetness", "sharpness", "bitterness"];
var LEVERS = ["ratio", "temperatureC", "timeS", "restDays"];
var DAYS_A_STEP = 7;
var PRIOR_SD = 1;
var NOISE3 = { variance: CUP_SD ** 2, count: 3 };
var LEAST_SPREAD = 0.05;
function tongueEffects(cups, scale2) {
  const scored = cups.flatMap((cup) => {
    const score = cup.scores[scale2];
    return score === void 0 ? [] : [{ ...cup, score, x: stepsOf2(cup) }];
  });
  const groups = [...groupBy(scored, ({ releaseId, taster }) => `${releaseId} ${taster}`).values()];
  const compared = groups.filter((group) => group.length > 1);
  const rows = compared.flatMap((group) => {
    const middle = LEVERS.map((_, j) => mean(group.map(({ x }) => x[j])));
    const score = mean(group.map((cup) => cup.score));
    return group.map((cup) => ({
      releaseId: cup.releaseId,
      x: cup.x.map((value, j) => value - middle[j]),
      y: cup.score - score
    }));
  });
  if (rows.length === 0) return null;
  const spread = LEVERS.map((_, j) => rows.reduce((sum2, { x }) => sum2 + x[j] ** 2, 0));
  const X = new Matrix18(rows.map(({ x }) => [...x]));
  const y = Matrix18.columnVector(rows.map((row) => row.y));
  const XtX = X.transpose().mmul(X);
  const Xty = X.transpose().mmul(y);
  let variance = NOISE3.variance;
  let found = solved(XtX, Xty, variance);
  const residual = Matrix18.sub(y, X.mmul(found.mean)).to1DArray();
  const squares = residual.reduce((sum2, value) => sum2 + value ** 2, 0);
  const degrees = Math.max(0, rows.length - compared.length);
  variance = (NOISE3.count * NOISE3.variance + squares) / (NOISE3.count + degrees);
  found = solved(XtX, Xty, variance);
  const byLever = Object.fromEntries(
    LEVERS.map((lever, j) => [
      lever,
      spread[j] < LEAST_SPREAD ? null : {
        mean: found.mean.get(j, 0),
        half80: Z_80 * Math.sqrt(found.covariance.get(j, j))
      }
    ])
  );
  const telling = groupBy(rows, ({ releaseId }) => releaseId);
  const toldBy = (own) => own.reduce((sum2, { x }) => sum2 + x.reduce((all, value) => all + value ** 2, 0), 0);
  return {
    byLever,
    cups: rows.length,
    releaseIds: [...telling].map(([releaseId, own]) => ({ releaseId, told: toldBy(own) })).sort((a, b) => b.told - a.told).map(({ releaseId }) => releaseId)
  };
}
var stepsOf2 = ({ ratio, temperatureC: temperatureC2, timeS: timeS2, restDays }) => [
  Math.log(ratio) / STEP2.lnRatio,
  temperatureC2 / STEP2.temperatureC,
  Math.log(timeS2) / STEP2.lnTimeS,
  restDays / DAYS_A_STEP
];
var mean = (values) => values.reduce((sum2, value) => sum2 + value, 0) / values.length;
function solved(XtX, Xty, variance) {
  const A = Matrix18.mul(XtX, 1 / variance).add(Matrix18.eye(LEVERS.length).mul(1 / PRIOR_SD ** 2));
  const covariance = new CholeskyDecomposition5(A).solve(Matrix18.eye(LEVERS.length));
  return { covariance, mean: covariance.mmul(Matrix18.mul(Xty, 1 / variance)) };
}

// src/core/advice/provenAt.ts
var MOST_SHOTS4 = 100;
function shotsToProven(input, shots, targetOf2) {
  const most = Math.min(shots.length, MOST_SHOTS4);
  for (let count2 = input.carry ? 1 : LEAST_SHOTS; count2 <= most; count2++) {
    const [before, last] = [shots[count2 - 2], shots[count2 - 1]];
    const isPair = before?.recipe === last.recipe && isSameDial(before.shot.dial, last.shot.dial);
    if (!input.carry && !isPair) continue;
    const target = targetOf2(last.recipe);
    if (isUnsound(last.shot, target)) continue;
    const { status } = nextMove({
      ...input,
      target,
      targetFrom: shots.findIndex(({ recipe }) => recipe === last.recipe),
      shots: shots.slice(0, count2).map(({ shot }) => shot)
    });
    if (status === "repeated" || status === "confirmed") return count2;
  }
  return null;
}

// src/core/patterns/benchMinutes.ts
var BREAK_MIN = 25;
var SHOT_MIN = 3;
function benchMinutes(moments) {
  return moments.reduce((minutes, moment, i) => {
    const before = moments[i - 1];
    const gap = before === void 0 ? Infinity : (Date.parse(moment) - Date.parse(before)) / 6e4;
    return minutes + (gap > BREAK_MIN ? SHOT_MIN : Math.max(0, gap));
  }, 0);
}

// src/core/patterns/series.ts
function medianOf(values) {
  if (values.length === 0) return null;
  const sorted = [...values].sort((a, b) => a - b);
  const at3 = (sorted.length - 1) / 2;
  return (sorted[Math.floor(at3)] + sorted[Math.ceil(at3)]) / 2;
}

// src/core/advice/batchShots.ts
var MOST_EXTRA_VARIANCE = 0.02 ** 2;
var ODD_FROM = 0.27;
function batchShots(input, reference, effects, targetOf2 = () => input.target) {
  const { grinder, shots } = input;
  const { shots: all, pumpWindowS } = timedShots(input);
  const timed = all.map((shot, i) => ({ ...shot, aimYieldG: targetOf2(i).yieldG }));
  const { rows } = rowsOf({
    shots: timed,
    reference: { ...reference, restDays: 14 },
    retentionG: grinder.retentionG,
    slope: effects.perDial,
    expectedLnTimeS: Math.log(pumpSeconds((pumpWindowS[0] + pumpWindowS[1]) / 2))
  });
  const sound = rows.flatMap(({ x, lnTimeS, extraVariance, fixedVariance, shotIndex }) => {
    const shot = shots[shotIndex];
    if (fixedVariance !== null || shot.restDays === void 0) return [];
    const inDoubt = extraVariance - freshVariance(shot.restDays);
    if (inDoubt > MOST_EXTRA_VARIANCE || isUnsound(shot, targetOf2(shotIndex))) return [];
    const ofSetting = effects.perDial * x[1] + effects.dose * x[2] + effects.yield * x[3];
    return [{ restDays: shot.restDays, lnTimeS: lnTimeS - ofSetting }];
  });
  const middle = medianOf(sound.map(({ lnTimeS }) => lnTimeS)) ?? 0;
  return sound.filter(({ lnTimeS }) => Math.abs(lnTimeS - middle) < ODD_FROM);
}

// src/core/grinder/retentionHint.ts
import { Matrix as Matrix19, determinant as determinant2, inverse as inverse8 } from "ml-matrix";

// src/views/target.ts
function judgingOf({ doseSchool, proofGoalPct, leastLiking }, release) {
  return {
    doseSchool: release.doseSchool ?? doseSchool,
    proofGoal: proofGoalPct / 100,
    leastLiking
  };
}
function targetOf(house, draft, { roast, opensOn }) {
  return targetSchema.parse({
    ...draft.recipe,
    doseToleranceG: house.doseToleranceG,
    yieldToleranceG: yieldTolerance(house.yieldToleranceG, draft.recipe.yieldG),
    startDial: draft.startDial,
    tasteFirst: house.tasteFirst,
    openDay: Math.round(opensOn),
    roastLevel: roast.level ?? 0
  });
}
function advisedShot(shot, tastings, drink = "straight") {
  const taste2 = tastings.findLast(
    (tasting) => tasting.shotId === shot.id && isCupFor(drink, tasting.serving)
  )?.scales;
  return { ...shot, taste: taste2 };
}

// src/views/grinderMemory.ts
var OF_GRINDER = `SELECT q.* FROM (${DECIDED}) q
  JOIN setup u ON u.id = q.setupId
  JOIN release c ON c.id = q.releaseId AND c.removed_at IS NULL
  WHERE u.grinder_id = ? AND (q.style = 'soakFirst') = ?
  ORDER BY q.decidedAt DESC, q.id LIMIT ${REMEMBERED_DIAL_INS}`;
function memoryFor(db, house, draft, setup) {
  const { memory, dialIns } = memoryOf(db, house, setup.grinder, draft.style);
  return memory.dialIns === 0 || dialIns.has(draft.dialInId) ? {} : { memory };
}
function grinderMemoryOf(db, house, grinder, style) {
  return memoryOf(db, house, grinder, style).memory;
}
var keyOf = (grinderId, style) => `${grinderId} ${style === "soakFirst" ? "soaked" : "flowing"}`;
var keptAs = (grinderId, style) => ({
  name: "grinder memory",
  restsOn: MODEL_RESTS_ON,
  key: keyOf(grinderId, style)
});
function memoryOf(db, house, grinder, style) {
  return kept(
    db,
    keptAs(grinder.id, style),
    () => runThrough(learningMemory(db, house, grinder, style))
  );
}
var learnt = /* @__PURE__ */ new WeakMap();
function* learningMemory(db, house, grinder, style) {
  const { dialIns, referenceDial, pastWith } = gather(db, house, grinder, style);
  const past = pastWith(grinder.retentionG);
  const slope = slopePrior(grinder);
  const rows = JSON.stringify([slope, referenceDial, past]);
  let ofDb = learnt.get(db);
  if (!ofDb) learnt.set(db, ofDb = /* @__PURE__ */ new Map());
  const key = keyOf(grinder.id, style);
  const before = ofDb.get(key);
  if (before?.rows === rows) return { memory: before.memory, dialIns };
  yield 0;
  const memory = yield* learningGrinder(past, slope, referenceDial);
  ofDb.set(key, { rows, memory });
  return { memory, dialIns };
}
function gather(db, house, grinder, style) {
  const drafts = prepared(db, OF_GRINDER).all(grinder.id, style === "soakFirst" ? 1 : 0).map(completeDraft).reverse();
  const dialInIds = drafts.map(({ dialInId }) => dialInId);
  const shotsOf = shotsOfDialIns(db, dialInIds);
  const eras2 = erasOf(db, grinder.id);
  const releases = new Map(
    findReleases(
      db,
      drafts.map(({ releaseId }) => releaseId)
    ).map((release) => [release.id, release])
  );
  const setups = allSetups(db);
  const referenceDial = grinder.referenceDial ?? drafts[0]?.startDial ?? grinder.min;
  const found = drafts.flatMap((draft) => {
    const release = releases.get(draft.releaseId);
    const batch = release?.batches.find(({ id }) => id === draft.batchId);
    const basket = setups.get(draft.setupId)?.basket;
    if (!release || !batch || !basket) return [];
    const roast = readRoast(batch, house.roastMap);
    const opensOn = spanOf({
      roastLevel: roast.level ?? 0,
      school: house.restSchool,
      span: release.span
    }).opens;
    const shots = shotsOf(draft.dialInId).filter(({ isSimulated }) => !isSimulated).flatMap((shot) => onTodaysDial(advisedShot(shot, []), shot.pulledAt, eras2));
    const features = grindFeatures(
      factsOf(release, { ...batch, roast, restDays: void 0 }),
      draft.style
    );
    return [{ target: targetOf(house, draft, { roast, opensOn }), basket, shots, features }];
  });
  return {
    dialIns: new Set(dialInIds),
    referenceDial,
    pastWith: (retentionG) => found.map(
      ({ features, ...dialIn2 }) => pastDialIn({ ...dialIn2, grinder: { ...grinder, retentionG } }, features, referenceDial)
    )
  };
}
function onTodaysDial(shot, pulledAt, eras2) {
  const dial2 = dialToday(shot.dial, pulledAt, eras2);
  return dial2 === null ? [] : [{ ...shot, dial: dial2 }];
}

// src/views/batchLevels.ts
var MOST_DIAL_INS = 200;
var MS_PER_WEEK = 7 * 864e5;
var UNPULLED_SD = 0.1;
function readBatchKnowledge(db, house) {
  return kept(db, { name: "batch levels", restsOn: MODEL_RESTS_ON }, () => {
    const batches = readBatches(db, house, listNewestDialIns(db, MOST_DIAL_INS).reverse());
    const ageing = learnAgeing(
      batches.map(({ shots, roastLevel }) => ({ ...batchSlope(shots, NOISE_SD2), roastLevel }))
    );
    const byRelease = groupBy(
      batches,
      ({ releaseId, setupId, style }) => [releaseId, setupId, style].join(" ")
    );
    const slope = expectedSlope(ageing, 0);
    const batchSd = learnBatchSd([...byRelease.values()], { slope, noiseSd: NOISE_SD2 });
    return { batches, ageing, batchSd };
  });
}
function readBatches(db, house, dialIns) {
  const releaseIds = [...new Set(dialIns.map(({ releaseId }) => releaseId))];
  const releases = new Map(findReleases(db, releaseIds).map((release) => [release.id, release]));
  const drafts = findDraftsOf(db, releaseIds);
  const newestOf2 = new Map([...drafts.values()].map((draft) => [draft.dialInId, draft]));
  const shotsOf = shotsOfDialIns(
    db,
    dialIns.map(({ id }) => id)
  );
  const setups = allSetups(db);
  const erasOf2 = groupBy(listEras(db), ({ grinderId }) => grinderId);
  return dialIns.flatMap((dialIn2) => {
    const { id, releaseId, batchId, setupId, style } = dialIn2;
    const batch = releases.get(releaseId)?.batches.find((each) => each.id === batchId);
    const setup = setups.get(setupId);
    const draft = newestOf2.get(id);
    const pulled2 = shotsOf(id).filter(({ isSimulated }) => !isSimulated);
    if (!batch || !setup || !draft || pulled2.length === 0) return [];
    const roast = readRoast(batch, house.roastMap);
    const opensOn = spanOf({
      roastLevel: roast.level ?? 0,
      school: house.restSchool,
      span: releases.get(releaseId)?.span
    }).opens;
    const onToday = pulled2.flatMap(
      (shot) => onTodaysDial(advisedShot(shot, []), shot.pulledAt, eras(erasOf2, setup.grinder)).map(
        (advised) => ({ advised, draftId: shot.draftId })
      )
    );
    const targets = new Map(
      [...new Set(onToday.map(({ draftId }) => draftId))].map((draftId) => [
        draftId,
        targetOf(house, drafts.get(draftId), { roast, opensOn })
      ])
    );
    const shots = batchShots(
      {
        target: targetOf(house, draft, { roast, opensOn }),
        grinder: setup.grinder,
        shots: onToday.map(({ advised }) => advised)
      },
      settingOf(setup),
      effectsOf2(db, house, setup.grinder, style),
      (i) => targets.get(onToday[i].draftId)
    );
    if (shots.length === 0) return [];
    const week = Date.parse(pulled2.at(-1).pulledAt) / MS_PER_WEEK;
    const { roastDate } = batch;
    return [
      { roastDate, releaseId, batchId, setupId, style, week, roastLevel: roast.level ?? 0, shots }
    ];
  });
}
var eras = (known3, { id }) => known3.get(id) ?? [];
function settingOf({ grinder, basket }) {
  return { dial: referenceDialOf(grinder), doseG: basket.ratedG, yieldG: 2 * basket.ratedG };
}
var referenceDialOf = ({ referenceDial, min, max }) => referenceDial ?? (min + max) / 2;
function effectsOf2(db, house, grinder, style) {
  const memory = grinderMemoryOf(db, house, grinder, style);
  if (memory.dialIns === 0)
    return {
      perDial: slopePrior(grinder).mean,
      dose: DOSE_EXPONENT.mean,
      yield: YIELD_EXPONENT.mean
    };
  const [perDial, dose2, ofYield] = memory.mean.slice(4);
  return { perDial, dose: dose2, yield: ofYield };
}
function settingChange(setup, effects, { dial: dial2, recipe }) {
  const at3 = settingOf(setup);
  return effects.perDial * (dial2 - at3.dial) + effects.dose * Math.log(recipe.doseG / at3.doseG) + effects.yield * Math.log(recipe.yieldG / at3.yieldG);
}
function expectationOf(db, house, asked) {
  const { batches, ageing, batchSd } = readBatchKnowledge(db, house);
  const { setup, style, dial: dial2, restDays, roastLevel, dialSd } = asked;
  const effects = effectsOf2(db, house, setup.grinder, style);
  const slope = expectedSlope(ageing, roastLevel);
  const rules = { slope, noiseSd: NOISE_SD2, batchSd };
  const own = batches.filter(
    (batch) => batch.releaseId === asked.releaseId && // What came later says nothing of what was expected of this one.
    batch.roastDate < asked.roastDate && batch.setupId === setup.id && batch.style === style
  );
  const state = levelAfter(own, rules);
  const week = Date.parse(asked.today) / MS_PER_WEEK;
  const ofSetting = settingChange(setup, effects, asked);
  const { mean: mean2, sd } = state === null ? {
    mean: Math.log(asked.windowMiddleS),
    sd: Math.hypot(UNPULLED_SD, batchSd)
  } : shifted(expectBatch(state, { week, roastLevel, restDays }, rules), ofSetting);
  return { dial: dial2, restDays, mean: mean2, sd: Math.hypot(sd, dialSd) };
}
var shifted = ({ mean: mean2, sd }, by) => ({
  mean: mean2 + by,
  sd
});

// src/views/newBatch.ts
var ANOTHER_ROAST = 0.5;
var UNKNOWN_ERA_SD = 0.15;
function newestInUse(batches) {
  return batches.find(({ rest }) => rest.state !== "tooFresh") ?? batches[0];
}
function lastRecipeOf({ bench, published: published2, isWrong }) {
  const isEnded = bench !== null && (isProvenStatus(bench.advice.status) || bench.draft.decidedOn !== void 0 && bench.draft.isDialKnown);
  const draftId = isEnded ? bench.draft.id : published2?.draftId ?? null;
  return isWrong && draftId === published2?.draftId ? null : draftId;
}
function newBatchOf(db, house, asked) {
  const { release, batches, bench, today: today2, units } = asked;
  const batch = newestInUse(batches);
  if (batch.rest.state === "tooFresh" || batch.rest.state === "fading") return null;
  if (bench?.draft.batchId === batch.id) return null;
  const draftId = lastRecipeOf(asked);
  const source = draftId === null ? null : sourceOf(db, draftId);
  const older = batches.find(({ id }) => id === source?.draft.batchId);
  if (!source || !older || daysBetween(older.roastDate, batch.roastDate) <= 0) return null;
  const recipe = recipeFor(db, house, { release, older, batch, source, today: today2 });
  const { restDays } = batch.rest;
  const carried2 = carriedInput(db, house, { release, batch, source, recipe, restDays, today: today2 });
  const { setting, expect } = nextMove({ ...carried2, shots: [], units });
  return {
    batchId: batch.id,
    roastDate: batch.roastDate,
    label: batch.label,
    restDays,
    source: { draftId: source.draft.id, roastDate: older.roastDate, dial: source.dial },
    setupId: source.setup.id,
    recipe,
    isRatioMoved: recipe.yieldG !== source.draft.recipe.yieldG,
    dialWords: dialMoveWords(source.setup.grinder, source.dial, setting.dial),
    advice: { setting, expect }
  };
}
function carryOf(db, house, {
  release,
  draft,
  batch,
  restDays: otherwise,
  shots,
  today: today2
}) {
  const source = draft.carriedFrom === null ? null : sourceOf(db, draft.carriedFrom);
  if (!source || source.setup.id !== draft.setupId) return null;
  const restDays = shots.at(-1)?.restDays ?? otherwise;
  return expected(db, house, { release, batch, source, recipe: draft.recipe, restDays, today: today2 });
}
function sourceOf(db, draftId) {
  const draft = findDraft(db, draftId);
  const setup = draft && findSetup(db, draft.setupId);
  if (!draft || !setup) return null;
  const last = listShots(db, draft.dialInId).findLast((shot) => shot.draftId === draft.id);
  const [dial2, at3] = last ? [last.dial, last.pulledAt] : [draft.startDial, draft.createdAt];
  const today2 = dialToday(dial2, at3, erasOf(db, setup.grinder.id));
  return {
    draft,
    setup,
    dial: today2 ?? dial2,
    dialSd: today2 === null ? UNKNOWN_ERA_SD : 0
  };
}
function expected(db, house, { release, batch, source, recipe, restDays, today: today2 }) {
  const dripS = recipe.clock === "firstDrip" ? USUAL_FIRST_DRIP_S : 0;
  return expectationOf(db, house, {
    releaseId: release.id,
    roastDate: batch.roastDate,
    roastLevel: batch.roast.level ?? 0,
    restDays,
    today: today2,
    setup: source.setup,
    style: source.draft.style,
    recipe,
    windowMiddleS: (recipe.timeS[0] + recipe.timeS[1]) / 2 + dripS,
    dial: source.dial,
    dialSd: source.dialSd
  });
}
function carriedInput(db, house, carrying) {
  const { release, batch, source, recipe, today: today2 } = carrying;
  const { draft, setup } = source;
  const target = targetOf(
    house,
    { ...draft, recipe, startDial: source.dial },
    { roast: batch.roast, opensOn: batch.span.opens }
  );
  return {
    target,
    grinder: setup.grinder,
    basket: setup.basket,
    machine: setup.machine,
    ...judgingOf(house, release),
    ...memoryFor(db, house, draft, setup),
    coffee: grindFeatures(factsToday(release, batch, today2), draft.style),
    carry: expected(db, house, carrying)
  };
}
function recipeFor(db, house, {
  release,
  older,
  batch,
  source: { draft, setup },
  today: today2
}) {
  const { recipe, style, temperatureSchool } = draft;
  const from = older.roast.level ?? 0;
  const to = batch.roast.level ?? 0;
  if (Math.abs(to - from) < ANOTHER_ROAST) return recipe;
  const model = readHouseModel(db, house).modelOf(temperatureSchool);
  const lnRatioOf = (roastLevel) => proposeFrom(model, {
    release: { ...factsToday(release, batch, today2), id: void 0, roastLevel },
    style,
    setup
  }).mean.lnRatio;
  const moved = Math.exp(lnRatioOf(to) - lnRatioOf(from));
  return withRatio({ ...recipe, yieldG: roundTo(recipe.yieldG * moved, 0.5) });
}

// src/views/records.ts
function readRecords(db, house) {
  return kept(db, { name: "records", restsOn: RECORDS_REST_ON }, () => {
    const found = recordsByRelease(db, house);
    const byDay = (a, b) => a.day < b.day ? -1 : Number(a.day > b.day);
    return {
      dialIns: found.flatMap(({ dialIns }) => dialIns).sort(byDay),
      cups: found.flatMap(({ cups }) => cups).sort(byDay)
    };
  });
}
var RECORDS_REST_ON = [
  "house",
  "equipment",
  "release",
  "batch",
  "recipe",
  "shot",
  "tasting"
];
var OF_ALL = ["house", "equipment"];
async function prepareRecords(db, house) {
  await inSteps(readStale(db, house, staleRecords(db)));
}
function recordsByRelease(db, house) {
  const records = staleRecords(db);
  runThrough(readStale(db, house, records));
  return [...records.stamps.keys()].map((id) => records.known.get(id));
}
function staleRecords(db) {
  const known3 = kept(
    db,
    { name: "records by release", restsOn: OF_ALL },
    () => /* @__PURE__ */ new Map()
  );
  const stamps = newestEvents(db);
  const stale = [...stamps].flatMap(([id, stamp]) => known3.get(id)?.stamp === stamp ? [] : [id]);
  return { known: known3, stamps, stale };
}
var READ_AT_ONCE = 600;
var JUDGED_AT_ONCE = 50;
function* readStale(db, house, { known: known3, stamps, stale }) {
  const setups = allSetups(db);
  for (let at3 = 0; at3 < stale.length; at3 += READ_AT_ONCE) {
    const some = stale.slice(at3, at3 + READ_AT_ONCE);
    const dialIns = listDialIns(db, some);
    const ids = dialIns.map(({ id }) => id);
    const shotsOf = shotsOfDialIns(db, ids);
    yield;
    const tastingsOf = tastingsOfDialIns(db, ids);
    const drafts = findDraftsOf(db, some);
    yield;
    const releases = new Map(findReleases(db, some).map((release) => [release.id, release]));
    const sources = { db, house, setups, drafts, shotsOf, tastingsOf };
    const dialInsOf = groupBy(dialIns, ({ releaseId }) => releaseId);
    for (const [i, id] of some.entries()) {
      if (i % JUDGED_AT_ONCE === 0) yield;
      const release = releases.get(id);
      const found = (release ? dialInsOf.get(id) ?? [] : []).map(
        (dialIn2) => readDialIn(sources, release, dialIn2)
      );
      known3.set(id, {
        stamp: stamps.get(id),
        dialIns: found.flatMap(({ cost }) => cost ?? []),
        cups: found.flatMap(({ cups }) => cups)
      });
    }
  }
}
function readDialIn({ db, house, setups, drafts, shotsOf, tastingsOf }, release, { id, batchId, setupId, style }) {
  const batch = release.batches.find((candidate) => candidate.id === batchId);
  const setup = setups.get(setupId);
  const stored = shotsOf(id);
  if (!batch || !setup || stored.length === 0) return { cost: null, cups: [] };
  const tastings = tastingsOf(id);
  const cupsOf2 = groupBy(tastings, ({ shotId }) => shotId);
  const shotOf2 = new Map(stored.map((shot) => [shot.id, shot]));
  const roast = readRoast(batch, house.roastMap);
  const about = aboutOf(release, { batch, style, setupId, roastLevel: roast.level });
  const opensOn = spanOf({
    roastLevel: roast.level ?? 0,
    school: house.restSchool,
    span: release.span
  }).opens;
  const first = drafts.get(stored[0].draftId);
  const carry = carryOf(db, house, {
    release,
    draft: first,
    batch: { ...batch, roast },
    restDays: stored[0].restDays,
    shots: stored.slice(0, 1),
    today: dayOf(stored[0].pulledAt)
  });
  const count2 = shotsToProven(
    { ...setup, ...judgingOf(house, release), carry: carry ?? void 0 },
    stored.map((shot) => ({
      shot: advisedShot(shot, cupsOf2.get(shot.id) ?? []),
      recipe: shot.draftId
    })),
    (draftId) => targetOf(house, drafts.get(draftId), { roast, opensOn })
  );
  const spent = stored.slice(0, count2 ?? stored.length);
  return {
    cost: {
      ...about,
      day: dayOf(stored[0].pulledAt),
      shots: spent.length,
      spentG: spent.reduce(
        (sum2, shot) => sum2 + shot.doseG + purgeOf(shot, setup.grinder.retentionG),
        0
      ),
      minutes: benchMinutes(spent.map(({ pulledAt }) => pulledAt)),
      isProven: count2 !== null
    },
    cups: tastings.map((tasting) => ({
      ...about,
      day: dayOf(tasting.tastedAt),
      liking: tasting.scales.liking,
      promised: release.promisedNotes,
      found: tasting.notesFound,
      restDays: shotOf2.get(tasting.shotId)?.restDays ?? null,
      placed: placedOf(release.id, tasting, shotOf2.get(tasting.shotId))
    }))
  };
}
function placedOf(releaseId, { serving: serving2, scales, tastedById }, shot) {
  if (!shot || serving2 !== "straight" || shot.yieldG < CHOKED.underG) return null;
  const { liking, sweetness, sharpness, bitterness } = scales;
  const known3 = { liking, sweetness, sharpness, bitterness };
  return {
    releaseId,
    taster: tastedById,
    ratio: shot.yieldG / shot.doseG,
    temperatureC: shot.temperatureC,
    timeS: fromPump(shot.timeS, shot.clock, shot.firstDripS),
    restDays: shot.restDays,
    scores: Object.fromEntries(
      Object.entries(known3).filter(([, value]) => value !== void 0)
    )
  };
}
function aboutOf(release, {
  batch,
  ...rest
}) {
  return {
    ...rest,
    releaseId: release.id,
    name: release.name,
    day: batch.roastDate,
    processes: release.components.flatMap(({ process: process2 }) => process2 ? [process2] : []),
    varieties: varietiesOf(release)
  };
}
function varietiesOf({ components }) {
  return components.flatMap(({ variety }) => variety === "" ? [] : [variety]);
}

// src/views/patternFilters.ts
var MOST_CHARACTERS2 = 80;
var DAY2 = /^\d{4}-\d{2}-\d{2}$/;
function readFilters(search) {
  const text3 = (key) => {
    const value = search[key];
    return typeof value === "string" && value !== "" ? value : null;
  };
  const word2 = (words3, key) => words3.find((known3) => known3 === text3(key)) ?? null;
  const day3 = (key) => {
    const value = text3(key);
    return value !== null && DAY2.test(value) ? value : null;
  };
  return {
    style: word2(STYLES, "style"),
    process: word2(PROCESSES, "process"),
    roast: word2(ROAST_BANDS, "roast"),
    variety: text3("variety")?.trim().slice(0, MOST_CHARACTERS2) || null,
    setupId: text3("setup"),
    from: day3("from"),
    to: day3("to")
  };
}
function isLetThrough(about, filters) {
  const { style, process: process2, roast, variety, setupId, from, to } = filters;
  return (style === null || about.style === style) && (process2 === null || about.processes.includes(process2)) && (roast === null || about.roastLevel !== null && roastBandOf(about.roastLevel) === roast) && (variety === null || about.varieties.some((own) => holds(own, variety))) && (setupId === null || about.setupId === setupId) && (from === null || about.day >= from) && (to === null || about.day <= to);
}
var plain3 = (text3) => text3.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase();
var holds = (text3, words3) => plain3(text3).includes(plain3(words3));

// src/views/patterns.ts
var knownOf = ({ releaseId, name: name3, day: day3 }) => ({ releaseId, name: name3, day: day3 });
var DIGITS2 = 1e-4;
var MOST_TELLING = 3;
var MOST_NOTES = 4;
var MOST_NOTE_ROWS = 15;
var MOST_POINTS = 200;
function newestOf(all, most) {
  return { points: most < all.length ? all.slice(-most) : all, count: all.length };
}
var RESTS_ON = [...MODEL_RESTS_ON, ...RECORDS_REST_ON];
function readPatterns(db, house, search, most = Infinity) {
  const filters = readFilters(search);
  const key = JSON.stringify({ filters, most });
  return kept(
    db,
    { name: "patterns", restsOn: RESTS_ON, key },
    () => patternsOf(db, house, filters, most)
  );
}
function patternsOf(db, house, filters, most) {
  const knowledge = readHouseModel(db, house);
  const shown = knowledge.decided.flatMap((recipe, place) => {
    const about = aboutDecided(recipe);
    const past = knowledge.history[place];
    return isLetThrough(about, filters) ? [{ recipe, about, past }] : [];
  });
  const isWhole = shown.length === knowledge.decided.length;
  const model = isWhole ? knowledge.modelOf(house.temperatureSchool) : learn(
    shown.map(({ past }) => past),
    house.temperatureSchool,
    rulesOf2(house)
  );
  const records = readRecords(db, house);
  const proposals = shown.flatMap(({ recipe, about, past }) => {
    const { proposed } = recipe.draft;
    if (!proposed) return [];
    const values = Object.fromEntries(
      OUTPUTS.flatMap((output) => {
        const decided = outputOf(past, output);
        const before = proposed[output];
        return decided === null || before === void 0 ? [] : [[output, [roundTo(before, DIGITS2), roundTo(decided, DIGITS2)]]];
      })
    );
    return [{ ...knownOf(about), values }];
  });
  const dialIns = records.dialIns.filter((dialIn2) => isLetThrough(dialIn2, filters)).map((dialIn2) => {
    const { style, shots, spentG, isProven: isProven2 } = dialIn2;
    return { ...knownOf(dialIn2), style, shots, spentG: roundTo(spentG, 0.1), isProven: isProven2 };
  });
  const cups = records.cups.filter((cup) => isLetThrough(cup, filters));
  return {
    filters,
    releases: shown.length,
    effects: Object.fromEntries(
      OUTPUTS.map((output) => [output, effectsOf(model, output)])
    ),
    proposals: newestOf(proposals, most),
    dialIns: newestOf(dialIns, most),
    cups: cupGroups(cups),
    tongue: tongueOf(cups),
    notes: noteRows(cups, most)
  };
}
function tongueOf(cups) {
  const placed = cups.flatMap((cup) => cup.placed ?? []);
  const nameOf2 = new Map(cups.map(({ releaseId, name: name3 }) => [releaseId, name3]));
  return TONGUE.flatMap((scale2) => {
    const found = tongueEffects(placed, scale2);
    if (!found) return [];
    const { byLever, cups: count2, releaseIds } = found;
    const telling = releaseIds.slice(0, MOST_TELLING).map((releaseId) => ({ releaseId, name: nameOf2.get(releaseId) }));
    return [{ scale: scale2, byLever, cups: count2, coffees: releaseIds.length, telling }];
  });
}
function noteRows(cups, most) {
  const nameOf2 = new Map(cups.map(({ releaseId, name: name3 }) => [releaseId, name3]));
  const all = notesFound(cups.map((cup) => ({ ...cup, groups: groupsOf(cup) })));
  return all.slice(0, Number.isFinite(most) ? MOST_NOTE_ROWS : Infinity).map(({ releaseIds, ...row }) => ({
    ...row,
    coffees: releaseIds.length,
    found: releaseIds.slice(0, MOST_TELLING).map((releaseId) => ({ releaseId, name: nameOf2.get(releaseId) }))
  }));
}
var [YOUNG, OLD] = [10, 21];
function groupsOf({ processes: processes2, varieties, roastLevel, restDays }) {
  const rest = restDays === null ? [] : [
    restDays < YOUNG ? `before day ${YOUNG}` : restDays > OLD ? `after day ${OLD}` : `day ${YOUNG}-${OLD}`
  ];
  const roast = bandOf(roastLevel);
  return [
    ...processes2.map((process2) => PROCESS_LABELS[process2].toLowerCase()),
    ...varieties.filter((variety) => variety !== ""),
    ...roast === "unknown" ? [] : [`${roast} roasts`],
    ...rest
  ];
}
function aboutDecided(recipe) {
  const { facts, draft, varieties } = recipe;
  return {
    releaseId: draft.releaseId,
    name: recipe.name,
    day: recipe.decidedAt.slice(0, 10),
    style: draft.style,
    setupId: recipe.setup.id,
    processes: (facts.components ?? []).flatMap(({ process: process2 }) => process2 ? [process2] : []),
    roastLevel: facts.roastLevel ?? null,
    varieties
  };
}
var bandOf = (roastLevel) => roastLevel === null ? "unknown" : roastBandOf(roastLevel);
function cupGroups(cups) {
  const withProcess = cups.filter(({ processes: processes2 }) => processes2.length > 0);
  const groups = groupBy(
    withProcess,
    ({ processes: processes2, roastLevel }) => `${processes2[0]} ${bandOf(roastLevel)}`
  );
  return [...groups.values()].map((group) => {
    const byRelease = groupBy(group, ({ releaseId }) => releaseId);
    const likings = [...byRelease.values()].flatMap((own) => {
      const known3 = own.flatMap(({ liking }) => liking === void 0 ? [] : [liking]);
      return meanOf3(known3)?.mean ?? [];
    });
    return {
      process: group[0].processes[0],
      roast: bandOf(group[0].roastLevel),
      releases: byRelease.size,
      cups: group.length,
      liking: meanOf3(likings),
      notes: notesOf(group).slice(0, MOST_NOTES)
    };
  }).sort((a, b) => b.releases - a.releases || b.cups - a.cups);
}
function notesOf(cups) {
  const counts = /* @__PURE__ */ new Map();
  for (const { promised, found } of cups)
    for (const note of promised) {
      const key = note.toLowerCase();
      const count2 = counts.get(key) ?? { found: 0, asked: 0 };
      counts.set(key, {
        asked: count2.asked + 1,
        found: count2.found + Number(found.some((word2) => word2.toLowerCase() === key))
      });
    }
  return [...counts].map(([note, count2]) => ({ note, ...count2 })).sort((a, b) => b.found - a.found || a.note.localeCompare(b.note));
}

// src/core/advice/breaks.ts
var COLD_AFTER_MIN = 45;
function firstsAfterBreak(moments) {
  return moments.map((moment, i) => {
    const before = moments[i - 1];
    const gapMs = before === void 0 ? Infinity : Date.parse(moment) - Date.parse(before);
    return gapMs > COLD_AFTER_MIN * 6e4;
  });
}

// src/core/advice/curve.ts
var BEYOND_STEPS = 3;
var MOST_POINTS2 = 41;
var CLEAN_PURGE_G = 1e3;
function grinderCurve(input) {
  const judged2 = judge(input);
  const { grinder, target } = input;
  const { stepSize } = grinder;
  const dials = [...input.shots.map(({ dial: dial2 }) => dial2), judged2.dial];
  const limits = settingLimits(grinder);
  const low = Math.max(limits.min, Math.min(...dials) - BEYOND_STEPS * stepSize);
  const high = Math.min(limits.max, Math.max(...dials) + BEYOND_STEPS * stepSize);
  const steps2 = Math.max(1, Math.round((high - low) / stepSize));
  const every = Math.ceil(steps2 / (MOST_POINTS2 - 1));
  const shown = (ln2) => fromPumpSeconds(pumpSeconds(Math.exp(ln2)), target.clock, judged2.offsetS);
  return Array.from({ length: Math.floor(steps2 / every) + 1 }, (_, i) => {
    const dial2 = roundDial(low + i * every * stepSize);
    const { lnTimeS, variance } = judged2.model.predict({
      dial: dial2,
      doseG: judged2.aimDoseG,
      yieldG: target.yieldG,
      restDays: judged2.restDays,
      purgeG: CLEAN_PURGE_G
    });
    const half = Z_80 * Math.sqrt(variance);
    return {
      dial: dial2,
      timeS: shown(lnTimeS),
      interval80: [shown(lnTimeS - half), shown(lnTimeS + half)]
    };
  });
}

// src/core/trace/read.ts
function thinned(points, everyS) {
  let nextS = -Infinity;
  return points.filter((point, i) => {
    if (point.timeS < nextS && i !== points.length - 1) return false;
    nextS = point.timeS + everyS;
    return true;
  });
}
var USUAL_OVERRUN_G = 1.2;
var REMEMBERED_OVERRUNS = 8;
function learnedOverrun(measuredG, saidG) {
  const recent = measuredG.slice(-REMEMBERED_OVERRUNS).sort((a, b) => a - b);
  return recent[Math.floor(recent.length / 2)] ?? saidG ?? USUAL_OVERRUN_G;
}

// src/data/marks.ts
var MOMENTS2 = `
  WITH dialled AS (
    SELECT d.batch_id AS owner, r.id AS draft_id
    FROM dial_in d JOIN recipe_draft r ON r.dial_in_id = d.id WHERE d.batch_id IN ${IDS})
  SELECT owner, 'shot' AS kind, s.pulled_at AS at
  FROM dialled JOIN shot s ON s.recipe_draft_id = draft_id WHERE s.removed_at IS NULL
  UNION ALL
  SELECT owner, 'tasting', t.tasted_at
  FROM dialled JOIN shot s ON s.recipe_draft_id = draft_id JOIN tasting t ON t.shot_id = s.id AND t.removed_at IS NULL
  WHERE s.removed_at IS NULL
  UNION ALL
  SELECT owner, 'publication', v.published_at
  FROM dialled JOIN recipe_version v ON v.draft_id = dialled.draft_id
  ORDER BY at`;
function marksOfBatches(db, batchIds) {
  const momentsOf2 = groupedByOwner(db, MOMENTS2, batchIds, (row) => row);
  return (batchId) => {
    const marks = /* @__PURE__ */ new Map();
    for (const { kind, at: at3 } of momentsOf2(batchId)) {
      const day3 = dayOf(at3);
      const key = `${kind} ${day3}`;
      marks.set(key, { kind, day: day3, count: (marks.get(key)?.count ?? 0) + 1 });
    }
    return [...marks.values()];
  };
}

// src/core/entity/partner.ts
var WEEKDAYS = ["1", "2", "3", "4", "5", "6", "7"];
var WEEKDAY_LABELS = {
  "1": "Monday",
  "2": "Tuesday",
  "3": "Wednesday",
  "4": "Thursday",
  "5": "Friday",
  "6": "Saturday",
  "7": "Sunday"
};
var HEAT_UNITS = ["c", "f"];
var PARTNER = {
  name: text2("name", { label: "Caf\xE9" }),
  people: text2("address", { label: "People", hint: "Whom to ask for", unsaid: "" }),
  /** Cafés of one town share their weather. */
  town: text2("note", { label: "Town", hint: "Caf\xE9s of one town share their weather" }),
  timeZone: text2("note", {
    label: "Time zone",
    hint: "As Europe/Lisbon; the house\u2019s if empty",
    unsaid: ""
  }),
  language: word(LANGUAGES, LANGUAGE_NAMES, { label: "Reads", unsaid: "en" }),
  heatUnit: word(HEAT_UNITS, { c: "\xB0C", f: "\xB0F" }, { label: "Temperatures in", unsaid: "c" }),
  checkTimes: text2("address", {
    label: "Checks at",
    hint: "As 7:00, 10:30, 14:00",
    unsaid: "7:00, 10:30, 14:00"
  }),
  closedWeekdays: words(WEEKDAYS, WEEKDAY_LABELS, { label: "Closed on", unsaid: [] }),
  machine: text2("name", { label: "Machine", unsaid: "" }),
  fixedTemperatureC: quantity2("temperatureC", {
    label: "It stands at",
    hint: "At the group; empty if it can be set",
    step: 0.5,
    isOpen: true
  }),
  canShape: flag({ label: "Pressure or flow can be set", unsaid: false }),
  grinder: text2("name", { label: "Grinder", unsaid: "" }),
  finerIs: word(["lower", "higher"], GRINDER2.finerIs.labels, {
    label: "Finer is",
    unsaid: "lower"
  }),
  notation: GRINDER2.notation,
  divisions: GRINDER2.divisions,
  dialMin: quantity2("dial", { label: "Lowest dial", step: 1, unsaid: 0 }),
  dialMax: quantity2("dial", { label: "Highest dial", step: 1, unsaid: 50 }),
  stepSize: quantity2("stepSize", { label: "One step on the dial", step: 0.1, unsaid: 1 }),
  diameterMm: quantity2("diameterMm", { label: "Basket, across", step: 1, unsaid: 58 }),
  ratedG: quantity2("ratedG", { label: "Basket holds", step: 0.5, unsaid: 18 }),
  clock: word(CLOCKS, CLOCK_LABELS, { label: "Its clock starts", unsaid: "pump" }),
  waterHardnessMgL: quantity2("waterMgL", {
    label: "Water hardness",
    isOpen: true,
    column: "water_hardness_mg_l"
  }),
  water: text2("address", { label: "Water, how it is made", unsaid: "" })
};

// src/data/partners.ts
var TABLE2 = tableOf3("partner", PARTNER);
var SELECT4 = `
  SELECT p.id, p.row_version AS rowVersion, p.secret, p.made_at AS madeAt,
    p.round_asked_at AS roundAskedAt, ${TABLE2.selected("p")},
    (SELECT json_group_array(c.release_id) FROM partner_coffee c JOIN release l ON l.id = c.release_id
     WHERE c.partner_id = p.id AND c.until IS NULL AND l.removed_at IS NULL) AS releaseIds
  FROM partner p WHERE p.removed_at IS NULL`;
function cafesServing(db, releaseIds) {
  const counts = groupedByOwner(
    db,
    `SELECT c.release_id AS owner, c.partner_id AS partnerId
     FROM partner_coffee c JOIN partner p ON p.id = c.partner_id
     WHERE c.release_id IN ${IDS} AND c.until IS NULL AND p.removed_at IS NULL`,
    releaseIds,
    (row) => row.partnerId
  );
  return (releaseId) => counts(releaseId).length;
}

// src/data/printed.ts
import { z as z18 } from "zod";
var plannedRow = z18.object({
  releaseId: z18.string(),
  onDay: z18.string(),
  card: json(z18.record(z18.string(), z18.unknown())),
  plannedAt: z18.string(),
  plannedBy: z18.string(),
  plannedById: z18.string(),
  heldBecause: z18.string().nullable()
});
function heldCards(db, releaseIds) {
  const rows = prepared(
    db,
    `SELECT release_id AS releaseId, held_because AS why FROM planned_publication
     WHERE release_id IN ${IDS} AND held_because IS NOT NULL`
  ).all(JSON.stringify(releaseIds));
  const whys = new Map(rows.map(({ releaseId, why }) => [releaseId, why]));
  return (releaseId) => whys.get(releaseId) ?? null;
}

// src/data/publications.ts
import { randomBytes } from "node:crypto";
import { z as z19 } from "zod";
var versionRow = z19.object({
  id: z19.string(),
  releaseId: z19.string(),
  number: z19.number(),
  document: z19.string(),
  sha256: z19.string(),
  publishedAt: z19.string(),
  publishedBy: z19.string(),
  /** The recipe it was made from; unknown of some made with an older program. */
  draftId: z19.string().nullable()
});
var SELECT_VERSION = `
  SELECT v.id, v.release_id AS releaseId, v.number, v.document, v.sha256,
         v.published_at AS publishedAt, p.name AS publishedBy, v.draft_id AS draftId
  FROM recipe_version v JOIN person p ON p.id = v.published_by`;
function versionsOfReleases(db, releaseIds) {
  const sql = `
    SELECT v.release_id AS owner, v.id, v.number, v.published_at AS publishedAt,
      p.name AS publishedBy, v.draft_id AS draftId
    FROM recipe_version v JOIN person p ON p.id = v.published_by
    WHERE v.release_id IN ${IDS} ORDER BY v.number DESC`;
  return groupedByOwner(db, sql, releaseIds, (row) => {
    const { id, number, publishedAt, publishedBy, draftId } = row;
    return { id, number, publishedAt, publishedBy, draftId };
  });
}
var publicRow = versionRow.extend({
  withdrawnAt: z19.string().nullable(),
  withdrawnWhy: z19.string().nullable()
});
var PUBLIC = `${SELECT_VERSION.replace(
  "FROM recipe_version v",
  `, b.withdrawn_at AS withdrawnAt, b.withdrawn_why AS withdrawnWhy
   FROM recipe_version v JOIN publication b ON b.version_id = v.id`
)}`;
function addressesOfReleases(db, releaseIds) {
  const sql = `
    SELECT release_id AS owner, token, withdrawn_at AS withdrawnAt, withdrawn_why AS withdrawnWhy,
      teaches
    FROM publication WHERE release_id IN ${IDS}`;
  return groupedByOwner(db, sql, releaseIds, (row) => {
    const { teaches, ...address } = row;
    const { token, withdrawnAt, withdrawnWhy } = address;
    return { token, withdrawnAt, withdrawnWhy, isWrong: teaches === 0 };
  });
}
function withdrawPublic(db, releaseId, { why, wasWrong }) {
  prepared(
    db,
    `UPDATE publication SET withdrawn_at = ?, withdrawn_why = ?, teaches = ? WHERE release_id = ?`
  ).run(now(), why, Number(!wasWrong), releaseId);
}
var GATES = ["confirmed", "tasted", "rested"];
var passRow = z19.object({ versionId: z19.string(), gate: z19.enum(GATES), reason: z19.string() });
var TOKEN_BYTES = 18;
function insertVersion(db, version, personId) {
  prepared(
    db,
    `INSERT INTO recipe_version (id, release_id, number, document, sha256, published_at,
       published_by, draft_id)
     VALUES (@id, @releaseId, @number, @document, @sha256, @publishedAt, @personId, @draftId)`
  ).run({ ...version, publishedAt: now(), personId });
  prepared(
    db,
    `INSERT INTO publication (release_id, token, version_id) VALUES (@releaseId, @token, @id)
     ON CONFLICT (release_id) DO UPDATE SET version_id = excluded.version_id,
       withdrawn_at = NULL, withdrawn_why = NULL, teaches = 1`
  ).run({
    releaseId: version.releaseId,
    id: version.id,
    token: randomBytes(TOKEN_BYTES).toString("base64url")
  });
}

// src/views/release.ts
function readBatch(house, release, batch, { today: today2, marks, spent }) {
  const roast = readRoast(batch, house.roastMap);
  const spanAsked = { roastLevel: roast.level ?? 0, school: house.restSchool, span: release.span };
  const setAside = setAsideG(batch);
  const spentG = spent.reduce((sum2, shot) => sum2 + shot.doseG + purgeOf(shot, shot.retentionG), 0);
  return {
    ...batch,
    roast,
    rest: restOn({
      roastDate: batch.roastDate,
      ...spanAsked,
      frozen: batch.frozen,
      // A clock set back must not close the page of a batch roasted "tomorrow".
      on: daysBetween(batch.roastDate, today2) < 0 ? batch.roastDate : today2
    }),
    span: spanOf(spanAsked),
    marks,
    leftG: setAside === null ? null : setAside - spentG
  };
}
function setAsideG({ sampleG, samples }) {
  if (sampleG !== void 0) return sampleG;
  return samples.length === 0 ? null : samples.reduce((sum2, { bagG }) => sum2 + bagG, 0);
}
var JUDGED_AT_ONCE2 = 5;
function* releasesInSteps(db, house, ids, { today: today2, units = METRIC }) {
  const releases = findReleases(db, ids);
  const batchIds = releases.flatMap(({ batches }) => batches.map(({ id }) => id));
  const marksOf = marksOfBatches(db, batchIds);
  const spentOf2 = spentOfBatches(db, batchIds);
  const drafts = findBenchDrafts(db, ids);
  const draftOf = new Map(drafts.map((draft) => [draft.releaseId, draft]));
  const setups = allSetups(db);
  const dialInIds = drafts.map(({ dialInId }) => dialInId);
  const shotsOf = shotsOfDialIns(db, dialInIds);
  const tastingsOf = tastingsOfDialIns(db, dialInIds);
  const erasOf2 = groupBy(listEras(db), ({ grinderId }) => grinderId);
  const versionsOf = versionsOfReleases(db, ids);
  const addressOf = addressesOfReleases(db, ids);
  const heldOf = heldCards(db, ids);
  const cafesOf = cafesServing(db, ids);
  const views = [];
  for (const [i, release] of releases.entries()) {
    if (i % JUDGED_AT_ONCE2 === 0) yield;
    const batches = release.batches.map(
      (batch2) => readBatch(house, release, batch2, {
        today: today2,
        marks: marksOf(batch2.id),
        spent: spentOf2(batch2.id)
      })
    );
    const draft = draftOf.get(release.id);
    const batch = batches.find(({ id }) => id === draft?.batchId) ?? batches[0];
    if (!batch) continue;
    const setup = draft && setups.get(draft.setupId);
    const facts = factsToday(release, batch, today2);
    const versions = versionsOf(release.id);
    const shots = draft ? shotsOf(draft.dialInId) : [];
    const bench = draft && setup ? readBench(house, {
      release,
      draft,
      setup,
      batch,
      learnt: learntFor(db, house, { release, draft, setup, batch, facts, today: today2, shots }),
      units,
      shots,
      tastings: tastingsOf(draft.dialInId),
      eras: erasOf2.get(setup.grinder.id) ?? []
    }) : null;
    const address = addressOf(release.id)[0] ?? null;
    views.push({
      today: today2,
      release,
      batches,
      batch,
      facts,
      bench,
      versions,
      address,
      heldCard: heldOf(release.id),
      cafes: cafesOf(release.id),
      newBatch: newBatchOf(db, house, {
        release,
        batches,
        bench,
        published: versions[0] ?? null,
        isWrong: address?.isWrong ?? false,
        today: today2,
        units
      })
    });
  }
  return views;
}
function readRelease(db, house, id, reader) {
  return runThrough(releasesInSteps(db, house, [id], reader))[0] ?? null;
}
function learntFor(db, house, asked) {
  return {
    ...memoryFor(db, house, asked.draft, asked.setup),
    coffee: grindFeatures(asked.facts, asked.draft.style),
    carry: carryOf(db, house, { ...asked, restDays: asked.batch.rest.restDays }) ?? void 0
  };
}
var MOST_SHOTS5 = 150;
function readBench(house, {
  release,
  draft,
  setup,
  batch,
  learnt: learnt2,
  units,
  shots: all,
  tastings,
  eras: eras2
}) {
  const target = targetOf(house, draft, { roast: batch.roast, opensOn: batch.span.opens });
  const cupsOf2 = groupBy(tastings, ({ shotId }) => shotId);
  const before = Math.max(0, all.length - MOST_SHOTS5);
  const stored = all.slice(before).map((shot, i) => ({
    ...shot,
    number: before + i + 1,
    tastings: cupsOf2.get(shot.id) ?? []
  }));
  const judging = judgingOf(house, release);
  const adviceOn = (shots2) => nextMove({ ...askedOf({ target, setup, shots: shots2, draft, judging, eras: eras2 }, units), ...learnt2 });
  const firstOwn = stored.findIndex(({ drink }) => drink === draft.drink);
  const forRecipe = stored.filter(
    (shot, i) => !isOfOther(shot, target) && (shot.drink === draft.drink || firstOwn < 0 || i < firstOwn)
  );
  const advice = adviceOn(forRecipe);
  const marks = forRecipe.length === stored.length ? advice.marks : adviceOn(stored).marks;
  const shots = stored.map((shot, i) => ({ ...shot, mark: marks[i] }));
  const spentG = all.reduce(
    (sum2, shot) => sum2 + shot.doseG + purgeOf(shot, setup.grinder.retentionG),
    0
  );
  return { draft, setup, target, judging, eras: eras2, shots, shotCount: all.length, advice, spentG };
}
var SAME_C = 0.25;
function isOfOther(shot, target) {
  if (!shot.isOfFlight) return false;
  const isAsHot = target.temperatureC === void 0 || Math.abs(shot.temperatureC - target.temperatureC) <= SAME_C;
  const isAsLong = Math.abs(shot.yieldG - target.yieldG) <= 2 * target.yieldToleranceG;
  return !isAsHot || !isAsLong || shot.beans !== "room";
}
function askedOf({
  target,
  setup,
  shots,
  draft,
  judging,
  eras: eras2
}, units) {
  const firsts = firstsAfterBreak(shots.map(({ pulledAt }) => pulledAt));
  return {
    // What was pulled or written on an older scale is judged on today's.
    target: {
      ...target,
      startDial: dialToday(draft.startDial, draft.createdAt, eras2) ?? draft.startDial
    },
    grinder: setup.grinder,
    basket: setup.basket,
    machine: setup.machine,
    shots: shots.map((shot, i) => {
      const dial2 = dialToday(shot.dial, shot.pulledAt, eras2);
      return {
        ...advisedShot(shot, shot.tastings, draft.drink),
        dial: dial2 ?? shot.dial,
        isApart: dial2 === null,
        isFirst: firsts[i]
      };
    }),
    targetFrom: shots.findLastIndex((shot) => shot.draftId !== draft.id) + 1,
    units,
    ...judging
  };
}

// src/data/traces.ts
import { z as z21 } from "zod";

// src/core/trace/schema.ts
import { z as z20 } from "zod";
var MOST_POINTS3 = 1800;
var tracePoint = z20.strictObject({
  timeS: z20.number({ error: "A time of the trace is not a number. Mend the row." }).min(0, { error: "A time of the trace is before the pump. Mend the row." }).max(180, { error: "The trace is over 180 s long. Cut it." }),
  weightG: z20.number({ error: "A weight of the trace is not a number. Mend the row." }).min(-20, { error: "A weight of the trace is under -20 g. Tare the scale." }).max(300, { error: "A weight of the trace is over 300 g. Mend the row." }),
  pressureBar: z20.number().min(0).max(20).optional(),
  flowMlS: z20.number().min(0).max(30).optional(),
  temperatureC: z20.number().min(0).max(130).optional()
});
var traceSchema = z20.array(tracePoint).min(5, { error: "The trace has under five points, which is no shot." }).max(MOST_POINTS3, { error: `The trace has over ${MOST_POINTS3} points. Thin it out.` }).refine((points) => points.every((point, i) => i === 0 || point.timeS > points[i - 1].timeS), {
  error: "The times of the trace do not rise. Put the rows in order."
});

// src/data/traces.ts
var traceRow = z21.object({ shotId: z21.string(), points: json(z21.array(tracePoint)) });
function findTraces(db, shotIds) {
  const rows = prepared(
    db,
    `SELECT shot_id AS shotId, points FROM trace WHERE shot_id IN ${IDS}`
  ).all(JSON.stringify(shotIds));
  return new Map(
    rows.map((row) => traceRow.parse(row)).map(({ shotId, points }) => [shotId, points])
  );
}

// src/views/pull.ts
var DRAWN_EVERY_S = 0.8;
function readPull(db, house, view, bench) {
  const { shots, setup, draft } = bench;
  const traces = [
    ...findTraces(
      db,
      shots.map(({ id }) => id)
    )
  ];
  const moments = shots.map(({ pulledAt }) => pulledAt);
  return {
    curve: grinderCurve({
      ...askedOf(bench, METRIC),
      ...learntFor(db, house, { ...view, ...bench })
    }),
    traces: Object.fromEntries(
      traces.map(([shotId, trace]) => [shotId, thinned(trace, DRAWN_EVERY_S)])
    ),
    cremaGPerMl: house.cremaGPerMl,
    bag: bagOf(view),
    overrunG: learnedOverrun(listOverruns(db, setup.machine.id), setup.machine.overrunG),
    minutes: benchMinutes(moments),
    usual: usualOf(db, house),
    firsts: firstsAfterBreak(moments).flatMap((isFirst, i) => isFirst ? [shots[i].id] : []),
    coffee: {
      roastLevel: view.batch.roast.level ?? 0,
      intensity: intensityOf(view),
      restDays: view.batch.rest.restDays,
      names: [view.release.name, setup.name, draft.style].join("\n")
    }
  };
}
function bagOf({ batch }) {
  const open = batch.samples.find(({ id }) => id === batch.openSampleId);
  return open ? { label: open.label, restDays: batch.rest.restDays } : null;
}
function intensityOf({ release, batch }) {
  return blendedOf(release.components, batch.sharesPct).reduce(
    (sum2, { sharePct, process: process2 }) => sum2 + sharePct / 100 * (process2 ? PROCESS_INTENSITY[process2] : 0),
    0
  );
}
function listOverruns(db, machineId) {
  return prepared(
    db,
    `SELECT s.overrun_g AS overrunG FROM shot s
       JOIN recipe_draft r ON r.id = s.recipe_draft_id JOIN dial_in d ON d.id = r.dial_in_id
       JOIN setup u ON u.id = d.setup_id
       WHERE u.machine_id = ? AND s.overrun_g IS NOT NULL AND s.removed_at IS NULL
       ORDER BY s.pulled_at DESC LIMIT ?`
  ).all(machineId, REMEMBERED_OVERRUNS).map(({ overrunG }) => overrunG);
}
var LEAST_DIAL_INS = 3;
function usualOf(db, house) {
  const proven = readRecords(db, house).dialIns.filter(({ isProven: isProven2 }) => isProven2);
  const middle = (values) => values.sort((a, b) => a - b)[Math.floor(values.length / 2)];
  return proven.length < LEAST_DIAL_INS ? null : {
    dialIns: proven.length,
    shots: middle(proven.map(({ shots }) => shots)),
    spentG: middle(proven.map(({ spentG }) => spentG)),
    minutes: middle(proven.map(({ minutes }) => minutes))
  };
}

// src/core/start/comingFrom.ts
function comingFrom(model, known3, question, own = []) {
  const others = model.history.filter(
    ({ release }) => release.id !== known3.release.id || release.id === void 0
  );
  const told = learnWithCups([...others, { ...known3, weight: 1 }], model.school, own);
  const proposal = proposeFrom(told, question);
  const values = valuesOf(proposal.recipe, proposal.grindSteps);
  const before = valuesOf(known3.recipe, known3.grindSteps ?? null);
  const isSameClock = known3.recipe.clock === proposal.recipe.clock;
  const changes = Object.fromEntries(
    PUSHED.flatMap((name3) => {
      const [from, to] = [before[name3], values[name3]];
      if (from === null || to === null || name3 === "timeS" && !isSameClock) return [];
      const [low, high] = proposal.interval80[name3];
      const change = { from, to, change: to - from, interval80: [low - from, high - from] };
      return [[name3, change]];
    })
  );
  return { changes, proposal, told };
}
function valuesOf({ ratio, temperatureC: temperatureC2, timeS: timeS2, doseG: doseG2 }, grindSteps) {
  return {
    ratio,
    temperatureC: temperatureC2,
    timeS: (timeS2[0] + timeS2[1]) / 2,
    grindSteps,
    doseG: doseG2
  };
}

// src/core/start/similar.ts
var COMPARED = ["lnRatio", "temperatureC", "grindSteps"];
var SCALES2 = COMPARED.map(
  (output) => priorFor(output, "both").map(
    ({ factor, mean: mean2, sd }) => (factor === "base" ? 0 : mean2 ** 2 + sd ** 2) / NOISE_SD3[output] ** 2 / COMPARED.length
  )
).reduce((sum2, scales) => sum2.map((value, j) => value + scales[j]));
function similarTo(history, release, style) {
  const row = designRow(featuresOf(release), style);
  return history.map((past, place) => {
    const other = rowOfPast(past);
    const squared = SCALES2.reduce((sum2, scale2, j) => sum2 + scale2 * (row[j] - other[j]) ** 2, 0);
    return { place, distance: Math.sqrt(squared) };
  }).sort((a, b) => a.distance - b.distance || b.place - a.place);
}

// src/views/pastWords.ts
function pastWords(past) {
  const { roastLevel, processShare } = featuresOf(past.facts);
  const { releaseId, style, recipe } = past.draft;
  const processes2 = Object.keys(processShare).sort((a, b) => processShare[b] - processShare[a]).map((process2) => PROCESS_LABELS[process2]);
  const words3 = [
    processes2.slice(0, 2).join(" and "),
    roastLevel === null ? "" : roastWord(roastLevel),
    STYLE_LABELS[style]
  ].filter((word2) => word2 !== "").join(", ").toLowerCase();
  return {
    releaseId,
    name: past.name,
    kind: words3.charAt(0).toUpperCase() + words3.slice(1),
    ratio: recipe.ratio,
    temperatureC: recipe.temperatureC,
    day: past.decidedAt.slice(0, 10),
    isRecord: past.version === null
  };
}
var MOST_NEAREST = 4;
var NEAR_WITHIN = 3;
function nearestTo({ decided, history }, release, style) {
  return similarTo(history, release, style).filter(({ place, distance }) => {
    return distance <= NEAR_WITHIN && decided[place].draft.releaseId !== release.id;
  }).slice(0, MOST_NEAREST).map(({ place, distance }) => ({ ...pastWords(decided[place]), distance }));
}

// src/core/trials/shotCups.ts
function cupsOfShots(shots, recipe, roastLevel, drink = "straight") {
  const fastUnderS = fromPump(recipe.timeS[0], recipe.clock);
  return shots.flatMap((shot) => {
    const timeS2 = fromPump(shot.timeS, shot.clock, shot.firstDripS);
    const isChoked2 = shot.seen.includes("choke") || shot.yieldG < CHOKED.underG;
    if (isChoked2 || shot.timeS < GUSHING_UNDER_S) return [];
    return shot.tastings.flatMap(({ scales, serving: serving2, tastedById }) => {
      const { liking } = scales;
      if (liking === void 0 || !isCupFor(drink, serving2)) return [];
      const ranFast = timeS2 < fastUnderS;
      const { verdict, under, over } = tasteDirection(scales, roastLevel, ranFast);
      return [
        {
          ratio: shot.yieldG / shot.doseG,
          temperatureC: shot.temperatureC,
          timeS: timeS2,
          taster: tastedById,
          liking,
          // A sheet that points nowhere says nothing; an uneven cup speaks of its preparation.
          u: verdict === "unclear" || verdict === "uneven" ? void 0 : under - over
        }
      ];
    });
  });
}

// src/core/entity/trial.ts
var TRIAL = {
  yieldFromG: quantity2("yieldG", { label: "Yield from", step: 0.5, isOpen: true }),
  yieldToG: quantity2("yieldG", { label: "Yield to", step: 0.5, isOpen: true }),
  temperatureFromC: quantity2("temperatureC", {
    label: "Temperature from",
    step: 0.5,
    isOpen: true
  }),
  temperatureToC: quantity2("temperatureC", { label: "Temperature to", step: 0.5, isOpen: true }),
  timeFromS: quantity2("timeS", { label: "Time from the pump, from", step: 1, isOpen: true }),
  timeToS: quantity2("timeS", { label: "Time from the pump, to", step: 1, isOpen: true }),
  mostRecipes: quantity2("trialRecipes", { step: 1, isWhole: true, isOpen: true }),
  /** The rest of the batch stays for checks and visitors. */
  keepG: quantity2("keepG", { step: 10, isOpen: true })
};

// src/data/trials.ts
var TABLE3 = tableOf3("trial", TRIAL);

// src/core/entity/fieldCheck.ts
var CHECK_TASTES = ["fine", "sour", "bitter", "weak", "uneven"];
var CHECK_TASTE_LABELS = {
  fine: "fine",
  sour: "sour side",
  bitter: "bitter side",
  weak: "weak",
  uneven: "uneven"
};
var FIELD_CHECK = {
  doseG: quantity2("doseG", { headers: ["dose_g"], step: 0.1 }),
  yieldG: quantity2("shotYieldG", { headers: ["yield_g"], step: 0.5 }),
  timeS: quantity2("timeS", { headers: ["time_s"], step: 0.5 }),
  dial: quantity2("dial", { headers: ["dial"], step: 1, isOpen: true }),
  /** Shots whose figures were averaged. */
  shots: quantity2("shotsAveraged", { headers: ["shots"], step: 1, isWhole: true, unsaid: 1 }),
  taste: word(CHECK_TASTES, CHECK_TASTE_LABELS, {
    label: "Taste",
    headers: ["taste"],
    isOpen: true
  }),
  remark: text2("words", { label: "Remark", headers: ["remark"], unsaid: "" })
};

// src/data/fieldChecks.ts
var TABLE4 = tableOf3("field_check", FIELD_CHECK);
var SELECT5 = `
  SELECT c.id, c.visit_id AS visitId, v.partner_id AS partnerId, v.visited_at AS visitedAt,
    c.release_id AS releaseId, c.version_number AS versionNumber, c.roast_date AS roastDate,
    c.target_dose_g AS targetDoseG, c.target_yield_g AS targetYieldG, c.target_from_s AS fromS,
    c.target_to_s AS toS, c.clock AS clock, v.rowid AS visitRow, ${TABLE4.selected("c")}
  FROM field_visit v JOIN field_check c ON c.visit_id = v.id
  WHERE c.removed_at IS NULL`;

// src/core/field/schedule.ts
var GRACE_DAYS = 2 / 24;

// src/data/fieldLearnt.ts
import { z as z22 } from "zod";
var alarmRow = z22.object({
  partnerId: z22.string(),
  coffee: z22.string().nullable(),
  fromDay: z22.number(),
  openedDay: z22.number(),
  state: z22.enum(ALARM_STATES),
  probability: z22.number(),
  size: z22.number(),
  sd: z22.number()
});

// src/data/timeZone.ts
var MACHINES = process.env.TZ;

// src/views/tasteSites.ts
import { createHash } from "node:crypto";
var RESTS_ON2 = [
  "house",
  "release",
  "batch",
  "recipe",
  "decidedShot",
  "tasting",
  "publication"
];
async function renewTasteSites(db, house) {
  await prepareKept(
    db,
    { name: "taste sites are fresh", restsOn: RESTS_ON2 },
    () => renewing(db, house)
  );
}
function* renewing(db, house) {
  const { decided, history } = readHouseModel(db, house);
  yield;
  const cupsOf2 = cupsOfDecided(db, house, decided);
  yield;
  const known3 = siteSignatures(db);
  const ids = new Set(decided.map(({ draft }) => draft.releaseId));
  dropTasteSites(
    db,
    [...known3.keys()].filter((id) => !ids.has(id))
  );
  const recipes = history.map(({ site: _site, ...past }) => past);
  const around = yield* learningTaste(recipes, house.temperatureSchool, rulesOf2(house));
  const tasted = [...history];
  for (const [i, { draft }] of decided.entries()) {
    const cups = cupsOf2(i);
    const signature = signatureOf(cups);
    if (known3.get(draft.releaseId) === signature) continue;
    yield;
    const expected2 = {
      ...expectedWithout(around, recipes[i]),
      signs: expectedSigns(tasted, tasted[i])
    };
    const site = cups.length === 0 ? null : siteOfCups(recipes[i], cups, expected2, numberOf(draft.releaseId));
    tasted[i] = { ...recipes[i], site: site ?? void 0 };
    keepTasteSite(db, { releaseId: draft.releaseId, signature, site });
  }
  return true;
}
function cupsOfDecided(db, house, decided) {
  const dialInIds = decided.map(({ draft }) => draft.dialInId);
  const shotsOf = shotsOfDialIns(db, dialInIds);
  const tastingsOf = tastingsOfDialIns(db, dialInIds);
  const releases = new Map(
    findReleases(
      db,
      decided.map(({ draft }) => draft.releaseId)
    ).map((release) => [release.id, release])
  );
  return (i) => {
    const { draft, setup } = decided[i];
    const tastings = groupBy(tastingsOf(draft.dialInId), ({ shotId }) => shotId);
    const shots = shotsOf(draft.dialInId).flatMap((shot) => {
      const own = tastings.get(shot.id) ?? [];
      return own.length === 0 || shot.isSimulated ? [] : [{ ...shot, tastings: own }];
    });
    const batch = releases.get(draft.releaseId)?.batches.find(({ id }) => id === draft.batchId);
    const roastLevel = batch ? readRoast(batch, house.roastMap).level ?? 0 : 0;
    const stretch = referenceStretch(setup.basket);
    return cupsOfShots(shots, draft.recipe, roastLevel).map((cup) => ({
      ...cup,
      timeS: cup.timeS / stretch
    }));
  };
}
var signatureOf = (cups) => createHash("sha256").update(JSON.stringify(cups)).digest("hex");
var numberOf = (id) => parseInt(id.slice(0, 5), 16) % 5e3;

// src/data/flights.ts
import { z as z24 } from "zod";

// src/core/panel/arm.ts
import { z as z23 } from "zod";
var { doseG, yieldG, temperatureC, timeS, clock: clock2 } = entryShape(RECIPE);
var { dial, beans } = entryShape(SHOT);
var { serving } = entryShape(TASTING);
var level = z23.strictObject({ of: text("A thing", "note"), is: text("A setting", "note") });
var armSchema = z23.strictObject({
  /** What it is, said at the reveal. */
  label: text("Name of a cup", "note"),
  serving,
  /** Of a small experiment: the settings of its two things. */
  levels: z23.tuple([level, level], { error: "A cup of an experiment has a setting of each thing." }).optional(),
  /** How it is pulled; a cup from elsewhere has none. */
  pull: z23.strictObject({
    /** The recipe it is pulled by, or departs from. */
    draftId: z23.string().max(64),
    doseG,
    yieldG,
    temperatureC,
    timeS,
    clock: clock2,
    dial,
    beans,
    purged: z23.boolean().default(true)
  }).optional()
});

// src/core/panel/flightTests.ts
var FLIGHT_TESTS = ["paired", "triangle", "ranking", "scored"];

// src/core/taste/staged.ts
var LIKENESSES = ["first", "middle", "last"];

// src/data/flights.ts
var flightRow = z24.object({
  id: z24.string(),
  releaseId: z24.string(),
  test: z24.enum(FLIGHT_TESTS),
  question: z24.string(),
  arms: json(z24.array(armSchema)),
  places: z24.number(),
  seed: z24.number(),
  asksLikeness: bool,
  code: z24.string(),
  expiresAt: z24.string(),
  madeAt: z24.string(),
  madeBy: z24.string(),
  revealedAt: z24.string().nullable(),
  chosenArm: z24.number().nullable(),
  decision: z24.string().nullable()
});
var tasterRow = z24.object({
  id: z24.string(),
  flightId: z24.string(),
  name: z24.string(),
  personId: z24.string().nullable(),
  place: z24.number(),
  deviceHash: z24.string().nullable(),
  answer: json(z24.array(z24.string())).nullable()
});
var sheetRow2 = z24.object({
  id: z24.string(),
  tasterId: z24.string(),
  code: z24.string(),
  moment: z24.enum(MOMENTS),
  scales: z24.string().transform((text3) => JSON.parse(text3)),
  notesFound: json(z24.array(z24.string())),
  remark: z24.string(),
  likeness: z24.enum(LIKENESSES).nullable(),
  isLate: bool
});

// src/views/best.ts
function readFirstCup(db, house, question) {
  const { expected: expected2, releases, taste: taste2 } = expectationOf2(db, house, question);
  const { cups, coffees } = taste2;
  return { points: firstCupPoints(expected2.covariance), releases, cups, coffees };
}
function expectationOf2(db, house, { facts, style, school, releaseId }) {
  const { history, tasteOf } = readHouseModel(db, house);
  const taste2 = tasteOf(school);
  const own = history.find(({ release }) => release.id === releaseId);
  const site = own && taste2.sites.get(own);
  const [, row] = questionRow(facts, style);
  return {
    expected: { ...predictJoint(taste2.model, row, site), signs: expectedSigns(history, own) },
    taste: taste2,
    releases: taste2.sites.size - (site ? 1 : 0)
  };
}

// src/views/asked.ts
function readAsked(search, {
  house,
  draft,
  setups
}) {
  const text3 = (key) => typeof search[key] === "string" ? search[key] : void 0;
  const word2 = (words3, key) => words3.find((known3) => known3 === text3(key));
  const style = word2(STYLES, "style") ?? draft?.style ?? house.brewStyle;
  const beside = word2(STYLES, "beside") ?? null;
  const setup = setups.find(({ id }) => id === text3("setup")) ?? setups.find(({ id }) => id === draft?.setupId) ?? setups[0];
  return {
    style,
    temperatureSchool: word2(TEMPERATURE_SCHOOLS, "school") ?? draft?.temperatureSchool ?? house.temperatureSchool,
    setupId: setup?.id,
    batchId: text3("batch"),
    beside: beside === style ? null : beside,
    from: text3("from") ?? null,
    suppose: {
      roastLevel: within(text3("ifRoast"), LIMITS.roastLevel),
      process: word2(PROCESSES, "ifProcess"),
      restDays: within(text3("ifRest"), LIMITS.restDays)
    }
  };
}
function within(text3, { min, max }) {
  const value = text3 === void 0 || text3.trim() === "" ? NaN : Number(text3);
  return value >= min && value <= max ? value : void 0;
}

// src/core/entity/programme.ts
var PROGRAMME = {
  name: text2("name", { label: "Name of the programme" }),
  style: word(STYLES, STYLE_LABELS, { label: "Style" }),
  steps: steps({ label: "Programme" }),
  /** Start begins its style with this one. */
  isFirst: flag({ label: "First of its style", unsaid: false })
};

// src/data/programmes.ts
var PROGRAMME_TABLE = tableOf3("programme", PROGRAMME);
var SELECT6 = `
  SELECT id, row_version AS rowVersion, ${PROGRAMME_TABLE.selected()} FROM programme`;
function complete3(row) {
  const { id, rowVersion } = row;
  return { id, rowVersion, ...PROGRAMME_TABLE.read(row) };
}
function listProgrammes(db) {
  return prepared(db, `${SELECT6} WHERE removed_at IS NULL ORDER BY name COLLATE NOCASE, id`).all().map(complete3);
}

// src/views/water.ts
var USUAL_REST_DAYS = 14;
function readWater(db, {
  style,
  release,
  draft
}) {
  const own = listProgrammes(db).map(({ id, name: name3, steps: steps3, isFirst, style: of }) => ({
    choice: { id, label: `${name3} (${STYLE_LABELS[of].toLowerCase()})`, words: name3, steps: steps3 },
    isFirst: isFirst && of === style,
    isOfStyle: of === style
  }));
  const asStyle = {
    id: "style",
    label: `As ${STYLE_LABELS[style].toLowerCase()} has it`,
    words: STYLE_PROGRAMMES[style],
    steps: STYLE_STEPS[style]
  };
  const { programme = "", steps: steps2 } = draft?.recipe ?? {};
  const asBench = steps2 ? [{ id: "bench", label: "As on the bench", words: programme, steps: steps2 }] : [];
  const pick = (wanted) => own.filter(wanted).map(({ choice }) => choice);
  const choices = [
    ...asBench,
    ...pick(({ isFirst }) => isFirst),
    asStyle,
    ...pick(({ isFirst, isOfStyle }) => isOfStyle && !isFirst),
    ...pick(({ isOfStyle }) => !isOfStyle)
  ];
  const { roastLevel, intensity } = featuresOf(release);
  return {
    choices,
    coffee: {
      roastLevel: roastLevel ?? 0,
      intensity,
      restDays: release.restDays ?? USUAL_REST_DAYS
    }
  };
}

// src/views/start.ts
function openRecipes(db, { release, batches, bench }, setups) {
  const open = listOpenDrafts(db, release.id).flatMap((draft) => {
    const batch = batches.find(({ id: id2 }) => id2 === draft.batchId);
    const setup = setups.find(({ id: id2 }) => id2 === draft.setupId);
    if (!batch || !setup) return [];
    const { id, dialInId, style, drink, recipe } = draft;
    return [
      {
        draftId: id,
        dialInId,
        style,
        drink,
        setupName: setup.name,
        roastDate: batch.roastDate,
        recipe,
        isOnBench: id === bench?.draft.id
      }
    ];
  });
  return open.length > 1 ? open : [];
}
var MOST_EVIDENCE = 5;
function readStart(db, house, view, search, { today: today2, units }) {
  const knowledge = readHouseModel(db, house);
  const setups = listSetups(db).map((setup2) => ({
    ...setup2,
    grinder: knowledge.withReference(setup2.grinder)
  }));
  const asked = readAsked(search, { house, draft: view.bench?.draft, setups });
  const setup = setups.find(({ id }) => id === asked.setupId);
  const batch = view.batches.find(({ id }) => id === asked.batchId) ?? newestInUse(view.batches);
  const question = {
    release: factsToday(view.release, batch, today2),
    style: asked.style,
    setup,
    setupId: setup?.id,
    restSchool: house.restSchool,
    span: view.release.span,
    clock: house.clock,
    units
  };
  const model = knowledge.modelOf(asked.temperatureSchool);
  const proposal = proposeFrom(model, question);
  const isSupposing = Object.values(asked.suppose).some((value) => value !== void 0);
  return {
    asked,
    batch,
    setups,
    setup,
    proposal,
    evidence: evidenceRows(knowledge, model, question, proposal),
    nearest: nearestTo(knowledge, question.release, question.style),
    beside: asked.beside === null ? null : proposeFrom(model, { ...question, style: asked.beside }),
    whatIf: isSupposing ? proposeFrom(model, { ...question, release: supposed(question.release, asked) }) : null,
    others: listBenchNames(db).filter(({ id }) => id !== view.release.id),
    comingFrom: readComingFrom(db, house, {
      knowledge,
      model,
      question,
      asked,
      grinderId: setup?.grinder.id,
      today: today2,
      units
    }),
    halfLife: house.halfLife,
    open: openRecipes(db, view, setups),
    firstCup: readFirstCup(db, house, {
      facts: question.release,
      style: asked.style,
      school: asked.temperatureSchool,
      releaseId: view.release.id
    }),
    water: readWater(db, {
      style: asked.style,
      release: question.release,
      draft: view.bench?.draft.style === asked.style ? view.bench.draft : void 0
    })
  };
}
function evidenceRows({ decided }, model, { release, style }, proposal) {
  const [, row] = questionRow(release, style);
  const byId = new Map(decided.map((item) => [item.draft.releaseId, item]));
  return Object.fromEntries(
    PUSHED.map((name3) => {
      const output = OUTPUT_OF[name3];
      const rows = evidenceOf2(model.history, row, model.fits[output]).slice(0, MOST_EVIDENCE).map(({ id, weight, effect }) => ({
        ...pastWords(byId.get(id)),
        weight,
        effect: shownEffect(name3, proposal, effect)
      }));
      return [name3, rows];
    })
  );
}
function shownEffect(name3, { mean: mean2, recipe }, effect) {
  const output = OUTPUT_OF[name3];
  if (!output.startsWith("ln")) return effect;
  const value = name3 === "doseG" ? recipe.doseG : Math.exp(mean2[output]);
  return value * (1 - Math.exp(-effect));
}
function supposed(release, { suppose }) {
  const { roastLevel, restDays, process: process2 } = suppose;
  return {
    ...release,
    ...roastLevel !== void 0 && { roastLevel, roastSd: 0 },
    ...restDays !== void 0 && { restDays },
    ...process2 !== void 0 && {
      components: release.components?.map((part) => ({ ...part, process: process2 }))
    }
  };
}
function readComingFrom(db, house, { knowledge, model, question, asked, grinderId, today: today2, units }) {
  if (asked.from === null) return null;
  const other = readRelease(db, house, asked.from, { today: today2, units });
  if (!other?.bench) return null;
  const { bench, release, batch } = other;
  const { draft, shots } = bench;
  const dial2 = shots.at(-1)?.dial ?? draft.startDial;
  const grinder = knowledge.withReference(bench.setup.grinder);
  const known3 = {
    release: factsToday(release, batch, today2),
    style: draft.style,
    recipe: draft.recipe,
    ratedG: bench.setup.basket.ratedG,
    diameterMm: bench.setup.basket.diameterMm,
    setupId: bench.setup.id,
    grindSteps: grindStepsOf(grinder, dial2) ?? void 0
  };
  const { changes, proposal } = comingFrom(model, known3, question, rulesOf2(house));
  const isSameGrinder = grinderId === bench.setup.grinder.id;
  const steps2 = known3.grindSteps ?? proposeFrom(model, { ...question, ...known3 }).mean.grindSteps;
  const reference = dial2 - LN_TIME_PER_STEP * steps2 / slopePrior(grinder).mean;
  const to = isSameGrinder ? startDialOf(
    { ...grinder, referenceDial: reference },
    proposal.mean.grindSteps,
    proposal.halfWidth80.grindSteps
  ) : null;
  return { changes, name: release.name, dial: to && { from: dial2, to: to.dial }, proposal };
}

// src/core/rest/checkPlan.ts
var SHOTS_PER_CHECK = 2;
var MOST_DAYS_MOVED = 21;
function weekdayOf(day3) {
  return (daysBetween("1970-01-05", day3) % 7 + 7) % 7 + 1;
}
function isClosed(day3, { weekdays, dates }) {
  return weekdays.includes(weekdayOf(day3)) || dates.includes(day3);
}
function openDayFrom(day3, direction, closed) {
  for (let moved = 0; moved <= MOST_DAYS_MOVED; moved++) {
    const candidate = addDays(day3, direction * moved);
    if (!isClosed(candidate, closed)) return candidate;
  }
  return day3;
}
var CHECK_KINDS = ["opens", "fades", "middle", "bestEnds"];
function plannedChecks({ openOn, bestFrom, bestTo, fadesOn }, closed, count2 = CHECK_KINDS.length) {
  const middle = addDays(bestFrom, Math.round(daysBetween(bestFrom, bestTo) / 2));
  const dayOf2 = {
    opens: openDayFrom(openOn, -1, closed),
    middle: openDayFrom(middle, 1, closed),
    bestEnds: openDayFrom(bestTo, 1, closed),
    fades: openDayFrom(fadesOn, 1, closed)
  };
  const taken = /* @__PURE__ */ new Set();
  return CHECK_KINDS.slice(0, count2).flatMap((kind) => {
    const day3 = dayOf2[kind];
    if (taken.has(day3)) return [];
    taken.add(day3);
    return [{ kind, day: day3 }];
  }).sort((a, b) => daysBetween(b.day, a.day));
}
function gramsPerCheck(doseG2, retentionG) {
  return SHOTS_PER_CHECK * doseG2 + 2 * retentionG;
}

// src/core/advice/head.ts
var STATUS_WORDS = {
  measure: "Pull it again, measured",
  prep: "Same again, with better puck prep",
  grind: "Change the grind",
  dose: "Change the dose",
  taste: "Taste decides",
  repeat: "Pull it unchanged",
  nearest: "As near as this grinder comes",
  repeated: "Proven: taste it",
  confirmed: "Confirmed"
};
var REASON_HEADS = {
  doseOff: "Check the dose",
  yieldOff: "Check the yield",
  "doseOff yieldOff": "Check dose and yield",
  byVolume: "Weigh the yield",
  noFirstDrip: "Note the first drip",
  unpurged: "Same again, purged",
  otherEra: "See where the grinder stands now",
  tooFresh: "Wait, or pull it for practice"
};
function headOf({
  status,
  move,
  reasons
}) {
  const codes = reasons.map(({ code }) => code).join(" ");
  if (codes === "carriesOver")
    return `The recipe carries over${move ? `: ${move.words.toLowerCase()}` : ""}`;
  return move?.words ?? REASON_HEADS[codes] ?? STATUS_WORDS[status];
}

// src/core/due/due.ts
var COUNTS = ["no", "one", "two", "three", "four"];
var count = (n) => COUNTS[n] ?? String(n);
function dueOf(standing) {
  const due2 = [
    ...heldDue(standing),
    ...publicDue(standing),
    ...standing.bench ? benchDue(standing, standing.bench) : arrivalDue(standing),
    ...newBatchDue(standing),
    ...sampleDue(standing)
  ];
  return due2.sort((a, b) => b.urgency - a.urgency);
}
function whenWords(today2, day3) {
  const days = daysBetween(today2, day3);
  if (days === 0) return "today";
  if (days === 1) return "tomorrow";
  if (days === -1) return "yesterday";
  return days > 0 ? `in ${days} days` : `${-days} days ago`;
}
function heldDue({ heldCard }) {
  if (heldCard === null) return [];
  return [due("heldCard", 3, "publish", `The planned card was held back: ${heldCard}`)];
}
function publicDue({ isPublic: isPublic2, rest, today: today2, toCarry, bench }) {
  if (!isPublic2 || toCarry !== null || bench?.isCarried) return [];
  if (rest.state === "fading")
    return [
      due("fadedPublic", 3, "publish", "Batch faded, recipe still public: withdraw or revise it.")
    ];
  const days = daysBetween(today2, rest.bestTo);
  if (rest.state === "late")
    return [
      due(
        "latePublic",
        3,
        "publish",
        `Batch fading for ${count(-days)} ${-days === 1 ? "day" : "days"}, recipe still public: check it or withdraw it.`
      )
    ];
  if (rest.state === "best" && days <= 2)
    return [
      due(
        "bestEnds",
        2,
        "publish",
        `Best days end ${whenWords(today2, rest.bestTo)}, recipe is public: check that it still holds.`
      )
    ];
  return [];
}
function arrivalDue({ rest, today: today2, roastDate }) {
  const opens = whenWords(today2, rest.openOn);
  switch (rest.state) {
    case "tooFresh":
      if (daysBetween(today2, rest.openOn) === 1)
        return [due("opensTomorrow", 2, "start", "Opens tomorrow: have a starting recipe ready.")];
      return daysBetween(roastDate, today2) <= 1 ? [due("arrived", 1, "read", `Fresh from the roaster: read it. Opens ${opens}.`)] : [due("waiting", 1, "start", `Opens ${opens}: propose a starting recipe.`)];
    case "open":
      return [
        due(
          "openNoRecipe",
          2,
          "start",
          `Open ${sinceWords(today2, rest.openOn)}, no recipe yet: propose one.`
        )
      ];
    case "best":
      return [
        due(
          "bestNoRecipe",
          3,
          "start",
          `${bestWords(today2, rest.bestFrom)}, no recipe yet: propose one.`
        )
      ];
    case "late":
    case "fading":
      return [
        due(
          "missed",
          1,
          "read",
          "Past its best without a recipe: take it away, or read what is left."
        )
      ];
  }
}
function sinceWords(today2, day3) {
  const days = daysBetween(day3, today2);
  if (days === 0) return "from today";
  return days === 1 ? "since yesterday" : `for ${days} days`;
}
function bestWords(today2, bestFrom) {
  const since = sinceWords(today2, bestFrom);
  return `${bestFrom === today2 ? "Best" : "At its best"} ${since}`;
}
function benchDue({ rest, today: today2 }, bench) {
  if (bench.isPublished) return [];
  if (rest.state === "tooFresh")
    return daysBetween(today2, rest.openOn) === 1 ? [due("opensTomorrow", 2, "pull", "Opens tomorrow: the recipe is on the bench.")] : [];
  if (!bench.isProven) return [dialInDue(bench)];
  if (bench.isCarried)
    return bench.tasters === 0 ? [due("carriedTaste", 3, "taste", "The recipe carries over: one cup, then republish it.")] : [due("republish", 3, "publish", "The recipe carries over to the new batch: republish it.")];
  if (bench.tasters >= 2)
    return [due("publish", 3, "publish", "Proven and tasted by two, not published.")];
  if (bench.tasters === 1)
    return [due("secondTaster", 3, "taste", "Proven, not published: a second palate is missing.")];
  return rest.state === "best" ? [due("notTasted", 3, "taste", `${bestWords(today2, rest.bestFrom)}, proven, not yet tasted.`)] : [due("notTasted", 3, "taste", "Proven, not yet tasted.")];
}
function dialInDue({ shots, next, isCarried }) {
  if (shots === 0)
    return isCarried ? due(
      "firstShot",
      2,
      "pull",
      "Last recipe on the new batch: pull the one shot that confirms it."
    ) : due("firstShot", 2, "pull", "Recipe on the bench: pull the first shot.");
  const pulled2 = `${shots} ${shots === 1 ? "shot" : "shots"}, not proven`;
  return due(
    "dialIn",
    2,
    "pull",
    `${pulled2}. Next: ${next.charAt(0).toLowerCase()}${next.slice(1)}.`
  );
}
function newBatchDue({ newerBatchOf, toCarry, isPublic: isPublic2 }) {
  if (toCarry !== null) {
    const { restDays, dialWords: dialWords2 } = toCarry;
    return [
      due(
        "newBatch",
        3,
        "pull",
        `New batch, day ${restDays}: carry the recipe over (dial ${dialWords2}), one shot confirms it.`
      )
    ];
  }
  if (newerBatchOf === null) return [];
  const words3 = isPublic2 ? "A newer batch is here, the public recipe was made on an older one: dial it in again." : "A newer batch is here: choose which one to go on with.";
  return [due("newBatch", 2, "start", words3)];
}
function sampleDue(standing) {
  const { leftG, checksAhead, gramsPerCheck: gramsPerCheck2, today: today2, isPublic: isPublic2 } = standing;
  const checks = checksAhead.length;
  const found = [];
  if (isPublic2 && checksAhead[0] === today2)
    found.push(
      due("checkToday", 2, "pull", "A check day of this batch is today: pull and taste it.")
    );
  if (leftG !== null && checks > 0 && leftG < checks * gramsPerCheck2)
    found.push(
      due(
        "sample",
        2,
        "read",
        `${massWords(Math.max(0, leftG), 0)} of sample left, ${count(checks)} ${checks === 1 ? "check" : "checks"} planned: ${checks === 1 ? "it needs" : "they need"} ${massWords(checks * gramsPerCheck2, 0)}.`
      )
    );
  return found;
}
function due(code, urgency, stage, words3) {
  return { code, urgency, stage, words: words3 };
}

// src/views/checks.ts
var NEAR_DAYS = 1;
function marksNear({ marks }, kind, day3) {
  return marks.filter((mark) => mark.kind === kind && Math.abs(daysBetween(day3, mark.day)) <= NEAR_DAYS).reduce((sum2, { count: count2 }) => sum2 + count2, 0);
}
var shotsNear = (batch, day3) => marksNear(batch, "shot", day3);
var ASSUMED_DOSE_G = 18;
function gramsOfCheck(bench) {
  return gramsPerCheck(
    bench?.draft.recipe.doseG ?? ASSUMED_DOSE_G,
    bench?.setup.grinder.retentionG ?? 0
  );
}

// src/views/today.ts
var DAYS_AFTER_FADING = 14;
function readToday(db, house, asked) {
  return kept(db, keptAs2(asked), () => runThrough(standingsInSteps(db, house, asked)));
}
function prepareToday(db, house, asked) {
  return prepareKept(db, keptAs2(asked), () => standingsInSteps(db, house, asked));
}
function keptAs2({ today: today2, units = METRIC }) {
  return { name: "today", restsOn: RESTS_ON3, key: `${today2} ${units.volume} ${units.temperature}` };
}
var RESTS_ON3 = [
  "house",
  "equipment",
  "release",
  "batch",
  "recipe",
  "shot",
  "tasting",
  "publication"
];
function* standingsInSteps(db, house, { today: today2, units = METRIC }) {
  const ids = listAtHand(db, addDays(today2, -LONGEST_USE_DAYS));
  const views = yield* releasesInSteps(db, house, ids, { today: today2, units });
  return views.flatMap((view) => {
    const isShown = (batch) => isUsable(batch.rest.restDays, batch.span) || isPublic(view.address) && batch === view.batch;
    const active = view.batches.filter(isShown);
    if (active.length === 0) return [];
    const { id, name: name3 } = view.release;
    const due2 = dueOf(standingOf(house, view, today2));
    return [
      {
        id,
        name: name3,
        due: due2,
        toCarry: view.newBatch?.batchId ?? null,
        setting: view.bench && settingOf2(view.bench),
        active
      }
    ];
  });
}
function settingOf2({ draft, shots, setup, advice }) {
  const { yieldG: yieldG2, timeS: timeS2, clock: clock3, temperatureC: temperatureC2 } = draft.recipe;
  const last = shots.at(-1);
  return {
    doseG: doseInForce(last?.draftId === draft.id ? last : void 0, draft.recipe),
    yieldG: yieldG2,
    timeS: timeS2,
    clock: clock3,
    temperatureC: temperatureC2,
    dialWords: dialWords(setup.grinder, advice.setting.dial),
    setupName: setup.name,
    status: advice.status,
    batchId: draft.batchId
  };
}
var LONGEST_USE_DAYS = Math.ceil(
  Math.max(...REST_SCHOOLS.map((school) => restSpan(LIMITS.roastLevel.min, school).fades))
) + DAYS_AFTER_FADING;
function isUsable(restDays, { fades }) {
  return restDays <= fades + DAYS_AFTER_FADING;
}
function isPublic(address) {
  return address !== null && address.withdrawnAt === null;
}
function standingOf(house, view, today2) {
  const { batch, batches, bench } = view;
  const closed = { weekdays: house.closedWeekdays, dates: house.closedDates };
  const newest = batches[0];
  return {
    today: today2,
    roastDate: batch.roastDate,
    rest: batch.rest,
    bench: bench && {
      shots: bench.shotCount,
      isProven: isProvenStatus(bench.advice.status),
      next: nextWords(bench),
      tasters: tastersOf3(bench).size,
      isPublished: isPublishedDraft(view, bench),
      isCarried: bench.draft.carriedFrom !== null
    },
    isPublic: isPublic(view.address),
    newerBatchOf: bench && newest.id !== batch.id ? newest.roastDate : null,
    toCarry: view.newBatch && {
      restDays: view.newBatch.restDays,
      dialWords: view.newBatch.dialWords
    },
    leftG: batch.leftG,
    checksAhead: plannedChecks(batch.rest, closed).map(({ day: day3 }) => day3).filter((day3) => daysBetween(today2, day3) >= 0 && shotsNear(batch, day3) === 0),
    gramsPerCheck: gramsOfCheck(bench),
    heldCard: view.heldCard
  };
}
function tastersOf3({ shots, draft }) {
  return new Set(
    shots.filter((shot) => shot.draftId === draft.id).flatMap(({ tastings }) => tastings.map(({ tastedById }) => tastedById))
  );
}
function isPublishedDraft({ versions }, { draft }) {
  return versions[0]?.draftId === draft.id;
}
function nextWords({ advice, shots, draft }) {
  if (shots.at(-1)?.draftId !== draft.id) return "pull the first shot of the new recipe";
  return headOf(advice).split(". ")[0].replace(/\.$/, "");
}

// tests/support/server.ts
import { spawn } from "node:child_process";
import { mkdtempSync as mkdtempSync2, rmSync as rmSync2 } from "node:fs";
import { tmpdir as tmpdir2 } from "node:os";
import { dirname as dirname3, join as join3 } from "node:path";

// tests/support/demoHouse.ts
import { spawnSync } from "node:child_process";
import { copyFileSync, mkdirSync as mkdirSync2, mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname as dirname2, join as join2 } from "node:path";

// tests/support/program.ts
var programArgs = (name3) => [
  "--enable-source-maps",
  `dist/${name3}.mjs`
];

// tests/support/demoHouse.ts
var MADE = "KETTLEBRAND_TEST_DEMO";
function demoHouse() {
  const made = process.env[MADE];
  if (made) return made;
  const file = join2(mkdtempSync(join2(tmpdir(), "kettlebrand-demo-")), "kettlebrand.sqlite");
  const { status, stderr } = spawnSync(process.execPath, [...programArgs("seedDemo"), file]);
  if (status !== 0) throw new Error(stderr.toString());
  process.env[MADE] = file;
  process.once("exit", () => rmSync(dirname2(file), { recursive: true, force: true }));
  return file;
}
function copyDemoHouse(databaseFile) {
  mkdirSync2(dirname2(databaseFile), { recursive: true });
  copyFileSync(demoHouse(), databaseFile);
}

// tests/support/server.ts
async function untilUp(url) {
  const deadline = Date.now() + 3e4;
  while (Date.now() < deadline) {
    const isUp = await fetch(`${url}/health`).then(
      (response) => response.ok,
      () => false
    );
    if (isUp) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`No server at ${url}`);
}
function listeningPort(child, isExpectedToEnd, hear) {
  return new Promise((resolve, reject) => {
    let said = "";
    const listen = (chunk) => {
      said = (said + chunk.toString()).slice(-4e3);
      hear(said);
      const found = /http:\/\/localhost:(\d+)/.exec(said);
      if (found) resolve(Number(found[1]));
    };
    child.stdout.on("data", listen);
    child.stderr.on("data", listen);
    child.once("exit", (code, signal) => {
      const words3 = `The server ended by itself (${code ?? signal}).
${said}`;
      if (!isExpectedToEnd()) process.stderr.write(`${words3}
`);
      reject(new Error(words3));
    });
  });
}
async function startServer({
  demo = false,
  prepare: prepare2,
  databaseFile: given,
  env = {}
} = {}) {
  const folder = mkdtempSync2(join3(tmpdir2(), "kettlebrand-"));
  const databaseFile = given ?? join3(folder, "kettlebrand.sqlite");
  if (demo && !given) copyDemoHouse(databaseFile);
  await prepare2?.(databaseFile);
  let child;
  let isEnding = false;
  let said = "";
  let port = 0;
  const start = async () => {
    isEnding = false;
    child = spawn(process.execPath, [...programArgs("server")], {
      env: {
        ...process.env,
        PORT: String(port),
        NODE_ENV: "production",
        NEXT_TELEMETRY_DISABLED: "1",
        KETTLEBRAND_DATA: dirname3(databaseFile),
        KETTLEBRAND_DEMO: demo ? "1" : "0",
        ...env
      },
      stdio: ["ignore", "pipe", "pipe"]
    });
    port = await listeningPort(
      child,
      () => isEnding,
      (words3) => said = words3
    );
    await untilUp(`http://localhost:${port}`);
  };
  const end = (signal) => new Promise((resolve) => {
    isEnding = true;
    if (child.exitCode !== null || child.signalCode !== null) return resolve();
    child.once("exit", () => resolve());
    child.kill(signal);
  });
  await start();
  return {
    url: `http://localhost:${port}`,
    databaseFile,
    setUpCode: () => /the code ([A-Z0-9-]+)/.exec(said)?.[1] ?? "",
    kill: () => end("SIGKILL"),
    restart: start,
    close: async () => {
      await end("SIGTERM");
      rmSync2(folder, { recursive: true, force: true });
    }
  };
}

// src/features/people/demoPeople.ts
var DEMO_PEOPLE = [
  { name: "Ines Okonjo-Vale", role: "lead", signInName: "ines", password: "kettle at six" },
  { name: "Tobin Achterveld", role: "bench", signInName: "tobin", password: "purge then pull" },
  { name: "Wren Adeyemi-Holt", role: "reader", signInName: "wren", password: "only looking on" }
];

// tests/support/signIn.ts
function keyOf2(who) {
  const { signInName, password } = DEMO_PEOPLE.find((person) => person.signInName === who);
  return { signInName, password };
}
async function cookieOf(url, who = "ines") {
  const response = await fetch(`${url}/api/session`, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(keyOf2(who))
  });
  return response.headers.get("set-cookie").split(";")[0];
}

// src/formats/recipe/document.ts
import { z as z27 } from "zod";

// src/core/entity/published.ts
import { z as z25 } from "zod";
var MOST_CHARACTERS3 = 4e3;
var published = z25.object({});
function publishedSchema(fields2) {
  return published.extend(
    Object.fromEntries(
      entriesOf(fields2).filter(([, { isPublished }]) => isPublished).map(([name3, field]) => [name3, isNeeded(field) ? byKind(field) : byKind(field).optional()])
    )
  );
}
var figure2 = z25.number();
var words2 = z25.string().max(MOST_CHARACTERS3);
function byKind(field) {
  switch (field.kind) {
    case "quantity":
      return figure2;
    case "range":
      return z25.tuple([figure2, figure2]);
    case "text":
      return words2;
    case "day":
      return z25.iso.date();
    case "flag":
      return z25.boolean();
    case "word":
      return z25.enum(field.words);
    case "words":
      return z25.array(z25.enum(field.words));
    case "notes":
      return z25.array(words2);
    case "steps":
      return z25.array(
        z25.object({
          drive: z25.enum(["pressure", "flow"]),
          level: figure2,
          seconds: figure2,
          ramp: z25.boolean(),
          limitBar: figure2.optional()
        })
      );
  }
}

// src/formats/recipe/canonical.ts
import { createHash as createHash2 } from "node:crypto";
function canonicalJson(value) {
  if (Array.isArray(value)) return `[${value.map((item) => canonicalJson(item)).join(",")}]`;
  if (value !== null && typeof value === "object") {
    const entries = Object.entries(value).filter(([, item]) => item !== void 0).sort(([a], [b]) => a < b ? -1 : 1);
    return `{${entries.map(([key, item]) => `${JSON.stringify(key)}:${canonicalJson(item)}`).join(",")}}`;
  }
  return JSON.stringify(value);
}
function canonicalSha256(value) {
  return createHash2("sha256").update(canonicalJson(value)).digest("hex");
}

// src/formats/recipe/parts.ts
import { z as z26 } from "zod";

// src/core/fits/audience.ts
var AUDIENCES = [
  "cafe",
  "cafeFixed",
  "home54",
  "homeLever",
  "noScale",
  "pressurised"
];

// src/formats/recipe/parts.ts
var figure3 = z26.number();
var name = z26.string().max(400);
var sentences = z26.string().max(4e3);
var window = z26.tuple([figure3, figure3]);
var fitSchema = z26.object({
  audience: z26.enum(AUDIENCES),
  /** What was tried there, in the house's words; computed alone when absent. */
  tried: sentences.optional(),
  style: z26.enum(STYLES),
  recipe: z26.object({
    doseG: figure3,
    yieldG: figure3,
    ratio: figure3,
    temperatureC: figure3,
    timeS: window,
    clock: z26.enum(CLOCKS),
    yieldMl: figure3.optional()
  }).optional(),
  coarserSteps: figure3,
  notes: z26.array(
    z26.object({ code: z26.enum(FIT_CODES), figures: z26.record(z26.string(), figure3).optional() })
  )
});
var phasesSchema = z26.object({
  /** Rest day of the card's own setting. */
  cardDay: figure3,
  list: z26.array(z26.object({ from: figure3, to: figure3, steps: figure3 })).min(1).max(6),
  /** Café shots in 100 within 2.5 s of the middle, so and with one setting; a model's figure. */
  kept: z26.object({ phased: figure3, one: figure3 }).optional()
});
var milkSchema = z26.object({
  doseG: figure3,
  yieldG: figure3,
  ratio: figure3,
  temperatureC: figure3,
  timeS: window,
  clock: z26.enum(CLOCKS),
  programme: name
});
var drinkRowSchema = z26.object({
  name,
  cupMl: figure3,
  shots: figure3,
  fill: z26.enum(FILLS),
  espressoG: figure3,
  buttonMl: figure3,
  fillMl: figure3
});
var ownWordsSchema = z26.object({
  right: sentences.optional(),
  short: sentences.optional(),
  long: sentences.optional(),
  whatChanged: sentences.optional()
});
var partsShape = {
  /** Of the house's own words. */
  language: z26.enum(LANGUAGES).optional(),
  otherWords: z26.partialRecord(z26.enum(LANGUAGES), ownWordsSchema).optional(),
  fits: z26.array(fitSchema).max(AUDIENCES.length),
  phases: phasesSchema.optional(),
  milk: milkSchema.optional(),
  drinks: z26.array(drinkRowSchema).max(40).optional(),
  water: z26.object({ hardnessMgL: figure3.optional(), alkalinityMgL: figure3.optional() }).optional(),
  /** What the display of the house's machine showed, °C. */
  displayC: figure3.optional(),
  /** Against the version before, on the house's own grinder: steps finer. */
  grindSince: z26.object({ version: figure3, steps: figure3 }).optional()
};

// src/formats/recipe/document.ts
var FORMAT = "kettlebrand-recipe";
var FORMAT_VERSION = 2;
var schemaPath = (version) => `/schema/recipe-document-${version}.json`;
var figure4 = z27.number();
var name2 = z27.string().max(400);
var sentences2 = z27.string().max(4e3);
var recipeBodySchema = z27.object({
  roastery: name2,
  coffee: z27.intersection(
    z27.intersection(publishedSchema(RELEASE), publishedSchema(BATCH2)),
    z27.object({
      components: z27.array(publishedSchema(COMPONENT)).min(1),
      /** As the house reads it, by word or colour. */
      roastLevel: figure4.optional()
    })
  ),
  recipe: z27.intersection(publishedSchema(RECIPE), z27.object({ ratio: figure4 })),
  style: oneOf("Style", STYLES),
  temperatureSchool: oneOf("Temperature school", TEMPERATURE_SCHOOLS),
  temperatureMeasured: name2,
  tolerance: z27.object({ doseG: figure4.positive(), yieldG: figure4.positive() }),
  setup: z27.object({
    machine: name2,
    grinder: name2,
    dial: figure4,
    /** As its grinder writes it, where that is no plain number. */
    dialWords: name2.optional(),
    basket: name2,
    diameterMm: figure4,
    ratedG: figure4
  }),
  sensory: z27.object({ right: sentences2, short: sentences2, long: sentences2 }),
  ...partsShape,
  confirmedShots: z27.number().int().min(0),
  version: z27.number().int().min(1),
  publishedOn: z27.iso.date(),
  whatChanged: sentences2
});
function makeDocument(body) {
  return {
    $schema: schemaPath(FORMAT_VERSION),
    format: FORMAT,
    formatVersion: FORMAT_VERSION,
    body,
    sha256: canonicalSha256(body)
  };
}
function writeDocument(document) {
  return `${JSON.stringify(document, null, 2)}
`;
}

// bench/growHouse.ts
var RELEASES_A_DAY = 1074 / 3650;
var growthOf = (days) => ({
  days,
  releases: Math.round(RELEASES_A_DAY * days),
  seed: 7
});
var PROCESSES2 = ["washed", "natural", "honey", "anaerobicNatural"];
var PLACES = [
  ["Ethiopia", "Guji", "Local landraces"],
  ["Colombia", "Huila", "Caturra"],
  ["Kenya", "Nyeri", "SL28"],
  ["Brazil", "Minas Gerais", "Yellow Catuai"]
];
var REMARKS = ["vibrant, sweet as it cools", "a little short", "channelled on one side", ""];
var PUBLIC_FOR_DAYS = 60;
var SHOTS_EACH = 6;
var TRIAL_EVERY = 5;
var TRIAL2 = [
  [0, 0, 28],
  [5, 0, 28],
  [-5, 0, 28],
  [0, 1.5, 28],
  [0, -1.5, 28],
  [0, 0, 33],
  [0, 0, 24],
  [5, 1.5, 30]
];
var NOTES = ["plum", "cocoa", "lemon", "honey", "walnut", "cherry"];
var HOUR_MS = 36e5;
var DAY_MS = 864e5;
async function growHouse(file, { days, releases, seed }) {
  const db = openDatabase(file);
  const end = Date.now();
  const chance = chanceFrom(seed);
  db.transaction(() => {
    for (let i = 0; i < releases; i++) {
      const daysAgo = Math.round(days * (1 - i / releases)) + 14;
      growRelease(db, chance, { i, at: end - daysAgo * DAY_MS, daysAgo });
    }
  })();
  clock.now = () => /* @__PURE__ */ new Date();
  await renewTasteSites(db, findHouse(db));
  db.pragma("wal_checkpoint(TRUNCATE)");
  db.close();
}
function cupOf(chance, shotId, tastedAt) {
  return {
    moment: "warm",
    serving: "straight",
    notesFound: [chance.oneOf(NOTES)],
    scales: { sweetness: 7, liking: Math.round(6 + chance.normal()), acidity: 5 },
    shotId,
    tastedAt,
    remark: chance.oneOf(REMARKS)
  };
}
function growRelease(db, chance, { i, at: at3, daysAgo }) {
  const lead = findLead(db);
  const setups = listSetups(db);
  const setup = setups[i % setups.length];
  const moment = (afterMs) => new Date(at3 + afterMs).toISOString();
  const tell = (kind, afterMs, id = `${kind}${i}-${afterMs}`) => {
    clock.now = () => new Date(at3 + afterMs);
    const words3 = `${kind} of lot ${i}`;
    insertEvent(db, { id: `grown-${id}`, personId: lead.id, releaseId, kind, words: words3, result: {} });
  };
  const releaseId = `${i.toString(16).padStart(5, "0")}grown`;
  const batchId = `${releaseId}-1`;
  const [country, region, variety] = chance.oneOf(PLACES);
  const process2 = chance.oneOf(PROCESSES2);
  const roastLevel = chance.oneOf([-1, -0.5, 0, 0.5, 1]);
  const component = {
    sharePct: 100,
    country,
    region,
    variety,
    process: process2,
    producer: `Growers of ${i}`
  };
  const name3 = `Lot ${i} ${region}`;
  const promisedNotes = ["plum", "cocoa"];
  clock.now = () => new Date(at3);
  insertRelease(db, releaseId, { name: name3, promisedNotes, components: [component] }, lead.id);
  insertBatch(db, batchId, releaseId, {
    roastDate: moment(0).slice(0, 10),
    roastLevel,
    sampleG: 800
  });
  tell("createRelease", 0);
  const key = { releaseId, batchId, setupId: setup.id, style: "classic" };
  const dialInId = ensureDialIn(db, `${releaseId}d`, key, moment(8 * DAY_MS));
  const draftId = `${releaseId}q`;
  const yieldG2 = Math.round(2 * 18 * (2.1 - 0.25 * roastLevel + 0.1 * chance.normal())) / 2;
  const recipe = {
    doseG: 18,
    yieldG: yieldG2,
    temperatureC: Math.round(2 * (92.5 - 1.5 * roastLevel + 0.5 * chance.normal())) / 2,
    timeS: [26, 30],
    clock: "pump",
    programme: "9 bar, flat",
    restDays: [8, 28]
  };
  const draft = { temperatureSchool: "both", startDial: 12, why: "", recipe };
  insertDraft(db, draftId, dialInId, draft, lead.id, moment(8 * DAY_MS));
  putOnBench(db, releaseId, draftId);
  tell("acceptRecipe", 8 * DAY_MS);
  for (let n = 0; n < SHOTS_EACH; n++) {
    const afterMs = 9 * DAY_MS + n * 36e4;
    const timeS2 = n < 2 ? 22 + n : Math.round(10 * (28 + 0.8 * chance.normal())) / 10;
    const shotId = `${releaseId}s${n}`;
    insertShot(
      db,
      shotId,
      {
        draftId,
        pulledAt: moment(afterMs),
        dial: n < 2 ? 13 - n : 11,
        doseG: 18,
        yieldG: yieldG2,
        timeS: timeS2,
        firstDripS: 6,
        clock: "pump",
        temperatureC: recipe.temperatureC,
        purged: n === 1 || n === 2,
        remark: chance.oneOf(REMARKS)
      },
      lead.id
    );
    tell("logShot", afterMs);
    if (n < SHOTS_EACH - 2) continue;
    const cupAt = moment(afterMs + 6e4);
    insertTasting(db, `${shotId}t`, cupOf(chance, shotId, cupAt), lead.id);
    tell("recordTasting", afterMs + 6e4);
  }
  if (i % TRIAL_EVERY === 0)
    for (const [n, [longer, hotterC, timeS2]] of TRIAL2.entries()) {
      const shotId = `${releaseId}c${n}`;
      const pulledAt = moment(10 * DAY_MS - HOUR_MS + n * 36e4);
      insertShot(
        db,
        shotId,
        {
          draftId,
          pulledAt,
          dial: 11 - Math.round(20 * Math.log(timeS2 / 28)) / 2,
          doseG: 18,
          yieldG: yieldG2 + longer,
          timeS: timeS2,
          firstDripS: 6,
          clock: "pump",
          temperatureC: recipe.temperatureC + hotterC,
          purged: true
        },
        lead.id
      );
      for (const guest of [void 0, "Guest of the trial"])
        insertTasting(
          db,
          `${shotId}${guest ? "g" : "t"}`,
          { ...cupOf(chance, shotId, pulledAt), guest },
          lead.id
        );
    }
  clock.now = () => new Date(at3 + 10 * DAY_MS);
  const document = makeDocument({
    roastery: "Lanternfell Coffee",
    coffee: { name: name3, promisedNotes, components: [component], roastDate: moment(0).slice(0, 10) },
    recipe: { ...recipe, ratio: yieldG2 / 18 },
    style: "classic",
    temperatureSchool: "both",
    temperatureMeasured: "as set on the machine",
    tolerance: { doseG: 0.2, yieldG: 1 },
    setup: {
      machine: setup.machine.name,
      grinder: setup.grinder.name,
      dial: 11,
      basket: setup.basket.name,
      diameterMm: setup.basket.diameterMm,
      ratedG: setup.basket.ratedG
    },
    sensory: { right: "Plum and cocoa.", short: "Sharp.", long: "Thin." },
    fits: [],
    confirmedShots: 2,
    version: 1,
    publishedOn: moment(10 * DAY_MS).slice(0, 10),
    whatChanged: ""
  });
  const version = { id: `${releaseId}v`, releaseId, draftId, number: 1 };
  const stored = { ...version, document: writeDocument(document), sha256: document.sha256 };
  insertVersion(db, stored, lead.id);
  tell("publish", 10 * DAY_MS);
  if (daysAgo < PUBLIC_FOR_DAYS) return;
  withdrawPublic(db, releaseId, { why: "Sold out.", wasWrong: false });
  tell("withdraw", 11 * DAY_MS);
}

// bench/measure.ts
function median(values) {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)];
}

// bench/longViews.ts
var ROUNDS = 30;
var WARM_UP2 = 4;
var THREE_MONTHS = 91;
var STAGES = ["read", "start", "pull", "taste", "rest", "publish", "field"];
async function benchLongViews(years) {
  const short = await startServer({
    demo: true,
    prepare: (file) => growHouse(file, growthOf(THREE_MONTHS))
  });
  const long = await startServer({
    demo: true,
    prepare: (file) => growHouse(file, growthOf(Math.round(365 * years)))
  });
  try {
    return [
      ...await sideBySide(short, long, `${years} years`),
      ...await statements2(long.databaseFile),
      ...await exportsOf(long.databaseFile),
      ...await crowded(long)
    ];
  } finally {
    await short.close();
    await long.close();
  }
}
var measure = (name3, metric, value, unit) => ({
  part: "views",
  case: name3,
  metric,
  value,
  unit
});
async function askedOf2(server) {
  const db = openDatabase(server.databaseFile);
  const id = listRecentReleases(db, 50).find(({ name: name3 }) => name3.startsWith("Lot")).id;
  db.close();
  return {
    server,
    cookie: await cookieOf(server.url),
    paths: {
      "bare page": "/status",
      today: "/",
      ...Object.fromEntries(STAGES.map((stage) => [stage, `/releases/${id}/${stage}`])),
      patterns: "/patterns",
      find: "/find?q=plum",
      equipment: "/equipment",
      house: "/house"
    }
  };
}
var fetchOf = ({ server, cookie, paths }, view) => fetch(server.url + paths[view], { headers: { cookie } }).then((response) => response.text());
async function sideBySide(short, long, name3) {
  const houses = [await askedOf2(short), await askedOf2(long)];
  const measures = [];
  for (const view of Object.keys(houses[0].paths)) {
    const times2 = [[], []];
    const bytes = [0, 0];
    for (let round = 0; round < ROUNDS + WARM_UP2; round++)
      for (const [i, house] of houses.entries()) {
        const start = performance.now();
        bytes[i] = Buffer.byteLength(await fetchOf(house, view));
        if (round >= WARM_UP2) times2[i].push(performance.now() - start);
      }
    const [shortMs, longMs] = times2.map(median);
    measures.push(
      measure(view, `server time, ${name3}`, longMs, "ms"),
      measure(view, "against three months", longMs / shortMs, "x"),
      measure(view, `HTML, ${name3}`, bytes[1] / 1e3, "kB")
    );
  }
  return measures;
}
async function statements2(file) {
  let count2 = 0;
  const db = new Database2(file, { verbose: () => count2++ });
  const house = findHouse(db);
  const day3 = today();
  const { id } = listRecentReleases(db, 50).find(({ name: name3 }) => name3.startsWith("Lot"));
  const release = () => readRelease(db, house, id, { today: day3 });
  const views = {
    today: async () => {
      await prepareToday(db, house, { today: day3 });
      return readToday(db, house, { today: day3 });
    },
    "a release": release,
    start: async () => {
      await prepareModel(db, house);
      return readStart(db, house, release(), {}, { today: day3, units: METRIC });
    },
    pull: async () => {
      const view = release();
      await prepareRecords(db, house);
      return readPull(db, house, view, view.bench);
    },
    patterns: async () => {
      await prepareModel(db, house);
      await prepareRecords(db, house);
      return readPatterns(db, house, {}, MOST_POINTS);
    },
    find: () => readFind(db, house, { q: "plum" })
  };
  const measures = [];
  for (const [name3, read] of Object.entries(views))
    for (const when of ["the first time", "kept"]) {
      count2 = 0;
      const { wholeMs, longestMs } = await stopsOf(read);
      measures.push(
        measure(name3, `statements, ${when}`, count2, ""),
        measure(name3, `in all, ${when}`, wholeMs, "ms"),
        measure(name3, `longest stop of the main thread, ${when}`, longestMs, "ms")
      );
    }
  db.close();
  return measures;
}
async function stopsOf(work) {
  const start = performance.now();
  let [last, longestMs, isRunning] = [start, 0, true];
  const turn = () => {
    const now2 = performance.now();
    longestMs = Math.max(longestMs, now2 - last);
    last = now2;
    if (isRunning) setImmediate(turn);
  };
  setImmediate(turn);
  await work();
  const wholeMs = performance.now() - start;
  isRunning = false;
  await new Promise((resolve) => setImmediate(resolve));
  turn();
  return { wholeMs, longestMs };
}
var EXPORTS = 7;
async function exportsOf(file) {
  const db = openDatabase(file);
  const measures = [];
  for (const sheet of SHEET_NAMES) {
    const rates = [];
    let rows = 0;
    for (let round = 0; round < EXPORTS; round++) {
      rows = 0;
      const counted = function* () {
        for (const row of exportSheet(db, sheet)) {
          rows++;
          yield row;
        }
      };
      const start = performance.now();
      for (const _chunk of csvChunks(counted())) ;
      rates.push(1e3 * rows / (performance.now() - start));
      await nextTurn();
    }
    measures.push(measure(`export of ${sheet}`, `${rows} rows`, median(rates), "rows/s"));
  }
  db.close();
  return measures;
}
var MANY = 5e3;
async function crowded(server) {
  const db = openDatabase(server.databaseFile);
  const { id } = listRecentReleases(db, 50).find(({ name: name3 }) => name3.startsWith("Lot"));
  const draft = findBenchDraft(db, id);
  const lead = findLead(db);
  db.transaction(() => {
    for (let n = 0; n < MANY; n++) {
      const pulledAt = new Date(Date.now() - (MANY - n) * 6e4).toISOString();
      const timeS2 = 26 + n % 7;
      insertShot(
        db,
        `many${n}`,
        {
          draftId: draft.id,
          pulledAt,
          dial: 11,
          doseG: 18,
          yieldG: draft.recipe.yieldG,
          timeS: timeS2,
          clock: "pump",
          temperatureC: draft.recipe.temperatureC
        },
        lead.id
      );
    }
    db.exec(`UPDATE epoch SET n = n + 1`);
  })();
  db.close();
  const asked = await askedOf2(server);
  const measures = [];
  for (const view of ["pull", "taste", "rest", "publish", "today", "patterns"]) {
    const path = view in asked.paths ? view : "pull";
    const start = performance.now();
    const html = await fetchOf(
      { ...asked, paths: { ...asked.paths, [path]: pathOf(asked, path, id) } },
      path
    );
    measures.push(
      measure(`${view}, 5,000 shots`, "the first time", performance.now() - start, "ms"),
      measure(`${view}, 5,000 shots`, "HTML", Buffer.byteLength(html) / 1e3, "kB")
    );
  }
  return measures;
}
var pathOf = ({ paths }, view, id) => STAGES.includes(view) ? `/releases/${id}/${view}` : paths[view];

// bench/public.ts
import { spawn as spawn3, spawnSync as spawnSync2 } from "node:child_process";
import { mkdtempSync as mkdtempSync4, readdirSync as readdirSync2, rmSync as rmSync4 } from "node:fs";
import { tmpdir as tmpdir4 } from "node:os";
import { dirname as dirname4, join as join5 } from "node:path";
import Database3 from "better-sqlite3";

// tests/support/nginx.ts
import { spawn as spawn2 } from "node:child_process";
import { existsSync as existsSync2, mkdirSync as mkdirSync3, mkdtempSync as mkdtempSync3, readFileSync as readFileSync2, rmSync as rmSync3, writeFileSync } from "node:fs";
import { createServer } from "node:net";
import { tmpdir as tmpdir3 } from "node:os";
import { join as join4 } from "node:path";
var NGINX = "/usr/sbin/nginx";
var hasNginx = existsSync2(NGINX);
async function startNginx(httpOf) {
  const folder = mkdtempSync3(join4(tmpdir3(), "kettlebrand-nginx-"));
  const port = await freePort();
  const temporary = ["client_body", "proxy", "fastcgi", "uwsgi", "scgi"].map(
    (name3) => `${name3}_temp_path ${folder}/${name3};`
  );
  mkdirSync3(join4(folder, "logs"));
  writeFileSync(
    join4(folder, "nginx.conf"),
    `${process.getuid?.() === 0 ? "user root;" : ""}
daemon off;
worker_processes 1;
pid ${folder}/nginx.pid;
error_log ${folder}/logs/error.log;
events { worker_connections 256; }
http {
  include /etc/nginx/mime.types;
  access_log off;
  # As Debian's own configuration has it.
  sendfile on;
  tcp_nopush on;
  ${temporary.join("\n  ")}
  ${httpOf({ port, folder })}
}
`
  );
  const child = spawn2(NGINX, ["-p", folder, "-c", join4(folder, "nginx.conf")], {
    stdio: "ignore"
  });
  const ended = new Promise((resolve) => child.once("exit", () => resolve()));
  await until(
    () => isListening(port),
    () => readFileSync2(join4(folder, "logs/error.log"), "utf8")
  );
  return {
    port,
    close: async () => {
      child.kill("SIGQUIT");
      await ended;
      rmSync3(folder, { recursive: true, force: true });
    }
  };
}
var servedFolder = (port, folder) => `server { listen 127.0.0.1:${port}; root ${folder}; }`;
function documentedProxy(at3) {
  const guide = readFileSync2("docs/operations.md", "utf8");
  const [, given] = /```nginx\n([^]*?)```/.exec(guide);
  const replaced = (text3, [from, to]) => {
    if (!text3.includes(from)) throw new Error(`The guide does not say "${from}" any more.`);
    return text3.replaceAll(from, to);
  };
  const { certificate } = at3;
  const ssl = certificate ? [
    ["443 ssl", `127.0.0.1:${at3.port} ssl`],
    ["/etc/ssl/recipes.example.pem", certificate.file],
    ["/etc/ssl/recipes.example.key", certificate.key]
  ] : [
    ["443 ssl", `127.0.0.1:${at3.port}`],
    ["ssl_certificate     /etc/ssl/recipes.example.pem;", ""],
    ["ssl_certificate_key /etc/ssl/recipes.example.key;", ""]
  ];
  return [
    ...ssl,
    ["http://127.0.0.1:3210", at3.upstream],
    ["/var/cache/nginx/recipes", join4(at3.folder, "cache")]
  ].reduce(replaced, given);
}
function freePort() {
  return new Promise((resolve) => {
    const asked = createServer().listen(0, "127.0.0.1", () => {
      const { port } = asked.address();
      asked.close(() => resolve(port));
    });
  });
}
var isListening = (port) => fetch(`http://127.0.0.1:${port}/`).then(
  () => true,
  // What speaks TLS alone answers, but not to this.
  (error) => !/ECONNREFUSED/.test(String(error.cause))
);
async function until(isSo, why) {
  const deadline = Date.now() + 1e4;
  while (Date.now() < deadline) {
    if (await isSo()) return;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error(`nginx did not start.
${why()}`);
}

// bench/public.ts
var ROUNDS2 = 7;
var AT_ONCE2 = 16;
async function benchPublic() {
  const server = await startServer({ demo: true });
  const folder = mkdtempSync4(join5(tmpdir4(), "kettlebrand-bench-"));
  const site = join5(folder, "site");
  const written = spawnSync2("node", ["scripts/kb.mjs", "site", "--out", site], {
    env: { ...process.env, KETTLEBRAND_DATA: dirname4(server.databaseFile) }
  });
  if (written.status !== 0) throw new Error(written.stderr.toString());
  const db = new Database3(server.databaseFile, { readonly: true });
  const token = db.prepare("SELECT token FROM publication WHERE withdrawn_at IS NULL LIMIT 1").pluck().get();
  db.close();
  const held = await startNginx(
    (place) => documentedProxy({ ...place, upstream: server.url, certificate: null })
  );
  const files = await startNginx(({ port }) => servedFolder(port, site));
  try {
    const built = readdirSync2(".next/static/chunks").find((name3) => name3.endsWith(".css"));
    const [font] = readdirSync2(join5(site, "fonts"));
    const of = { page: "", paper: "/card.pdf", document: "/recipe.json" };
    const cases = [
      ["own static file (font)", `${server.url}/fonts/${font}`, ""],
      ["framework's static file", `${server.url}/_next/static/chunks/${built}`, ""],
      ...Object.entries(of).flatMap(([name3, file]) => {
        const path = `/p/${token}${file}`;
        const onDisk = file === "" ? `${path}/index.html` : path;
        const base = `nginx: ${name3}, a file on disk`;
        return [
          [name3, server.url + path, "own static file (font)"],
          [base, `http://127.0.0.1:${files.port}${onDisk}`, ""],
          [`nginx: ${name3}, held`, `http://127.0.0.1:${held.port}${path}`, base]
        ];
      })
    ];
    const rates = new Map(cases.map(([name3]) => [name3, []]));
    for (let round = 0; round <= ROUNDS2; round++)
      for (const [name3, url] of cases) {
        const asked = await rateOf(url);
        if (round > 0) rates.get(name3).push(asked);
      }
    const rate = (name3) => median(rates.get(name3).map(({ perSecond }) => perSecond));
    const against = (name3, base) => median(
      rates.get(name3).map(({ perSecond }, round) => perSecond / rates.get(base)[round].perSecond)
    );
    return cases.flatMap(([name3, , base]) => {
      const line3 = { part: "public", case: name3 };
      const size = rates.get(name3)[0].bytes / 1e3;
      return [
        { ...line3, metric: "requests", value: rate(name3), unit: "/s" },
        ...base ? [
          {
            ...line3,
            metric: `against ${base}`,
            value: against(name3, base),
            unit: "x"
          }
        ] : [],
        { ...line3, metric: "size", value: size, unit: "kB" }
      ];
    });
  } finally {
    await files.close();
    await held.close();
    await server.close();
    rmSync4(folder, { recursive: true, force: true });
  }
}
function rateOf(url) {
  return new Promise((resolve, reject) => {
    const wrk = spawn3("/usr/bin/wrk", ["-t1", `-c${AT_ONCE2}`, "-d1s", url]);
    let said = "";
    wrk.stdout.on("data", (chunk) => said += chunk.toString());
    wrk.stderr.on("data", (chunk) => said += chunk.toString());
    wrk.once("error", reject);
    wrk.once("exit", () => {
      const rate = /Requests\/sec:\s+([\d.]+)/.exec(said);
      const sent = /Transfer\/sec:\s+([\d.]+)(K|M|G)?B/.exec(said);
      if (!rate || !sent || /Non-2xx/.test(said)) return reject(new Error(`${url}
${said}`));
      const unit = { K: 1024, M: 1024 ** 2, G: 1024 ** 3 }[sent[2]] ?? 1;
      const perSecond = Number(rate[1]);
      resolve({ perSecond, bytes: Number(sent[1]) * unit / perSecond });
    });
  });
}

// bench/trial/trial.ts
import { execFile } from "node:child_process";
import { fileURLToPath } from "node:url";
import { availableParallelism } from "node:os";
import { promisify } from "node:util";
var HALF2 = fileURLToPath(new URL("./half.ts", import.meta.url));
var MOST_BYTES = 5e7;
async function benchTrial() {
  const parts = availableParallelism();
  const printed = await Promise.all(
    Array.from(
      { length: parts },
      (_, part) => promisify(execFile)(
        process.execPath,
        [...process.execArgv, HALF2, String(part), String(parts)],
        { maxBuffer: MOST_BYTES }
      )
    )
  );
  const all = /* @__PURE__ */ new Map();
  for (const tally2 of printed.flatMap(({ stdout }) => JSON.parse(stdout))) {
    const key = `${tally2.case} ${tally2.metric}`;
    const known3 = all.get(key);
    all.set(
      key,
      known3 ? { ...tally2, sum: known3.sum + tally2.sum, count: known3.count + tally2.count } : tally2
    );
  }
  return [...all.values()].map(({ case: name3, metric, sum: sum2, count: count2 }) => ({
    part: "trial",
    case: name3,
    metric,
    value: sum2 / count2,
    unit: /^(expected )?left/.test(metric) ? "points" : ""
  }));
}

// bench/pageScripts.ts
import { gzipSync } from "node:zlib";
import { chromium } from "@playwright/test";

// playwright.config.ts
import { defineConfig } from "@playwright/test";
var playwright_config_default = defineConfig({
  testDir: "tests",
  globalSetup: "./tests/support/demoHouse.ts",
  testMatch: ["e2e/**/*.spec.ts", "faults/**/*.spec.ts"],
  // Walking every page with the accessibility checker takes minutes on two cores.
  timeout: 6e5,
  expect: { timeout: 2e4 },
  workers: 2,
  fullyParallel: false,
  reporter: [["list"], ["json", { outputFile: "test-results/browser.json" }]],
  use: {
    // Where a test is about it, it lets the page install one.
    serviceWorkers: "block",
    viewport: { width: 1280, height: 800 },
    // A step that finds nothing to press fails now, not when the whole test runs out.
    actionTimeout: 3e4,
    launchOptions: {
      executablePath: process.env.CHROMIUM_PATH ?? "/usr/bin/chromium",
      // Chromium as root, and without its own background traffic.
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync"
      ]
    }
  }
});

// bench/pageScripts.ts
var LEFT_ALONE_MS = 5e3;
async function pageScripts(url, cookie, paths) {
  const browser = await chromium.launch(playwright_config_default.use.launchOptions);
  const [name3, value] = cookie.split(/=(.*)/s);
  const found = /* @__PURE__ */ new Map();
  try {
    for (const path of paths) {
      const context = await browser.newContext({ serviceWorkers: "block" });
      await context.addCookies([{ name: name3, value, url }]);
      const page = await context.newPage();
      const sizes = [];
      page.on("response", (response) => {
        if (response.request().resourceType() === "script" || /\.js$/.test(response.url()))
          sizes.push(response.body().then((body) => gzipSync(body).length));
      });
      await page.goto(url + path);
      await page.waitForTimeout(LEFT_ALONE_MS);
      const bytes = (await Promise.all(sizes)).reduce((sum2, size) => sum2 + size, 0);
      found.set(path, bytes / 1e3);
      await context.close();
    }
  } finally {
    await browser.close();
  }
  return found;
}

// bench/views.ts
var ROUNDS3 = 60;
var WARM_UP3 = 8;
var PART = "views";
async function benchViews() {
  const server = await startServer({ demo: true });
  try {
    const cookie = await cookieOf(server.url);
    const ask = (path) => fetch(server.url + path, { headers: { cookie } });
    const views = await viewsOf(ask);
    return [
      ...await serverTimes(ask, views),
      ...await scripts(server.url, cookie, views),
      ...coreCalls()
    ];
  } finally {
    await server.close();
  }
}
async function viewsOf(ask) {
  const today2 = await (await ask("/")).text();
  const published2 = /href="(\/releases\/[0-9a-f]{32})"[^>]*>(?:(?!<\/a>).)*Las Veredas/s.exec(
    today2
  )?.[1];
  if (!published2) throw new Error("The demo house has no published release.");
  const page = await (await ask(`${published2}/publish`)).text();
  const card = /href="(\/p\/[\w-]{20,})"/.exec(page)[1];
  const stages = ["read", "start", "pull", "taste", "rest", "publish", "field"];
  return [
    { name: "today", path: "/" },
    ...stages.map((stage) => ({ name: stage, path: `${published2}/${stage}` })),
    { name: "patterns", path: "/patterns" },
    { name: "practice", path: "/practice" },
    { name: "programmes", path: "/programmes" },
    { name: "import", path: "/import" },
    ...["equipment", "house", "people", "find", "releases", "releases/new"].map((name3) => ({
      name: name3,
      path: `/${name3}`
    })),
    { name: "public card", path: card }
  ];
}
async function serverTimes(ask, views) {
  const all = [{ name: "bare page", path: "/status" }, ...views];
  const times2 = new Map(all.map(({ name: name3 }) => [name3, []]));
  for (let round = 0; round < ROUNDS3 + WARM_UP3; round++) {
    for (const { name: name3, path } of all) {
      const start = performance.now();
      await (await ask(path)).arrayBuffer();
      if (round >= WARM_UP3) times2.get(name3).push(performance.now() - start);
    }
  }
  const bareMs = median(times2.get("bare page"));
  return all.flatMap(({ name: name3 }) => {
    const ms = median(times2.get(name3));
    return [
      { part: PART, case: name3, metric: "server time, median", value: ms, unit: "ms" },
      { part: PART, case: name3, metric: "against the bare page", value: ms / bareMs, unit: "x" }
    ];
  });
}
async function scripts(url, cookie, views) {
  const found = await pageScripts(
    url,
    cookie,
    views.map(({ path }) => path)
  );
  return views.map(({ name: name3, path }) => ({
    part: PART,
    case: name3,
    metric: "script in the first five seconds, gzip",
    value: found.get(path),
    unit: "kB"
  }));
}
function coreCalls() {
  const release = {
    roastLevel: -1,
    process: "natural",
    varietyClass: "landrace",
    altitudeM: 2e3,
    restDays: 12
  };
  const proposing = () => propose({ release, style: "soakFirst", temperatureSchool: "both", history: [] });
  const shots = Array.from({ length: 10 }, (_, i) => ({
    dial: 14 - Math.min(3, i),
    doseG: 18,
    yieldG: 36,
    timeS: 22 + Math.min(5, 2 * i),
    clock: "pump",
    purged: true,
    seen: []
  }));
  const question = {
    target: targetSchema.parse({ doseG: 18, yieldG: 36, timeS: [26, 30], clock: "pump" }),
    grinder: { stepSize: 1, finerIs: "lower", min: 0, max: 40, retentionG: 2 },
    basket: { ratedG: 18 },
    shots
  };
  const perCall = (name3, call) => ({
    part: PART,
    case: name3,
    metric: "per call, median",
    value: median(timesOf(call)),
    unit: "ms"
  });
  return [perCall("propose", proposing), perCall("next, 10 shots", () => nextMove(question))];
}
function timesOf(call) {
  for (let i = 0; i < 200; i++) call();
  return Array.from({ length: 300 }, () => {
    const start = performance.now();
    call();
    return performance.now() - start;
  });
}

// bench/run.ts
var PARTS2 = {
  views: benchViews,
  start: benchStart,
  dialin: async () => [...await benchDialin(), ...benchHistory()],
  batches: () => Promise.resolve([...benchNewBatches(), ...benchAgeing()]),
  trial: benchTrial,
  fits: () => Promise.resolve(benchFits()),
  public: benchPublic,
  field: () => Promise.resolve(benchField())
};
async function main(args) {
  const yearsAt = args.indexOf("--years");
  const years = yearsAt < 0 ? null : Number(args[yearsAt + 1]);
  if (years !== null && !(years > 0 && years <= 30)) {
    process.stderr.write("--years takes a number from 1 to 30.\n");
    return 2;
  }
  const names2 = args.filter(
    (arg, i) => arg !== "--json" && (yearsAt < 0 || i !== yearsAt && i !== yearsAt + 1)
  );
  const unknown = names2.find((name3) => !Object.hasOwn(PARTS2, name3));
  if (unknown !== void 0) {
    process.stderr.write(`Unknown part ${unknown}. There is: ${Object.keys(PARTS2).join(", ")}.
`);
    return 2;
  }
  const measures = [];
  for (const name3 of names2.length > 0 ? names2 : Object.keys(PARTS2))
    measures.push(
      ...await (name3 === "views" && years !== null ? benchLongViews(years) : PARTS2[name3]())
    );
  process.stdout.write(
    args.includes("--json") ? `${JSON.stringify(measures)}
` : tableOf4(measures)
  );
  return 0;
}
function tableOf4(measures) {
  const rows = measures.map(({ part, case: name3, metric, value, unit }) => [
    part,
    name3,
    metric,
    `${value.toPrecision(3)} ${unit}`
  ]);
  const widths = [0, 1, 2, 3].map((column2) => Math.max(...rows.map((row) => row[column2].length)));
  return rows.map(
    (row) => `${row.map((cell, i) => cell.padEnd(widths[i])).join("  ").trimEnd()}
`
  ).join("");
}
process.exitCode = await main(process.argv.slice(2));
