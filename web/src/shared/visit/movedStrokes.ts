import {
  afterKeying,
  CannotPlan,
  machineOf,
  strokeSentence,
  strokesFor,
  strokesOut,
} from '@brine/core/controllers/panel';
import { knownCodes, wishesAtCabinet } from '@brine/core/record/job';
import type { CodeValue } from '@brine/core/controllers/definitions';
import type { OpenJob } from '../job/useJob.ts';

/** Strokes that take one code from one value to another, from the standard display and back to it, each a sentence; or why there are none. */
export function movedStrokes(
  job: OpenJob,
  code: string,
  from: CodeValue,
  to: CodeValue,
): { readonly lines: readonly string[]; readonly problem: string | null } {
  const machine = job.replacement.value && machineOf(job.replacement.value);
  if (!machine) return { lines: [], problem: 'nobody stated the keys of this control' };
  const present = afterKeying(machine, knownCodes(job.state.value, job.program.value.found), [
    ...wishesAtCabinet(job.program.value.rows, code),
    { code, value: from },
  ]);
  try {
    const way = strokesFor(machine, present, { code, value: to }, null);
    const out = way.ends === null ? [] : strokesOut(machine, new Map([...present, [code, to]]), way.ends);
    return {
      lines: [...way.steps, ...out].map((step) => strokeSentence(machine.panel, step)),
      problem: null,
    };
  } catch (error) {
    if (!(error instanceof CannotPlan)) throw error;
    return { lines: [], problem: error.message };
  }
}
