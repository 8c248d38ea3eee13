import type { ControllerDefinition, DisplayState } from '@brine/core/controllers/definitions';
import type { PinnedDefinition } from '@brine/core/record/entries';
import { fold, standing } from '@brine/core/record/fold';
import { inUnitOf, type InUnit } from '@brine/core/record/inUnit';
import { programOf, type Program } from '@brine/core/record/job';
import { definitionByHash } from '../job/definitions.ts';
import type { NamedJob } from './jobsOfUnit.ts';

/** What is known to be in a unit now, and from which of its jobs. */
export interface InItNow extends InUnit {
  readonly job: NamedJob;
  readonly pin: PinnedDefinition;
  readonly control: ControllerDefinition;
  readonly display: DisplayState;
}

/** The control that a job is about, and what is planned for it; null while its definition is on its way, or none is chosen. */
export function controlOfJob(
  job: NamedJob,
  unitName: string,
  companyDefaults: Parameters<typeof programOf>[0]['companyDefaults'],
): (Pick<InItNow, 'pin' | 'control'> & { readonly program: Program; readonly inUnit: InUnit }) | null {
  const state = fold(job.entries);
  const pins = {
    old: standing(state, 'control:old', 'control')?.definition ?? null,
    replacement: standing(state, 'control:new', 'control')?.definition ?? null,
  };
  const control = definitionByHash(pins.replacement?.hash);
  if (!pins.replacement || !control) return null;
  const program = programOf({
    state,
    name: unitName,
    old: definitionByHash(pins.old?.hash),
    replacement: control,
    companyDefaults,
  });
  return { pin: pins.replacement, control, program, inUnit: inUnitOf(state, program, control, pins) };
}

/** What is known to be in a unit now: from its newest job in which somebody saw a value of the control. Null where nobody has, or while the controller is on its way. */
export function inItNow(
  jobs: readonly NamedJob[],
  unitName: string,
  companyDefaults: Parameters<typeof programOf>[0]['companyDefaults'],
): InItNow | null {
  for (const job of jobs.toSorted((a, b) => b.createdAt.localeCompare(a.createdAt))) {
    const state = fold(job.entries);
    const pin = standing(state, 'control:new', 'control')?.definition;
    const seen = [...state.registers.keys()].some(
      (key) => key.startsWith('keyed:') || key.startsWith('found:'),
    );
    if (!pin || !seen) continue;
    const of = controlOfJob(job, unitName, companyDefaults);
    // It is on its way; an older job must not stand in for it meanwhile.
    if (!of) return null;
    if (of.inUnit.known.length === 0) continue;
    const display = of.program.display ?? { unit: 'degC' as const, decimal: false };
    return { ...of.inUnit, job, pin: of.pin, control: of.control, display };
  }
  return null;
}
