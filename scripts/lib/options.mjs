import { fail } from './say.mjs';

/**
 * Options by flag (`--port 4780` or `--port=4780`), else by environment, else the default.
 * `shape`: { port: { env: 'BRINE_PORT', default: '4780', help: '…' }, demo: { flag: true, … } }
 */
export function readOptions(argv, shape, usage) {
  const given = new Map();
  for (let i = 0; i < argv.length; i += 1) {
    const [name, inline] = argv[i].replace(/^--/, '').split(/=(.*)/s);
    if (argv[i] === '--help' || argv[i] === '-h') {
      process.stdout.write(helpText(shape, usage));
      process.exit(0);
    }
    const option = argv[i].startsWith('--') ? shape[name] : undefined;
    if (!option) fail(`${argv[i]}: unknown option.\n${helpText(shape, usage)}`);
    if (option.flag) given.set(name, true);
    else {
      const value = inline ?? argv[(i += 1)];
      if (value === undefined) fail(`--${name}: expected a value after it.`);
      given.set(name, value);
    }
  }
  return Object.fromEntries(
    Object.entries(shape).map(([name, option]) => {
      const fromEnvironment = option.env ? process.env[option.env] : undefined;
      const value =
        given.get(name) ?? (option.flag ? fromEnvironment === '1' : fromEnvironment) ?? option.default;
      return [name, value];
    }),
  );
}

function helpText(shape, usage) {
  const lines = Object.entries(shape).map(([name, option]) => {
    const left = option.flag ? `--${name}` : `--${name} VALUE`;
    return `  ${left.padEnd(22)} ${option.help}${option.env ? ` (${option.env})` : ''}`;
  });
  return `${usage}\n${lines.join('\n')}\n`;
}
