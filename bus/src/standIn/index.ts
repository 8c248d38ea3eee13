export { serve, type ServeOptions, type Serving } from './serve.ts';
