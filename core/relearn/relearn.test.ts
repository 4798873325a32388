import { describe, expect, it } from 'vitest';
import {
  advance,
  allRecipes,
  conditionWords,
  countedBy,
  currentStep,
  isCounting,
  isWorthTelling,
  missingConditions,
  notYet,
  offeredRecipes,
  type Recipe,
  recipeOf,
  recipeProblems,
  recipeWords,
  remaining,
  type Run,
  type RunInput,
  STARTER_RECIPES,
  starterRecipe,
  startRun,
  step,
  stepsLeftOut,
} from './index.ts';

const at = (seconds: number): string => new Date(Date.UTC(2026, 0, 1) + seconds * 1000).toISOString();
type Untimed = RunInput extends infer Input ? (Input extends RunInput ? Omit<Input, 'at'> : never) : never;
const play = (run: Run, ...inputs: [number, Untimed][]): Run =>
  inputs.reduce((state, [seconds, input]) => advance(state, { ...input, at: at(seconds) } as RunInput), run);
const idle = starterRecipe('timed-idle')!;
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
  it('says why while it is so: a reading that comes meanwhile does not hide it, and its time does', () => {
    const early = play(startRun(idle, at(0)), [4, confirm], [6, warm]);
    expect(early.said).toBe('Hold for 4 seconds more.');
    expect(play(early, [9.5, warm]).said).toBe('');
  });
  it('stands at the idle step with its conditions', () => {
    expect(currentStep(atIdle)?.id).toBe('idle');
    expect(missingConditions(atIdle).map((each) => conditionWords(idle, each))).toEqual(['lights, fan and heater off']);
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
  it('keeps what was left out with why, and what was still ahead', () => {
    const left = play(atIdle, [30, { kind: 'leave-out', why: 'no time' }]);
    expect(currentStep(left)?.id).toBe('store');
    expect(stepsLeftOut(left).map(({ step: { id }, why }) => [id, why])).toEqual([
      ['idle', 'no time'],
      ['store', ''],
    ]);
  });
  it('tells of a reading that came by itself when it changes what holds, or has moved', () => {
    const waiting = play(startRun(idle, at(0)), [10, confirm], [20, confirm], [21, confirm]);
    expect(isWorthTelling(waiting, 'ect', 40)).toBe(true);
    const cold = play(waiting, [30, { kind: 'reading', name: 'ect', value: 79 }]);
    expect(isWorthTelling(cold, 'ect', 79.5)).toBe(false);
    expect(isWorthTelling(cold, 'ect', 80)).toBe(true);
    expect(isWorthTelling(cold, 'ect', 82)).toBe(true);
    expect(isWorthTelling(cold, 'speed', 50)).toBe(false);
    expect(isWorthTelling(play(cold, [31, warm], [32, confirm]), 'rpm', 390)).toBe(true);
  });
});

