import { describe, expect, it } from 'vitest';
import { type CommandBody, type Job, runningTimers, type Stage, timerEnd } from '../job/index.ts';
import { play } from '../job/testing/play.ts';
import { SAMPLES } from '../job/testing/samples.ts';
import { bayState, type InBay, nextTask as nextTaskOf, waitLeft, waitsFor as waitsForOf } from './index.ts';

const of = <K extends keyof typeof SAMPLES>(type: K): CommandBody =>
  ({ type, data: SAMPLES[type].data }) as unknown as CommandBody;
const passed = (...stages: Stage[]): CommandBody[] => stages.map((stage) => ({ type: 'pass-stage', data: { stage } }));
const job = (...bodies: CommandBody[]) => play([of('open-job'), of('pin-procedure'), ...bodies]).job!;
/** An open job as the Bay keeps it. */
const inBay = (of: Job): InBay => ({
  jobId: of.id,
  ...bayState(of),
  waits: runningTimers(of).map((timer) => ({ label: timer.label, startedAt: timer.at, endsAt: timerEnd(timer) })),
});
const nextTask = (of: Job, now: string) => nextTaskOf(inBay(of), now);
const waitsFor = (of: Job, now: string, sayDay?: (day: string) => string) => waitsForOf(inBay(of), now, sayDay);
const SOON = '2026-05-13T08:10:00.000Z';
const LATER = '2026-05-13T12:00:00.000Z';

describe('what a job waits for', () => {
  it('is its next timer, and says when the time is up', () => {
    expect(waitsFor(job(of('start-timer')), SOON)).toBe('Soaks');
    expect(waitsFor(job(of('start-timer')), LATER)).toBe('Soaks: time is up');
    expect(waitsFor(job(), SOON)).toBe('');
  });
  it('or a part, with the day as people say it', () => {
    expect(waitsFor(job(of('tick-need')), SOON, (day) => `on ${day}`)).toBe('Gasket, expected on 2026-05-18');
  });
});

describe('the next task', () => {
  it('plugs an open inlet before anything else, even while something soaks', () => {
    expect(nextTask(job(of('remove-item'), of('start-timer')), SOON)).toMatchObject({ what: 'Plug inlet', urgency: 0 });
  });
  it('is none while the job waits, and the timer once it is up', () => {
    expect(nextTask(job(of('start-timer')), SOON)).toBeNull();
    expect(nextTask(job(of('start-timer')), LATER)).toMatchObject({ what: 'Soaks: time is up', urgency: 1 });
  });
  it('goes on with another unit while one soaks, and with none while all do', () => {
    const upTo = passed('complaint', 'diagnose', 'decide', 'prepare', 'strip', 'inspect');
    const soak = (unit: string): CommandBody => ({
      type: 'start-timer',
      data: { id: unit, label: 'Soaks', minutes: 20, kind: 'soak', unit },
    });
    expect(nextTask(job(...upTo, soak('throttle-body')), SOON)?.what).toBe('Protect: idle air valve');
    const rounds = (['protect', 'wet', 'soak', 'brush', 'wipe'] as const).map((kind): CommandBody => ({
      type: 'do-pass',
      data: { id: kind, unit: 'idle-valve', kind },
    }));
    expect(nextTask(job(...upTo, soak('throttle-body'), ...rounds), SOON)?.what).toBe('Look at the idle air valve');
    expect(nextTask(job(...upTo, soak('throttle-body'), soak('idle-valve')), SOON)).toBeNull();
  });
  it.each([
    [[], 'Read the codes and note the complaint'],
    [passed('complaint'), 'Next check'],
    [passed('complaint', 'diagnose', 'decide', 'prepare'), 'Take off: sample plug'],
    [passed('complaint', 'diagnose'), 'nothing decided'],
  ])('follows the stage', (stages, what) => {
    expect(nextTask(job(...stages), SOON)?.what).toBe(what);
  });
  it('tells how long a wait still is', () => {
    const [wait] = inBay(job(of('start-timer'))).waits;
    expect(waitLeft(wait!, wait!.startedAt)).toBe(Number(SAMPLES['start-timer'].data.minutes) * 60);
    expect(waitLeft(wait!, LATER)).toBeLessThan(0);
  });
});
