import { describe, expect, it } from 'vitest';
import { random } from '../chance/index.ts';
import {
  causesOf,
  GROUPS,
  type Group,
  type OptionId,
  proofsOf,
  restOf,
  scoreByGain,
  signsFor,
  summarise,
} from '../diagnose/index.ts';
import { SHIPPED_KNOWLEDGE as KNOWN } from '../diagnose/knowledge/index.ts';
import {
  act,
  caseOfScenario,
  caseOfVehicle,
  comesOut,
  FAULTS,
  isModelled,
  look,
  LOOKS,
  type PracticeVehicle,
  practiceVehicle,
  type Scenario,
  scenarioProblem,
  SCENARIOS,
  seedOf,
  VALVED,
  vehicleOf,
} from './index.ts';

const HOW_MANY = 150;
const groups = Object.keys(GROUPS) as Group[];
/** So many vehicles, groups and causes in turn, each with one fault. */
function vehicles(count: number, seed: number): PracticeVehicle[] {
  const dice = random(seed);
  return Array.from({ length: count }, (_, nth) => {
    const group = groups[nth % groups.length]!;
    const causes = causesOf(KNOWN, { group, hasValve: VALVED.has(group) });
    const cause = causes[Math.floor(dice.uniform() * causes.length)]!;
    return practiceVehicle(seed * 100_000 + nth, group, [cause.id]);
  });
}

describe('a practice vehicle', () => {
  it('can have every fault that the knowledge knows, and shows every sign', () => {
    expect(KNOWN.causes.filter(({ id }) => FAULTS[id] === undefined).map(({ id }) => id)).toEqual([]);
    expect(Object.keys(FAULTS).filter((id) => !KNOWN.causes.some((cause) => cause.id === id))).toEqual([]);
    expect(KNOWN.signs.filter(({ id }) => !isModelled(id)).map(({ id }) => id)).toEqual([]);
    expect(() => practiceVehicle(1, 'cable', ['gremlin'])).toThrow(/gremlin/);
  });
  it('is the same from the same seed, and another from another', () => {
    const [a, b, c] = [practiceVehicle(7, 'cable', ['deposit']), practiceVehicle(7, 'cable', ['deposit']), practiceVehicle(8, 'cable', ['deposit'])]; // prettier-ignore
    expect(a).toEqual(b);
    expect(a.world).not.toEqual(c.world);
  });
  it('with nothing wrong shows nothing wrong', () => {
    for (const group of groups) {
      const { told, finds } = caseOfVehicle(practiceVehicle(3, group, []), KNOWN);
      expect([group, finds]).toEqual([group, []]);
      expect([group, told.filter(({ sign }) => sign.endsWith('-code'))]).toEqual([group, []]);
    }
  });
});

describe('what practice vehicles show', () => {
  const all = vehicles(HOW_MANY, 11);
  const proofs = proofsOf(KNOWN);

  it('proves no cause that is not there, and rules out none that is', () => {
    const against = all.flatMap((vehicle) =>
      signsFor(KNOWN, { group: vehicle.group, hasValve: vehicle.hasValve }).flatMap((sign) => {
        const outcome = comesOut(sign, vehicle);
        const proved = proofs.get(`${sign.id}=${outcome}`) ?? [];
        const falsely = proved.length > 0 && !proved.some((cause) => vehicle.faults.includes(cause));
        const ruled = KNOWN.causes.some(
          ({ id, shows }) =>
            vehicle.faults.includes(id) &&
            shows.some((row) => row.sign === sign.id && row.outcome === outcome && row.word === 'rules out'),
        );
        return falsely || ruled ? [`${vehicle.faults.join()} on ${vehicle.group}: ${sign.id}=${outcome}`] : [];
      }),
    );
    expect(against).toEqual([]);
  });

  it('leads the program’s own plan to the fault, though its likelihoods were not made from it', () => {
    const scores = all.map((vehicle) => ({ vehicle, score: scoreByGain(KNOWN, caseOfVehicle(vehicle, KNOWN), 100) }));
    const missed = scores.filter(({ score }) => score.placeEnd !== 1 && score.placeAll !== 1);
    const found = scores.filter(({ score }) => score.placeEnd === 1).length / scores.length;
    const whole = scores.filter(({ score }) => score.placeAll === 1).length / scores.length;
    const summary = summarise(scores.map(({ score }) => score));
    console.info(
      `practice: of ${scores.length} vehicles the fault led in ${(found * 100).toFixed(1)} % when checking was left off, in ${(whole * 100).toFixed(1)} % once everything was looked at; ${JSON.stringify(summary).slice(0, 400)}; missed: ${missed.map(({ vehicle }) => `${vehicle.faults.join()}/${vehicle.group}`).join(', ')}`,
    );
    expect(found).toBeGreaterThan(0.8);
  });
});

