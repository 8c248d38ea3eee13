/** A code with its name beside it where one is known: “hY, Differential”. */
export const named = (code: string, nameOf: ((code: string) => string | undefined) | undefined): string =>
  [code, nameOf?.(code)].filter(Boolean).join(', ');
