import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import { fold, standing, type JobState } from '@brine/core/record/fold';
import { programOf, type Program } from '@brine/core/record/job';
import type { PinnedDefinition } from '@brine/core/record/entries';
import { theCompany } from '../company/company.service.ts';
import type { Repositories } from '../database/database.ts';
import { acceptedOf } from './entries.service.ts';
import type { StoredEntry } from './entry.entity.ts';

const MOST_ENTRIES = 100_000;

/** A job as its stream stands on the server: state, program, and the new control with its pin; both null where none is chosen. */
export interface JobProgram {
  readonly stored: readonly StoredEntry[];
  readonly state: JobState;
  readonly program: Program;
  readonly pin: PinnedDefinition | null;
  readonly control: ControllerDefinition | null;
}

/** Folds a job's entries and computes its program, as a page would. */
export async function programOfJob(
  repositories: Repositories,
  jobId: string,
  unitName: string,
): Promise<JobProgram> {
  const stored = await repositories.entries.after(jobId, 0, MOST_ENTRIES);
  const state = fold(stored.map(acceptedOf));
  const pinOf = (role: 'old' | 'new') => standing(state, `control:${role}`, 'control')?.definition ?? null;
  const pin = pinOf('new');
  const control = await definitionOf(repositories, pin);
  const program = programOf({
    state,
    name: unitName,
    old: await definitionOf(repositories, pinOf('old')),
    replacement: control,
    companyDefaults: (await theCompany(repositories)).schools,
  });
  return { stored, state, program, pin, control };
}

async function definitionOf(
  repositories: Repositories,
  pin: PinnedDefinition | null,
): Promise<ControllerDefinition | null> {
  return pin ? ((await repositories.controllers.byHash(pin.hash))?.data ?? null) : null;
}
