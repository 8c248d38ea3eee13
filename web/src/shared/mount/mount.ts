import { DEMO_MOUNT } from '@brine/contract/paths';

/** What the addresses of this page begin with: nothing, or `/demo` where the demo company is looked at. */
export const mount: '' | typeof DEMO_MOUNT =
  typeof location !== 'undefined' &&
  (location.pathname === DEMO_MOUNT || location.pathname.startsWith(`${DEMO_MOUNT}/`))
    ? DEMO_MOUNT
    : '';

/** Whether this is the demo company beside one's own. */
export const inDemoBeside = mount !== '';

/** Origin and beginning of every address of this page, for links to be copied. */
export const addressHere = (): string => `${location.origin}${mount}`;

/** A name on this device: the demo beside keeps its own things apart from the company's. */
export const nameHere = (name: string): string => (inDemoBeside ? `demo:${name}` : name);
