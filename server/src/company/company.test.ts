import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { deflateSync } from 'node:zlib';
import { freezerJob } from '../../testing/freezerJob.ts';
import { summariseWaiting } from '../summaries/summaries.ts';
import { aLead, startWithTess, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
let tess: Client;
let lead: Client;
beforeAll(async () => {
  ({ harness, tess } = await startWithTess());
  lead = await aLead(harness);
});
afterAll(() => harness.stop());

/** CRC-32 (ISO/IEC 15948, annex D). */
function crc(bytes: Uint8Array): number {
  let value = 0xffffffff;
  for (const byte of bytes) {
    value ^= byte;
    for (let bit = 0; bit < 8; bit += 1) value = value & 1 ? (value >>> 1) ^ 0xedb88320 : value >>> 1;
  }
  return (value ^ 0xffffffff) >>> 0;
}
function chunk(type: string, data: Uint8Array): Buffer {
  const body = Buffer.concat([Buffer.from(type, 'latin1'), data]);
  const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
  length.writeUInt32BE(data.length);
  sum.writeUInt32BE(crc(body));
  return Buffer.concat([length, body, sum]);
}
/** A grey picture of one pixel, as PNG. */
const dot = Buffer.concat([
  Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
  chunk('IHDR', Uint8Array.of(0, 0, 0, 1, 0, 0, 0, 1, 8, 0, 0, 0, 0)),
  chunk('IDAT', deflateSync(Uint8Array.of(0, 128))),
  chunk('IEND', new Uint8Array(0)),
]);
const url = (bytes: Uint8Array, type = 'png') =>
  `data:image/${type};base64,${Buffer.from(bytes).toString('base64')}`;

const company = async () => (await lead.call('GET', '/api/company')).json.company;
const change = async (logo: string | null, client = lead) =>
  client.call('PATCH', '/api/company', { logo, version: (await company()).version });

test('other preferences have what is told of jobs computed anew', async () => {
  const jobId = await freezerJob(tess, 'marl-4');
  const waits = async () =>
    (
      await harness.orm.em
        .getConnection()
        .execute<{ waits: boolean }[]>('select summary_of < last_sequence as waits from job where id = ?', [
          jobId,
        ])
    )[0]!.waits;
  for (let round = 0; round < 20 && (await waits()); round += 1) await summariseWaiting(harness.services);
  expect(await waits()).toBe(false);
  const { version } = await company();
  await lead.call('PATCH', '/api/company', { schools: { differential: 'tight' }, version });
  expect(await waits()).toBe(true);
});

describe('the company’s mark', () => {
  test('is drawn on both papers, and gone once it is taken off', async () => {
    const jobId = await freezerJob(tess, 'marl-4');
    const pictures = async (whom: string) => {
      const { bytes, status } = await tess.call('GET', `/api/jobs/${jobId}/sheet.pdf?for=${whom}`);
      expect(status).toBe(200);
      return Buffer.from(bytes).toString('latin1').split('/Subtype /Image').length - 1;
    };
    const before = [await pictures('site'), await pictures('file')];
    expect((await change(url(dot))).json.company.logo).toBe(url(dot));
    expect([await pictures('site'), await pictures('file')]).toEqual(before.map((n) => n + 1));
    expect((await change(null)).json.company.logo).toBeNull();
    expect([await pictures('site'), await pictures('file')]).toEqual(before);
  });

  test('is a PNG or JPEG of at most 100 kB, set by a lead', async () => {
    for (const wrong of [
      'https://elsewhere.example/mark.png',
      url(Buffer.from('<svg/>'), 'svg+xml'),
      url(Buffer.from('GIF89a')),
      url(dot, 'jpeg'),
      url(new Uint8Array(100_100)),
    ])
      expect([wrong.slice(0, 30), (await change(wrong)).status]).toEqual([wrong.slice(0, 30), 400]);
    expect((await change(url(dot), tess)).status).toBe(403);
    expect((await company()).logo).toBeNull();
  });
});
