import { sameCodeValue, type CodeValue } from '../controllers/index.ts';
import type { PanelState } from '../panel/index.ts';
import type { Drill } from './drill.ts';

/** A judgement by what is stored, not by the way there. */
export interface Mark {
  readonly right: readonly string[];
  readonly wrong: readonly {
    readonly code: string;
    readonly wanted: CodeValue;
    readonly stored: CodeValue | undefined;
  }[];
  /** The panel was left: back on its standard display. */
  readonly atRest: boolean;
  readonly passed: boolean;
}

/** Marks a drill by what the panel holds. */
export function markDrill(drill: Drill, state: PanelState): Mark {
  const codes = [...drill.ends.keys()];
  const isRight = (code: string) => {
    const stored = state.memory.get(code);
    return stored !== undefined && sameCodeValue(stored, drill.ends.get(code)!);
  };
  const wrong = codes
    .filter((code) => !isRight(code))
    .map((code) => ({ code, wanted: drill.ends.get(code)!, stored: state.memory.get(code) }));
  const atRest = state.phase === 'rest';
  return {
    right: drill.goal.map((g) => g.code).filter(isRight),
    wrong,
    atRest,
    passed: wrong.length === 0 && atRest,
  };
}
