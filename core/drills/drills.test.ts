import { describe, expect, it } from 'vitest';
import { SHIPPED_KNOWLEDGE as KNOWN } from '../diagnose/knowledge/index.ts';
import { convert } from '../quantity/index.ts';
import {
  isSound,
  judgeMix,
  judgeRelearn,
  judgeWayBack,
  judgeWrench,
  mixDrill,
  relearnDrill,
  seenDrill,
  stillInDrill,
  TRACE_ANSWERS,
  traceDrill,
  wayBackDrill,
  wrenchDrill,
} from './index.ts';

const SEEDS = Array.from({ length: 40 }, (_, seed) => seed * 7919);

describe('the way back', () => {
  it('can always be put right: each rule can hold at once', () => {
    for (const seed of SEEDS) {
      const drill = wayBackDrill(seed);
      // Whatever nothing must come before goes first, until all are on.
      const order: string[] = [];
      let left = drill.items.map(({ id }) => id);
      while (left.length > 0) {
        const next = left.find((id) => drill.rules.every(({ first, then }) => then !== id || !left.includes(first)));
        expect(next).toBeDefined();
        order.push(next!);
        left = left.filter((id) => id !== next);
      }
      expect(judgeWayBack(drill, order)).toEqual({ right: drill.rules.length, of: drill.rules.length, broken: [] });
    }
  });
  it('says why an order is wrong', () => {
    const drill = wayBackDrill(3);
    const gasketLast = [
      ...drill.items.map(({ id }) => id).filter((id) => id !== drill.rules[0]!.first),
      drill.rules[0]!.first,
    ];
    const { broken, right, of } = judgeWayBack(drill, gasketLast);
    expect(broken[0]?.reason.length).toBeGreaterThan(8);
    expect(right).toBeLessThan(of);
  });
  it('is the same for the same seed, and shuffled', () => {
    expect(wayBackDrill(11)).toEqual(wayBackDrill(11));
    const orders = new Set(
      SEEDS.map((seed) =>
        wayBackDrill(seed)
          .items.map(({ id }) => id)
          .join(),
      ),
    );
    expect(orders.size).toBeGreaterThan(20);
  });
});

describe('a relearn by pedal and key', () => {
  it('is right within each time of the recipe, and says by how much it was not', () => {
    for (const seed of SEEDS) {
      const drill = relearnDrill(seed);
      const middle = drill.steps.map(({ low, high }) => (low + high) / 2);
      expect(judgeRelearn(drill, middle).every(({ isRight }) => isRight)).toBe(true);
      const late = judgeRelearn(
        drill,
        middle.map((seconds, index) => (index === 1 ? drill.steps[1]!.high + 2 : seconds)),
      );
      expect(late.map(({ isRight }) => isRight).filter((right) => !right)).toHaveLength(1);
      expect(late[1]?.words).toContain('too long');
      expect(judgeRelearn(drill, middle.slice(0, 1))[1]?.words).toContain('too short');
    }
  });
  it('begins with the key, and alternates what is pressed', () => {
    for (const seed of SEEDS) {
      const { steps } = relearnDrill(seed);
      expect(steps[0]).toMatchObject({ control: 'key', down: true });
      expect(steps.at(-1)?.control).toBe('key');
    }
  });
});

