export { type EngineConfig, engineOf } from './engineConfig.ts';
export { engineAtRest } from './engineState.ts';
export { tickEngine } from './tickEngine.ts';
