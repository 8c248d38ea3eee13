// Runs before the program is here: what the page will ask the server first, and the files that it is made of, are asked for at once. A slow line is then used
// from the beginning, not after each step of the program has been read. `request` (shared/api/client) takes an answer from here once, while it is fresh.
(() => {
  /** Files of each page by the beginning of its path, written in at build; none in development. */
  const pages = /* PAGES */ [];
  /** The style sheets of our own letters. */
  const letters = /* LETTERS */ [];
  const mount = /^\/demo(\/|$)/.test(location.pathname) ? '/demo' : '';
  const path = location.pathname.slice(mount.length);
  const early = (globalThis.brineEarly = new Map());
  const ask = (address) => {
    // Read to its end: one that nobody takes would stay under way for ever.
    const answer = fetch(`${mount}/api${address}`, { credentials: 'same-origin' }).then(
      async (given) => new Response(await given.text(), { status: given.status, headers: given.headers }),
    );
    // Whoever takes it hears of a failure; one that nobody takes is none.
    answer.catch(() => undefined);
    early.set(`${mount}/api${address}`, { answer, at: performance.now() });
  };

  // Nobody is signed in on these.
  if (!/^\/(sign-in|link|u)(\/|$)/.test(path)) {
    ask('/me');
    ask('/company');
    const job = /^\/jobs\/([0-9a-f-]{36})(\/|$)/.exec(path)?.[1];
    if (job) {
      ask(`/jobs/${job}`);
      // Where the device has the job already it asks from there on.
      const seen = localStorage.getItem(`brine-seen:${job}`) ?? '0';
      ask(`/jobs/${job}/entries?after=${encodeURIComponent(seen)}`);
    } else if (/^\/jobs\/?$/.test(path) && location.search === '') ask('/jobs?search=&archived=false');
    else if (/^\/(today\/?)?$/.test(path)) ask('/today');
  }

  // All at once: each change of the head by itself costs the styles of the page anew.
  const link = (rel, files) =>
    document.head.append(
      ...files.map((file) => Object.assign(document.createElement('link'), { rel, href: `/${file}` })),
    );
  // Letters that are on the device stand from the beginning.
  if (localStorage.getItem('brine-letters') !== null) link('stylesheet', letters);
  // A device that keeps the program has its files.
  if (navigator.serviceWorker?.controller) return;
  for (const { begins, files, worker } of pages) {
    if (!new RegExp(begins).test(path)) continue;
    link('modulepreload', files);
    // No link loads a worker ahead: it is fetched once, and stays where the worker is then taken from.
    if (worker)
      fetch(`/${worker}`, { priority: 'low' })
        .then((given) => given.arrayBuffer())
        .catch(() => undefined);
    break;
  }
})();
