export { type EngineConfig, engineOf, AUTO_START_DELAY } from './engineConfig.ts';
export { engineAtRest, type EngineState } from './engineState.ts';
export { type EngineEvent, tickEngine } from './tickEngine.ts';
