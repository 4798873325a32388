import {
  between,
  channelOf,
  type CsvLayout,
  difference,
  pack,
  PackError,
  readCsv,
  type Role,
  type Trace,
  understandCsv,
  unlike,
  unpack,
} from '../../core/trace/index.ts';
import type { TracingAnswer, TracingTask } from './tracingProtocol.ts';

// Wiring only: what a file holds and what changed is worked out in core.
const answer = (message: TracingAnswer): void => postMessage(message);
const opened = new Map<string, Trace>();
const cancelled = new Set<number>();
let text = '';

/** UTF-8; what is not is taken as Western European, as older tools write it. */
function decoded(bytes: ArrayBuffer): string {
  const [a, b] = new Uint8Array(bytes, 0, Math.min(2, bytes.byteLength));
  if (a === 0xff && b === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** Lets a message that waits be heard. */
const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

async function read(id: number, layout: CsvLayout): Promise<void> {
  const steps = readCsv(text, layout);
  for (;;) {
    const step = steps.next();
    if (step.done) {
      const { trace, readings, problems, problemCount } = step.value;
      answer({ kind: 'read', id, trace, packed: pack(trace), readings, problems, problemCount });
      return;
    }
    answer({ kind: 'progress', id, share: step.value });
    await breathe();
    if (cancelled.has(id)) return answer({ kind: 'cancelled', id });
  }
}

/** Channels in which a change says something. */
const COMPARED: readonly Role[] = [
  'rpm',
  'duty',
  'steps',
  'air-mass',
  'manifold',
  'plate',
  'short-trim',
  'long-trim',
  'volts',
];

function compare(task: Extract<TracingTask, { kind: 'compare' }>): void {
  const [before, after] = [opened.get(task.before), opened.get(task.after)];
  if (before === undefined || after === undefined) return;
  const { beforeSpan, afterSpan } = task;
  answer({
    kind: 'compared',
    id: task.id,
    unlike: unlike(before, after, beforeSpan, afterSpan),
    differences: COMPARED.flatMap((role) => {
      const [was, is] = [channelOf(before, role), channelOf(after, role)];
      if (was === null || is === null) return [];
      const [a, b] = [between(was, beforeSpan.from, beforeSpan.to), between(is, afterSpan.from, afterSpan.to)];
      return [{ role, difference: difference(a, b, task.swingS) }];
    }),
  });
}

addEventListener('message', ({ data: task }: MessageEvent<TracingTask>) => {
  const { id } = task;
  try {
    switch (task.kind) {
      case 'open': {
        const trace = unpack(new Uint8Array(task.bytes));
        opened.set(task.hash, trace);
        return answer({ kind: 'opened', id, trace });
      }
      case 'look': {
        text = decoded(task.bytes);
        const layout = understandCsv(text);
        if ('ok' in layout) return answer({ kind: 'refused', id, message: layout.message });
        let lines = 0;
        for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) lines += 1;
        return answer({ kind: 'looked', id, layout, lines: Math.max(0, lines - layout.skip) });
      }
      case 'read':
        return void read(id, task.layout).catch((error: unknown) => refuse(id, error));
      case 'cancel':
        return void cancelled.add(id);
      case 'compare':
        return compare(task);
    }
  } catch (error) {
    refuse(id, error);
  }
});

function refuse(id: number, error: unknown): void {
  if (!(error instanceof PackError)) throw error;
  answer({ kind: 'refused', id, message: error.message });
}
