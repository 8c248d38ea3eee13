import { parseArgs, Refusal } from './args.ts';
import type { Command } from './command.ts';
import { LINK_USAGE } from './linkUsage.ts';
import { pdfText } from './pdfText.ts';
import { amps } from './commands/amps.ts';
import { analyse } from './commands/analyse.ts';
import { check } from './commands/check.ts';
import { judge } from './commands/judge.ts';
import { controllerCheck } from './commands/controllerCheck.ts';
import { controllerSuggest } from './commands/controllerSuggest.ts';
import { decode } from './commands/decode.ts';
import { diagnose } from './commands/diagnose.ts';
import { fit } from './commands/fit.ts';
import { energise } from './commands/energise.ts';
import { identify } from './commands/identify.ts';
import { keys } from './commands/keys.ts';
import { plan } from './commands/plan.ts';
import { predict } from './commands/predict.ts';
import { probeCalibrate } from './commands/probeCalibrate.ts';
import { probeCurve } from './commands/probeCurve.ts';
import { probeIdentify } from './commands/probeIdentify.ts';
import { probeTag } from './commands/probeTag.ts';
import { replay } from './commands/replay.ts';
import { saturation } from './commands/saturation.ts';
import { simulate } from './commands/simulate.ts';
import { sweep } from './commands/sweep.ts';
import { settings } from './commands/settings.ts';
import { translate } from './commands/translate.ts';
import { wire } from './commands/wire.ts';

/** Every command, in the order `brine` lists them. */
export const commands: readonly Command[] = [
  settings,
  controllerCheck,
  controllerSuggest,
  decode,
  translate,
  keys,
  plan,
  check,
  judge,
  replay,
  simulate,
  sweep,
  wire,
  diagnose,
  fit,
  probeIdentify,
  probeCurve,
  probeCalibrate,
  probeTag,
  analyse,
  energise,
  identify,
  predict,
  saturation,
  amps,
];

/** What a run leaves behind: text for stdout or stderr and the exit code. */
export interface Outcome {
  readonly stdout: string;
  readonly stderr: string;
  readonly exitCode: 0 | 2;
}

/** Runs one command line; PDF files that it names are read first. */
export async function runWithFiles(argv: readonly string[]): Promise<Outcome> {
  const pdfs =
    argv[0] === 'controller' && argv[1] === 'suggest' ? argv.filter((word) => /\.pdf$/i.test(word)) : [];
  try {
    const texts = new Map<string, string>();
    for (const path of pdfs) texts.set(path, await pdfText(path));
    return run(argv, texts);
  } catch (error) {
    return refused(error);
  }
}

/** Runs one command line. On failure nothing goes to stdout, one line to stderr, exit code 2. */
export function run(argv: readonly string[], texts: ReadonlyMap<string, string> = new Map()): Outcome {
  if (argv.length === 0 || argv[0] === 'help' || argv[0] === '--help')
    return { stdout: help(), stderr: '', exitCode: 0 };
  try {
    const command = commands.find((c) => c.name === argv[0] || c.name === `${argv[0]} ${argv[1]}`);
    if (!command)
      throw new Refusal(
        `${argv.join(' ')}: no such command; expected one of ${commands.map((c) => c.name).join(', ')}`,
      );
    const rest = argv.slice(command.name.split(' ').length);
    const output = command.run({ ...parseArgs(rest, command.shape), texts });
    const stdout = 'json' in output ? `${JSON.stringify(output.json, null, 2)}\n` : output.text;
    return { stdout, stderr: output.note ? `${output.note}\n` : '', exitCode: 0 };
  } catch (error) {
    return refused(error);
  }
}

function refused(error: unknown): Outcome {
  if (!(error instanceof Refusal)) throw error;
  return { stdout: '', stderr: `${error.message.replace(/\s*\n\s*/g, ' ')}\n`, exitCode: 2 };
}

function help(): string {
  const all = [
    ...commands,
    {
      usage: LINK_USAGE,
      summary: 'holds the lines of a site for a server that has no way in, until it is stopped',
    },
  ];
  const width = Math.max(...all.map((c) => c.usage.length));
  return all.map((c) => `${c.usage.padEnd(width)}  ${c.summary}`).join('\n') + '\n';
}
