import type { Plugin } from 'vite';

/** Files of a program as far as their imports are followed. */
export type Imports = Readonly<Record<string, readonly string[]>>;

/** A ring of files that import one another, null where there is none. */
export function circleIn(files: Imports): readonly string[] | null {
  const done = new Set<string>();
  const way: string[] = [];
  const circleFrom = (name: string): readonly string[] | null => {
    if (done.has(name)) return null;
    if (way.includes(name)) return [...way.slice(way.indexOf(name)), name];
    way.push(name);
    for (const next of files[name] ?? []) {
      const circle = circleFrom(next);
      if (circle) return circle;
    }
    way.pop();
    done.add(name);
    return null;
  };
  for (const name of Object.keys(files)) {
    const circle = circleFrom(name);
    if (circle) return circle;
  }
  return null;
}

/** Ends a build whose files import one another in a circle: one of them would run before what it stands on, on some page, on some day. */
export function noCircles(): Plugin {
  return {
    name: 'no-circles',
    generateBundle(_, bundle) {
      const circle = circleIn(
        Object.fromEntries(
          Object.values(bundle).flatMap((file) =>
            file.type === 'chunk' ? [[file.fileName, file.imports]] : [],
          ),
        ),
      );
      if (circle) this.error(`files import one another in a circle: ${circle.join(' → ')}`);
    },
  };
}
