/** Under this in the cup after this long, a shot has choked. House heuristic: one place for it. */
import { LIMITS } from './limits';

export const CHOKED = { underG: LIMITS.yieldG.min, afterS: 20 } as const;

/** All in the cup before this, it gushed. House heuristic. */
export const GUSHING_UNDER_S = 12;
