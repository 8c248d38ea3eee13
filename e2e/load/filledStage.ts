import { randomUUID } from 'node:crypto';
import { signInAt } from '../chaos/load.ts';
import { startStage, type Stage } from '../chaos/stage.ts';
import { PASSWORD } from '../support/steps.ts';
import { fillCompany, type CompanySize } from './fillCompany.ts';

/** A company on a server of its own, with somebody signed in. */
export interface FilledStage {
  readonly stage: Stage;
  readonly base: string;
  readonly cookie: string;
}

/** Starts so many servers on one database and fills it. Whoever starts it ends it. */
export async function startFilled(
  servers: number,
  size: CompanySize,
  say: (text: string) => void,
): Promise<FilledStage> {
  const stage = await startStage(servers);
  try {
    const [base] = stage.bases as [string];
    const { cookie } = await signInAt(base, 'tess', PASSWORD, randomUUID());
    await fillCompany(stage.databaseUrl, size, say);
    return { stage, base, cookie };
  } catch (error) {
    stage.end();
    throw error;
  }
}
