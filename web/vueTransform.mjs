// Compiles a single-file component for Jest: script and template inlined, styles left out.
import { compileScript, parse } from '@vue/compiler-sfc';
import { transformSync } from '@swc/core';

export default {
  process(source, filename) {
    // A component that is a template alone has no script to compile.
    const whole = /<script/.test(source) ? source : `<script setup>// none\n</script>\n${source}`;
    const { descriptor, errors } = parse(whole, { filename });
    if (errors.length > 0) throw errors[0];
    const { content } = compileScript(descriptor, { id: filename, inlineTemplate: true });
    return transformSync(content, {
      filename,
      sourceMaps: 'inline',
      jsc: { parser: { syntax: 'typescript' }, target: 'es2022' },
      module: { type: 'es6' },
    });
  },
  async processAsync(source, filename) {
    return this.process(source, filename);
  },
};
