import { closeSync, fstatSync, openSync, readSync } from 'node:fs';
import { say } from './say.mjs';

/** How often it is looked whether the cluster still runs. */
const LOOK_MS = 1000;
/** One that does not start is not helped by trying without a pause: the waits double up to this. */
const LONGEST_WAIT_MS = 60_000;
/**
 * Watches a private cluster and starts it again where it went down, on the same port, with what its log says of it. The server beside it
 * waits meanwhile and goes on by itself. Returns a function that ends the watch.
 */
export function watchCluster(cluster) {
  let timer;
  let ended = false;
  let wait = LOOK_MS;
  const look = () => {
    if (ended) return;
    if (cluster.alive()) {
      timer = setTimeout(look, LOOK_MS);
      return;
    }
    say(`PostgreSQL is down. Its log says: ${lastWords(cluster.log)}`);
    say('Starting it again …');
    const up = cluster.restart();
    wait = up ? LOOK_MS : Math.min(LONGEST_WAIT_MS, wait * 2);
    say(
      up
        ? 'PostgreSQL runs again.'
        : `It does not start; next try in ${wait / 1000} s. Its log: ${cluster.log}`,
    );
    timer = setTimeout(look, wait);
  };
  timer = setTimeout(look, LOOK_MS);
  return () => {
    ended = true;
    clearTimeout(timer);
  };
}

const TAIL = 4096;
/** The last lines of a log that say why: errors, signals, a full disk; else the last one. */
function lastWords(path) {
  try {
    const file = openSync(path, 'r');
    const { size } = fstatSync(file);
    const bytes = Buffer.alloc(Math.min(TAIL, size));
    readSync(file, bytes, 0, bytes.length, size - bytes.length);
    closeSync(file);
    const lines = bytes.toString('utf8').trim().split('\n').slice(-20);
    const telling = lines.filter((line) => /(FATAL|PANIC|signal|No space|terminated)/.test(line));
    return (telling.length > 0 ? telling.slice(-2) : lines.slice(-1)).join(' / ') || 'nothing';
  } catch {
    return 'nothing (killed without a word)';
  }
}
