/** How `brine link` is called. Apart from what it does, so that a list of commands opens no line. */
export const LINK_USAGE = 'brine link --server URL --token TOKEN';
