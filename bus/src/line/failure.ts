/** Why a request came to nothing. */
export type FailureKind = 'noConnection' | 'noAnswer' | 'badAnswer' | 'refused' | 'stopped';

/** What a device answers where it does not do as asked, in words. Source: Modbus Application Protocol V1.1b3, 7. */
const exceptionWords: Readonly<Record<number, string>> = {
  1: 'it does not know this function',
  2: 'it has no such register',
  3: 'it does not take this value or this count',
  4: 'it could not do it',
  6: 'it is busy',
};

/** A request that came to nothing, with a sentence for whoever waits. */
export class LineFailure extends Error {
  readonly kind: FailureKind;
  /** What the device answered, where it did: Modbus exception 1 to 11. */
  readonly exception: number | null;

  constructor(kind: FailureKind, message: string, exception: number | null = null) {
    super(message);
    this.kind = kind;
    this.exception = exception;
  }

  /** Whether asking again may help: a busy device, an answer lost on the way. */
  get mayPass(): boolean {
    return (
      this.kind === 'noAnswer' || this.kind === 'badAnswer' || this.exception === 5 || this.exception === 6
    );
  }
}

/** What the protocol's library throws, as a failure: a connection that broke while an answer was awaited is an answer that was lost. */
export function failureOf(error: unknown, unit: number): LineFailure {
  if (error instanceof LineFailure) return error;
  const { modbusCode, name, errno, code, message } = error as {
    modbusCode?: number;
    name?: string;
    errno?: string;
    code?: string;
    message?: string;
  };
  if (typeof modbusCode === 'number')
    return new LineFailure(
      'refused',
      `Device ${unit} refuses: ${exceptionWords[modbusCode] ?? `exception ${modbusCode}`}.`,
      modbusCode,
    );
  if (name === 'TransactionTimedOutError' || errno === 'ETIMEDOUT')
    return new LineFailure('noAnswer', `Device ${unit} does not answer.`);
  if (name === 'PortNotOpenError' || /^E(CONNRESET|PIPE)/.test(code ?? errno ?? ''))
    return new LineFailure('noAnswer', `The connection broke before device ${unit} had answered.`);
  if (/^E(CONN|HOST|NET)/.test(code ?? errno ?? ''))
    return new LineFailure(
      'noConnection',
      `The line cannot be reached: ${message ?? code ?? 'no connection'}.`,
    );
  return new LineFailure(
    'badAnswer',
    `Device ${unit} answers something that is not understood: ${message ?? String(error)}.`,
  );
}
