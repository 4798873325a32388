import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NO_CONTEXT } from '../core/job/index.ts';
import { type Harness, harness, NOW, openJob } from './testing/harness.ts';

let server: Harness;
beforeAll(async () => {
  server = await harness();
});
afterAll(() => server.close());

const edit = {
  kind: 'likelihood',
  cause: 'deposit',
  sign: 'stalls',
  outcome: 'yes',
  word: 'often',
  why: 'all winter long',
};
const change = (more: object = {}) =>
  server.http.post('/api/knowledge').send({ by: 'isla', base: 1, note: 'after the winter', edits: [edit], ...more });

describe('knowledge', () => {
  it('ships as version 1, with the written cases that it is scored on', async () => {
    const page = await server.http.get('/api/knowledge/newest/page').expect(200);
    expect(page.body).toMatchObject({ newest: 1, versions: [{ version: 1, by: '' }] });
    const apart = page.body.cases.filter((one: { apart: boolean }) => one.apart);
    expect(page.body.cases.length - apart.length).toBeGreaterThanOrEqual(60);
    expect(apart.length).toBeGreaterThanOrEqual(120);
    await server.http.get('/api/knowledge/99').expect(404);
    await server.http.get('/api/knowledge/99/page').expect(404);
    await server.http.get('/api/knowledge/moon').expect(400);
  });
  it.each([
    ['an apprentice', { by: 'wen' }, 403, 'changed by a lead or the proprietor'],
    ['nobody', { by: 'ghost' }, 400, 'not in the list'],
    ['no note', { note: ' ' }, 400, 'what was changed'],
    ['no change', { edits: [] }, 400, 'Nothing was changed'],
    [
      'answers that add up to too much',
      { edits: [{ ...edit, sign: 'duct-off-look', outcome: 'oil' }] },
      400,
      'at most 98 %',
    ],
    ['a word of one’s own', { edits: [{ ...edit, word: 'mostly' }] }, 400, 'nearly always'],
    ['an old version as its base', { base: 7 }, 409, 'Version 1 came meanwhile'],
  ])('takes no change from %s', async (_, more, status, words) => {
    const reply = await change(more).expect(status);
    expect(reply.body.error.message + JSON.stringify(reply.body.error.fields)).toContain(words);
    expect((await server.http.get('/api/knowledge/newest')).body.version).toBe(1);
  });
  it('makes a version of a change; jobs keep theirs until they are moved', async () => {
    await openJob(server, 'old').expect(201);
    await change().expect(201, { version: 2 });
    await openJob(server, 'new', { vehicleId: 'van3', reading: { value: 92_000, unit: 'km' } }).expect(201);
    expect(server.services.jobs.job('old')?.knowledge).toBe(1);
    expect(server.services.jobs.job('new')?.knowledge).toBe(2);
    await server.send('old', 'choose-knowledge', { version: 2 }).expect(201);
    expect(server.services.jobs.job('old')?.knowledge).toBe(2);
    await server.send('old', 'choose-knowledge', { version: 9 }).expect(409);
    expect(server.db.prepare('SELECT person, note, edits FROM knowledge WHERE version = 2').get()).toEqual({
      person: 'isla',
      note: 'after the winter',
      edits: 1,
    });
  });
  it('never changes a version', () => {
    expect(() => server.db.exec("UPDATE knowledge SET note = 'x'")).toThrow(/never changed/);
    expect(() => server.db.exec('DELETE FROM knowledge')).toThrow(/never deleted/);
  });
});

