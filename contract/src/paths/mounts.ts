/** What every address of the demo company begins with, where it stands beside a real one. */
export const DEMO_MOUNT = '/demo';
