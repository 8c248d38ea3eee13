export { findDisplay, WAYS } from './findDisplay.ts';
export { track, type Seen, type WhyNot } from './track.ts';
export { heightOf, projection, type Pose } from './pose.ts';
