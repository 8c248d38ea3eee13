// What the scripts tell a person at the terminal, and how they end when something is missing.

/** One line of progress, on stderr so that stdout stays for results. */
export function say(text) {
  process.stderr.write(`${text}\n`);
}

/** Ends the script with a sentence. */
export function fail(text) {
  process.stderr.write(`\n${text}\n`);
  process.exit(1);
}

/** Does a step; where it fails, ends the script with its sentence instead of a stack. */
export async function orFail(step) {
  try {
    return await step();
  } catch (error) {
    fail(String(error?.message ?? error));
  }
}
