/**
 * Keeps the one connection over which the server tells what changed, outside of the page: a browser allows a page few connections to one host, and a page that keeps one
 * open never counts as loaded. Told on: the id of a job that changed, and whether the connection stands.
 * Its name ends with what addresses begin with.
 */
const [, mount = ''] = self.name.split(' ');
const source = new EventSource(`${mount}/api/changes`);
const say = (told: { readonly job?: string; readonly stands?: boolean }) => self.postMessage(told);
source.addEventListener('job', (event) => say({ job: (event as MessageEvent<string>).data }));
// What happened before it stood is not told: empty stands for any.
source.addEventListener('open', (event) => {
  // The server says so itself once it listens; the connection alone does not.
  if (event instanceof MessageEvent) say({ stands: true, job: '' });
});
source.addEventListener('beat', () => say({ stands: true }));
source.addEventListener('error', () => say({ stands: false }));
