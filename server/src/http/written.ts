/** Part of an answer that the database wrote as JSON already; it is sent as it stands, never taken apart here. */
export class Written {
  readonly text: string;
  constructor(text: string) {
    this.text = text;
  }
}

/** An answer of JSON, of whose fields some are written already. */
export function writtenAnswer(fields: Readonly<Record<string, unknown>>): Response {
  const parts = Object.entries(fields).map(
    ([name, value]) =>
      `${JSON.stringify(name)}:${value instanceof Written ? value.text : JSON.stringify(value)}`,
  );
  return new Response(`{${parts.join(',')}}`, {
    headers: { 'content-type': 'application/json', 'cache-control': 'no-store' },
  });
}
