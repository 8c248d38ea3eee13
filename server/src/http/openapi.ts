import type { Schema, SchemaDescription } from 'yup';
import { statusOf } from './errors.ts';
import type { Access, RouteDefinition } from './route.ts';

type Json = Readonly<Record<string, unknown>>;

/** The OpenAPI 3.1 document of the routes: one source for what is served and what is described. */
export function openApiDocument(routes: readonly RouteDefinition[], version: string): Json {
  const paths: Record<string, Record<string, Json>> = {};
  for (const route of routes) {
    const path = `/api${route.path.replace(/:(\w+)/g, '{$1}')}`;
    paths[path] = { ...paths[path], [route.method]: operationOf(route) };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Brine Dial',
      version,
      description: 'Jobs, units, controllers and people of one company. Values keep their unit.',
    },
    paths,
    components: {
      securitySchemes: {
        session: { type: 'apiKey', in: 'cookie', name: 'brine_session' },
        ticket: { type: 'apiKey', in: 'header', name: 'x-brine-ticket' },
      },
      schemas: { Error: errorSchema },
    },
  };
}

const errorSchema = {
  type: 'object',
  required: ['error'],
  properties: {
    error: {
      type: 'object',
      required: ['code', 'message', 'requestId', 'problems'],
      properties: {
        code: { enum: Object.keys(statusOf) },
        message: { type: 'string' },
        requestId: { type: 'string' },
        problems: {
          type: 'array',
          items: { type: 'object', properties: { field: { type: 'string' }, message: { type: 'string' } } },
        },
      },
    },
  },
};

function operationOf(route: RouteDefinition): Json {
  return {
    summary: route.summary,
    description: `Access: ${accessWords[route.access]}.`,
    security:
      route.access === 'public' ? [] : route.access === 'ticket' ? [{ ticket: [] }] : [{ session: [] }],
    parameters: [...parametersOf('path', route.params), ...parametersOf('query', route.query)],
    ...(route.body && {
      requestBody: { required: true, content: { 'application/json': { schema: jsonSchemaOf(route.body) } } },
    }),
    responses: {
      [route.status ?? 200]: { description: 'done' },
      default: {
        description: 'error',
        content: { 'application/json': { schema: { $ref: '#/components/schemas/Error' } } },
      },
    },
  };
}

const accessWords: Readonly<Record<Access, string>> = {
  public: 'anybody',
  viewer: 'anybody signed in',
  technician: 'technicians and leads',
  lead: 'leads',
  ticket: 'a device with a writing ticket',
};

function parametersOf(place: 'path' | 'query', schema: Schema | undefined): readonly Json[] {
  if (!schema) return [];
  const { fields } = schema.describe() as unknown as { fields: Record<string, SchemaDescription> };
  return Object.entries(fields).map(([name, field]) => ({
    name,
    in: place,
    required: place === 'path' || !field.optional,
    schema: fromDescription(field),
  }));
}

/** A yup schema as JSON Schema, as far as the routes use yup. */
export function jsonSchemaOf(schema: Schema): Json {
  return fromDescription(schema.describe() as SchemaDescription);
}

function fromDescription(description: SchemaDescription): Json {
  const base = ofType(description);
  const choices = description.oneOf.filter((value) => value !== null);
  const narrowed = choices.length > 0 ? { ...base, enum: choices } : base;
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
      return { type: 'array', items: inner ? fromDescription(inner) : {} };
    }
    case 'string':
    case 'number':
    case 'boolean':
      return { type: description.type, ...limits(description) };
    default:
      return {};
  }
}

function limits(description: SchemaDescription): Json {
  const limit = (name: string) =>
    description.tests.find((t) => t.name === name)?.params as { min?: number; max?: number } | undefined;
  const [min, max] = [limit('min')?.min, limit('max')?.max];
  const [low, high] = description.type === 'number' ? ['minimum', 'maximum'] : ['minLength', 'maxLength'];
  return {
    ...(typeof min === 'number' && { [low!]: min }),
    ...(typeof max === 'number' && { [high!]: max }),
  };
}
