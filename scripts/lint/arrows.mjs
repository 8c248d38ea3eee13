import { dirname, relative, resolve, sep } from 'node:path';

/**
 * An ESLint rule that holds imports to the arrows of a house. Options: `base`, the folder of the rooms; `depth`, how many folders name a
 * room (0: the whole folder of the file); `rooms`, each with what it may import; `index`, true where a room is entered by its index.ts.
 */
export const arrows = {
  meta: { type: 'problem', schema: [{ type: 'object' }] },
  create(context) {
    const { base, depth, rooms, index } = context.options[0];
    const root = resolve(context.cwd, base);
    const here = roomOf(root, depth, context.filename);
    if (here === null) return {};
    const check = (node) => {
      const source = node.source?.value;
      if (typeof source !== 'string' || !source.startsWith('.')) return;
      const target = resolve(dirname(context.filename), source);
      const there = roomOf(root, depth, target);
      if (there === null || there === here) return;
      if (!rooms[here]) context.report({ node, message: `${here} is no room of the house; see house.mjs` });
      else if (!rooms[here].includes(there))
        context.report({ node, message: `${here} must not import ${there}; see house.mjs` });
      else if (index && !target.endsWith(`${sep}index.ts`))
        context.report({ node, message: `${there} is entered through its index.ts` });
    };
    return {
      ImportDeclaration: check,
      ExportNamedDeclaration: check,
      ExportAllDeclaration: check,
      ImportExpression: check,
    };
  },
};

/** The room of a file below `root`, or null where it lies in none. */
export function roomOf(root, depth, file) {
  const path = relative(root, file);
  if (path.startsWith('..')) return null;
  const folders = path.split(sep).slice(0, -1);
  if (folders.length === 0 || folders.length < depth) return null;
  return (depth > 0 ? folders.slice(0, depth) : folders).join('/');
}
