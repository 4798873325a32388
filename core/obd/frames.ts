/**
 * Transport by ISO 15765-2 (classical addressing, 8 data bytes a frame): the upper half of the first byte says what a
 * frame is. 0 single, 1 first, 2 consecutive, 3 flow control.
 */
import { hex, ObdError } from './pids.ts';

/** A frame: up to 8 bytes. */
export type Frame = readonly number[];

const SINGLE_MOST = 7;
const FIRST_HOLDS = 6;
/** A message is at most 4095 bytes: 12 bits of length. */
export const LONGEST = 4095;

/** Splits a message into frames. @throws RangeError for an empty or too long message */
export function splitMessage(bytes: readonly number[]): Frame[] {
  if (bytes.length === 0 || bytes.length > LONGEST)
    throw new RangeError(`Expected 1 to ${LONGEST} bytes, got ${bytes.length}.`);
  if (bytes.length <= SINGLE_MOST) return [[bytes.length, ...bytes]];
  const frames: Frame[] = [[0x10 | (bytes.length >> 8), bytes.length & 255, ...bytes.slice(0, FIRST_HOLDS)]];
  for (let at = FIRST_HOLDS, count = 1; at < bytes.length; at += SINGLE_MOST, count += 1)
    frames.push([0x20 | (count & 15), ...bytes.slice(at, at + SINGLE_MOST)]);
  return frames;
}

/** What a receiver sends after a first frame: go on, no block limit, no pause. */
export const CONTINUE: Frame = [0x30, 0x00, 0x00];

/** Whether a frame is the first of several, so that the sender waits for flow control. */
export const isFirst = (frame: Frame): boolean => (frame[0] ?? 0) >> 4 === 1;

/** How many bytes a message has, told by its single or first frame. @throws ObdError for another kind of frame */
export function messageLength(frame: Frame): number {
  const [head = 0, second = 0] = frame;
  if (head >> 4 === 0) return head & 15;
  if (head >> 4 === 1) {
    const length = ((head & 15) << 8) | second;
    // What fits into a single frame is never sent as several (ISO 15765-2, 9.6.3.1): such a length is an error.
    if (length <= SINGLE_MOST)
      throw new ObdError(`First frame ${words(frame)} announces ${length} bytes: so few come in a single frame.`);
    return length;
  }
  throw new ObdError(`Expected the beginning of an answer, got frame ${words(frame)}.`);
}

/** How many consecutive frames follow a first frame. */
export const framesToFollow = (length: number): number =>
  length <= SINGLE_MOST ? 0 : Math.ceil((length - FIRST_HOLDS) / SINGLE_MOST);

/**
 * Puts a message together again. Flow control frames are passed over.
 * @param frames in the order received
 * @returns the message without padding
 * @throws ObdError in words for an empty answer, a lost, repeated or foreign frame, or one that is too short
 */
export function reassemble(frames: readonly Frame[]): number[] {
  const [first, ...others] = frames.filter((frame) => (frame[0] ?? 0) >> 4 !== 3);
  if (first === undefined) throw new ObdError('The answer is empty.');
  const length = messageLength(first);
  if (length === 0) throw new ObdError(`Frame ${words(first)} says that it holds nothing.`);
  if (first[0] !== undefined && first[0] >> 4 === 0) {
    if (others.length > 0) throw new ObdError(`A single frame is followed by another: ${words(others[0] ?? [])}.`);
    if (first.length - 1 < length)
      throw new ObdError(`Frame ${words(first)} says ${length} bytes but holds ${first.length - 1}.`);
    return first.slice(1, 1 + length);
  }
  const bytes = first.slice(2);
  for (const [index, frame] of others.entries()) {
    const [head = 0] = frame;
    if (head >> 4 !== 2) throw new ObdError(`Expected frame ${index + 1} of the answer, got ${words(frame)}.`);
    const expected = (index + 1) & 15;
    const got = head & 15;
    if (got === ((expected - 1) & 15)) throw new ObdError(`Frame ${got} of the answer came twice.`);
    if (got !== expected) throw new ObdError(`Frame ${expected} of the answer is lost: ${got} came in its place.`);
    bytes.push(...frame.slice(1));
  }
  if (bytes.length < length) throw new ObdError(`The answer breaks off: ${bytes.length} of ${length} bytes came.`);
  return bytes.slice(0, length);
}

const words = (frame: Frame): string => `“${frame.map(hex).join(' ')}”`;