describe('from complaint to decision over the wire', () => {
  beforeAll(async () => {
    await openJob(server, 'd', { vehicleId: 'van1', reading: { value: 119_000, unit: 'km' } }).expect(201);
    await server
      .send('d', 'tell-complaint', { id: 't', text: 'Dips at every stop, worse with lights on.' })
      .expect(201);
    await server.send('d', 'answer-question', { id: 'a', sign: 'onset', outcome: 'gradual' }).expect(201);
    await server
      .send('d', 'record-check', { id: 'k', check: 'closed-volts', outcome: '', typed: ['0.98'], when: 'before' })
      .expect(201);
    await server.send('d', 'pass-over-check', { id: 'o', check: 'smoke-test', why: 'no machine' }).expect(201);
    await server
      .send('d', 'read-values', {
        id: 'v',
        when: 'before',
        from: 'sim.van1',
        values: [{ pid: 12, name: 'Engine speed', value: 610, unit: 'rpm' }],
      })
      .expect(201);
    await server
      .send('d', 'read-frame', {
        id: 'f',
        code: 'P0506',
        values: [{ pid: 5, name: 'Coolant temperature', value: 84, unit: '°C' }],
      })
      .expect(201);
    await server
      .send('d', 'compare-variant', {
        id: 'w',
        kind: 'throttle-body',
        place: 'only',
        found: { portMm: 46, gasket: 'round, three holes', pins: 6, drive: 'motor', mark: 'E4' },
      })
      .expect(201);
    await server
      .send('d', 'set-terms', { option: 'replace', partsMinor: 44_000, minutes: 80, daysOff: 2, life: 170_000 })
      .expect(201);
    await server
      .send('d', 'decide', { choice: 'clean-in-place', reason: 'ring', departure: 'front only', options: [] })
      .expect(201);
    await server
      .send('d', 'make-estimate', {
        id: 'e',
        choice: 'clean-in-place',
        lines: [{ words: 'Labour', minor: 4400 }],
        lowMinor: 4100,
        highMinor: 5300,
        currency: 'cr',
        note: '',
      })
      .expect(201);
    await server
      .send('d', 'answer-estimate', {
        id: 'e',
        answer: 'approved',
        limitMinor: null,
        who: 'Island post',
        how: 'telephone',
        note: '',
      })
      .expect(201);
  });
  it.each([
    ['told', [{ body: 'Hunts.' }, { body: 'Dips at every stop, worse with lights on.' }]],
    [
      'sign_noted',
      [
        { sign: 'onset', source: 'asked' },
        { sign: 'stalls', source: 'said' },
        { sign: 'load', source: 'said' },
        { sign: 'hunting', source: 'said' },
      ],
    ],
    ['check_result', [{ kind: 'closed-volts', outcome: 'high', result: '0.98 V: above 0.6 to 0.9 V', typed: '0.98' }]],
    ['check_passed_over', [{ kind: 'smoke-test', why: 'no machine' }]],
    [
      'live_value',
      [
        { pid: 5, code: 'P0506', phase: 'frame', value: 84 },
        { pid: 12, phase: 'before', value: 610 },
      ],
    ],
    ['variant_compared', [{ kind: 'throttle-body', verdict: 'fits' }]],
    ['option_terms', [{ choice: 'replace', parts_minor: 44_000, days_off: 2 }]],
    [
      'job_decision',
      [{ choice: 'clean-in-place', vehicle_id: 'van1', throttle: 'electronic', knowledge: 2, closed_at: null }],
    ],
    ['rule_departure', [{ question: 'where', rule: 'off', taken: 'in-place', reason: 'front only' }]],
    ['estimate', [{ low_minor: 4100, high_minor: 5300, answer: 'approved', who: 'Island post' }]],
  ])('%s holds it', (table, rows) => {
    const found = server.db.prepare(`SELECT * FROM ${table} WHERE job_id = 'd'`).all();
    expect(found).toHaveLength(rows.length);
    expect(found).toEqual(expect.arrayContaining(rows.map((row) => expect.objectContaining(row))));
  });
  it('belief_share holds what was believed, most of it deposit', () => {
    const [first] = server.db
      .prepare("SELECT cause, share FROM belief_share WHERE job_id = 'd' ORDER BY share DESC")
      .all();
    expect(first).toMatchObject({ cause: 'deposit' });
  });
  it('prints the estimate as one page', async () => {
    const pdf = await server.http.get('/api/jobs/d/estimate.pdf').expect(200).expect('content-type', 'application/pdf');
    const text = (pdf.body as Buffer).toString('latin1');
    expect(text.startsWith('%PDF-')).toBe(true);
    expect(text.match(/\/Type \/Page\b/g)).toHaveLength(1);
    await server.http.get('/api/jobs/old/estimate.pdf').expect(404);
    await server.http.get('/api/jobs/none/estimate.pdf').expect(404);
  });
});

