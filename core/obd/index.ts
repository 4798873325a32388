export { CONTINUE, framesToFollow, isFirst, LONGEST, messageLength, reassemble, splitMessage } from './frames.ts';
export type { Frame } from './frames.ts';
export {
  ANSWER,
  bytesOfLine,
  dataOf,
  decodeCodes,
  decodeVin,
  encodeRequest,
  MODES,
  NEGATIVE,
  readable,
} from './lines.ts';
export type { Mode, Request } from './lines.ts';
export {
  decodePid,
  DRIVEN_SINCE_CLEARED,
  encodePid,
  hex,
  ObdError,
  pidLength,
  PIDS,
  supportedPids,
  supportMap,
} from './pids.ts';
export type { PidValue, ValueMode } from './pids.ts';
export { decodeMaker, encodeMaker, MAKER_PIDS } from './makers.ts';
