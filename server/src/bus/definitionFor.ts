import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import type { Means } from '../http/context.ts';
import type { WorkUnderWay } from '../work/kind.ts';
import type { OnController } from './bus.service.ts';

/** The definition that a piece of work on a line goes by. */
export const definitionFor = (
  { database }: Means,
  { subject }: WorkUnderWay,
): Promise<ControllerDefinition> =>
  database.transaction(
    async ({ controllers }) => (await controllers.byHash((subject as OnController).definition))!.data,
  );
