export { serve, type Serving } from './serve.ts';
