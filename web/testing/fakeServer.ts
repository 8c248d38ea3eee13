/** A server in the test's memory that takes entries as ours does: by ticket, each id once. It can be away, and can lose an answer. */
export class FakeServer {
  readonly taken: { readonly id: string; readonly ticket: string; readonly value: unknown }[] = [];
  readonly tickets = new Map<string, string>();
  mode: 'up' | 'away' | 'losesAnswer' | 'busy' = 'up';
  /** Entries over which the server itself stumbles: the whole post gets a 500. */
  stumblesOver: ((body: unknown) => boolean) | null = null;
  refuse: ((body: unknown) => string | null) | null = null;
  posts = 0;

  /** Stands in for the browser's `fetch`. */
  readonly fetch = async (path: string, init: RequestInit = {}): Promise<Response> => {
    if (this.mode === 'away') throw new TypeError('Failed to fetch');
    if (this.mode === 'busy')
      return this.answer(503, { error: { code: 'busy', message: 'Busy', problems: [] } });
    this.posts += 1;
    const ticket = (init.headers as Record<string, string>)['x-brine-ticket'] ?? '';
    if (path !== '/api/entries' || ![...this.tickets.values()].includes(ticket))
      return this.answer(401, { error: { code: 'signIn', message: 'Sign in', problems: [] } });
    const { entries } = JSON.parse(String(init.body)) as { entries: { id: string; body: unknown }[] };
    if (entries.some((entry) => this.stumblesOver?.(entry.body)))
      return this.answer(500, { error: { code: 'internal', message: 'Something went wrong', problems: [] } });
    const results = entries.map((entry) => this.take(entry, ticket));
    if (this.mode === 'losesAnswer') throw new TypeError('Failed to fetch');
    return this.answer(200, { results });
  };

  private take(entry: { id: string; body: unknown }, ticket: string) {
    const problem = this.refuse?.(entry.body) ?? null;
    if (problem !== null) return { id: entry.id, status: 'refused', message: problem };
    if (!this.taken.some((t) => t.id === entry.id))
      this.taken.push({ id: entry.id, ticket, value: entry.body });
    const sequence = this.taken.findIndex((t) => t.id === entry.id) + 1;
    return { id: entry.id, status: 'accepted', sequence, receivedAt: '2026-01-05T08:00:00.000Z' };
  }

  private answer(status: number, json: unknown): Response {
    return { ok: status < 400, status, json: async () => json } as Response;
  }
}
