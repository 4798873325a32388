import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  attemptFinding,
  attemptWeight,
  bestPair,
  type CauseModel,
  causesFor,
  chancesOf,
  checkKnowledge,
  contradictions,
  cureOf,
  type Finding,
  likelihood,
  type Knowledge,
  posterior,
  proofsOf,
  rank,
  signsFor,
  type Subject,
  triedOf,
} from './index.ts';
import { SHIPPED_KNOWLEDGE as K } from './knowledge/index.ts';
import { findingsIn } from './testing/findings.ts';

const VAN: Subject = { group: 'electronic', hasValve: false, units: [{ kind: 'throttle-body', place: 'only' }] };
const BUS: Subject = {
  group: 'cable',
  hasValve: true,
  units: [
    { kind: 'throttle-body', place: 'only' },
    { kind: 'idle-valve', place: 'only' },
  ],
};
const SALOON: Subject = {
  group: 'multi-bank',
  hasValve: true,
  units: [
    { kind: 'throttle-actuator', place: 'left' },
    { kind: 'throttle-actuator', place: 'right' },
    { kind: 'idle-actuator', place: 'left' },
    { kind: 'idle-actuator', place: 'right' },
  ],
};
const of = (subject: Subject, findings: string, knowledge: Knowledge = K) =>
  rank(causesFor(knowledge, subject), findingsIn(findings));
const shareOf = (subject: Subject, findings: string, cause: string) =>
  of(subject, findings).causes.find(({ id }) => id === cause)!.share;

describe('proof', () => {
  it('is 0.995 for what it names and 0.001 for all else, by hand', () => {
    const models = causesFor(K, VAN);
    const seen: Finding = { sign: 'duct-off-look', outcome: 'object' };
    for (const model of models) expect(likelihood(model, seen)).toBeCloseTo(model.id === 'foreign' ? 0.995 : 0.001, 12);
    const prior = models.find(({ id }) => id === 'foreign')!.prior;
    const expected = (0.995 * prior) / (0.995 * prior + 0.001 * (1 - prior));
    expect(shareOf(VAN, 'duct-off-look=object', 'foreign')).toBeCloseTo(expected, 9);
  });
  it('outweighs everything that was told', () => {
    const told = 'stalls=yes rough=yes idle-low=yes load=yes mileage=yes idle-code=low learn-code=none';
    const { causes } = of(VAN, `${told} duct-off-look=object`);
    expect(causes[0]).toMatchObject({ id: 'foreign', standing: 'proved', lookFirst: null });
  });
  it('of two causes stands twice: there are two faults', () => {
    const both = 'hoses-seen=cracked gear-look=worn';
    const { causes } = of(VAN, both);
    expect(causes.slice(0, 2).map(({ id, standing }) => [id, standing])).toEqual(
      expect.arrayContaining([
        ['intake-leak', 'proved'],
        ['gears', 'proved'],
      ]),
    );
    const pair = bestPair(causesFor(K, VAN), findingsIn(both))!;
    expect(pair.proved).toBe(true);
    expect([pair.first, pair.second].sort()).toEqual(['gears', 'intake-leak']);
    expect(contradictions(K, findingsIn(both))).toEqual([]);
  });
  it('against what rules the same cause out, asks which stands', () => {
    const opposite: Knowledge = {
      ...K,
      causes: K.causes.map((cause) =>
        cause.id === 'gears'
          ? {
              ...cause,
              shows: [
                ...cause.shows.filter(({ sign }) => sign !== 'motor-test'),
                { sign: 'motor-test', outcome: 'right', word: 'rules out' as const, why: 'sample' },
              ],
            }
          : cause,
      ),
    };
    expect(contradictions(opposite, findingsIn('gear-look=worn motor-test=right'))).toHaveLength(1);
    const other = findingsIn('gear-look@throttle-actuator:left=worn motor-test@throttle-actuator:right=right');
    expect(contradictions(opposite, other)).toEqual([]);
  });
  it('that is not seen clears only what it can see', () => {
    // Most leaks are found by smoke; a hose looks whole more often.
    const leak = causesFor(K, VAN).find(({ id }) => id === 'intake-leak')!;
    const unseen = (sign: string, outcome: string) => likelihood(leak, { sign, outcome });
    expect(unseen('smoke-test', 'none')).toBeLessThan(unseen('hoses-seen', 'whole'));
    expect(unseen('smoke-test', 'none')).toBeGreaterThan(0.05);
  });
  it('ruled out is hardly there, whatever else is found', () => {
    const { causes } = of(BUS, 'unit-changed=yes idle-code=cannot variant=same');
    const wrong = causes.filter(({ cause }) => cause === 'wrong-variant');
    expect(wrong).toHaveLength(2);
    for (const { share, standing } of wrong) expect([share < 0.02, standing]).toEqual([true, 'ruled out']);
  });
  it('gives a reason for every proof, and speaks of signs that can be seen or measured', () => {
    const proofs = proofsOf(K);
    expect(proofs.size).toBeGreaterThan(20);
    for (const [key, causes] of proofs) {
      const [sign] = key.split('=');
      expect(K.signs.find(({ id }) => id === sign)!.kind, key).toBe('check');
      for (const id of causes) {
        const row = K.causes
          .find((cause) => cause.id === id)!
          .shows.find((each) => `${each.sign}=${each.outcome}` === key)!;
        expect(row.why.length, key).toBeGreaterThan(5);
      }
    }
  });
  it('takes no likelihood beside it: the knowledge is refused', () => {
    const wrong: Knowledge = {
      ...K,
      causes: K.causes.map((cause) =>
        cause.id === 'deposit'
          ? {
              ...cause,
              shows: [...cause.shows, { sign: 'hoses-seen', outcome: 'cracked', word: 'often' as const, why: 'x' }],
            }
          : cause,
      ),
    };
    expect(checkKnowledge(wrong)[0]?.message).toMatch(/This proves “Intake leak after the meter”/);
  });
});