describe('families, units and their lives', () => {
  const family = async () => {
    const { id: _, ...rest } = (await server.http.get('/api/families/calder-14').expect(200)).body.family;
    return rest;
  };
  it('lists families and changes one, with an audit row', async () => {
    expect((await server.http.get('/api/families')).body.rows.length).toBeGreaterThanOrEqual(8);
    await server.http
      .put('/api/families/calder-14')
      .send({ by: 'isla', basedOn: 1, family: { ...(await family()), notes: 'quiet' } })
      .expect(200);
    await server.http
      .put('/api/families/fresh')
      .send({ by: 'isla', family: { ...(await family()), name: 'Fresh' } })
      .expect(201);
    expect((await server.http.get('/api/families/fresh')).body).toMatchObject({
      family: { id: 'fresh', name: 'Fresh' },
      version: 1,
    });
    expect(server.db.prepare("SELECT kind FROM audit WHERE subject = 'fresh'").all()).toEqual([
      { kind: 'family-created' },
    ]);
    await server.http.get('/api/families/none').expect(404);
  });
  it.each([
    ['no name', { name: ' ' }, 'family.name'],
    [
      'a band upside down',
      { figures: { idleRpm: { low: 900, high: 700, source: null } } },
      'family.figures.idleRpm.high',
    ],
    ['a figure that is not one', { figures: { shoeSize: { low: 1, high: 2, source: null } } }, 'family.figures'],
  ])('refuses a family with %s', async (_, more, field) => {
    const reply = await server.http
      .put('/api/families/bad')
      .send({ by: 'isla', family: { ...(await family()), ...more } })
      .expect(400);
    expect(Object.keys(reply.body.error.fields)).toContain(field);
  });
  it('a vehicle’s file shows its family, and its units carry what was measured', async () => {
    const { body } = await server.http.get('/api/vehicles/van3').expect(200);
    expect(body.family.id).toBe('calder-14');
    expect(body.vehicle.units).toEqual([
      expect.objectContaining({ id: 'van3-tb', variant: 'E4', features: expect.objectContaining({ mark: 'E4' }) }),
    ]);
  });
  it('a unit is bought, fitted, moved and scrapped, and sits in one place at a time', async () => {
    const features = { portMm: 46, gasket: 'round, three holes', pins: 6, drive: 'motor', mark: 'E4' };
    const live = (kind: string, more: object = {}) =>
      server.http
        .post('/api/units/breaker-1/life')
        .send({ by: 'tomas', entry: { kind, vehicleId: null, place: '', priceMinor: null, note: '', ...more } });
    await server.http
      .put('/api/units/breaker-1')
      .send({
        by: 'tomas',
        unit: {
          kind: 'throttle-body',
          partNumber: 'CW-14-0200',
          features: { ...features, bores: 2 },
          built: 'week 23/19',
        },
      })
      .expect(201);
    await live('bought', { place: 'shelf U2', priceMinor: 9000, note: 'from the breaker' }).expect(201);
    expect((await server.http.get('/api/units')).body.rows.map(({ id }: { id: string }) => id)).toContain('breaker-1');
    await live('fitted', { vehicleId: 'van2', place: 'only' }).expect(201);
    expect(
      (await server.http.get('/api/vehicles/van2')).body.vehicle.units.map(({ id }: { id: string }) => id).sort(),
    ).toEqual(['breaker-1', 'van2-tb']);
    expect((await live('fitted', { vehicleId: 'van3' }).expect(409)).body.error.message).toContain('another vehicle');
    await live('fitted', { vehicleId: 'ghost' }).expect(404);
    await live('taken-off', { place: 'bench' }).expect(201);
    await live('scrapped').expect(201);
    const { body } = await server.http.get('/api/units/breaker-1').expect(200);
    expect(body).toMatchObject({
      unit: { state: 'scrapped', vehicleId: null, built: 'week 23/19', features: { bores: 2 } },
      life: [
        { kind: 'bought', priceMinor: 9000 },
        { kind: 'fitted', vehicleId: 'van2' },
        { kind: 'taken-off' },
        { kind: 'scrapped' },
      ],
    });
    await server.http
      .put('/api/units/breaker-1')
      .send({ by: 'tomas', basedOn: body.version, unit: { kind: 'throttle-body', partNumber: 'X', features } })
      .expect(200);
    const many = { kind: 'throttle-body', partNumber: 'X', features: { ...features, bores: 9 } };
    const refused = await server.http
      .put('/api/units/breaker-1')
      .send({ by: 'tomas', basedOn: 99, unit: many })
      .expect(400);
    expect(refused.body.error.fields['unit.features.bores']).toBe('Expected 1 to 8 bores.');
    await server.http.get('/api/units/none').expect(404);
    await server.http
      .post('/api/units/none/life')
      .send({ by: 'tomas', entry: { kind: 'noted', vehicleId: null, place: '', priceMinor: null, note: 'x' } })
      .expect(404);
  });
  it('a vehicle that comes with a job file takes no unit from where it sits', () => {
    const bus = server.services.vehicles.get('bus')!;
    const { id: _, lastReading: __, ...input } = bus;
    server.services.vehicles.put(
      'copy',
      { ...input, plate: 'TQ 999', units: [...input.units] } as never,
      0,
      {
        by: 'isla',
        at: NOW,
      },
      '2026-05-13',
    );
    expect(server.services.vehicles.get('copy')?.units).toEqual([]);
    expect(server.services.vehicles.get('bus')?.units).toEqual(bus.units);
  });
  it('a vehicle cannot claim a unit that sits on another; one left out is taken off and lives on', async () => {
    const { vehicle, version } = (await server.http.get('/api/vehicles/saloon')).body;
    const { id: _, lastReading: __, ...input } = vehicle;
    const bus = (await server.http.get('/api/vehicles/bus')).body.vehicle.units[0];
    const stolen = await server.http
      .put('/api/vehicles/saloon')
      .send({ by: 'isla', vehicle: { ...input, units: [...input.units, bus] } })
      .expect(400);
    expect(stolen.body.error.fields['vehicle.units']).toMatch(/sits on TQ 417/);
    await server.http
      .put('/api/vehicles/saloon')
      .send({ by: 'isla', basedOn: version, vehicle: { ...input, units: input.units.slice(1) } })
      .expect(200);
    const gone = input.units[0].id as string;
    expect((await server.http.get(`/api/units/${gone}`)).body).toMatchObject({
      unit: { state: 'on the shelf' },
      life: [{ kind: 'fitted' }, { kind: 'taken-off' }],
    });
  });
});

