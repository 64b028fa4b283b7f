/**
 * A programme as it is drawn: a lane for pressure over a lane for flow, seconds from the pump along both.
 * Each step is a tread on the lane of what it drives. Pure geometry, for screen and paper alike.
 */
import { svgPoint } from '../svgPoint';
import { isPause, levelBefore, MOST, startOf, type Drive, type Programme } from './step';

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export interface Tread {
  readonly drive: Drive;
  /** Outline of the tread, down to the floor of its lane; a pause is its floor alone. */
  readonly area: string;
  /** Its upper edge. */
  readonly edge: string;
  readonly isPause: boolean;
  /** Where a step limits the pressure: a line on the pressure's lane. */
  readonly limit: string | null;
  readonly fromX: number;
  readonly toX: number;
  readonly topY: number;
  /** The upper edge over the middle of the tread. */
  readonly midY: number;
}

export interface Outline {
  readonly untilS: number;
  readonly lanes: readonly { readonly drive: Drive; readonly box: Box; readonly most: number }[];
  readonly treads: readonly Tread[];
  readonly x: (seconds: number) => number;
  /** y of a level on the lane of a drive; the floor where that lane is not drawn. */
  readonly y: (drive: Drive, level: number) => number;
}

/** The drawing shows at least this much of the last step, s. */
const LAST_SHOWN_S = 8;
/** Pressure is drawn at least up to here, so that programmes compare by eye. */
const LEAST_TOP: Record<Drive, number> = { pressure: 10, flow: 4 };
/** Between the lanes, so that their figures do not touch. */
const GAP = 16;

/** Draws a programme into a box; `lanes` 'used' leaves out the lane nothing is driven on. */
export function outlineOf(
  programme: Programme,
  box: Box,
  { lanes = 'used', shotS = 0 }: { lanes?: 'used' | 'both'; shotS?: number } = {},
): Outline {
  const untilS = Math.max(drawnUntil(programme), shotS);
  const isDrawn = (drive: Drive) =>
    lanes === 'both' ||
    programme.some((step) => step.drive === drive) ||
    (drive === 'pressure' && programme.some(({ limitBar }) => limitBar !== undefined));
  const drives = (['pressure', 'flow'] as const).filter(isDrawn);
  const height = (box.height - GAP * (drives.length - 1)) / drives.length;
  const drawn = drives.map((drive, i) => ({
    drive,
    box: { ...box, y: box.y + i * (height + GAP), height },
    most: topOf(programme, drive),
  }));
  const x = (seconds: number) => box.x + (box.width * Math.min(seconds, untilS)) / untilS;
  const y = (drive: Drive, level: number) => {
    const lane = drawn.find((one) => one.drive === drive);
    if (!lane) return box.y + box.height;
    return lane.box.y + lane.box.height * (1 - Math.min(level, lane.most) / lane.most);
  };
  const scale = { x, y, untilS };
  return { ...scale, lanes: drawn, treads: programme.map((_, i) => treadOf(programme, i, scale)) };
}

/** s up to which all of a programme can be seen. */
function drawnUntil(programme: Programme): number {
  const last = programme.at(-1);
  const rise = last?.ramp ? last.seconds + 2 : 0;
  return startOf(programme, programme.length - 1) + Math.max(LAST_SHOWN_S, rise);
}

/** Top of a lane: room for every level, and no more than a pump can do. */
function topOf(programme: Programme, drive: Drive): number {
  const levels = programme.flatMap((step) => [
    step.drive === drive ? step.level : 0,
    drive === 'pressure' ? (step.limitBar ?? 0) : 0,
  ]);
  return Math.min(MOST[drive], Math.max(LEAST_TOP[drive], ...levels.map((level) => level * 1.15)));
}

type Scale = Pick<Outline, 'x' | 'y' | 'untilS'>;

function treadOf(programme: Programme, at: number, { x, y, untilS }: Scale): Tread {
  const step = programme[at]!;
  const { drive, level, limitBar, ramp, seconds } = step;
  const fromS = startOf(programme, at);
  const toS = at === programme.length - 1 ? untilS : fromS + seconds;
  const [fromX, toX, topY] = [x(fromS), x(toS), y(drive, level)];
  const startY = ramp ? y(drive, levelBefore(programme, at)) : topY;
  const riseX = ramp ? x(Math.min(toS, fromS + seconds)) : fromX;
  const upper = `${svgPoint(fromX, startY)}L${svgPoint(riseX, topY)}L${svgPoint(toX, topY)}`;
  const rise = riseX > fromX ? Math.min(1, (toX - fromX) / 2 / (riseX - fromX)) : 1;
  const floor = y(drive, 0);
  const limitY = y('pressure', limitBar ?? 0);
  return {
    drive,
    area: `M${upper}L${svgPoint(toX, floor)}L${svgPoint(fromX, floor)}z`,
    edge: `M${upper}`,
    isPause: isPause(step),
    limit:
      drive === 'flow' && limitBar !== undefined
        ? `M${svgPoint(fromX, limitY)}L${svgPoint(toX, limitY)}`
        : null,
    fromX,
    toX,
    topY,
    midY: startY + (topY - startY) * rise,
  };
}
