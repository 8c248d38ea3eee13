import { readFileSync } from 'node:fs';
import type { ControllerDefinition, Panel, Parameter } from '../src/controllers/definitions/index.ts';

const text = readFileSync(new URL('../../docs/formats/panel.md', import.meta.url), 'utf8');

/** A JSON block of the grammar's page by its name. */
function block(name: string): unknown {
  const found = new RegExp('```json ' + name + '\\n([\\s\\S]*?)```').exec(text);
  if (!found) throw new Error(`docs/formats/panel.md has no block ${name}`);
  return JSON.parse(found[1]!);
}

/** The menu styles of docs/formats/panel.md, a to k, each with the parameters given there. */
export const styles = [...'abcdefghijk'] as const;

export function styleDefinition(style: string): ControllerDefinition {
  const parameters = block('parameters') as Parameter[];
  const app: Parameter = {
    code: 'app',
    name: 'Use',
    path: [],
    encoding: { type: 'preset', default: 'cooler' },
  };
  return {
    format: 'brine-dial/controller@1',
    id: `style-${style}`,
    family: `Style ${style}`,
    parameters: style === 'k' ? [...parameters, app] : parameters,
    presets:
      style === 'k'
        ? [
            { id: 'cooler', name: 'Cooler', values: { zip: 37, span: 6 } },
            { id: 'freezer', name: 'Freezer', values: { zip: -8, thaw: 1 } },
          ]
        : [],
    probes: [
      { id: 'P1', role: 'air', types: ['ntc10k'] },
      { id: 'P2', role: 'coil', types: ['ntc10k'] },
    ],
    panel: block(style) as Panel,
  };
}