describe('a job', () => {
  it('is judged by the family’s figures where its vehicle has none, as they were when it was opened', async () => {
    await openJob(server, 'figures', { vehicleId: 'van2', reading: { value: 88_000, unit: 'km' } }).expect(201);
    const { body } = await server.http.get('/api/families/calder-14');
    const { id: _, ...family } = body.family;
    const figures = { ...family.figures, idleRpm: { low: 1, high: 2, source: null } };
    await server.http
      .put('/api/families/calder-14')
      .send({ by: 'isla', basedOn: body.version, family: { ...family, figures } })
      .expect(200);
    expect(server.services.jobs.job('figures')?.vehicle.figures).toMatchObject({
      idleRpm: { low: 680, high: 760 },
      valveDuty: null,
      closedVolts: { low: 0.6, high: 0.9 },
    });
    await server.http
      .put('/api/families/calder-14')
      .send({ by: 'isla', basedOn: body.version + 1, family })
      .expect(200);
  });
});

describe('house rules, figures and results', () => {
  it('a lead sets and drops a rule; others are told whom to ask', async () => {
    await server.http.put('/api/house-rules/hoses').send({ by: 'isla', answer: 'clamp' }).expect(200);
    expect((await server.http.get('/api/shop')).body.rules).toMatchObject({ hoses: 'clamp', where: 'off' });
    await server.http.put('/api/house-rules/hoses').send({ by: 'isla', answer: null }).expect(200);
    expect((await server.http.get('/api/shop')).body.rules.hoses).toBeUndefined();
    expect(
      (await server.http.put('/api/house-rules/hoses').send({ by: 'tomas', answer: 'clamp' }).expect(403)).body.error
        .wouldHelp,
    ).toMatch(/Ask them/);
    expect(
      (await server.http.put('/api/house-rules/hoses').send({ by: 'isla', answer: 'glue' }).expect(400)).body.error
        .message,
    ).toMatch(/Clamp them; Plug them/);
    expect(
      server.db.prepare("SELECT COUNT(*) AS n FROM audit WHERE kind = 'house-rule' AND subject = 'hoses'").get(),
    ).toEqual({ n: 2 });
  });
  it('keeps the shop’s figures', async () => {
    const settings = {
      shopName: 'Tern Quay Garage',
      currency: 'cr',
      timeZone: 'Europe/London',
      measures: null,
      ratePerHourMinor: 6100,
      dayPriceMinor: 5000,
      comebackMinor: 8000,
      comebackWithin: { days: 90, km: 5000, h: 50 },
    };
    await server.http.put('/api/settings').send({ by: 'marit', settings }).expect(200, settings);
    expect((await server.http.get('/api/shop')).body.settings).toEqual(settings);
    await server.http
      .put('/api/settings')
      .send({ by: 'marit', settings: { ...settings, currency: '' } })
      .expect(400);
    await server.http.put('/api/settings').send({ by: 'wen', settings }).expect(403);
  });
  it('counts what stayed cured and what came back', async () => {
    const work = async (id: string, vehicleId: string, reading: object, daysAgo: number) => {
      const at = new Date(Date.parse(NOW) - daysAgo * 86_400_000).toISOString();
      await server.send(id, 'open-job', { vehicleId, reading, readingReason: '', complaint: 'x' }, { at }).expect(201);
      await server
        .send(id, 'decide', { choice: 'clean-bench', reason: 'ring', departure: '', options: [] }, { at })
        .expect(201);
      await server
        .send(
          id,
          'hand-over',
          { watch: '', nextDue: null, labourMinutes: 60, ratePerHourMinor: 5800, currency: 'cr' },
          { at },
        )
        .expect(201);
    };
    const within = NO_CONTEXT.comeback;
    const results = async () =>
      (await server.http.get('/api/results').query({ throttle: 'diesel-flap' }).expect(200)).body.rows;
    expect(await results()).toEqual([]);
    await work('r1', 'minibus', { value: 50_000, unit: 'km' }, 300);
    expect(await results()).toEqual([{ option: 'clean-bench', cured: 1, cameBack: 0 }]);
    // Long after: both stand. Soon after: the earlier one was not cured.
    await work('r2', 'minibus', { value: 60_000, unit: 'km' }, 300 - within.days - 1);
    expect(await results()).toEqual([{ option: 'clean-bench', cured: 2, cameBack: 0 }]);
    await work('r3', 'minibus', { value: 60_900, unit: 'km' }, 300 - within.days - 20);
    expect(await results()).toEqual([{ option: 'clean-bench', cured: 2, cameBack: 1 }]);
    // As soon, but much further on: not the same again.
    await work('r4', 'minibus', { value: 60_900 + within.km + 1, unit: 'km' }, 300 - within.days - 40);
    expect(await results()).toEqual([{ option: 'clean-bench', cured: 3, cameBack: 1 }]);
    await server.send('r3', 'reopen-job', { reason: 'stalls again' }).expect(201);
    expect(await results()).toEqual([{ option: 'clean-bench', cured: 2, cameBack: 2 }]);
    await server.http.get('/api/results').query({ throttle: 'steam' }).expect(400);
  });
  it('a shop file with a rule that is none changes nothing', async () => {
    const file = { people: [], settings: {}, wrenches: [], stock: [], procedures: [], rules: { where: 'underwater' } };
    const reply = await server.http.put('/api/shop?by=isla').send(file).expect(400);
    expect(reply.body.error.fields['rules.where']).toMatch(/answered by one of/);
  });
});
