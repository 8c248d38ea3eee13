import {
  isCodeStep,
  mainMenuOf,
  panelOf,
  type ControllerDefinition,
  type EnterStep,
  type Menu,
  type Panel,
} from '../../definitions/index.ts';
import { keyLabel } from './keyLabel.ts';

/** Sentences about the main menu of a family: how to get in, and how it closes. */
export interface PanelWords {
  readonly enter: readonly string[];
  readonly timeOut: string;
}

/**
 * Puts the way into a family's main menu in words: “Hold ▲ and ▼ for 5 s”, “Count up to 27 with ▲, then SET”. Null where the definition
 * says nothing of its panel.
 */
export function panelWords(definition: ControllerDefinition): PanelWords | null {
  const panel = panelOf(definition);
  const menu = mainMenuOf(definition);
  if (!panel || !menu) return null;
  const switches = Object.entries(menu.needs ?? {}).map(([id, position]) => switchWords(panel, id, position));
  return {
    enter: [...switches, ...menu.enter.map((step) => stepWords(panel, step))],
    timeOut: timeOutWords(panel, menu),
  };
}

function switchWords(panel: Panel, id: string, position: string): string {
  const found = panel.switches?.find((s) => s.id === id);
  const where = found?.hidden ? ` ${found.hidden}` : '';
  return found?.movedWith === 'powerOff'
    ? `Supply off, set the ${id} switch${where} to ${position}, supply on`
    : `Set the ${id} switch${where} to ${position}`;
}

function stepWords(panel: Panel, step: EnterStep): string {
  if (isCodeStep(step)) {
    const turning = keyLabel(panel, step.more ?? step.less ?? '');
    const take = keyLabel(panel, step.take);
    return step.by === 'digits'
      ? `Type ${step.code} digit by digit with ${turning}, then ${take}`
      : `Count up to ${step.code} with ${turning}, then ${take}`;
  }
  const { press, seconds } = step;
  const keys =
    press === 'any'
      ? 'any key'
      : [press]
          .flat()
          .map((key) => keyLabel(panel, key))
          .join(' and ');
  return seconds === undefined ? `Press ${keys}` : `Hold ${keys} for ${seconds} s`;
}

function timeOutWords(panel: Panel, menu: Menu): string {
  if (!menu.timeOut) return 'The menu stays open until you leave it.';
  const { seconds, keeps } = menu.timeOut;
  const take = menu.edit?.take ?? '';
  const taken =
    take === 'release'
      ? 'you let go of'
      : take === 'move'
        ? 'you moved on from'
        : `${keyLabel(panel, take)} took`;
  const what =
    keeps === 'nothing'
      ? 'loses everything not saved'
      : keeps === 'edit'
        ? 'keeps also the value being changed'
        : `keeps what ${taken}`;
  return `The menu closes ${seconds} s after the last key and ${what}.`;
}
