/** A phrase of docs/glossary.md that is not to be used. */
export interface Phrase {
  readonly pattern: RegExp;
  readonly instead: string;
  readonly right: string | null;
}
export function phrases(): readonly Phrase[];
export function found(text: string, list?: readonly Phrase[]): readonly string[];
