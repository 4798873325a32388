import { randomUUID } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type Condition, keepingOf, reportBy, type When } from '../../core/job/index.ts';
import { pack, unpack } from '../../core/trace/index.ts';
import type { Services } from '../services.ts';
import { type Files, putFile, removeQuietly } from '../keeping/files.ts';
import type { Outcome } from '../store/jobs.ts';
import { atOnce } from '../store/log.ts';
import type { AdapterHub } from './hub.ts';
import { Recorder, type RecorderNews } from './recorder.ts';

/** A recording that runs, and what it is for. */
interface Running {
  readonly recorder: Recorder;
  readonly about: About;
  readonly saving: NodeJS.Timeout;
}

/** What a recording is for; kept beside what came while it runs. */
interface About {
  readonly id: string;
  readonly jobId: string;
  readonly when: When;
  readonly from: string;
  readonly startedAt: string;
  readonly by: string;
  readonly under: Condition;
}

/** What came is written aside this often, so that a crash loses no more, ms. */
const SAVE_MS = 3000;
const FOLDER = 'recording-now';

const NO_JOB = {
  ok: false,
  code: 'no-such-job',
  message: 'There is no such job any more.',
  wouldHelp: '',
  field: null,
} as const;

type Keeping = Pick<Services, 'jobs' | 'recordings' | 'oneGo' | 'now'>;

/** Recordings that run now. What came of one that a crash cut off is kept when the program starts again. */
export class RecordingDesk {
  readonly #hub: AdapterHub;
  readonly #keeping: Keeping;
  readonly #files: Files;
  readonly #folder: string;
  readonly #running = new Map<string, Running>();

  /** @param folder of the store @param readOnly nothing is written */
  constructor(hub: AdapterHub, keeping: Keeping, files: Files, folder: string, readOnly: boolean) {
    this.#hub = hub;
    this.#keeping = keeping;
    this.#files = files;
    this.#folder = join(folder, FOLDER);
    if (!readOnly) this.#takeUp();
  }

  /** Begins one. @throws AdapterError when the adapter does not answer */
  async begin(about: Omit<About, 'id' | 'startedAt'>): Promise<string> {
    const link = await this.#hub.open(about.from);
    const id = randomUUID();
    const whole: About = { ...about, id, startedAt: this.#keeping.now() };
    const recorder = new Recorder(link, this.#hub.clock);
    const saving = setInterval(() => this.#save(whole, recorder), SAVE_MS);
    saving.unref();
    this.#running.set(id, { recorder, about: whole, saving });
    return id;
  }

  recorder(id: string): Recorder | null {
    return this.#running.get(id)?.recorder ?? null;
  }

  /** The job that a recording is for, and who began it. */
  about(id: string): About | null {
    return this.#running.get(id)?.about ?? null;
  }

  listen(id: string, listener: (news: RecorderNews) => void): (() => void) | null {
    return this.#running.get(id)?.recorder.listen(listener) ?? null;
  }

  /** Ends one, and keeps it on its job. @returns null when there is none, or it is thrown away */
  async end(id: string, keep: boolean): Promise<Outcome | null> {
    const running = this.#running.get(id);
    if (running === undefined) return null;
    await running.recorder.stop();
    clearInterval(running.saving);
    this.#running.delete(id);
    const outcome = keep
      ? this.#keep(running.about, running.recorder.trace(), running.recorder.state === 'lost' ? 'lost' : 'stopped')
      : null;
    this.#remove(id);
    return outcome;
  }

  #keep(about: About, trace: ReturnType<Recorder['trace']>, ended: 'stopped' | 'lost'): Outcome {
    const { jobs, recordings, oneGo, now } = this.#keeping;
    const job = jobs.job(about.jobId);
    if (job === null) return { kind: 'refused', refusal: NO_JOB };
    const prepared = recordings.prepare(trace);
    const { id, when, startedAt, from, under } = about;
    const data = keepingOf(
      trace,
      { id, hash: prepared.hash, when, startedAt, from, ended, under },
      reportBy(job.vehicle),
    );
    return oneGo.run(() => {
      recordings.record(prepared, now());
      return jobs.take(
        about.jobId,
        { id, at: now(), by: about.by, seen: job.version, type: 'keep-recording', data },
        atOnce(now()),
      );
    });
  }

  #save(about: About, recorder: Recorder): void {
    try {
      this.#files.makeFolder(this.#folder);
      putFile(this.#files, join(this.#folder, `${about.id}.json`), Buffer.from(JSON.stringify(about)));
      putFile(this.#files, join(this.#folder, `${about.id}.uwt`), Buffer.from(pack(recorder.trace())));
    } catch {
      // The disk is full: what is in memory is kept at the end, if there is room by then.
    }
  }

  #remove(id: string): void {
    for (const end of ['json', 'uwt']) removeQuietly(this.#files, join(this.#folder, `${id}.${end}`));
  }

  /** What a crash cut off is kept as lost in the middle. */
  #takeUp(): void {
    if (!existsSync(this.#folder)) return;
    for (const name of readdirSync(this.#folder).filter((each) => each.endsWith('.json') && !each.startsWith('.'))) {
      const id = name.slice(0, -'.json'.length);
      try {
        const about = JSON.parse(readFileSync(join(this.#folder, name), 'utf8')) as About;
        this.#keep(about, unpack(readFileSync(join(this.#folder, `${id}.uwt`))), 'lost');
      } catch {
        // Cut off before anything was written whole: there is nothing to keep.
      }
      this.#remove(id);
    }
  }
}
