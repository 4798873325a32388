import { dtcFromBytes } from '../vehicle/index.ts';
import { hex, ObdError, PIDS } from './pids.ts';

/**
 * Modes that are asked for here: of SAE J1979 values, freeze frame, stored codes, clear, pending codes and vehicle; of ISO
 * 14229 what the maker numbers himself.
 */
export const MODES = {
  values: 0x01,
  frame: 0x02,
  stored: 0x03,
  clear: 0x04,
  pending: 0x07,
  vehicle: 0x09,
  maker: 0x22,
} as const;
/** A number of {@link MODES}. */
export type Mode = (typeof MODES)[keyof typeof MODES];

/** What is asked of a vehicle. */
export interface Request {
  readonly mode: Mode;
  /** One byte; two in mode 22. */
  readonly pid?: number;
  /** Freeze frame number, mode 02 only. */
  readonly frame?: number;
}

/** A positive answer repeats the mode with this added. */
export const ANSWER = 0x40;
/** First byte of a negative answer. */
export const NEGATIVE = 0x7f;

/**
 * A request as a line of hex bytes, without its line end.
 * @example encodeRequest({ mode: 0x01, pid: 0x0c }) // '01 0C'
 * @throws RangeError when a mode that needs a PID has none, or has one that it does not take
 */
export function encodeRequest({ mode, pid, frame }: Request): string {
  const needsPid = mode === MODES.values || mode === MODES.frame || mode === MODES.vehicle || mode === MODES.maker;
  if (needsPid !== (pid !== undefined))
    throw new RangeError(`Mode ${hex(mode)} ${needsPid ? 'needs' : 'takes no'} PID.`);
  return [
    mode,
    ...(pid === undefined ? [] : mode === MODES.maker ? [pid >> 8, pid & 255] : [pid]),
    ...(mode === MODES.frame ? [frame ?? 0] : []),
  ]
    .map(hex)
    .join(' ');
}

/** The bytes of a line of hex, or an error that says what stands there. Spaces are optional. @throws ObdError */
export function bytesOfLine(line: string): number[] {
  const squeezed = line.replace(/\s+/g, '');
  if (!/^(?:[0-9A-Fa-f]{2})+$/.test(squeezed))
    throw new ObdError(`Expected hex bytes, got “${line.trim().slice(0, 40)}”.`);
  return squeezed.match(/../g)?.map((pair) => Number.parseInt(pair, 16)) ?? [];
}

const REASONS: Readonly<Record<number, string>> = {
  0x10: 'the vehicle refuses',
  0x11: 'the vehicle does not know this mode',
  0x12: 'the vehicle does not have this value',
  0x21: 'the vehicle is busy',
  0x22: 'not possible now, try key on, engine off',
  0x31: 'the vehicle does not have this value',
  0x78: 'the vehicle asks for more time',
};

/**
 * The data of an answer, after checking that it answers this request.
 * @param message a reassembled message
 * @throws ObdError in words for a negative answer or one to another request
 */
export function dataOf(message: readonly number[], request: Request): number[] {
  const [head = 0, second, third = 0] = message;
  if (head === NEGATIVE && second === request.mode)
    throw new ObdError(`Mode ${hex(request.mode)}: ${REASONS[third] ?? `refused with ${hex(third)}`}.`);
  if (head !== request.mode + ANSWER)
    throw new ObdError(
      `Asked ${encodeRequest(request)}, got an answer to ${head >= ANSWER ? hex(head - ANSWER) : hex(head)}.`,
    );
  if (request.pid === undefined) return message.slice(1);
  if (request.mode === MODES.maker) {
    const identifier = ((second ?? 0) << 8) | third;
    if (identifier !== request.pid)
      throw new ObdError(`Asked for value ${hex(request.pid >> 8)}${hex(request.pid & 255)}, got another.`);
    return message.slice(3);
  }
  if (second !== request.pid)
    throw new ObdError(`Asked for value ${hex(request.pid)}, got ${second === undefined ? 'nothing' : hex(second)}.`);
  return message.slice(request.mode === MODES.values ? 2 : 3);
}

/**
 * Codes of a mode 03 or 07 answer: a count, then two bytes a code; pairs of zeros are padding.
 * @throws ObdError when fewer codes came than were announced
 */
export function decodeCodes(data: readonly number[]): string[] {
  const [count = 0, ...rest] = data;
  const codes: string[] = [];
  for (let at = 0; at + 1 < rest.length; at += 2) {
    const [a = 0, b = 0] = [rest[at], rest[at + 1]];
    if (a !== 0 || b !== 0) codes.push(dtcFromBytes(a, b));
  }
  if (codes.length < count) throw new ObdError(`The vehicle announced ${count} codes and sent ${codes.length}.`);
  return codes.slice(0, count);
}

/** The VIN of a mode 09 PID 02 answer: ASCII, padded in front with zeros. @throws ObdError unless 17 characters */
export function decodeVin(data: readonly number[]): string {
  const text = String.fromCharCode(...data.filter((each) => each !== 0)).trim();
  if (!/^[0-9A-Z]{17}$/.test(text)) throw new ObdError(`Expected a VIN of 17 characters, got “${text}”.`);
  return text;
}

/** PIDs of values that this program reads and the vehicle has, in the order of the standard. */
export const readable = (supported: readonly number[]): number[] => supported.filter((pid) => PIDS.has(pid));