describe('the scenarios that ship', () => {
  it('are there for every cause, with two faults, with a throttle that is not to blame, and after a failed cure', () => {
    const single = SCENARIOS.filter(({ faults, tried }) => faults.length === 1 && tried.length === 0);
    expect(single.length).toBeGreaterThanOrEqual(60);
    expect(KNOWN.causes.filter(({ id }) => !single.some(({ faults }) => faults[0] === id)).map(({ id }) => id)).toEqual(
      [],
    );
    expect(SCENARIOS.filter(({ faults }) => faults.length === 2)).toHaveLength(12);
    expect(SCENARIOS.filter(({ tried }) => tried.length > 0)).toHaveLength(6);
    const innocent = KNOWN.causes.filter(({ throttle }) => !throttle).map(({ id }) => id);
    expect(single.filter(({ faults }) => innocent.includes(faults[0]!)).length).toBeGreaterThanOrEqual(8);
    expect(new Set(SCENARIOS.map(({ id }) => id)).size).toBe(SCENARIOS.length);
    expect(new Set(SCENARIOS.map(({ teaches }) => teaches)).size).toBeGreaterThan(50);
  });
  it.each(SCENARIOS.map((scenario) => [scenario.id, scenario] as const))(
    '%s can be solved from what is observed',
    (_, scenario) => {
      expect(scenarioProblem(scenario, KNOWN)).toBeNull();
    },
  );
});

describe('a scenario', () => {
  const scenario = (more: Partial<Scenario>): Scenario => ({ ...SCENARIOS[0]!, ...more });
  const problem = (more: Partial<Scenario>) => scenarioProblem(scenario(more), KNOWN);
  it('is refused when its fault is unknown, its vehicle has no such part, or it has none or three', () => {
    expect(problem({ faults: ['gremlin'] })).toEqual({ kind: 'no-such-fault', fault: 'gremlin' });
    expect(problem({ group: 'diesel-flap', faults: ['valve-coil'] })).toEqual({
      kind: 'no-such-part',
      fault: 'valve-coil',
    });
    expect(problem({ faults: [] })).toEqual({ kind: 'one-or-two' });
    expect(problem({ faults: ['deposit', 'shaft', 'passage'] })).toEqual({ kind: 'one-or-two' });
  });
  it('is refused when nothing that can be looked at tells its fault, or one of two hides the other', () => {
    // An outboard is cooled by the water it swims in: there is no level to look at.
    expect(problem({ group: 'outboard', faults: ['coolant-low'] })).toMatchObject({
      kind: 'not-observable',
      fault: 'coolant-low',
      looksLike: 'warped',
    });
    expect(problem({ faults: ['deposit', 'foreign'] })).toEqual({ kind: 'hides', fault: 'deposit', behind: 'foreign' });
    expect(problem({ faults: ['deposit', 'deposit'] })).toEqual({ kind: 'one-or-two' });
  });
  it('takes a text for a seed, the same text for the same vehicle', () => {
    expect(seedOf('monday')).toBe(seedOf('monday'));
    expect(seedOf('monday')).not.toBe(seedOf('tuesday'));
    expect(seedOf('')).toBe(0x811c9dc5 | 0);
    expect(vehicleOf(scenario({ seed: 'monday' })).world).not.toEqual(vehicleOf(scenario({ seed: 'tuesday' })).world);
    expect(vehicleOf(scenario({ seed: 'monday' }))).toEqual(vehicleOf(scenario({ seed: 'monday' })));
  });
  it('counts what was tried before and did not help as evidence', () => {
    const told = (tried: Scenario['tried']) => caseOfScenario(scenario({ tried }), KNOWN).told.length;
    expect(told(['clean-bench'])).toBe(told([]) + 1);
  });
});