describe('chances with proofs', () => {
  it('still add up to 1 for every cause and sign', () => {
    const proofs = proofsOf(K);
    for (const cause of K.causes)
      for (const sign of K.signs) {
        const sum = Object.values(chancesOf(cause, sign, proofs)).reduce((total, chance) => total + chance, 0);
        expect(sum, `${cause.id} ${sign.id}`).toBeCloseTo(1, 9);
      }
  });
});

describe('one observation', () => {
  const grouped = 'clicking=yes valve-moves=clicks valve-idling=heard';
  it('is weighed once, by the view that says most', () => {
    const { causes } = of(BUS, grouped);
    const stuck = causes.find(({ id }) => id === 'valve-stuck')!;
    expect(stuck.evidence.filter(({ countedAs }) => countedAs === null)).toHaveLength(1);
    expect(stuck.share).toBeCloseTo(shareOf(BUS, 'valve-moves=clicks', 'valve-stuck'), 9);
    for (const { countedAs, bits } of stuck.evidence) if (countedAs !== null) expect(bits).toBe(0);
  });
  it('does not depend on the order in which its views were met', () => {
    const words = grouped.split(' ');
    fc.assert(
      fc.property(fc.shuffledSubarray(words, { minLength: 3, maxLength: 3 }), (order) => {
        expect(shareOf(BUS, order.join(' '), 'valve-stuck')).toBeCloseTo(shareOf(BUS, grouped, 'valve-stuck'), 12);
      }),
    );
  });
  it('is one a unit: two units are two observations', () => {
    const models = causesFor(K, SALOON);
    const two = posterior(
      models,
      findingsIn('valve-moves@idle-actuator:left=clicks valve-moves@idle-actuator:right=clicks'),
    );
    const at = (id: string) => two[models.findIndex((model) => model.id === id)]!;
    expect(at('valve-stuck@idle-actuator:left')).toBeCloseTo(at('valve-stuck@idle-actuator:right'), 9);
  });
});

