/**
 * Keeps the one connection over which the server tells what changed, outside of the page: a browser allows a page few connections to one host, and a page that keeps one
 * open never counts as loaded.
 */
const source = new EventSource('/api/changes');
source.addEventListener('job', (event) => self.postMessage((event as MessageEvent<string>).data));