describe('a trace to be read', () => {
  const traces = Array.from({ length: 24 }, (_, seed) => traceDrill(seed));
  const idle = ({ seconds, rpm }: (typeof traces)[number], from: number) => {
    const keep = seconds.flatMap((at, index) => (at >= from ? [index] : []));
    return { times: keep.map((index) => seconds[index]!), values: keep.map((index) => rpm[index]!) };
  };
  it('shows each answer sooner or later', () => {
    expect(new Set(traces.map(({ answer }) => answer))).toEqual(new Set(Object.keys(TRACE_ANSWERS)));
  });
  it('shows what it is said to show, by its own figures', () => {
    const late = (trace: (typeof traces)[number]): number => {
      const level = trace.rpm.slice(0, 40).reduce((sum, each) => sum + each, 0) / 40;
      // From the pedal up until it is within a tenth and stays.
      const last = trace.rpm.findLastIndex((each) => Math.abs(each - level) > level * 0.1);
      return (trace.seconds[last] ?? 0) - 7.5;
    };
    const swing = (trace: (typeof traces)[number]): number => {
      const { values } = idle(trace, 15);
      return Math.max(...values) - Math.min(...values);
    };
    for (const trace of traces) {
      const falls = trace.position.filter((each, index) => index > 0 && trace.position[index - 1]! - each > 8).length;
      if (trace.answer === 'nothing') {
        expect(late(trace)).toBeLessThan(4);
        expect(swing(trace)).toBeLessThan(70);
      }
      if (trace.answer === 'slow') expect(late(trace)).toBeGreaterThan(3.5);
      if (trace.answer === 'hunting') expect(swing(trace)).toBeGreaterThan(80);
      // One more sudden fall than the pedal itself makes.
      if (trace.answer === 'drop-out') expect(falls).toBeGreaterThanOrEqual(1);
      expect(trace.rpm).toHaveLength(trace.seconds.length);
    }
  });
});

describe('what is to be judged by eye', () => {
  it('has the answer of the knowledge among those offered, and every kind of answer in time', () => {
    const all = SEEDS.map((seed) => seenDrill(seed, KNOWN));
    for (const drill of all) expect(drill.answers.map(({ id }) => id)).toContain(drill.answer);
    expect(new Set(all.map(({ sign }) => sign)).size).toBeGreaterThan(5);
    const sound = all.filter((drill) => isSound(KNOWN, drill)).length;
    expect(sound).toBeGreaterThan(8);
    expect(sound).toBeLessThan(32);
  });
});

describe('a wrench set for a figure in another unit', () => {
  it('is right at the mark of its scale, and tells what the bolt would get', () => {
    for (const seed of SEEDS) {
      const drill = wrenchDrill(seed);
      expect(drill.scale.unit).not.toBe(drill.figure.unit);
      expect(drill.mark).toBeGreaterThanOrEqual(drill.scale.low);
      expect(drill.mark).toBeLessThanOrEqual(drill.scale.high);
      expect(judgeWrench(drill, drill.mark).isRight).toBe(true);
      const exact = convert(drill.figure.value, drill.figure.unit, drill.scale.unit);
      expect(Math.abs(exact - drill.mark)).toBeLessThanOrEqual(drill.scale.step / 2 + 1e-9);
      // The figure itself, set on the other scale: the slip that strips threads.
      const slip = judgeWrench(drill, drill.figure.value);
      if (!slip.isRight) expect(slip.words).toMatch(/too (little|much)/);
    }
  });
  it('works by hand: 9 N·m are 80 pound-inches', () => {
    const drill = {
      figure: { value: 9, unit: 'N·m' },
      scale: { unit: 'in·lb', low: 20, high: 270, step: 5 },
      mark: 80,
    } as const;
    expect(judgeWrench(drill, 80).isRight).toBe(true);
    expect(judgeWrench(drill, 9).words).toContain('% too little');
  });
});

describe('what is still in', () => {
  it('is the one thing that goes in and is never noted out', () => {
    for (const seed of SEEDS) {
      const { lines, answers, answer } = stillInDrill(seed);
      expect(answers).toContain(answer);
      expect(answers).toHaveLength(5);
      // Five in, four out, and the work between them.
      expect(lines).toHaveLength(5 + 4 + 7);
      expect(new Set(lines).size).toBe(lines.length);
    }
  });
});

describe('mixing and topping up', () => {
  it('comes to its target with what is said to be poured', () => {
    for (const seed of SEEDS) {
      const drill = mixDrill(seed);
      const judged = judgeMix(drill, drill.concentrate);
      expect(judged.isRight).toBe(true);
      expect(judged.share).toBeCloseTo(drill.target, 2);
    }
  });
  it('works by hand: 6 L that lost 2 L at 40 % come to 45 % with 1.1 L of concentrate', () => {
    const drill = { volume: 6, lost: 2, share: 0.4, target: 0.45, concentrate: 1.1 };
    expect(judgeMix(drill, 1.1).isRight).toBe(true);
    expect(judgeMix(drill, 0.9).words).toContain('1.60 L are in there');
    expect(() => judgeMix(drill, 2.4)).toThrow(RangeError);
  });
});
