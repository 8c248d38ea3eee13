export * from './curve.ts';
export * from './platinum.ts';
export { readTable, type TablePoint } from './table.ts';
export * from './sensors.ts';
export * from './identify.ts';
export * from './wrongType.ts';
export * from './placement.ts';
