import type { RouteName } from '@brine/contract/paths';

/** Where answers are kept for when the server is away; absent until the application gives it. */
export interface AnswerKeeper {
  keep(address: string, json: unknown): void;
  /** The last answer to that address, or undefined. */
  find(name: RouteName, address: string): Promise<unknown>;
}

let keeper: AnswerKeeper | null = null;

/** Gives the place where answers are kept. */
export function keepAnswersIn(place: AnswerKeeper): void {
  keeper = place;
}

/** Answers that are worth reading when the server is away. A stream of entries is kept by itself; what only makes sense now is not kept. */
const keptRoutes: ReadonlySet<RouteName> = new Set<RouteName>([
  'company',
  'today',
  'phones',
  'jobs',
  'job',
  'site',
  'sites',
  'places',
  'units',
  'unit',
  'controllers',
  'controller',
  'meanings',
  'progress',
  'logs',
  'share',
]);

/** The keeper of a route's answers; null where they are not kept. */
export const keeperOf = (name: RouteName): AnswerKeeper | null => (keptRoutes.has(name) ? keeper : null);
