import type { BrowserContext, Page } from 'puppeteer-core';
import { byTest, demoJob, signIn } from './support/acts.ts';
import { launch, newPage } from './support/browser.ts';
import { startServer } from './support/server.ts';
import { PASSWORD } from './support/steps.ts';
const line = { latency: 150, downloadThroughput: 1_600_000 / 8, uploadThroughput: 750_000 / 8 };
const server = await startServer();
const { browser, close } = await launch();
try {
  const desk = await newPage(browser);
  await signIn(desk, server.base, 'tess', PASSWORD);
  const job = await demoJob(desk, 'fish store');
  const cookies = await browser.defaultBrowserContext().cookies();
  for (const [name, path, shows] of [
    ['Jobs', '/jobs', `${byTest('jobs')} a`],
    ['Plan', `/jobs/${job}/program/plan`, `${byTest('plan')} tr`],
    ['Diagram', `/jobs/${job}/wire/diagram`, `${byTest('diagram')} path`],
  ] as const) {
    const context = await browser.createBrowserContext();
    await context.setCookie(...cookies);
    const page = await newPage(context, 'phone', { serviceWorker: true });
    const session = await page.createCDPSession();
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    await session.send('Network.enable');
    await session.send('Network.emulateNetworkConditions', { offline: false, ...line });
    const reqs: any = {}; let t0 = 0;
    session.on('Network.requestWillBeSent', ({ requestId, request, timestamp, type, initiator }: any) => { t0 ||= timestamp; reqs[requestId] = { url: request.url.replace(server.base, ''), start: timestamp - t0, type }; });
    session.on('Network.responseReceived', ({ requestId, timestamp }: any) => { if (reqs[requestId]) reqs[requestId].first = timestamp - t0; });
    session.on('Network.loadingFinished', ({ requestId, timestamp, encodedDataLength }: any) => { if (reqs[requestId]) { reqs[requestId].end = timestamp - t0; reqs[requestId].kb = encodedDataLength / 1000; } });
    await page.evaluateOnNewDocument(`globalThis.longs=[];new PerformanceObserver((l)=>{for(const e of l.getEntries())longs.push([e.startTime,e.duration])}).observe({type:'longtask',buffered:true})`);
    for (const round of ['cold', 'warm']) {
      t0 = 0; for (const k of Object.keys(reqs)) delete reqs[k];
      const from = performance.now();
      await page.goto(server.base + path, { waitUntil: 'domcontentloaded' });
      await page.waitForSelector(shows);
      const took = performance.now() - from;
      console.log(`== ${name} ${round} ${(took / 1000).toFixed(2)}`);
      for (const r of Object.values(reqs) as any[]) if (r.start * 1000 < took) console.log(`${r.start.toFixed(2).padStart(6)} ${(r.first ?? 0).toFixed(2).padStart(6)} ${(r.end ?? 0).toFixed(2).padStart(6)} ${(r.kb ?? 0).toFixed(0).padStart(5)} ${r.type.slice(0, 6)} ${r.url.slice(0, 80)}`);
      const longs = (await page.evaluate('longs')) as number[][];
      console.log('long tasks', longs.filter((l) => l[0]! < took).map(([a, d]) => `${(a! / 1000).toFixed(2)}+${Math.round(d!)}`).join(' '));
      await new Promise((r) => setTimeout(r, 4000));
    }
    await context.close();
  }
} finally { await close(); await server.stop(); }