describe('work on a practice vehicle', () => {
  const after = (cause: string, group: Group, option: OptionId, learned = true) => {
    const mended = act(practiceVehicle(5, group, [cause]), { option, learned });
    return KNOWN.signs
      .filter(({ id }) => KNOWN.causes.find((each) => each.id === cause)!.decides.includes(id))
      .filter((sign) => signsFor(KNOWN, { group, hasValve: mended.hasValve }).includes(sign))
      .filter((sign) => comesOut(sign, mended) !== restOf(sign))
      .map(({ id }) => id);
  };
  const cures = KNOWN.causes.flatMap(({ id, cures: all, common }) =>
    all
      .filter(({ word }) => word === 'nearly always')
      .map(({ option }) => [id, (Object.keys(common) as Group[])[0]!, option] as const),
  );
  it.each(cures)('of %s on %s: what nearly always cures, cures: %s', (cause, group, option) => {
    expect(after(cause, group, option)).toEqual([]);
  });
  it('that is not for it leaves it as it was, and an idle that was wrong wrong', () => {
    expect(after('warped', 'cable', 'clean-bench')).toContain('flatness');
    expect(after('valve-coil', 'cable', 'clean-bench')).toContain('coil-ohms');
    expect(after('intake-leak', 'cable', 'replace')).not.toEqual([]);
    expect(after('deposit', 'cable', 'relearn')).not.toEqual([]);
    const leak = practiceVehicle(5, 'electronic', ['intake-leak']);
    expect(act(leak, { option: 'elsewhere', learned: false }).idle.rpm / leak.sound.rpm).toBeCloseTo(1, 1);
  });
  it('on a body that the computer drives asks to be learned anew', () => {
    const deposit = practiceVehicle(5, 'electronic', ['deposit']);
    expect(act(deposit, { option: 'clean-bench', learned: false }).world.learned).toBe(false);
    expect(act(deposit, { option: 'clean-bench', learned: true }).world.learned).toBe(true);
    expect(act(practiceVehicle(5, 'cable', ['deposit']), { option: 'clean-bench', learned: false }).world.learned).toBe(
      true,
    );
    expect(deposit.world.depositEdge).toBeGreaterThan(2.5);
  });
});

describe('what is met', () => {
  const at = (cause: string, sign: string, group: Group = 'cable') => look(practiceVehicle(5, group, [cause]), sign);
  const value = (cause: string, sign: string): number => {
    const met = at(cause, sign);
    return met?.kind === 'figures' ? (met.figures[0]?.value ?? Infinity) : NaN;
  };
  const sectors = (cause: string): readonly number[] => {
    const met = at(cause, 'light-gap');
    return met?.kind === 'light' ? met.sectors : [];
  };
  const mean = (all: readonly number[]): number => all.reduce((sum, each) => sum + each, 0) / all.length;
  const range = (all: readonly number[]): number => Math.max(...all) - Math.min(...all);

  it('is a figure or a picture for checks that the knowledge has, and no verdict', () => {
    expect(LOOKS.filter((id) => !KNOWN.signs.some((sign) => sign.id === id))).toEqual([]);
    const words = KNOWN.signs.flatMap(({ outcomes }) => outcomes.map(({ id }) => id));
    for (const sign of LOOKS) expect(words).not.toContain((at('deposit', sign) as { kind: string }).kind);
    expect(at('deposit', 'no-such-check')).toBeNull();
  });
  it('of a coil is ohms, of a flange millimetres, of a dead coil beyond the meter', () => {
    expect(value('deposit', 'coil-ohms')).toBeCloseTo(11, 5);
    expect(Math.abs(value('valve-coil', 'coil-ohms') - 11)).toBeGreaterThan(5);
    expect(value('warped', 'flatness')).toBeGreaterThan(0.2);
    expect(value('fuel', 'fuel-pressure')).toBeLessThan(220);
  });
  it('of the light is even and wide when sound, even and thin under a deposit, leaning when warped', () => {
    const sound = look(practiceVehicle(5, 'cable', []), 'light-gap');
    const clean = sound?.kind === 'light' ? sound.sectors : [];
    expect(clean).toHaveLength(12);
    expect(range(clean)).toBeLessThan(0.2);
    expect(mean(sectors('deposit'))).toBeLessThan(mean(clean) / 2);
    expect(range(sectors('warped'))).toBeGreaterThan(range(clean) * 2);
    expect(sectors('warped')).toEqual(sectors('warped'));
  });
  it('agrees with how the sign comes out', () => {
    for (const vehicle of vehicles(120, 23)) {
      const flat = look(vehicle, 'flatness');
      const warped = KNOWN.signs.find(({ id }) => id === 'flatness')!;
      expect(flat?.kind === 'figures' && flat.figures[0]!.value! > 0.1).toBe(comesOut(warped, vehicle) === 'warped');
    }
  });
});
