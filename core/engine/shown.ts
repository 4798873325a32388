import { decodeMaker, decodePid, encodeMaker, encodePid, MAKER_PIDS } from '../obd/index.ts';
import { type Role, ROLES } from '../trace/index.ts';
import { makerReadings, readings } from './readings.ts';
import type { EngineState } from './state.ts';

const PID_ROLES = Object.entries(ROLES) as [Role, { readonly pid: number }][];

/** What an adapter reads of an engine now, as the bytes carry it. */
export function shown(state: EngineState): (readonly [Role, number])[] {
  const values = { ...readings(state), ...makerReadings(state) };
  return PID_ROLES.flatMap(([role, { pid }]) => {
    const value = values[pid];
    return value === undefined ? [] : [[role, carried(pid, value)] as const];
  });
}

const carried = (pid: number, value: number): number =>
  MAKER_PIDS.has(pid)
    ? decodeMaker(pid, encodeMaker(pid, value)).value
    : decodePid(1, pid, encodePid(pid, value)).value;
