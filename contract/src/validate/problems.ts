import { shapeProblem } from './shape.ts';
import { ValidationError, type AnyObject, type InferType, type ObjectSchema, type Schema } from 'yup';

/** One field that does not fit, with the sentence for it. */
export interface Problem {
  readonly path: string;
  readonly message: string;
}

/** More are not collected: a person mends a few and sends again. */
export const MAX_PROBLEMS = 5;

/** The first thing that does not fit, or null. */
export function firstProblem(schema: Schema, value: unknown): Problem | null {
  try {
    schema.validateSync(value, { abortEarly: true });
    return null;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return { path: error.path ?? '', message: error.message };
  }
}

/** Deeper and more than any request: a definition's menus nest, a booklet has hundreds of rows. */
const LIMITS = { depth: 48, values: 200_000 };

/**
 * A value as its schema takes it (defaults put in, fields that are not known left out), or at most five problems, one a field. In this
 * order: lists that are too long, before any element is looked at; what no store can keep; the schema. `judgedInside`: what its fields hold
 * is judged by whoever takes it, item by item.
 */
export function checked<S extends ObjectSchema<AnyObject>>(
  schema: S,
  value: unknown,
  judgedInside = false,
): { readonly value: InferType<S> } | { readonly problems: readonly Problem[] } {
  const given = value ?? {};
  if (typeof given !== 'object' || Array.isArray(given))
    return { problems: [{ path: '', message: 'expected an object' }] };
  // Only fields the schema names: yup looks a field up by its name, and finds `constructor` on every object.
  const data: Record<string, unknown> = {};
  for (const field of Object.keys(schema.fields))
    if (Object.hasOwn(given, field)) data[field] = (given as Record<string, unknown>)[field];
  const long = tooLong(schema, data);
  if (long) return { problems: [long] };
  const unfit = judgedInside ? null : shapeProblem(data, LIMITS);
  if (unfit) {
    const path = unfit.path.replace(/^\./, '');
    return { problems: [{ path, message: path ? `${path}: ${unfit.message}` : unfit.message }] };
  }
  try {
    return { value: schema.validateSync(data, { abortEarly: true, stripUnknown: true }) };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return { problems: byField(schema, data, error) };
  }
}

/** The first problem of each field, so that a form shows all of its own at once. */
function byField(
  schema: ObjectSchema<AnyObject>,
  data: Readonly<Record<string, unknown>>,
  first: ValidationError,
): readonly Problem[] {
  const found: Problem[] = [];
  for (const field of Object.keys(schema.fields)) {
    if (found.length === MAX_PROBLEMS) break;
    const problem = fieldProblem(schema, field, data);
    if (problem) found.push(problem);
  }
  return found.length > 0 ? found : [{ path: first.path ?? '', message: first.message }];
}

function fieldProblem(
  schema: ObjectSchema<AnyObject>,
  field: string,
  data: Readonly<Record<string, unknown>>,
): Problem | null {
  try {
    schema.validateSyncAt(field, data, { abortEarly: true });
    return null;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    return { path: error.path ?? field, message: error.message };
  }
}

function tooLong(schema: ObjectSchema<AnyObject>, data: Readonly<Record<string, unknown>>): Problem | null {
  for (const [field, inner] of Object.entries(schema.fields)) {
    const list = data[field];
    const test =
      'tests' in inner &&
      (inner.tests as readonly { OPTIONS?: { name?: string; params?: unknown; message?: unknown } }[]).find(
        (t) => t.OPTIONS?.name === 'max',
      );
    if (!Array.isArray(list) || !test) continue;
    const { max } = test.OPTIONS?.params as { max: number };
    if (list.length > max) return { path: field, message: String(test.OPTIONS?.message) };
  }
  return null;
}
