/** What is wrong with a file: the field and a sentence that says what was expected. */
export interface FileProblem {
  readonly problem: true;
  readonly field: string;
  readonly message: string;
}

/** Builds a {@link FileProblem}: `fileProblem('wires[0].to', 'expected a terminal')`. */
export function fileProblem(field: string, message: string): FileProblem {
  return { problem: true, field, message };
}

/** A file whose `format` is one this version reads. */
export interface ReadableFile {
  readonly data: Readonly<Record<string, unknown>>;
}

/**
 * Checks that parsed JSON is an object of `format` in a major version not newer than `version`.
 * `brine-dial/settings@2` is refused by a program that knows version 1, with both numbers in the sentence.
 */
export function readHeader(data: unknown, format: string, version: number): ReadableFile | FileProblem {
  if (typeof data !== 'object' || data === null || Array.isArray(data))
    return {
      problem: true,
      field: '(file)',
      message: `expected an object with "format": "${format}@${version}"`,
    };
  const found = (data as { format?: unknown }).format;
  const match = typeof found === 'string' ? /^([^@]+)@(\d+)$/.exec(found) : null;
  if (!match || match[1] !== format)
    return {
      problem: true,
      field: 'format',
      message: `expected "${format}@${version}", found ${(JSON.stringify(found) as string | undefined) ?? 'nothing'}`,
    };
  if (Number(match[2]) > version)
    return {
      problem: true,
      field: 'format',
      message: `version ${match[2]} of ${format} is newer than this program, which reads up to version ${version}`,
    };
  return { data: data as Record<string, unknown> };
}

/** Parses JSON text, a BOM allowed. The sentence names the place where it stops being JSON. */
export function parseJson(text: string): { readonly data: unknown } | FileProblem {
  const body = text.replace(/^\uFEFF/, '');
  if (body.trim() === '')
    return { problem: true, field: '(file)', message: 'the file is empty; expected JSON' };
  try {
    return { data: JSON.parse(body) as unknown };
  } catch (error) {
    return { problem: true, field: '(file)', message: `no JSON: ${placeOf(error as Error, body)}` };
  }
}

function placeOf(error: Error, body: string): string {
  const position = /position (\d+)/.exec(error.message)?.[1];
  if (position === undefined) return error.message;
  const before = body.slice(0, Number(position));
  const line = before.split('\n').length;
  return `it stops being JSON at line ${line}, column ${before.length - before.lastIndexOf('\n')}`;
}

/** True for what a reader says when it cannot read. */
export function isFileProblem(result: unknown): result is FileProblem {
  return typeof result === 'object' && result !== null && (result as { problem?: unknown }).problem === true;
}