describe('which one', () => {
  it('there is one of each cause for each unit it can sit at, sharing its prior', () => {
    const models = causesFor(K, SALOON);
    const gears = models.filter(({ cause }) => cause === 'gears');
    expect(gears.map(({ unit }) => `${unit?.kind} ${unit?.place}`)).toHaveLength(4);
    expect(models.reduce((sum, { prior }) => sum + prior, 0)).toBeCloseTo(1, 12);
    expect(
      causesFor(K, BUS)
        .filter(({ cause }) => cause === 'valve-stuck')
        .map(({ id }) => id),
    ).toEqual(['valve-stuck']);
  });
  it('what was seen on one says nothing bad of the other', () => {
    const seen = 'gear-look@throttle-actuator:left=worn';
    expect(shareOf(SALOON, seen, 'gears@throttle-actuator:left')).toBeGreaterThan(0.9);
    expect(shareOf(SALOON, seen, 'gears@throttle-actuator:right')).toBeLessThan(0.01);
  });
  it('imbalance needs two bodies', () => {
    const bike = (places: readonly string[]): Subject => ({
      group: 'motorcycle',
      hasValve: false,
      units: places.map((place) => ({ kind: 'throttle-body', place })),
    });
    const has = (subject: Subject) => causesFor(K, subject).some(({ id }) => id === 'sync');
    expect([has(bike(['only'])), has(bike(['1', '2']))]).toEqual([false, true]);
  });
});

describe('attempts', () => {
  const deposit = K.causes.find(({ id }) => id === 'deposit')!;
  const tried = (option: 'clean-bench' | 'relearn', helped: boolean, km: number | null = 0): Finding =>
    attemptFinding({ option, unit: null, helped, ago: { km, h: null, days: null } });
  it('weigh 1 − cure after a failure, and the cure after a success', () => {
    const model = causesFor(K, VAN).find(({ id }) => id === 'deposit')!;
    expect(likelihood(model, tried('clean-bench', false))).toBeCloseTo(1 - cureOf(deposit, 'clean-bench'), 12);
    expect(likelihood(model, tried('clean-bench', true))).toBeCloseTo(cureOf(deposit, 'clean-bench'), 12);
    expect(cureOf(deposit, 'elsewhere')).toBe(0);
  });
  it('say half as much, in bits, after every 20 000 km, 150 h or a year', () => {
    expect(attemptWeight({ km: 20_000, h: null, days: null })).toBeCloseTo(0.5, 12);
    expect(attemptWeight({ km: null, h: 300, days: null })).toBeCloseTo(0.25, 12);
    expect(attemptWeight({ km: null, h: null, days: 365 })).toBeCloseTo(0.5, 12);
    expect(attemptWeight({ km: null, h: null, days: null })).toBe(1);
    const model = causesFor(K, VAN).find(({ id }) => id === 'deposit')!;
    const bits = (km: number) => Math.log2(likelihood(model, tried('clean-bench', false, km)));
    expect(bits(20_000)).toBeCloseTo(bits(0) / 2, 12);
  });
  it('on one kind of unit leave a cause at another alone', () => {
    const still = attemptFinding({
      option: 'replace',
      unit: { kind: 'idle-valve', place: 'only' },
      helped: false,
      ago: { km: 0, h: null, days: null },
    });
    const models = causesFor(K, BUS);
    const at = (id: string) =>
      likelihood(
        models.find((model) => model.id === id)!,
        still,
      );
    expect(at('valve-stuck')).toBeCloseTo(0.1, 12);
    expect([at('deposit'), at('pigtail')].every((chance) => chance > 0.95)).toBe(true);
  });
  it('a valve that was replaced for nothing no longer leads', () => {
    const before = of(BUS, 'stalls=yes idle-code=cannot').causes[0]!;
    expect(before.id).toBe('valve-stuck');
    const after = rank(causesFor(K, BUS), [
      ...findingsIn('stalls=yes idle-code=cannot unit-fresh@idle-valve:only=yes'),
      attemptFinding({
        option: 'replace',
        unit: { kind: 'idle-valve', place: 'only' },
        helped: false,
        ago: { km: 400, h: null, days: 10 },
      }),
    ]);
    expect(after.causes[0]?.id).not.toBe('valve-stuck');
    expect(after.causes.find(({ id }) => id === 'valve-stuck')!.share).toBeLessThan(0.15);
  });
  it('are told apart from signs', () => {
    expect(triedOf('tried:replace@idle-valve')).toEqual({ option: 'replace', kind: 'idle-valve' });
    expect(triedOf('tried:relearn')).toEqual({ option: 'relearn', kind: null });
    expect([triedOf('hunting'), triedOf('tried:prayer')]).toEqual([null, null]);
  });
});

