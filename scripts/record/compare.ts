/** What one command line left behind. */
export interface Recorded {
  readonly stdout: string;
  readonly stderr: string;
  readonly exitCode: number;
}

/**
 * Two recordings held against each other. A text in which only words differ counts as a sentence; anything else (a number, a key, a code,
 * an exit code, another length of a list) as a difference.
 */
export function compareRecordings(
  before: Readonly<Record<string, Recorded>>,
  after: Readonly<Record<string, Recorded>>,
): { readonly lines: readonly string[]; readonly differing: number } {
  const lines: string[] = [];
  const sentences = new Map<string, string>();
  let [equal, worded, differing] = [0, 0, 0];
  for (const [name, was] of Object.entries(before)) {
    const is = after[name];
    if (is === undefined) {
      differing += 1;
      lines.push(`${name}: gone`);
      continue;
    }
    const found = differencesOf(was, is, sentences);
    if (found === null) equal += 1;
    else if (found.length === 0) worded += 1;
    else {
      differing += 1;
      lines.push(
        `${name}: ${found.slice(0, 3).join('; ')}${found.length > 3 ? `; and ${found.length - 3} more` : ''}`,
      );
    }
  }
  for (const [was, is] of sentences) lines.push(`- ${was}\n+ ${is}`);
  lines.push(
    `${equal} equal, ${worded} equal but for sentences (${sentences.size} sentences), ${differing} differing`,
  );
  return { lines, differing };
}

/** Null where both are the same to the letter; else the places where more than words differ. */
function differencesOf(
  was: Recorded,
  is: Recorded,
  sentences: Map<string, string>,
): readonly string[] | null {
  if (was.stdout === is.stdout && was.stderr === is.stderr && was.exitCode === is.exitCode) return null;
  const found: string[] = [];
  if (was.exitCode !== is.exitCode)
    found.push(`exit code ${was.exitCode} → ${is.exitCode}: ${is.stderr.trim()}`);
  if (was.stderr !== is.stderr) sentences.set(was.stderr.trim(), is.stderr.trim());
  if (was.stdout !== is.stdout) walk(parsed(was.stdout), parsed(is.stdout), '$', found, sentences);
  return found;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return text.split('\n');
  }
}

function walk(a: unknown, b: unknown, path: string, found: string[], sentences: Map<string, string>): void {
  if (Object.is(a, b)) return;
  if (typeof a === 'string' && typeof b === 'string' && a.includes(' ') && b.includes(' ')) {
    sentences.set(a, b);
  } else if (typeof a === 'object' && typeof b === 'object' && a !== null && b !== null) {
    const [left, right] = [a as Record<string, unknown>, b as Record<string, unknown>];
    for (const key of new Set([...Object.keys(left), ...Object.keys(right)]))
      walk(left[key], right[key], `${path}.${key}`, found, sentences);
  } else found.push(`${path}: ${JSON.stringify(a)} → ${JSON.stringify(b)}`);
}
