export { openApiDocument } from './openApiDocument.ts';
export { formatSchemas } from './formatSchemas.ts';
