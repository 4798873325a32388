import { randomUUID } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { RecordingNews } from '../../contract/index.ts';
import { type Condition, keepingOf, reportBy, type When } from '../../core/job/index.ts';
import { pack, type Trace, unpack } from '../../core/trace/index.ts';
import type { Services } from '../services.ts';
import { type Files, putFile, removeQuietly } from '../keeping/files.ts';
import type { Outcome } from '../store/jobs.ts';
import { atOnce } from '../store/log.ts';
import type { AdapterHub } from './hub.ts';
import { Recorder } from './recorder.ts';

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
/** Saves in a row that nobody looked on at. */
const ALONE_FOR = 20;
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

  /** Begins one; where that vehicle is being recorded for that job already, joins it. @throws AdapterError when the adapter does not answer */
  async begin(about: Omit<About, 'id' | 'startedAt'>): Promise<string> {
    for (const [id, { recorder, about: own }] of this.#running)
      if (!recorder.ended && own.jobId === about.jobId && own.from === about.from && own.when === about.when) return id;
    const link = await this.#hub.open(about.from);
    const id = randomUUID();
    const whole: About = { ...about, id, startedAt: this.#keeping.now() };
    const recorder = new Recorder(link, this.#hub.clock);
    let alone = 0;
    const saving = setInterval(() => {
      this.#save(whole, recorder);
      // What ended by itself while nobody looked on is kept without being asked.
      alone = recorder.ended && !recorder.heard ? alone + 1 : 0;
      if (alone >= ALONE_FOR) void this.#endAlone(id);
    }, SAVE_MS);
    saving.unref();
    this.#running.set(id, { recorder, about: whole, saving });
    return id;
  }

  recorder(id: string): Recorder | null {
    return this.#running.get(id)?.recorder ?? null;
  }

  listen(id: string, listener: (news: RecordingNews) => void): (() => void) | null {
    return this.#running.get(id)?.recorder.listen(listener) ?? null;
  }

  /**
   * Ends one, and keeps it on its job. One that cannot be kept stays here, and can be ended again.
   * @returns null when there is none, or it is thrown away
   */
  async end(id: string, keep: boolean): Promise<Outcome | null> {
    const running = this.#running.get(id);
    if (running === undefined) return null;
    await running.recorder.stop();
    const outcome = keep
      ? this.#keep(running.about, running.recorder.trace(), running.recorder.state === 'lost' ? 'lost' : 'stopped')
      : null;
    if (outcome?.kind === 'refused') return outcome;
    clearInterval(running.saving);
    this.#running.delete(id);
    this.#remove(id);
    return outcome;
  }

  async #endAlone(id: string): Promise<void> {
    const running = this.#running.get(id);
    if (running === undefined) return;
    clearInterval(running.saving);
    await this.end(id, running.recorder.trace().channels.length > 0).catch(() => {
      // Its file stays, and is taken up when the program starts again.
    });
  }

  #keep(about: About, trace: Trace, ended: 'stopped' | 'lost'): Outcome {
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

  /** What a crash cut off is kept as lost in the middle; what its job does not take now stays for the next time. */
  #takeUp(): void {
    if (!existsSync(this.#folder)) return;
    for (const name of readdirSync(this.#folder).filter((each) => each.endsWith('.json') && !each.startsWith('.'))) {
      const id = name.slice(0, -'.json'.length);
      const left = this.#readLeft(id);
      if (left === null || this.#keptLeft(left)) this.#remove(id);
    }
  }

  /** What was written aside; null where it was cut off before anything was written whole. */
  #readLeft(id: string): { readonly about: About; readonly trace: Trace } | null {
    try {
      const about = JSON.parse(readFileSync(join(this.#folder, `${id}.json`), 'utf8')) as About;
      const trace = unpack(readFileSync(join(this.#folder, `${id}.uwt`)));
      return trace.channels.length === 0 ? null : { about, trace };
    } catch {
      return null;
    }
  }

  #keptLeft({ about, trace }: { readonly about: About; readonly trace: Trace }): boolean {
    try {
      return this.#keep(about, trace, 'lost').kind !== 'refused';
    } catch {
      return false;
    }
  }
}
