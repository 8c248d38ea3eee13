import type { ControllerDefinition } from './definition.ts';
import type { Menu, Panel } from './panelGrammar.ts';

/** The panel of a checked definition; null where the definition says nothing of it. */
export function panelOf(definition: ControllerDefinition): Panel | null {
  return definition.panel ?? null;
}

/** The codes a menu holds, in its order. */
export function codesOf(definition: ControllerDefinition, menu: Menu): readonly string[] {
  return menu.codes ?? definition.parameters.map((p) => p.code);
}

/** The menu in which a whole list is keyed: the one that holds most codes, the first of them. Null for a panel without menus. */
export function mainMenuOf(definition: ControllerDefinition): Menu | null {
  const menus = panelOf(definition)?.menus ?? [];
  return menus.reduce<Menu | null>(
    (best, menu) =>
      best === null || codesOf(definition, menu).length > codesOf(definition, best).length ? menu : best,
    null,
  );
}
