export { ohmsAt } from './curve.ts';
export { identify } from './identify.ts';
export { placements, type ProbeUse } from './placement.ts';
export { type PlatinumClass, platinumClasses, platinumTolerance } from './platinum.ts';
export { leadOhms, menuSensors, otherSensors, type Sensor, sensorOf } from './sensors.ts';
export { readTable } from './table.ts';
export { explainReading, shownFor } from './wrongType.ts';
