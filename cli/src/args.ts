/** A command line taken apart. An option's value may start with `-` (`--at -40C`): only options declared as flags take none. */
export interface Args {
  readonly positional: readonly string[];
  readonly options: ReadonlyMap<string, readonly string[]>;
  readonly flags: ReadonlySet<string>;
  /** Text of files that had to be read ahead, by their path. */
  readonly texts?: ReadonlyMap<string, string>;
}

/** What a command understands. */
export interface Shape {
  readonly options: readonly string[];
  readonly flags: readonly string[];
  /** Options that take every `NAME=VALUE` word after them. */
  readonly many?: readonly string[];
}

/** Takes a command line apart, or throws a {@link Refusal} that names the argument. */
export function parseArgs(argv: readonly string[], shape: Shape): Args {
  const positional: string[] = [];
  const options = new Map<string, string[]>();
  const flags = new Set<string>();
  for (let i = 0; i < argv.length; i += 1) {
    const word = argv[i]!;
    if (!word.startsWith('--')) {
      positional.push(word);
      continue;
    }
    const [name, inline] = splitOption(word);
    if (shape.flags.includes(name)) flags.add(name);
    else if (shape.options.includes(name)) {
      const value = inline ?? argv[(i += 1)];
      if (value === undefined) throw new Refusal(`--${name}: expected a value after it`);
      const values = [value];
      if (shape.many?.includes(name))
        while (/^[^-]/.test(argv[i + 1] ?? '') && argv[i + 1]!.includes('=')) values.push(argv[(i += 1)]!);
      options.set(name, [...(options.get(name) ?? []), ...values]);
    } else
      throw new Refusal(
        `--${name}: unknown option; expected ${[...shape.options, ...shape.flags].map((o) => `--${o}`).join(', ') || 'none'}`,
      );
  }
  return { positional, options, flags };
}

/** The one value of an option that must be there. */
export function required(args: Args, name: string): string {
  const value = args.options.get(name)?.at(-1);
  if (value === undefined) throw new Refusal(`--${name}: expected a file`);
  return value;
}

/** A sentence for stderr; the command ends with exit code 2. */
export class Refusal extends Error {}

function splitOption(word: string): [string, string | undefined] {
  const at = word.indexOf('=');
  return at < 0 ? [word.slice(2), undefined] : [word.slice(2, at), word.slice(at + 1)];
}
