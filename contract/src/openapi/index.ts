export { openApiDocument } from './openApiDocument.ts';
