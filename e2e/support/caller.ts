import { request as overHttp } from 'node:http';
import { request as overHttps } from 'node:https';

/** An answer of the server. */
export interface Answer {
  readonly status: number;
  readonly headers: Readonly<Record<string, string | string[] | undefined>>;
  readonly body: string;
}

/** A client that keeps its session cookie and speaks as our own pages do. `ca` is the certificate to trust. */
export class Caller {
  private cookie = '';
  private readonly base: string;
  private readonly ca: Buffer | undefined;

  constructor(base: string, ca?: Buffer) {
    this.base = base;
    this.ca = ca;
  }

  get(path: string): Promise<Answer> {
    return this.send('GET', path);
  }

  post(path: string, body: unknown): Promise<Answer> {
    return this.send('POST', path, body);
  }

  patch(path: string, body: unknown): Promise<Answer> {
    return this.send('PATCH', path, body);
  }

  private send(method: string, path: string, body?: unknown): Promise<Answer> {
    const url = new URL(path, this.base);
    const text = body === undefined ? undefined : JSON.stringify(body);
    const options = {
      method,
      ca: this.ca,
      headers: {
        origin: url.origin,
        ...(this.cookie && { cookie: this.cookie }),
        ...(text !== undefined && { 'content-type': 'application/json' }),
      },
    };
    return new Promise((resolve, reject) => {
      const sent = (url.protocol === 'https:' ? overHttps : overHttp)(url, options, (response) => {
        const chunks: Buffer[] = [];
        response.on('data', (chunk: Buffer) => chunks.push(chunk));
        response.on('end', () => {
          const [set] = response.headers['set-cookie'] ?? [];
          if (set) this.cookie = set.split(';')[0]!;
          resolve({
            status: response.statusCode ?? 0,
            headers: response.headers,
            body: Buffer.concat(chunks).toString(),
          });
        });
      });
      sent.on('error', reject);
      sent.end(text);
    });
  }
}
