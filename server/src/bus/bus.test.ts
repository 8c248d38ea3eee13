import { afterAll, afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { randomUUID } from 'node:crypto';
import { createServer, type AddressInfo, type Server } from 'node:net';
import { noLineTroubles, readTroubles, StandInDevice } from '@brine/core/practice/standIn';
import { LinkRefused, runLink } from '@brine/bus/link';
import { serve, type Serving } from '@brine/bus/standIn';
import { readDefinition } from '@brine/core/controllers/definitions';
import { demoDefinition } from '../../testing/demoDefinition.ts';
import { freezerJob } from '../../testing/freezerJob.ts';
import { aLead, startWithTess, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
let tess: Client;
let lea: Client;
let job: string;
let site: string;
let definition: string;
const open: { close(): Promise<unknown> }[] = [];

const read = readDefinition(demoDefinition('skerry-dx'));
if ('faults' in read) throw new Error(read.faults[0]!.message);
const control = read.definition;

beforeAll(async () => {
  ({ harness, tess } = await startWithTess({ queue: true }));
  lea = await aLead(harness);
  job = await freezerJob(tess, 'skerry-dx', []);
  site = (await tess.call('GET', `/api/jobs/${job}`)).json.job.unit.siteId;
  const { json } = await tess.call('GET', '/api/controllers');
  definition = json.controllers.find((one: { id: string }) => one.id === 'skerry-dx').hash;
});
afterEach(async () => {
  for (const one of open.splice(0)) await one.close();
});
afterAll(() => harness.stop());

/** A stand-in, and a line to it that the lead enters. */
async function lineTo(
  ...faults: readonly string[]
): Promise<{ device: StandInDevice; serving: Serving; line: string }> {
  const troubles = readTroubles(control, faults);
  if ('problem' in troubles) throw new Error(troubles.problem);
  const device = new StandInDevice(control, new Map(), troubles.device);
  const serving = await serve(device, {
    host: '127.0.0.1',
    port: 0,
    unit: 3,
    speed: 1,
    line: { ...noLineTroubles, ...troubles.line },
  });
  open.push(serving);
  return { device, serving, line: await entered(serving.port) };
}

async function entered(port: number, at = site): Promise<string> {
  const answer = await lea.call('POST', `/api/sites/${at}/lines`, {
    name: 'Plant room',
    host: '127.0.0.1',
    port,
  });
  expect(answer.status).toBe(201);
  return answer.json.line.id;
}

const ask = (what: 'read' | 'write', line: string, more: object = {}) =>
  tess.call('POST', `/api/jobs/${job}/bus/${what}`, { line, device: 3, definition, ...more });
const display = { unit: 'degC', decimal: true };
const said = { display, atUnit: 'Una at the walk-in', mayBeWritten: true };

async function ended(answer: { status: number; json: { work: { id: string } } }) {
  expect(answer.status).toBe(202);
  const { id } = answer.json.work;
  for (let i = 0; i < 600; i += 1) {
    const { work } = (await tess.call('GET', `/api/work/${id}`)).json;
    if (!['waiting', 'running'].includes(work.state))
      return { work, file: work.file ? (await tess.call('GET', `/api/work/${id}/file`)).json : null };
    await new Promise((done) => setTimeout(done, 50));
  }
  throw new Error('the work did not end in 30 seconds');
}

describe('reading and writing over a line', () => {
  test('all values of the control come as its display shows them; the oracle is the memory of the stand-in', async () => {
    const { device, line } = await lineTo();
    const { work, file } = await ended(await ask('read', line));
    expect([work.state, work.problem]).toEqual(['done', null]);
    expect(
      new Map(file.values.map(({ code, value }: { code: string; value: unknown }) => [code, value])),
    ).toEqual(device.memory);
    expect(file.unread).toEqual([]);
  });

  test('a unit without a job is read as well, on a line of its own site alone', async () => {
    const { device, line } = await lineTo();
    const { unit } = (await tess.call('GET', `/api/jobs/${job}`)).json.job;
    const far = (await tess.call('POST', '/api/sites', { name: 'Without a line', place: '' })).json.site;
    const other = (await tess.call('POST', '/api/units', { siteId: far.id, name: 'Far cooler' })).json.unit;
    const body = { line, device: 3, definition };
    const { work, file } = await ended(await tess.call('POST', `/api/units/${unit.id}/bus/read`, body));
    expect([work.state, file.values.length]).toEqual(['done', device.memory.size]);
    const elsewhere = await tess.call('POST', `/api/units/${other.id}/bus/read`, body);
    expect([elsewhere.status, elsewhere.json.error.message]).toEqual([
      400,
      expect.stringContaining('a line that a lead entered for the site of this unit'),
    ]);
    const nowhere = await tess.call('POST', `/api/units/${line}/bus/read`, body);
    expect([nowhere.status, nowhere.json.error.message]).toEqual([404, 'No such unit']);
  });

  test('values are written in the controller’s order; one that is clamped and one that is locked are told', async () => {
    const { device, line } = await lineTo('clamp=t1:-2:4', 'lock=m3');
    const values = [
      { code: 't1', value: 9 },
      { code: 't2', value: 3 },
      { code: 'm3', value: 12 },
      { code: 't4', value: device.memory.get('t4') },
    ];
    const { work, file } = await ended(await ask('write', line, { values, ...said }));
    expect(work.state).toBe('done');
    const became = new Map(file.written.map((one: { code: string }) => [one.code, one]));
    expect(became.get('t1')).toMatchObject({ is: 'otherwise', found: 4 });
    expect(became.get('t2')).toMatchObject({ is: 'written' });
    expect(became.get('m3')).toMatchObject({ is: 'refused' });
    // What stood already is told as standing, and was not written.
    expect(became.get('t4')).toMatchObject({ is: 'written' });
    expect(file.atUnit).toBe(said.atUnit);
    expect([device.memory.get('t1'), device.memory.get('t2'), device.memory.get('m3')]).toEqual([4, 3, 0]);
  });

  test('values told in another unit than the display stands in are not written: somebody turned it meanwhile', async () => {
    const { device, line } = await lineTo();
    const before = new Map(device.memory);
    const values = [{ code: 't1', value: 36 }];
    const inFahrenheit = { ...said, display: { unit: 'degF', decimal: true } };
    const { work, file } = await ended(await ask('write', line, { values, ...inFahrenheit }));
    expect(work.state).toBe('done');
    expect(file.written).toEqual([
      { code: 't1', is: 'notWritten', value: 36, why: expect.stringContaining('told in °F') },
    ]);
    expect(device.memory).toEqual(before);
  });

  test('nobody at the unit who said so: nothing is written', async () => {
    const { line, serving } = await lineTo();
    const values = [{ code: 't2', value: 3 }];
    for (const more of [
      {},
      { atUnit: 'Una' },
      { atUnit: 'Una', mayBeWritten: false },
      { atUnit: ' ', mayBeWritten: true },
    ]) {
      const answer = await ask('write', line, { values, display, ...more });
      expect([answer.status, answer.json.error.code]).toEqual([400, 'badInput']);
    }
    expect(serving.requests()).toBe(0);
  });

  test('another control behind the address is told, and a line where nobody answers', async () => {
    const { line } = await lineTo();
    const silent = await ended(
      await tess.call('POST', `/api/jobs/${job}/bus/read`, { line, device: 4, definition }),
    );
    expect(silent.work).toMatchObject({ state: 'failed', problem: 'Device 4 does not answer' });
    const gone = await ended(await ask('read', await entered(1)));
    expect(gone.work.state).toBe('failed');
    expect(gone.work.problem).toContain('127.0.0.1, port 1');
  });

  test('single registers are tried: what each holds, and which the device does not have', async () => {
    const { device, line, serving } = await lineTo();
    const before = new Map(device.memory);
    const t1 = control.registers!.find(({ code }) => code === 't1')!.address;
    const places = [
      { table: 3, address: t1 },
      { table: 2, address: 0 },
      { table: 3, address: 60_000 },
    ];
    const begun = await tess.call('POST', `/api/lines/${line}/try`, { device: 3, places });
    const { file } = await ended(begun);
    const at = (table: number, address: number) =>
      file.answers.find(
        (one: { table: number; address: number }) => one.table === table && one.address === address,
      ).is;
    // Tenths of what the display shows: the scale of its definition.
    expect(at(3, t1)).toBe(Number(device.memory.get('t1')) * 10);
    expect([0, 1]).toContain(at(2, 0));
    expect(at(3, 60_000)).toContain('it has no such register');
    expect(device.memory).toEqual(before);
    await lea.call('PATCH', `/api/lines/${line}`, { open: false });
    const asked = serving.requests();
    const shut = await tess.call('POST', `/api/lines/${line}/try`, { device: 3, places });
    expect([shut.status, serving.requests()]).toEqual([409, asked]);
    for (const wrong of [[], [{ table: 5, address: 1 }], [{ table: 3, address: 65_536 }]])
      expect((await tess.call('POST', `/api/lines/${line}/try`, { device: 3, places: wrong })).status).toBe(
        400,
      );
    expect((await tess.call('POST', `/api/lines/${randomUUID()}/try`, { device: 3, places })).status).toBe(
      404,
    );
  });

  test('two who read at once take turns on the line, and both have all of it', async () => {
    const { line } = await lineTo('slow=20');
    const both = await Promise.all([ask('read', line), ask('read', line)]);
    const answers = await Promise.all(both.map(ended));
    expect(answers.map(({ work }) => work.state)).toEqual(['done', 'done']);
    expect(answers[0]!.file.values).toEqual(answers[1]!.file.values);
  });

  test('a line that is shut is not called, and what goes on there ends', async () => {
    const { line, serving } = await lineTo('slow=900');
    const begun = await ask('read', line);
    await new Promise((done) => setTimeout(done, 300));
    expect((await lea.call('PATCH', `/api/lines/${line}`, { open: false })).json.line.open).toBe(false);
    const { work } = await ended(begun);
    expect(work).toMatchObject({ state: 'failed', problem: 'Plant room was shut meanwhile' });
    const asked = serving.requests();
    expect((await ask('read', line)).status).toBe(409);
    expect(serving.requests()).toBe(asked);
  });
});

describe('a link on site', () => {
  /** A link as its program runs on a laptop: it knows the server's address and its token, and nothing else. */
  async function linked(): Promise<{ id: string; token: string; ended: Promise<unknown>; stop: () => void }> {
    const made = await lea.call('POST', `/api/sites/${site}/links`, { name: 'Una’s laptop' });
    expect(made.status).toBe(201);
    const { token } = made.json;
    const off = new AbortController();
    const laptop = harness.client();
    const asked: typeof fetch = async (url, init) => {
      const path = new URL(url as URL).pathname;
      const headers = { 'x-brine-link': token };
      const { status, json } = await laptop.call('POST', path, JSON.parse(init!.body as string), { headers });
      return new Response(JSON.stringify(json), { status });
    };
    const running = runLink({
      server: 'http://localhost:4780',
      token,
      signal: off.signal,
      tell: () => undefined,
      ask: asked,
    });
    const stop = () => off.abort();
    open.push({ close: () => (stop(), running.catch(() => undefined)) });
    const ended = running.then(
      () => null,
      (error: unknown) => error,
    );
    return { id: made.json.link.id, token, ended, stop };
  }
  const linkedLine = async (port: number, link: string) => {
    const answer = await lea.call('POST', `/api/sites/${site}/lines`, {
      name: 'Behind the wall',
      host: '127.0.0.1',
      port,
      link,
    });
    expect(answer.status).toBe(201);
    return answer.json.line.id as string;
  };

  test('carries a reading and a writing, as the server itself would: the oracle is the memory of the stand-in', async () => {
    const { device, serving } = await lineTo();
    const { id } = await linked();
    const line = await linkedLine(serving.port, id);
    const { work, file } = await ended(await ask('read', line));
    expect(work.problem).toBeNull();
    expect(
      new Map(file.values.map(({ code, value }: { code: string; value: unknown }) => [code, value])),
    ).toEqual(device.memory);
    const values = [{ code: 't1', value: 4.5 }];
    const written = await ended(await ask('write', line, { ...said, values }));
    expect(written.file.written).toEqual([{ code: 't1', is: 'written', value: 4.5 }]);
    expect(device.memory.get('t1')).toBe(4.5);
    const silent = await ended(
      await tess.call('POST', `/api/jobs/${job}/bus/read`, { line, device: 9, definition }),
    );
    expect(silent.work).toMatchObject({ state: 'failed', problem: 'Device 9 does not answer' });
  });

  test('that is not there is told, and what was asked then is never done later', async () => {
    const { device, serving } = await lineTo();
    const { id, stop, ended: over } = await linked();
    stop();
    await over;
    const line = await linkedLine(serving.port, id);
    const { work } = await ended(await ask('write', line, { ...said, values: [{ code: 't1', value: 5 }] }));
    expect(work.state).toBe('failed');
    expect(work.problem).toContain('The link on site is not there');
    expect(serving.requests()).toBe(0);
    expect(device.memory.get('t1')).toBe(2);
  });

  test('what a server left behind that died is not done when the link comes', async () => {
    const { device, serving } = await lineTo();
    const made = await lea.call('POST', `/api/sites/${site}/links`, { name: 'Late' });
    const address = { host: '127.0.0.1', port: serving.port, kind: 'tcp' } as const;
    const t1 = control.registers!.find(({ code }) => code === 't1')!.address;
    await harness.database.transaction(({ busLinks }) =>
      busLinks.ask(made.json.link.id, {
        id: randomUUID(),
        line: address,
        device: 3,
        read: null,
        write: { by: 6, address: t1, words: [90] },
      }),
    );
    await harness.orm.em.fork().execute(`update bus_call set asked_at = now() - interval '1 minute'`);
    const headers = { 'x-brine-link': made.json.token };
    const { json } = await harness.client().call('POST', '/api/link/calls', {}, { headers });
    expect(json.calls).toEqual([]);
    expect(device.memory.get('t1')).toBe(2);
  });

  test('its token opens nothing else, and nothing at all once it was ended', async () => {
    const { id, token, ended: over } = await linked();
    const stranger = harness.client();
    const headers = { 'x-brine-link': token };
    for (const [method, path] of [
      ['GET', '/api/me'],
      ['GET', '/api/jobs'],
      ['GET', `/api/jobs/${job}`],
      ['GET', `/api/sites/${site}/lines`],
      ['POST', `/api/sites/${site}/links`],
      ['POST', `/api/jobs/${job}/bus/read`],
      ['POST', '/api/entries'],
    ] as const) {
      const answer = await stranger.call(method, path, method === 'GET' ? undefined : {}, { headers });
      expect([path, answer.status]).toEqual([path, 401]);
    }
    expect((await tess.call('POST', `/api/sites/${site}/links`, { name: 'x' })).status).toBe(403);
    expect((await lea.call('DELETE', `/api/bus-links/${id}`)).json.link.ended).toBe(true);
    expect(await over).toBeInstanceOf(LinkRefused);
    expect((await stranger.call('POST', '/api/link/calls', {}, { headers })).status).toBe(401);
    const { json } = await lea.call('GET', `/api/sites/${site}/links`);
    expect(json.links.map((one: { id: string }) => one.id)).not.toContain(id);
  });

  test('answers only what it was asked itself', async () => {
    const { serving } = await lineTo();
    const [one, other] = [await linked(), await linked()];
    other.stop();
    await other.ended;
    const line = await linkedLine(serving.port, other.id);
    const begun = await ask('read', line);
    const headers = { 'x-brine-link': one.token };
    const forged = { call: randomUUID(), words: [1], failure: null };
    expect((await harness.client().call('POST', '/api/link/answers', forged, { headers })).status).toBe(200);
    expect((await ended(begun)).work.state).toBe('failed');
    expect(serving.requests()).toBe(0);
  });
});

describe('following', () => {
  const startFollow = async (line: string, more: object = {}) => {
    const answer = await tess.call('POST', `/api/jobs/${job}/bus/follow`, {
      line,
      device: 3,
      definition,
      every: 1,
      hours: 1,
      ...more,
    });
    expect(answer.status).toBe(202);
    return answer.json.work.id as string;
  };
  const pointsOf = async (follow: string, after?: string) =>
    (await tess.call('GET', `/api/jobs/${job}/bus/follow/${follow}${after ? `?after=${after}` : ''}`)).json
      .points as { at: string; readings: { air: number; compressor: boolean } | null }[];
  const until = async <T>(look: () => Promise<T | null>): Promise<T> => {
    for (let i = 0; i < 100; i += 1) {
      const found = await look();
      if (found !== null) return found;
      await new Promise((done) => setTimeout(done, 200));
    }
    throw new Error('waited in vain');
  };

  test('points come while it goes on, gives way to who reads, and ends when it is stopped', async () => {
    const { line, device } = await lineTo();
    const follow = await startFollow(line);
    const first = await until(async () => {
      const points = await pointsOf(follow);
      return points.length >= 2 ? points : null;
    });
    expect(first[0]!.readings!.compressor).toBe(device.readings!.compressor);
    const { work } = await ended(await ask('read', line));
    expect(work.state).toBe('done');
    const later = await until(async () => {
      const points = await pointsOf(follow, first.at(-1)!.at);
      return points.length >= 2 ? points : null;
    });
    expect(later.every(({ at }) => at > first.at(-1)!.at)).toBe(true);
    // Told as tenths; the air moves little in some seconds.
    expect(Math.abs(later[0]!.readings!.air - device.readings!.air)).toBeLessThan(0.3);
    const { json } = await tess.call('GET', `/api/jobs/${job}/bus/follow`);
    expect(json.follows[0]).toMatchObject({
      work: { id: follow, state: 'running' },
      line,
      device: 3,
      every: 1,
    });
    await tess.call('DELETE', `/api/work/${follow}`);
    const end = await until(async () => {
      const before = (await pointsOf(follow)).length;
      await new Promise((done) => setTimeout(done, 1500));
      return (await pointsOf(follow)).length === before ? before : null;
    });
    expect(end).toBeGreaterThanOrEqual(4);
  });

  test('a controller that falls silent is asked on; it is told that it did not answer', async () => {
    const { line } = await lineTo('dead=2-4.5');
    const follow = await startFollow(line);
    const points = await until(async () => {
      const all = await pointsOf(follow);
      const silent = all.findIndex(({ readings }) => readings === null);
      return silent > 0 && all.slice(silent).some(({ readings }) => readings !== null) ? all : null;
    });
    expect(points[0]!.readings).not.toBeNull();
    await tess.call('DELETE', `/api/work/${follow}`);
  });

  test('a line of another site, another job’s following and a wrong moment are refused', async () => {
    const { json } = await tess.call('POST', '/api/sites', { name: 'Far', place: '' });
    const other = await entered(1, json.site.id);
    const answer = await tess.call('POST', `/api/jobs/${job}/bus/follow`, {
      line: other,
      device: 3,
      definition,
      every: 1,
      hours: 1,
    });
    expect([answer.status, answer.json.error.message]).toEqual([
      400,
      expect.stringContaining('a line that a lead entered for the site of this unit'),
    ]);
    expect((await tess.call('GET', `/api/jobs/${job}/bus/follow/${randomUUID()}`)).status).toBe(404);
    const { line } = await lineTo();
    const follow = await startFollow(line);
    const wrong = await tess.call('GET', `/api/jobs/${job}/bus/follow/${follow}?after=yesterday`);
    expect(wrong.status).toBe(400);
    await tess.call('DELETE', `/api/work/${follow}`);
  });
});

describe('an address that no lead entered', () => {
  /** Listens on loopback and counts who knocks. */
  async function trap(): Promise<{ port: number; knocks: () => number }> {
    let knocks = 0;
    const server: Server = createServer((socket) => {
      knocks += 1;
      socket.destroy();
    });
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
    open.push({ close: () => new Promise((done) => server.close(done)) });
    return { port: (server.address() as AddressInfo).port, knocks: () => knocks };
  }

  test('is reached by no route: a line is named by its id, one of another site is refused, and only a lead enters one', async () => {
    const { port, knocks } = await trap();
    const { json } = await tess.call('POST', '/api/sites', { name: 'Elsewhere', place: '' });
    const other = await entered(port, json.site.id);
    expect((await ask('read', other)).json.error.message).toContain(
      'a line that a lead entered for the site of this unit',
    );
    expect((await ask('read', randomUUID())).status).toBe(400);
    for (const line of ['127.0.0.1', `127.0.0.1:${port}`, '169.254.169.254', 'localhost', '::1'])
      expect((await ask('read', line)).status).toBe(400);
    for (const more of [{ host: '127.0.0.1', port }, { address: `127.0.0.1:${port}` }])
      expect((await ask('read', randomUUID(), more)).status).toBe(400);
    const byTechnician = await tess.call('POST', `/api/sites/${site}/lines`, {
      name: 'x',
      host: '127.0.0.1',
      port,
    });
    expect(byTechnician.status).toBe(403);
    expect(knocks()).toBe(0);
  });

  test('is reached by no file: a definition that names one is read with its registers alone', async () => {
    const { port, knocks } = await trap();
    const named = {
      ...demoDefinition('skerry-dx'),
      id: 'skerry-trap',
      host: '127.0.0.1',
      port,
      bus: { host: '127.0.0.1', port, registers: [], readings: [] },
    };
    const pin = (await tess.call('POST', '/api/controllers', { definition: named })).json.controller;
    const { line, serving } = await lineTo();
    const { work } = await ended(
      await tess.call('POST', `/api/jobs/${job}/bus/read`, { line, device: 3, definition: pin.hash }),
    );
    expect(work.state).toBe('done');
    expect(serving.requests()).toBeGreaterThan(0);
    expect(knocks()).toBe(0);
  });

  test('what is entered must be an address', async () => {
    for (const host of ['', 'http://x', 'a b', '10.0.0.1:502/x', 'x'.repeat(300)]) {
      const answer = await lea.call('POST', `/api/sites/${site}/lines`, { name: 'x', host, port: 502 });
      expect([host.slice(0, 20), answer.status]).toEqual([host.slice(0, 20), 400]);
    }
    for (const port of [0, 70_000, 'x'])
      expect(
        (await lea.call('POST', `/api/sites/${site}/lines`, { name: 'x', host: '10.0.0.1', port })).status,
      ).toBe(400);
    const { json } = await lea.call('GET', `/api/sites/${site}/lines`);
    expect(json.lines.every(({ name }: { name: string }) => name !== 'x')).toBe(true);
  });
});
