import type { Schema, SchemaDescription } from 'yup';

export type Json = Readonly<Record<string, unknown>>;

/** A yup schema as JSON Schema, as far as the routes use yup. */
export function jsonSchemaOf(schema: Schema): Json {
  return fromDescription(schema.describe());
}

/** The same from a description. */
export function fromDescription(description: SchemaDescription): Json {
  const base = ofType(description);
  const choices = description.oneOf.filter((value) => value !== null);
  const allowed = description.nullable ? [...choices, null] : choices;
  const narrowed = choices.length > 0 ? { ...base, enum: allowed } : base;
  return description.nullable && 'type' in narrowed
    ? { ...narrowed, type: [narrowed['type'], 'null'] }
    : narrowed;
}

function ofType(description: SchemaDescription): Json {
  switch (description.type) {
    case 'object': {
      const fields = (description as unknown as { fields: Record<string, SchemaDescription> }).fields;
      const required = Object.entries(fields)
        .filter(([, field]) => !field.optional)
        .map(([name]) => name);
      const properties = Object.fromEntries(
        Object.entries(fields).map(([name, field]) => [name, fromDescription(field)]),
      );
      return { type: 'object', properties, ...(required.length > 0 && { required }) };
    }
    case 'array': {
      const inner = (description as unknown as { innerType?: SchemaDescription }).innerType;
      const most = description.tests.find((t) => t.name === 'max')?.params as { max?: number } | undefined;
      return {
        type: 'array',
        items: inner ? fromDescription(inner) : {},
        ...(typeof most?.max === 'number' && { maxItems: most.max }),
      };
    }
    case 'string':
    case 'number':
    case 'boolean':
      return {
        type: has(description, 'integer') ? 'integer' : description.type,
        ...patternOf(description),
        ...limits(description),
      };
    default:
      return {};
  }
}

const has = (description: SchemaDescription, test: string) => description.tests.some((t) => t.name === test);

/** What a text must match; of several the first. */
function patternOf(description: SchemaDescription): Json {
  const regex = description.tests.find((t) => t.name === 'matches')?.params?.['regex'];
  return regex instanceof RegExp ? { pattern: regex.source } : {};
}

function limits(description: SchemaDescription): Json {
  const limit = (name: string) =>
    description.tests.find((t) => t.name === name)?.params as { min?: number; max?: number } | undefined;
  const { longest } = (description.meta ?? {}) as { readonly longest?: number };
  const [min, max] = [limit('min')?.min, limit('max')?.max ?? longest];
  const [low, high] = description.type === 'number' ? ['minimum', 'maximum'] : ['minLength', 'maxLength'];
  return {
    ...(typeof min === 'number' && { [low]: min }),
    ...(typeof max === 'number' && { [high]: max }),
  };
}
