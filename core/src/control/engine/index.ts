export { AUTO_START_DELAY, engineOf, type EngineConfig } from './engineConfig.ts';
export { engineAtRest, type EngineCommand, type EngineInputs, type EngineState } from './engineState.ts';
export { tickEngine, type EngineEvent } from './tickEngine.ts';
