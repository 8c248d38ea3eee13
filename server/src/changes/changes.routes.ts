import { streamSSE } from 'hono/streaming';
import { api } from '@brine/contract/routes';
import { serve } from '../http/route.ts';

/** A proxy lets go of a connection on which nothing comes for a minute. */
const BEAT_MS = 25_000;
/** Then the browser asks anew, and who was signed out meanwhile is told so. */
const LONGEST_MS = 600_000;

export const changeRoutes = [
  serve(api.changes, ({ services, context }) => {
    // Some proxies gather an answer before they pass it on.
    context.header('x-accel-buffering', 'no');
    return Promise.resolve(
      streamSSE(context, async (stream) => {
        let end = (): void => undefined;
        const ended = new Promise<void>((resolve) => (end = resolve));
        const say = (event: string, data: string) => stream.writeSSE({ event, data }).catch(end);
        const stop = services.changes.listen((job) => void say('job', job), end);
        const beat = setInterval(() => void say('beat', ''), BEAT_MS);
        const longest = setTimeout(end, LONGEST_MS);
        stream.onAbort(end);
        await say('open', '');
        await ended;
        stop();
        clearInterval(beat);
        clearTimeout(longest);
      }),
    );
  }),
];
