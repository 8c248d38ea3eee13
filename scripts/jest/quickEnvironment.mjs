import { TestEnvironment } from 'jest-environment-node';
import { Script } from 'node:vm';

/** Looked up all the time by what computes. Nothing that a test may want to replace, such as Date, fetch or a timer. */
const names = ['Array', 'Float64Array', 'JSON', 'Map', 'Math', 'Number', 'Object', 'Set', 'String'];

/**
 * Node's test environment, in which a simulated day takes as long as it does outside. In the context that Jest makes for each file every look at a global name such as `Math`
 * goes through a slow hook; a `const` of the same name at the top of the context is found before it, ten times faster in code that computes.
 */
const nearer = new Script(names.map((name) => `const ${name} = globalThis.${name};`).join('\n'));

export default class QuickEnvironment extends TestEnvironment {
  constructor(config, context) {
    super(config, context);
    nearer.runInContext(this.getVmContext());
  }
}