describe('a recipe with turns, answers and other ways', () => {
  const turns = recipeOf({
    id: 'turns',
    name: 'Turns',
    steps: [
      step({ id: 'run', kind: 'wait', title: 'Run', how: '', seconds: 10 }),
      step({ id: 'off', kind: 'key', title: 'Off', how: '', again: { back: 'run', times: 3 } }),
      step({
        id: 'tool',
        kind: 'tool',
        title: 'Tool',
        how: '',
        asks: 'what it said',
        answers: [
          { words: 'Good', goTo: 'done' },
          { words: 'Again', goTo: 'run' },
          { words: 'Bad', goTo: 'failed' },
        ],
        instead: [{ words: 'No tool', goTo: 'drive' }],
      }),
      step({ id: 'drive', kind: 'drive', title: 'Drive', how: '' }),
    ],
  });
  const turn = (from: number): [number, Untimed][] => [
    [from + 10, confirm],
    [from + 11, confirm],
  ];
  const atTool = play(startRun(turns, at(0)), ...turn(0), ...turn(20), ...turn(40));
  it('is gone through so many times, and then goes on', () => {
    expect(currentStep(play(startRun(turns, at(0)), ...turn(0)))?.id).toBe('run');
    expect(currentStep(play(startRun(turns, at(0)), ...turn(0), ...turn(20)))?.id).toBe('run');
    expect(currentStep(atTool)?.id).toBe('tool');
  });
  it('asks for the text and which it was, and keeps the text', () => {
    expect(play(atTool, [60, confirm]).said).toBe('Say which it was.');
    expect(play(atTool, [60, { ...confirm, answer: 0 }]).said).toBe('Type what it said.');
    const good = play(atTool, [60, { ...confirm, answer: 0, text: ' OK 12 ' }]);
    expect(good).toMatchObject({ status: 'complete', texts: [{ step: 'tool', text: 'OK 12' }] });
    expect(play(atTool, [60, { ...confirm, answer: 2, text: 'no' }])).toMatchObject({
      status: 'ended badly',
      said: 'The run ended badly.',
    });
  });
  it('counts its turns from the start when it goes back', () => {
    const again = play(atTool, [60, { ...confirm, answer: 1, text: 'x' }]);
    expect(again.rounds).toEqual({});
    expect(currentStep(play(again, ...turn(60), ...turn(80)))?.id).toBe('run');
    expect(currentStep(play(again, ...turn(60), ...turn(80), ...turn(100)))?.id).toBe('tool');
  });
  it('takes another way at once, and not one that is not there', () => {
    expect(currentStep(play(atTool, [60, { kind: 'instead', answer: 0 }]))?.id).toBe('drive');
    expect(play(atTool, [60, { kind: 'instead', answer: 4 }])).toMatchObject({ at: 2, said: /not offered/ });
  });
  it('is over at once when it has no steps, and says why', () => {
    const none = recipeOf({ id: 'n', name: 'None', way: 'none' });
    expect(startRun(none, at(0))).toMatchObject({ status: 'complete', said: 'None is needed.' });
    const itself = recipeOf({ id: 'i', name: 'Itself', way: 'itself', lookAgain: { value: 30, unit: 'mi' } });
    expect(startRun(itself, at(0)).said).toBe('It adapts by itself. After 30 mi look again.');
    expect(recipeWords(itself)).toBe('adapts by itself: look again after 30 mi');
  });
  it('holds its figures in the units of whoever wrote it', () => {
    const drive = recipeOf({
      id: 'd',
      name: 'D',
      steps: [
        step({
          id: 'd',
          kind: 'drive',
          title: 'D',
          how: '',
          seconds: 20,
          conditions: [
            { kind: 'reading', name: 'speed', low: 30, high: 45, unit: 'mph', words: '' },
            { kind: 'reading', name: 'ect', low: 176, high: null, unit: '°F', words: '' },
          ],
        }),
      ],
    });
    const run = startRun(drive, at(0));
    expect(drive.steps[0]!.conditions.map((each) => conditionWords(drive, each))).toEqual([
      'road speed 30 to 45 mph',
      'coolant at 176 °F or more',
    ]);
    const speed = (value: number) => ({ kind: 'reading', name: 'speed', value }) as const;
    const hot = { kind: 'reading', name: 'ect', value: 80 } as const;
    expect(isCounting(play(run, [1, speed(48.2)], [2, hot]))).toBe(false);
    expect(isCounting(play(run, [1, speed(48.3)], [2, hot]))).toBe(true);
    expect(isCounting(play(run, [1, speed(72.5)], [2, hot]))).toBe(false);
    expect(isCounting(play(run, [1, speed(50)], [2, { ...hot, value: 79.9 }]))).toBe(false);
  });
});

