import type { Schema, SchemaDescription } from 'yup';
import type { Access, RouteContract } from '../routes/index.ts';
import { fromDescription, jsonSchemaOf, type Json } from './jsonSchema.ts';

/** The OpenAPI 3.1 document of the routes: one source for what is served and what is described. */
export function openApiDocument(
  routes: readonly RouteContract[],
  version: string,
  errorCodes: readonly string[],
): Json {
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
        link: { type: 'apiKey', in: 'header', name: 'x-brine-link' },
      },
      schemas: { Error: errorSchema(errorCodes) },
    },
  };
}

const errorSchema = (codes: readonly string[]): Json => ({
  type: 'object',
  required: ['error'],
  properties: {
    error: {
      type: 'object',
      required: ['code', 'message', 'requestId', 'problems'],
      properties: {
        code: { enum: codes },
        message: { type: 'string' },
        requestId: { type: 'string' },
        problems: {
          type: 'array',
          items: { type: 'object', properties: { field: { type: 'string' }, message: { type: 'string' } } },
        },
      },
    },
  },
});

function operationOf(route: RouteContract): Json {
  return {
    summary: route.summary,
    description: `Access: ${accessWords[route.access]}.`,
    security:
      route.access === 'public'
        ? []
        : route.access === 'ticket' || route.access === 'link'
          ? [{ [route.access]: [] }]
          : [{ session: [] }],
    parameters: [...parametersOf('path', route.params), ...parametersOf('query', route.query)],
    ...(route.body && {
      requestBody: { required: true, content: { 'application/json': { schema: jsonSchemaOf(route.body) } } },
    }),
    ...(route.upload !== undefined && {
      requestBody: { required: true, content: { [route.upload]: { schema: { type: 'string' } } } },
    }),
    responses: {
      [route.status ?? 200]: { description: 'done', content: answerOf(route) },
      default: {
        description: 'error',
        content: { 'application/json': { schema: { $ref: '#/components/schemas/Error' } } },
      },
    },
  };
}

/** JSON by its schema, or a file by its media types. */
function answerOf(route: RouteContract): Json {
  if (route.answer) return { 'application/json': { schema: jsonSchemaOf(route.answer) } };
  return Object.fromEntries(
    (route.file ?? []).map((type) => [type, { schema: { type: 'string', format: 'binary' } }]),
  );
}

const accessWords: Readonly<Record<Access, string>> = {
  public: 'anybody',
  viewer: 'anybody signed in',
  technician: 'technicians and leads',
  lead: 'leads',
  ticket: 'a device with a writing ticket',
  link: 'a program on site with a link’s token',
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
