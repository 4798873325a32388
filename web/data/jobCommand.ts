import type { CommandReply } from '../../contract/index.ts';
import type { CommandBody } from '../../core/job/index.ts';
import { deviceIso } from '../stores/clock.ts';
import { useShop } from '../stores/shop.ts';
import { sendCommand } from './jobs.ts';

/** Gives a command on a job that is not open on this page, and waits for its answer. @throws ApiError, OutOfReach */
export function giveCommand(jobId: string, body: CommandBody): Promise<CommandReply> {
  const at = deviceIso();
  return sendCommand(jobId, { ...body, id: crypto.randomUUID(), at, sentAt: at, by: useShop().personId, seen: 0 });
}
