import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { startHarness, type Client, type Harness } from '../../testing/harness.ts';
import { NotJpeg, withoutMetadata } from './jpeg.ts';

const segment = (marker: number, text: string) => {
  const body = Buffer.from(text, 'latin1');
  return Buffer.concat([Buffer.from([0xff, marker, (body.length + 2) >> 8, (body.length + 2) & 255]), body]);
};
const jfif = segment(0xe0, 'JFIF\0');
const place = segment(0xe1, 'Exif\0\0 54.3 N 3.2 E');
const table = segment(0xdb, 'quantisation');
const scan = Buffer.concat([segment(0xda, 'x'), Buffer.from([1, 2, 3, 0xff, 0xd9])]);
/** A picture in the shape of a JPEG: what the marker walk needs, no image behind it. */
const picture = Buffer.concat([
  Buffer.from([0xff, 0xd8]),
  jfif,
  place,
  segment(0xfe, 'by Tess'),
  table,
  scan,
]);
const bare = Buffer.concat([Buffer.from([0xff, 0xd8]), jfif, table, scan]);

describe('metadata', () => {
  test('place, camera and comments are left out, the picture stays byte for byte', () => {
    expect(Buffer.from(withoutMetadata(picture)).equals(bare)).toBe(true);
  });
  test('a picture without any is the same', () => {
    expect(Buffer.from(withoutMetadata(bare)).equals(bare)).toBe(true);
  });
  test.each([
    ['nothing', Buffer.alloc(0)],
    ['another kind of file', Buffer.from('PNG picture')],
    ['half a picture', picture.subarray(0, 20)],
    ['a broken one', Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0, 0, 4, 1, 2, 7, 7, 7, 7])])],
  ])('%s is refused', (_what, bytes) => expect(() => withoutMetadata(bytes)).toThrow(NotJpeg));
});

describe('pictures of a job', () => {
  let harness: Harness;
  let tess: Client;
  let vic: Client;
  let job: string;
  const id = '11111111-1111-4111-8111-111111111111';
  beforeAll(async () => {
    harness = await startHarness();
    await harness.person('tess', 'technician');
    await harness.person('vic', 'viewer');
    tess = harness.client();
    await tess.signIn('tess');
    vic = harness.client();
    await vic.signIn('vic');
    const site = (await tess.call('POST', '/api/sites', { name: 'Quay', place: '' })).json.site;
    const unit = (
      await tess.call('POST', '/api/units', { siteId: site.id, name: 'Store', tag: '', plate: '' })
    ).json.unit;
    job = (await tess.call('POST', '/api/jobs', { unitId: unit.id, title: 'Wires' })).json.job.id;
  });
  afterAll(() => harness.stop());
  const keep = (client: Client, bytes: Buffer, to = job, as = id) =>
    client.call('POST', `/api/jobs/${to}/pictures`, { id: as, jpeg: bytes.toString('base64') });

  test('is kept without its metadata, and twice is once', async () => {
    expect(await keep(tess, picture)).toMatchObject({
      status: 201,
      json: { picture: { id, bytes: bare.length } },
    });
    expect((await keep(tess, picture)).status).toBe(201);
  });

  test('another one under the same id is refused', async () => {
    const other = Buffer.concat([Buffer.from([0xff, 0xd8]), jfif, scan]);
    expect((await keep(tess, other)).status).toBe(409);
  });

  test('what is no picture is refused with a sentence', async () => {
    const answer = await keep(tess, Buffer.from('hello'), job, '22222222-2222-4222-8222-222222222222');
    expect([answer.status, answer.json.error.message]).toEqual([400, 'jpeg: expected a JPEG picture']);
  });

  test('who may only look may not add', async () => {
    expect((await keep(vic, picture)).status).toBe(403);
  });

  test('is not found under another job', async () => {
    const answer = await vic.call('GET', `/api/jobs/33333333-3333-4333-8333-333333333333/pictures/${id}`);
    expect(answer.status).toBe(404);
  });
});