describe('what is wrong with a recipe', () => {
  const of = (...steps: Recipe['steps'][number][]) => recipeProblems(recipeOf({ id: 'x', name: 'X', steps }));
  const plain = (id: string, said: Partial<Recipe['steps'][number]> = {}) =>
    step({ id, kind: 'check', title: id, how: '', ...said });
  const says = (...steps: Recipe['steps'][number][]): string =>
    of(...steps)
      .map(({ stepId, field, words }) => `${stepId}.${field}: ${words}`)
      .join('\n');
  it('is nothing in those that come with the program', () => {
    for (const each of STARTER_RECIPES) expect(recipeProblems(each)).toEqual([]);
  });
  it('is a loop that cannot end, by the name of each step in it', () => {
    const loop = says(
      plain('a', { answers: [{ words: 'on', goTo: 'b' }] }),
      plain('b', { answers: [{ words: 'back', goTo: 'a' }] }),
      plain('c'),
    );
    expect(loop).toContain('a.answers: Step 1, “a”, never comes to an end');
    expect(loop).toContain('b.answers: Step 2, “b”, never comes to an end');
    expect(loop).toContain('c.id: Nothing leads to step 3.');
    expect(
      says(
        plain('a', { answers: [{ words: 'on', goTo: 'b' }] }),
        plain('b', {
          answers: [
            { words: 'back', goTo: 'a' },
            { words: 'out', goTo: 'done' },
          ],
        }),
      ),
    ).toBe('');
  });
  it.each([
    [{ seconds: -1 }, 'seconds: Expected more than 0 s'],
    [{ seconds: 0 }, 'seconds: Expected more than 0 s'],
    [{ seconds: 48 * 3600 + 1 }, 'at most 48 h'],
    [{ kind: 'wait' as const }, 'a time or a condition'],
    [{ title: ' ' }, 'title: Say what is done.'],
    [{ answers: [{ words: 'x', goTo: 'nowhere' }] }, 'a step that is not there'],
    [{ answers: [{ words: '', goTo: 'done' }] }, 'when it goes this way'],
    [{ instead: [{ words: 'x', goTo: 'nowhere' }] }, 'a step that is not there'],
    [{ again: { back: 'b', times: 3 } }, 'this step or an earlier one'],
    [{ again: { back: 'a', times: 1 } }, 'Expected 2 to 50 times.'],
    [{ again: { back: 'a', times: 2 }, answers: [{ words: 'x', goTo: 'done' }] }, 'either asks which way'],
    [
      {
        conditions: [
          { kind: 'reading' as const, name: 'ect' as const, low: 90, high: 80, unit: '°C' as const, words: '' },
        ],
      },
      'Expected the lower figure first, got 90 to 80.',
    ],
    [
      {
        conditions: [
          { kind: 'reading' as const, name: 'ect' as const, low: null, high: null, unit: '°C' as const, words: '' },
        ],
      },
      'From which figure on',
    ],
    [
      {
        conditions: [
          { kind: 'reading' as const, name: 'ect' as const, low: 400, high: null, unit: '°F' as const, words: '' },
        ],
      },
      'Nothing reads that: coolant at 400 °F or more.',
    ],
    [
      { conditions: [{ kind: 'flag' as const, name: 'own-1', on: true, words: '' }] },
      'conditions.0: Say in a few words what must be so.',
    ],
    [
      { conditions: [{ kind: 'flag' as const, name: 'bubbles', on: true, words: '' }], pausedBy: ['bubbles'] },
      'Its time would never count',
    ],
    [
      {
        conditions: [
          { kind: 'flag' as const, name: 'bubbles', on: true, words: '' },
          { kind: 'flag' as const, name: 'bubbles', on: false, words: '' },
        ],
      },
      'It needs both',
    ],
    [
      {
        endsBadly: [
          { name: 'rpm' as const, below: null, above: null, unit: 'rpm' as const, words: '', goTo: 'failed' },
        ],
      },
      'Below or above which figure',
    ],
    [
      { endsBadly: [{ name: 'rpm' as const, below: 4, above: null, unit: 'rpm' as const, words: '', goTo: 'gone' }] },
      'What ends badly leads to a step that is not there',
    ],
  ])('%j', (said, expected) => {
    expect(says(plain('a', said), plain('b'))).toContain(expected);
  });
  it('is an id twice, or one that means an end', () => {
    expect(says(plain('a'), plain('a'))).toContain('Two steps have the id “a”.');
    expect(says(plain('done'))).toContain('means that the run is done');
  });
  it.each([
    [{ name: '' }, 'What is it called?'],
    [{ steps: [] }, 'at least one step'],
    [{ way: 'none' as const }, 'None is needed, and yet there are steps'],
    [{ way: 'itself' as const }, 'After how far'],
    [{ way: 'itself' as const, lookAgain: { value: 0, unit: 'km' as const } }, 'After how far'],
    [
      { way: 'itself' as const, purpose: 'bleed' as const, lookAgain: { value: 1, unit: 'km' as const } },
      'Bleeding goes',
    ],
  ])('of the whole: %j', (said, expected) => {
    const whole = recipeOf({ id: 'x', name: 'X', steps: [plain('a')], ...said });
    expect(
      recipeProblems(whole)
        .map(({ words }) => words)
        .join('\n'),
    ).toContain(expected);
  });
});

describe('which recipes are offered', () => {
  const own = [
    recipeOf({ id: 'any', name: 'Any' }),
    recipeOf({ id: 'fam', name: 'Fam', fits: { families: ['f'], kinds: [], vehicles: [] } }),
    recipeOf({ id: 'veh', name: 'Veh', fits: { families: ['other'], kinds: [], vehicles: ['v'] } }),
    recipeOf({ id: 'act', name: 'Act', fits: { families: [], kinds: ['idle-actuator'], vehicles: [] } }),
    recipeOf({ id: 'drive', name: 'Our drive' }),
  ];
  const all = allRecipes(own);
  it('a shop’s own takes the place of one that came with the program', () => {
    expect(all.filter(({ id }) => id === 'drive').map(({ name }) => name)).toEqual(['Our drive']);
    expect(all.map(({ id }) => id)).toContain('timed-idle');
  });
  it('the nearest first, and none for other engines', () => {
    const offered = offeredRecipes(all, {
      purpose: 'relearn',
      vehicleId: 'v',
      familyId: 'f',
      kinds: ['throttle-body'],
      named: ['drive'],
    }).map(({ recipe: { id }, why }) => `${id} ${why}`);
    expect(offered.slice(0, 3)).toEqual(['veh vehicle', 'fam family', 'drive procedure']);
    expect(offered).toContain('any any');
    expect(offered.join()).not.toMatch(/act|bleed/);
  });
});

describe('bleeding', () => {
  const bleed = starterRecipe('bleed')!;
  it('goes back when it gets too hot and counts only without bubbles', () => {
    const hot = play(
      startRun(bleed, at(0)),
      [1, confirm],
      [2, confirm],
      [3, { kind: 'reading', name: 'ect', value: 112 }],
    );
    expect(currentStep(hot)?.id).toBe('open');
    const bubbles = play(
      startRun(bleed, at(0)),
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
