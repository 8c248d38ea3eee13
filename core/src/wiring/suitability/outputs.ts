import type { ControllerDefinition, Relay } from '../../controllers/definitions/index.ts';
import type { LoadPart } from '../circuit/index.ts';

/** The output that works a load of a role; null for one that no control works. `output` on a load says otherwise. */
export function outputOfRole(role: string): string | null {
  switch (role) {
    case 'compressor':
    case 'solenoid':
      return 'compressor';
    case 'defrostHeater':
      return 'defrost';
    case 'evaporatorFan':
      return 'fan';
    case 'condenserFan':
      return 'condenserFan';
    case 'heater':
      return 'stage2';
    case 'alarm':
      return 'alarm';
    default:
      return null;
  }
}

/** The output a load belongs to in a circuit. */
export function outputOf(load: LoadPart): string | null {
  return load.output ?? outputOfRole(load.role);
}

/** The relay of a control that drives an output. */
export function relayFor(definition: ControllerDefinition, output: string): Relay | undefined {
  const relay = definition.relays?.find((one) => one.drives === output);
  // A control of one relay cycles condenser fans with it.
  return relay ?? (output === 'condenserFan' ? relayFor(definition, 'compressor') : undefined);
}
