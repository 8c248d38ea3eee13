export { type EngineConfig, engineOf } from './engineConfig.ts';
export { engineAtRest, type EngineState } from './engineState.ts';
export { type EngineEvent, tickEngine } from './tickEngine.ts';
