import type { ControllerDefinition } from '../controllers/index.ts';

/** How a menu is entered and what its time-out does, read from a definition's panel data (version 1 of the grammar). */
interface PanelData {
  readonly keys?: readonly { readonly id: string; readonly label?: string; readonly hidden?: string }[];
  readonly switches?: readonly {
    readonly id: string;
    readonly hidden?: string;
    readonly movedWith?: string;
  }[];
  readonly menus?: readonly MenuData[];
}

interface MenuData {
  readonly needs?: Readonly<Record<string, string>>;
  readonly enter?: readonly Readonly<Record<string, unknown>>[];
  readonly edit?: Readonly<Record<string, unknown>>;
  readonly leave?: readonly Readonly<Record<string, unknown>>[];
  readonly timeOut?: { readonly seconds: number; readonly keeps?: string };
}

/** Sentences about the first menu of a family: how to get in, and how it closes. Null where the definition says nothing of its panel. */
export interface PanelWords {
  readonly enter: readonly string[];
  readonly timeOut: string;
}

/** Puts the way into a family's menu in words: “Hold ▲ and ▼ for 5 s”, “Count up to 27 with ▲, then SET”. */
export function panelWords(definition: ControllerDefinition): PanelWords | null {
  const panel = definition['panel'] as PanelData | undefined;
  const menu = panel?.menus?.[0];
  if (!panel || !menu) return null;
  const label = (id: unknown) => panel.keys?.find((key) => key.id === id)?.label ?? String(id);
  const switches = Object.entries(menu.needs ?? {}).map(([id, position]) => switchWords(panel, id, position));
  return {
    enter: [...switches, ...(menu.enter ?? []).map((step) => stepWords(step, label))],
    timeOut: timeOutWords(menu, label),
  };
}

function switchWords(panel: PanelData, id: string, position: string): string {
  const found = panel.switches?.find((s) => s.id === id);
  const where = found?.hidden ? ` ${found.hidden}` : '';
  return found?.movedWith === 'powerOff'
    ? `Supply off, set the ${id} switch${where} to ${position}, supply on`
    : `Set the ${id} switch${where} to ${position}`;
}

function stepWords(step: Readonly<Record<string, unknown>>, label: (id: unknown) => string): string {
  if (step['code'] !== undefined) {
    const code = String(step['code']);
    if (step['by'] === 'digits')
      return `Type ${code} digit by digit with ${label(step['more'])}, then ${label(step['take'])}`;
    return `Count up to ${code} with ${label(step['more'])}, then ${label(step['take'])}`;
  }
  const press = step['press'];
  const keys =
    press === 'any' ? 'any key' : Array.isArray(press) ? press.map(label).join(' and ') : label(press);
  return step['seconds'] === undefined ? `Press ${keys}` : `Hold ${keys} for ${String(step['seconds'])} s`;
}

function timeOutWords(menu: MenuData, label: (id: unknown) => string): string {
  if (!menu.timeOut) return 'The menu stays open until you leave it.';
  const { seconds, keeps } = menu.timeOut;
  const take = menu.edit?.['take'];
  const taken =
    take === 'release' ? 'you let go of' : take === 'move' ? 'you moved on from' : `${label(take)} took`;
  const what =
    keeps === 'nothing'
      ? 'loses everything not saved'
      : keeps === 'edit'
        ? 'keeps also the value being changed'
        : `keeps what ${taken}`;
  return `The menu closes ${seconds} s after the last key and ${what}.`;
}
