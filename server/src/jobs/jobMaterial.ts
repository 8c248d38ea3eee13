import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import type { Sides } from '@brine/core/foundation/unit';
import { theCompany } from '../company/company.service.ts';
import type { Repositories } from '../database/database.ts';

/**
 * All that is needed to compute a job, as a thread is handed it: the entries and definitions stay texts of JSON until they are there, so that the thread that
 * answers requests neither reads nor copies them.
 */
export interface JobMaterial {
  /** JSON of `AcceptedEntry[]`, in order. */
  readonly entries: string;
  /** JSON of the definitions its entries name, by hash. */
  readonly definitions: string;
  /** Names of those who wrote entries, by id. */
  readonly names: Readonly<Record<string, string>>;
  readonly unitName: string;
  readonly schools: Sides;
  readonly company: string;
  /** Whom to call. */
  readonly phone: string;
  /** The company’s mark as a data URL; null where it has none. */
  readonly logo: string | null;
}

/** The definitions of a job by hash. */
export type DefinitionsByHash = Readonly<Record<string, ControllerDefinition>>;

/** Gathers a job's material. The job must be there. */
export async function materialOf(
  repositories: Repositories,
  jobId: string,
  unitName: string,
): Promise<JobMaterial> {
  const { schools, name: company, phone, logo } = await theCompany(repositories);
  return {
    ...(await repositories.entries.materialOf(jobId)),
    unitName,
    schools,
    company,
    phone,
    logo: logo ?? null,
  };
}
