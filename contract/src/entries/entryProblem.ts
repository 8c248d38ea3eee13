import { firstProblem, shapeProblem } from '../validate/index.ts';
import { entrySchemas, type EntryKind } from './entryBody.ts';

/** Deeper than any body of an entry. */
const MAX_DEPTH = 12;
/** More values than any body of an entry holds: a signature has 6000 numbers. */
const MAX_VALUES = 10_000;

/**
 * What is wrong with the body of an entry that came over the wire: null when it is one of `EntryBody`, else a sentence that names the field
 * and what was expected. Values stay as typed; whether they are wise is not asked here.
 */
export function entryProblem(body: unknown): string | null {
  if (typeof body !== 'object' || body === null || Array.isArray(body))
    return 'body: expected an object with a kind';
  const unfit = shapeProblem(body, { depth: MAX_DEPTH, values: MAX_VALUES });
  if (unfit) return `body${unfit.path}: ${unfit.message}`;
  const { kind } = body as { readonly kind?: unknown };
  if (typeof kind !== 'string' || !Object.hasOwn(entrySchemas, kind))
    return `body.kind: ${shown(kind)} is unknown; expected ${Object.keys(entrySchemas).join(', ')}`;
  const problem = firstProblem(entrySchemas[kind as EntryKind], body);
  return problem && `body${problem.path && `.${problem.path}`}: ${problem.message}`;
}

const shown = (value: unknown) => ((JSON.stringify(value) as string | undefined) ?? 'nothing').slice(0, 60);
