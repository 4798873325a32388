/** Something that could be done now. */
export interface Task {
  readonly jobId: string;
  readonly what: string;
  readonly minutes: number;
  /** Smaller is more urgent; ties go to the longer task, which uses more of the wait. */
  readonly urgency: number;
}

/** The tasks to do in a wait, in order, and how much of it they use. */
export interface Fit {
  readonly chosen: readonly Task[];
  readonly minutesUsed: number;
  readonly minutesLeft: number;
}

/**
 * What fits into a wait: urgent tasks first, each taken if it still fits. Greedy on purpose: a person must see at a
 * glance why a task was chosen, and waits hold two or three tasks, not twenty.
 * @param minutes length of the wait, zero or more
 * @throws RangeError for a negative wait
 */
export function fitInto(minutes: number, tasks: readonly Task[]): Fit {
  if (!(minutes >= 0)) throw new RangeError(`Expected a wait of zero minutes or more, got ${minutes}.`);
  const ordered = [...tasks].sort(
    (a, b) => a.urgency - b.urgency || b.minutes - a.minutes || a.what.localeCompare(b.what),
  );
  const chosen: Task[] = [];
  let left = minutes;
  for (const task of ordered) {
    if (task.minutes > left) continue;
    chosen.push(task);
    left -= task.minutes;
  }
  return { chosen, minutesUsed: minutes - left, minutesLeft: left };
}
