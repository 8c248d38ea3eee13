export { findDisplay, WAYS } from './findDisplay.ts';
export { track, type Seen, type WhyNot } from './track.ts';
export { heightOf, moved, projection, type Pose } from './pose.ts';
