import { clockOffsetMs, type Command, counted } from '../../core/job/index.ts';
import type { Arrival } from '../store/log.ts';

/**
 * A device's time put right by how far its clock was out when it was heard; a time that a person named is right as it is.
 * A command that was sent without the device's clock is taken at its word.
 */
export function heard(sent: Command, sentAt: string | undefined, receivedAt: string): readonly [Command, Arrival] {
  const late = sent.late ?? null;
  if (sentAt === undefined || late === 'written-up') return [sent, { receivedAt, deviceAt: null, offsetMs: 0, late }];
  const offsetMs = clockOffsetMs(sentAt, receivedAt);
  return [
    { ...sent, at: counted(sent.at, offsetMs) },
    { receivedAt, deviceAt: sent.at, offsetMs, late },
  ];
}