describe('how far it is settled', () => {
  it('from the telling alone it is likely at most, and says where to look first', () => {
    const told = of(VAN, 'battery=yes learn-code=yes onset=sudden relearn-done=left-out idle-high=yes').causes[0]!;
    expect(told).toMatchObject({ id: 'not-learned', standing: 'likely', lookFirst: 'learn-status' });
    expect(told.share).toBeGreaterThan(0.9);
    const looked = of(
      VAN,
      'battery=yes learn-code=yes onset=sudden relearn-done=left-out idle-high=yes learn-status=not-learned',
    ).causes[0]!;
    expect(looked.standing).toBe('decided');
  });
  it('every cause names a look that decides it, which can be made', () => {
    for (const { id, decides } of K.causes) {
      expect(decides.length, id).toBeGreaterThan(0);
      for (const sign of decides) expect(K.signs.find((each) => each.id === sign)?.kind, `${id} ${sign}`).toBe('check');
    }
  });
  it('one look that proves two causes proves that it is one of them, not both', () => {
    const turned = findingsIn('valve-turns@idle-actuator:right=stuck');
    const models = causesFor(K, SALOON);
    const alone = rank(models, turned).causes.slice(0, 2);
    expect(alone.map(({ cause }) => cause).sort()).toEqual(['gears', 'valve-stuck']);
    expect(alone.map(({ unit }) => unit?.place)).toEqual(['right', 'right']);
    expect(alone.some(({ standing }) => standing === 'proved')).toBe(false);
    expect(bestPair(models, turned)?.proved).toBe(false);
    // A second look, which proves one of them alone, settles it.
    const both = [...turned, ...findingsIn('gear-look@idle-actuator:right=worn')];
    expect(rank(models, both).causes[0]).toMatchObject({ cause: 'gears', standing: 'proved' });
  });
  it('a proof of long ago proves nothing of today', () => {
    const old = rank(causesFor(K, VAN), [{ sign: 'gear-look', outcome: 'worn', weight: 0.3 }]);
    expect(old.causes.find(({ id }) => id === 'gears')!.standing).not.toBe('proved');
  });
});

describe('nothing here fits', () => {
  it('is said when it was looked at and nothing speaks for any cause', () => {
    const clean = 'idle-speed=in-band duct-off-look=clean light-gap=even trims=normal supply-volts=right';
    expect(of(VAN, clean).explanation.nothingFits).toBe(true);
    expect(of(VAN, `${clean} hunting=yes smoke-test=hose`).explanation.nothingFits).toBe(false);
  });
  it('is not said before anything was looked at', () => {
    expect(of(VAN, '').explanation).toEqual({ leftOver: [], explained: [], nothingFits: false });
    expect(of(VAN, 'stalls=yes idle-low=yes').explanation.nothingFits).toBe(false);
  });
  it('names what the leading cause leaves over', () => {
    const { explanation } = of(VAN, 'duct-off-look=ring light-gap=blocked idle-code=low other-lamp=yes');
    expect(explanation.leftOver.map(({ sign }) => sign)).toContain('other-lamp');
    expect(explanation.explained.map(({ sign }) => sign)).toContain('light-gap');
  });
});

describe('the strength of the law', () => {
  const models = causesFor(K, BUS);
  const all = signsFor(K, BUS).flatMap((sign) => sign.outcomes.map(({ id }) => ({ sign: sign.id, outcome: id })));
  it('no single finding but a proof or a ruling out moves a cause beyond what a word can say', () => {
    const bound = (model: CauseModel, finding: Finding) => likelihood(model, finding);
    for (const model of models)
      for (const finding of all) {
        const chance = bound(model, finding);
        expect(chance).toBeGreaterThanOrEqual(0.001);
        expect(chance).toBeLessThanOrEqual(1);
      }
  });
});
