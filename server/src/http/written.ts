/** Part of an answer that the database wrote as JSON already; it is sent as it stands, never taken apart here. */
export class Written {
  readonly text: string;
  constructor(text: string) {
    this.text = text;
  }
}

/** A whole answer as text. It is sent as it stands, with what every answer carries. */
export class WrittenAnswer extends Written {
  readonly headers: Readonly<Record<string, string>>;
  constructor(
    text: string,
    headers: Readonly<Record<string, string>> = {
      'content-type': 'application/json',
      'cache-control': 'no-store',
    },
  ) {
    super(text);
    this.headers = headers;
  }
}

/** An answer of JSON, of whose fields some are written already. */
export function writtenAnswer(fields: Readonly<Record<string, unknown>>): WrittenAnswer {
  const parts = Object.entries(fields).map(
    ([name, value]) =>
      `${JSON.stringify(name)}:${value instanceof Written ? value.text : JSON.stringify(value)}`,
  );
  return new WrittenAnswer(`{${parts.join(',')}}`);
}
