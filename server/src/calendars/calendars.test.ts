import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { startWithTess, type Client, type Harness } from '../../testing/harness.ts';

let harness: Harness;
let tess: Client;
let tessId: string;

beforeAll(async () => {
  ({ harness, tess } = await startWithTess());
  tessId = (await tess.call('GET', '/api/me')).json.person.id;
});
afterAll(() => harness.stop());

const make = async (): Promise<string> => (await tess.call('POST', '/api/me/calendar')).json.link.token;
const read = async (token: string) => {
  const { status, bytes, headers } = await harness.client().call('GET', `/api/calendar/${token}.ics`);
  // Long lines are folded by a line break and a blank (RFC 5545, 3.1).
  return { status, headers, text: new TextDecoder().decode(bytes).replace(/\r\n[ \t]/g, '') };
};
const call = (title: string, more: object) =>
  tess.call('POST', '/api/calls', {
    siteId: null,
    site: { name: 'Own quay', place: 'North pier', phone: '555 0199', contact: 'Mrs Own' },
    unitId: null,
    unit: { name: 'Own freezer', tag: 'OWN-1' },
    title,
    ...more,
  });

describe('the calendar of a person', () => {
  test('holds one’s planned jobs as whole days, with where to go and whom to call; nobody else’s, and none without a day', async () => {
    const other = await harness.person('ida', 'technician');
    await call('Too warm, and ices; again', { assignedTo: tessId, plannedFor: '2026-03-09' });
    await call('Of somebody else', { assignedTo: other, plannedFor: '2026-03-09' });
    await call('Some day', { assignedTo: tessId });
    const { status, text, headers } = await read(await make());
    expect([status, headers.get('content-type')]).toEqual([200, 'text/calendar; charset=utf-8']);
    // RFC 5545: 3.6 a calendar begins and ends so; 3.3.4 dates; 3.3.11 a comma and a semicolon in a text have a backslash before them.
    expect(text.startsWith('BEGIN:VCALENDAR\r\nVERSION:2.0\r\n')).toBe(true);
    expect(text.trimEnd().endsWith('END:VCALENDAR')).toBe(true);
    expect(text.match(/BEGIN:VEVENT/g)).toHaveLength(1);
    for (const line of [
      'DTSTART;VALUE=DATE:20260309',
      'DTEND;VALUE=DATE:20260310',
      'SUMMARY:OWN-1 Own freezer: Too warm\\, and ices\\; again',
      'LOCATION:Own quay\\, North pier',
    ])
      expect(text.split('\r\n')).toContain(line);
    expect(text).toMatch(
      /DESCRIPTION:Mrs Own\\, 555 0199\\nhttp:\/\/localhost:4780\/jobs\/[0-9a-f-]{36}\r\n/,
    );
  });

  test('is read by a link that is told once and kept as a hash; another made ends it, as does its owner', async () => {
    const first = await make();
    expect(Buffer.from(first, 'base64url').length).toBe(16);
    const rows = await harness.orm.em.getConnection().execute('select * from calendar_feed');
    expect(JSON.stringify(rows)).not.toContain(first);
    const second = await make();
    expect([(await read(first)).status, (await read(second)).status]).toEqual([404, 200]);
    expect((await tess.call('GET', '/api/me/calendar')).json.link).toEqual({
      createdAt: '2026-03-02T09:00:00.000Z',
    });
    expect((await tess.call('DELETE', '/api/me/calendar')).status).toBe(200);
    expect([
      (await read(second)).status,
      (await tess.call('DELETE', '/api/me/calendar')).status,
      (await tess.call('GET', '/api/me/calendar')).json.link,
    ]).toEqual([404, 404, null]);
  });

  test('two links asked for at once leave one open', async () => {
    const tokens = await Promise.all([make(), make(), make()]);
    const open = await Promise.all(tokens.map(async (token) => (await read(token)).status));
    expect(open.filter((status) => status === 200)).toHaveLength(1);
  });

  test('ends with its person: whoever may no longer sign in reads nothing', async () => {
    const id = await harness.person('gone', 'technician');
    const gone = harness.client();
    await gone.signIn('gone');
    const { token } = (await gone.call('POST', '/api/me/calendar')).json.link;
    expect((await read(token)).status).toBe(200);
    await harness.orm.em.getConnection().execute('update person set disabled_at = now() where id = ?', [id]);
    expect((await read(token)).status).toBe(404);
    expect((await read('../../x')).status).toBe(404);
    expect((await read('A'.repeat(22))).status).toBe(404);
  });
});
