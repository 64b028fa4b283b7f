/**
 * What of a programme a machine can make, and the nearest it can make instead (model.md §8). A pump
 * without control holds its own pressure; a pre-infusion wets the puck at low pressure first. House
 * heuristic: what a machine can do is what Equipment says of it, not measured.
 */
import { isPause, isSameProgramme, levelBefore, MOST, type Programme, type Step } from './step';

/** What is said of a machine, as far as it is known. */
export interface Abilities {
  readonly pressureControl?: boolean | undefined;
  readonly flowControl?: boolean | undefined;
  readonly preinfusion?: boolean | undefined;
}

export interface Reach {
  /** Which steps the machine can make as they are written, in their order. */
  readonly made: readonly boolean[];
  readonly isWhole: boolean;
  /** The programme itself, or what comes nearest to it on this machine. */
  readonly nearest: Programme;
}

/** What pumps of machines without control are set to, bar; and how far off still counts as that. */
const PUMP_BAR = 9;
const PUMP_NEAR_BAR = 0.5;
/** A pre-infusion wets at no more than this, bar. */
const WETTING_BAR = 4;

const PUMP_STEP: Step = { drive: 'pressure', level: PUMP_BAR, seconds: 30, ramp: false };

export function reachOf(programme: Programme, machine: Abilities | undefined): Reach {
  const isUnknown = machine?.pressureControl === undefined && machine?.flowControl === undefined;
  if (isUnknown || !machine)
    return { made: programme.map(() => true), isWhole: true, nearest: programme };
  const made = programme.map((step, at) => isMade(step, at, programme, machine));
  const isWhole = made.every(Boolean);
  const nearest = isWhole ? programme : nearestOn(programme, made, machine);
  return { made, isWhole, nearest };
}

function isMade(step: Step, at: number, programme: Programme, machine: Abilities): boolean {
  const { pressureControl, flowControl, preinfusion } = machine;
  if (isPause(step)) return Boolean(pressureControl || flowControl);
  if (step.drive === 'flow') return Boolean(flowControl);
  if (pressureControl) return true;
  const isFlat = !step.ramp || levelBefore(programme, at) === step.level;
  if (isFlat && Math.abs(step.level - PUMP_BAR) <= PUMP_NEAR_BAR)
    return at === 0 || Boolean(flowControl || preinfusion);
  const isWetting = at === 0 && programme.length > 1 && step.level <= WETTING_BAR;
  if (preinfusion && isFlat && isWetting) return true;
  // Full flow held under a pressure is that pressure.
  return Boolean(flowControl) && isFlat;
}

function nearestOn(
  programme: Programme,
  made: readonly boolean[],
  { pressureControl, flowControl, preinfusion }: Abilities,
): Programme {
  if (pressureControl)
    return merged(programme.map((step, i) => (made[i] ? step : pressureFor(step))));
  if (flowControl)
    return merged(
      programme.map((step) => (step.drive === 'flow' || isPause(step) ? step : fullFlow(step))),
    );
  const [first] = programme;
  if (!preinfusion || !first || programme.length === 1 || isPause(first)) return [PUMP_STEP];
  const wetting = pressureFor(first);
  return wetting.level <= WETTING_BAR && !isPause(wetting) ? [wetting, PUMP_STEP] : [PUMP_STEP];
}

/** The pressure a step holds or may rise to: what a machine without flow control makes of it. */
function pressureFor({ drive, level, limitBar = PUMP_BAR, seconds }: Step): Step {
  const bar = drive === 'pressure' ? level : limitBar;
  return { drive: 'pressure', level: bar, seconds, ramp: false };
}

function fullFlow({ level, seconds }: Step): Step {
  return { drive: 'flow', level: MOST.flow, seconds, ramp: false, limitBar: Math.max(1, level) };
}

/** Neighbours that became the same are one step. */
function merged(steps: readonly Step[]): Programme {
  return steps.reduce<Step[]>((all, step) => {
    const last = all.at(-1);
    const isLike = last && isSameProgramme([{ ...last, seconds: 1 }], [{ ...step, seconds: 1 }]);
    if (!isLike || step.ramp) return [...all, step];
    return [...all.slice(0, -1), { ...last, seconds: last.seconds + step.seconds }];
  }, []);
}
