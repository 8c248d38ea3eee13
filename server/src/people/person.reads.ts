import type { Reader } from '../database/reader.ts';

/** What is read of people without changing them. */
export function personReads(reader: Reader) {
  return {
    /** The name of somebody; empty where there is none. */
    async nameOf(id: string): Promise<string> {
      const [row] = await reader.rows<{ name: string }>('select name from person where id = ?', [id]);
      return row?.name ?? '';
    },
    /** Who may be sent somewhere: can sign in, and does more than look; by name. */
    atWork: () =>
      reader.rows<{ id: string; name: string }>(
        `select id, name from person where disabled_at is null and role <> 'viewer' order by name`,
      ),
  };
}
