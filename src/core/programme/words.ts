/** Programmes in words: for the plate, the card and whoever sets a machine by hand. */
import { STYLE_PROGRAMMES, STYLES } from '../vocabulary';
import { TEXT_LIMITS } from '../limits';
import { STYLE_STEPS } from './styles';
import { DRIVE_UNITS, isPause, isSameProgramme, type Programme, type Step } from './step';

/** "pause 30 s", "2.5 ml/s, at most 9 bar, for 20 s", "evenly to 6 bar over 25 s". */
export function stepWords(step: Step, isLast = false): string {
  const { drive, level, seconds, ramp, limitBar } = step;
  if (isPause(step)) return `pause ${seconds} s`;
  const height = `${level} ${DRIVE_UNITS[drive]}`;
  const limit = drive === 'flow' && limitBar !== undefined ? `, at most ${limitBar} bar` : '';
  if (ramp)
    return `evenly to ${height} over ${seconds} s${limit}${isLast ? ', then on to target weight' : ''}`;
  return `${height}${limit}${isLast ? ' to target weight' : ` for ${seconds} s`}`;
}

/** Every step in order, on one line. */
export function programmeWords(programme: Programme): string {
  return programme.map((step, i) => stepWords(step, i === programme.length - 1)).join('; ');
}

/** A name for the plate: the style's own words where the steps are the style's, else the steps, else their sum. */
export function shortProgrammeWords(programme: Programme): string {
  const style = STYLES.find((name) => isSameProgramme(STYLE_STEPS[name], programme));
  if (style) return STYLE_PROGRAMMES[style];
  const [only] = programme;
  if (programme.length === 1 && only && !only.ramp && only.drive === 'pressure')
    return `${only.level} bar, flat`;
  const words = programmeWords(programme);
  return words.length <= TEXT_LIMITS.name
    ? words
    : `${programme.length} steps, ending with ${stepWords(programme.at(-1)!, true)}`;
}
