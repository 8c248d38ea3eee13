export { lampIn, type LampState } from './lamps.ts';
export { notWatching, watch, whyNotRead, withLamp, withoutLamp, type Shown, type Watching } from './watch.ts';
