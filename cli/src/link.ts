import { LinkRefused, runLink } from '@brine/bus/link';
import { parseArgs, Refusal } from './args.ts';
import type { Outcome } from './run.ts';

/**
 * `brine link`: holds the lines of a site for a server that has no way in. Runs until it is interrupted. The token may stand in `BRINE_LINK_TOKEN`, where no list of processes shows it.
 *
 * @param tell told what happens, a sentence each time
 */
export async function link(
  argv: readonly string[],
  tell: (words: string) => void,
  signal: AbortSignal,
  variables: Readonly<Record<string, string | undefined>> = process.env,
): Promise<Outcome> {
  try {
    const { options } = parseArgs(argv, { options: ['server', 'token'], flags: [] });
    const server = options.get('server')?.at(-1);
    const token = options.get('token')?.at(-1) ?? variables['BRINE_LINK_TOKEN'];
    if (server === undefined || !/^https?:\/\/[^/]+/.test(server) || !URL.canParse(server))
      throw new Refusal('link: --server: expected the address of the server, such as https://brine.example');
    if (token === undefined || token === '')
      throw new Refusal('link: --token: expected the token that a lead made under Units, Lines of the site');
    tell(`Links this place to ${new URL(server).origin}. Ctrl C ends it.`);
    await runLink({ server, token, signal, tell });
    return { stdout: '', stderr: '', exitCode: 0 };
  } catch (error) {
    if (error instanceof Refusal || error instanceof LinkRefused)
      return { stdout: '', stderr: `${error.message}\n`, exitCode: 2 };
    throw error;
  }
}
