export { jsonSchemaOf } from './jsonSchema.ts';
export { openApiDocument } from './openApiDocument.ts';
