import { describe, expect, it } from 'vitest';
import {
  advance,
  countedBy,
  currentStep,
  isCounting,
  missingConditions,
  notYet,
  recipe,
  RECIPES,
  remaining,
  type Run,
  type RunInput,
  startRun,
} from './index.ts';

const at = (seconds: number): string => new Date(Date.UTC(2026, 0, 1) + seconds * 1000).toISOString();
type Untimed = RunInput extends infer Input ? (Input extends RunInput ? Omit<Input, 'at'> : never) : never;
const play = (run: Run, ...inputs: [number, Untimed][]): Run =>
  inputs.reduce((state, [seconds, input]) => advance(state, { ...input, at: at(seconds) } as RunInput), run);
const idle = recipe('timed-idle')!;
const confirm = { kind: 'confirm' } as const;
const warm = { kind: 'reading', name: 'ect', value: 85 } as const;
const quiet = { kind: 'flag', name: 'loads-off', on: true } as const;
const fan = (on: boolean) => ({ kind: 'flag', name: 'fan-running', on }) as const;

describe('a timed idle run', () => {
  const atIdle = play(startRun(idle, at(0)), [10, confirm], [20, confirm], [21, confirm], [22, warm], [23, confirm]);
  it('does not move on before its time', () => {
    const early = play(startRun(idle, at(0)), [4, confirm]);
    expect(early.at).toBe(0);
    expect(early.said).toBe('Hold for 6 seconds more.');
    expect(play(early, [10, confirm]).at).toBe(1);
  });
  it('stands at the idle step with its conditions', () => {
    expect(currentStep(atIdle)?.id).toBe('idle');
    expect(missingConditions(atIdle).map(({ words }) => words)).toEqual(['lights, fan and heater off']);
    expect(isCounting(atIdle)).toBe(false);
    expect(notYet(atIdle, at(500))).toContain('lights, fan and heater off');
  });
  it('does not count while the fan runs', () => {
    const paused = play(atIdle, [30, quiet], [90, fan(true)], [150, fan(false)]);
    expect(countedBy(paused, at(150))).toBe(60);
    expect(remaining(paused, at(200))).toBe(70);
    expect(play(paused, [269, { kind: 'tick' }]).at).toBe(atIdle.at);
    expect(play(paused, [270, { kind: 'tick' }]).at).toBe(atIdle.at + 1);
  });
  it('goes back when it stalls and says so', () => {
    const stalled = play(atIdle, [30, quiet], [60, { kind: 'reading', name: 'rpm', value: 0 }]);
    expect(currentStep(stalled)?.id).toBe('start');
    expect(stalled.said).toContain('stalled');
    expect(stalled.counted).toBe(0);
  });
  it('completes, and then takes nothing more', () => {
    const done = play(atIdle, [30, quiet], [210, { kind: 'tick' }], [225, confirm]);
    expect(done.status).toBe('complete');
    expect(play(done, [300, confirm])).toBe(done);
  });
  it('counts the same however often it is looked at', () => {
    const once = play(atIdle, [30, quiet], [210, { kind: 'tick' }]);
    const often = play(
      atIdle,
      [30, quiet],
      ...Array.from({ length: 180 }, (_, second): [number, Untimed] => [31 + second, { kind: 'tick' }]),
    );
    expect(often.at).toBe(once.at);
  });
  it('survives being written down and read again', () => {
    const kept = JSON.parse(JSON.stringify(play(atIdle, [30, quiet]))) as Run;
    expect(remaining(kept, at(130))).toBe(80);
  });
});

describe('recipes', () => {
  it('name steps once and go back only to steps that are there', () => {
    for (const each of RECIPES) {
      const ids = each.steps.map(({ id }) => id);
      expect(new Set(ids).size).toBe(ids.length);
      for (const step of each.steps) if (step.endsBadly?.goTo) expect(ids).toContain(step.endsBadly.goTo);
    }
  });
  it('bleeding goes back when it gets too hot and counts only without bubbles', () => {
    const hot = play(
      startRun(recipe('bleed')!, at(0)),
      [1, confirm],
      [2, confirm],
      [3, { kind: 'reading', name: 'ect', value: 112 }],
    );
    expect(currentStep(hot)?.id).toBe('open');
    const bubbles = play(
      startRun(recipe('bleed')!, at(0)),
      [1, confirm],
      [2, confirm],
      [3, warm],
      [4, { kind: 'flag', name: 'heater-hot', on: true }],
      [5, confirm],
      [6, { kind: 'flag', name: 'bubbles', on: true }],
    );
    expect(isCounting(bubbles)).toBe(false);
  });
});
