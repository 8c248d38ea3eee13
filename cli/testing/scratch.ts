import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The root of the project, for the demo families and the examples of the formats. */
export const root = fileURLToPath(new URL('../../', import.meta.url));

/** The file of a demo family. */
export const family = (id: string) => join(root, 'demo/controllers', `${id}.controller.json`);

/** A folder for the files of one test file. */
export class Scratch {
  readonly folder = mkdtempSync(join(tmpdir(), 'brine-cli-'));

  /** Writes a file and returns its path. */
  file(name: string, content: string | Buffer): string {
    const path = join(this.folder, name);
    writeFileSync(path, content);
    return path;
  }

  /** A sheet from codes and values, `Sn=-3 hY=5`. */
  sheet(pairs: string, name = 'old.sheet.csv'): string {
    const lines = pairs
      .split(' ')
      .filter((pair) => pair !== '')
      .map((pair) => pair.replace('=', ','));
    return this.file(name, `code,value\n${lines.join('\n')}\n`);
  }

  /** A demo family changed by hand, for a dialect the demo has not. */
  variant(id: string, change: (definition: Definition) => void): string {
    const definition = JSON.parse(readFileSync(family(id), 'utf8')) as Definition;
    change(definition);
    const codes = new Set(definition.parameters.map(({ code }) => code));
    // A code that the variant has not has no register either.
    if (definition.registers)
      definition.registers = definition.registers.filter(({ code }) => code === undefined || codes.has(code));
    return this.file(`${definition.id}-variant.controller.json`, JSON.stringify(definition));
  }

  remove(): void {
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** What a variant changes of a definition. */
export interface Definition {
  id: string;
  fixed: Record<string, unknown>;
  parameters: { code: string; [key: string]: unknown }[];
  registers?: { code?: string }[];
}
