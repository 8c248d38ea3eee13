/** A fault of a definition: its JSON path and a sentence that says what was expected. */
export interface DefinitionFault {
  readonly path: string;
  readonly message: string;
}

/** Collects faults while walking a definition. */
export class Faults {
  readonly list: DefinitionFault[] = [];

  add(path: string, message: string): void {
    this.list.push({ path, message });
  }

  /** A string with something in it, or a fault. */
  text(path: string, value: unknown, what: string): value is string {
    if (typeof value === 'string' && value.trim() !== '') return true;
    this.add(path, `expected ${what}, found ${shown(value)}`);
    return false;
  }

  /** A finite number, or a fault. */
  number(path: string, value: unknown, what: string): value is number {
    if (typeof value === 'number' && Number.isFinite(value)) return true;
    this.add(path, `expected ${what}, found ${shown(value)}`);
    return false;
  }

  /** An array (absent counts as empty), or a fault. */
  array(path: string, value: unknown): readonly unknown[] {
    if (value === undefined) return [];
    if (Array.isArray(value)) return value as unknown[];
    this.add(path, `expected a list, found ${shown(value)}`);
    return [];
  }

  /** An object, or a fault. */
  object(path: string, value: unknown): Readonly<Record<string, unknown>> | null {
    if (isRecord(value)) return value;
    this.add(path, `expected an object, found ${shown(value)}`);
    return null;
  }
}

export function isRecord(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** A value as it stands in the file, short enough for a sentence. */
export function shown(value: unknown): string {
  const text = (JSON.stringify(value) as string | undefined) ?? 'nothing';
  return text.length > 60 ? `${text.slice(0, 57)}…` : text;
}
