export * from './field.ts';
export * from '../lengths/index.ts';
export type { DeepReadonly, Sent } from './readonly.ts';
export * from './request.ts';
