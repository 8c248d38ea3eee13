import type { RegisterPlace } from '@brine/core/controllers/registers';
import type { DisplayState } from '@brine/core/controllers/definitions';
import type { Work } from '@brine/contract/routes';
import type { Repositories } from '../database/database.ts';
import type { Services, SignedIn } from '../http/context.ts';
import { AppError } from '../http/errors.ts';
import { askFor } from '../work/work.service.ts';
import { mustBeOpen } from './lines.service.ts';

/** A device on a line. No address is named: the line is one that a lead entered. */
export interface OnLine {
  readonly line: string;
  readonly device: number;
}

/** What is asked of a controller there. */
export interface OnController extends OnLine {
  /** The hash of the definition it is read by. */
  readonly definition: string;
}

/** A writing: the values, and who stands at the unit and said that it may be written. */
export interface WriteWish extends OnController {
  readonly values: readonly { readonly code: string; readonly value: string | number }[];
  /** How the display stands under which they are told. */
  readonly display: DisplayState;
  readonly atUnit: string;
}

/** Single registers that are tried: what they mean is not known yet, and not asked for. */
export interface TryWish extends OnLine {
  readonly places: readonly RegisterPlace[];
}

/** Anybody who writes controls down may try them on a line of any site that is open. */
export async function askForTry(
  services: Services,
  person: SignedIn,
  id: string,
  wish: Omit<TryWish, 'line'>,
): Promise<Work> {
  const line = await services.database.transaction((repositories) => repositories.busLines.byId(id));
  if (!line) throw new AppError('notFound', 'No such line');
  mustBeOpen(line);
  const title = `Trying ${line.name}, device ${wish.device}`;
  return askFor(services, person, 'busTry', title, { line: id, ...wish });
}

export async function askForRead(
  services: Services,
  person: SignedIn,
  job: string,
  wish: OnController,
): Promise<Work> {
  const title = await checkedOnLine(services, person, { job }, wish, 'Reading');
  return askFor(services, person, 'busRead', title, wish);
}

/** Reads the control of a unit that has no job, or beside it. */
export async function askForUnitRead(
  services: Services,
  person: SignedIn,
  unit: string,
  wish: OnController,
): Promise<Work> {
  const title = await checkedOnLine(services, person, { unit }, wish, 'Reading');
  return askFor(services, person, 'busRead', title, wish);
}

export async function askForWrite(
  services: Services,
  person: SignedIn,
  job: string,
  wish: WriteWish,
): Promise<Work> {
  const title = await checkedOnLine(services, person, { job }, wish, 'Writing');
  return askFor(services, person, 'busWrite', title, wish);
}

/** What is asked for: a job, or a unit without one. */
type Asked = { readonly job: string } | { readonly unit: string };

/** That the line belongs to the site of the unit and is open; what the work is called. A line of another site is refused, and that is logged. */
export function checkedOnLine(
  services: Services,
  person: SignedIn,
  asked: Asked,
  wish: OnController,
  doing: string,
): Promise<string> {
  return services.database.transaction(async (repositories) => {
    const unit = await unitOf(repositories, asked);
    const line = await repositories.busLines.byId(wish.line);
    if (line?.siteId !== unit.siteId) {
      services.log.warn(
        { ...asked, line: wish.line, by: person.id },
        'a line was asked for that no lead entered for the site',
      );
      throw new AppError('badInput', 'line: expected a line that a lead entered for the site of this unit');
    }
    mustBeOpen(line);
    if (!(await repositories.controllers.byHash(wish.definition)))
      throw new AppError('badInput', 'definition: expected the hash of a controller in the library');
    return `${doing} ${unit.name} over ${line.name}, device ${wish.device}`;
  });
}

async function unitOf(repositories: Repositories, asked: Asked) {
  const id = 'unit' in asked ? asked.unit : (await repositories.jobs.byId(asked.job))?.unitId;
  const unit = id === undefined ? null : await repositories.units.byId(id);
  if (!unit) throw new AppError('notFound', 'unit' in asked ? 'No such unit' : 'No such job');
  return unit;
}
