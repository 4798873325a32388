import { describe, expect, it } from 'vitest';
import {
  type Airway,
  CHOKED,
  cylinderFlow,
  effectiveArea,
  flowFunction,
  idleArea,
  type IdleReading,
  massFlow,
  openPlateArea,
  plateArea,
  plateDegrees,
  recovered,
} from './index.ts';

describe('an isentropic orifice', () => {
  it('is choked below 0.528, and flows as the tables say', () => {
    expect(CHOKED).toBeCloseTo(0.5283, 4);
    expect(flowFunction(0.3)).toBeCloseTo(0.6847, 4);
    expect(flowFunction(0.3)).toBe(flowFunction(0.5));
    // By hand: r = 0.9, γ = 1.4: 0.9^0.7143·√(7·(1 − 0.9^0.2857)) = 0.4222
    expect(flowFunction(0.9)).toBeCloseTo(0.4222, 3);
    expect(flowFunction(1)).toBe(0);
    expect(flowFunction(CHOKED + 1e-9)).toBeCloseTo(flowFunction(CHOKED), 6);
  });
  it('takes 4.18 mm² for a gram a second at 1013 hPa and 20 °C', () => {
    const across = { upstreamKPa: 101.325, downstreamKPa: 35, upstreamC: 20 };
    expect(effectiveArea(1, across)).toBeCloseTo(4.18, 2);
    expect(massFlow(4.18, across)).toBeCloseTo(1, 3);
    expect(effectiveArea(1, { ...across, downstreamKPa: 101.325 })).toBeNull();
  });
  it('knows what cylinders draw, and what a plate opens', () => {
    // 0.7·36·2.5·830·1000/(120·287.05·313.15) = 4.847 g/s
    expect(
      cylinderFlow({ rpm: 830, displacementL: 2.5, manifoldKPa: 36, manifoldC: 40, volumetricEfficiency: 0.7 }),
    ).toBeCloseTo(4.848, 3);
    // π/4·52²·(1 − cos 10°/cos 6°) = 20.74
    expect(plateArea(52, 10, 6)).toBeCloseTo(20.74, 2);
    expect(plateArea(52, 6, 6)).toBe(0);
    const plates = { boreMm: 62, closedDeg: 6, bodies: 2 };
    for (const mm2 of [0.5, 12, 90]) expect(openPlateArea(plates, plateDegrees(plates, mm2))).toBeCloseTo(mm2, 6);
    expect(plateArea(52, 40, 6, 10)).toBeLessThan(plateArea(52, 40, 6));
  });
});

describe('the air of an idle', () => {
  const airway: Airway = {
    displacementL: 2.5,
    volumetricEfficiency: { value: 0.7, sd: 0.05 },
    meterError: 0.03,
    valveMm2PerPercent: { value: 0.4, sd: 0.03 },
    plate: null,
  };
  const reading: IdleReading = {
    rpm: { value: 830, sd: 1 },
    airMass: { value: 4, sd: 0.02 },
    manifoldKPa: { value: 30, sd: 0.1 },
    intakeC: 20,
    baroKPa: 101.325,
    valveDuty: { value: 33, sd: 0.1 },
    plateDeg: null,
  };
  it('is the total less what the valve passes', () => {
    const area = idleArea(reading, airway)!;
    expect(area.total.value).toBeCloseTo(16.72, 1);
    expect(area.governed.value).toBeCloseTo(13.2, 6);
    expect(area.ungoverned.value).toBeCloseTo(3.52, 1);
    expect(area.by).toBe('air mass');
  });
  it('is found from speed and pressure where there is no meter, and not at all without either', () => {
    const area = idleArea({ ...reading, airMass: null }, airway)!;
    expect(area.by).toBe('speed and pressure');
    expect(area.total.sd).toBeGreaterThan(idleArea(reading, airway)!.total.sd);
    expect(idleArea({ ...reading, airMass: null, manifoldKPa: null }, airway)).toBeNull();
    expect(idleArea({ ...reading, rpm: { value: 0, sd: 0 } }, airway)).toBeNull();
  });
  it('is found again by the difference, in which what is off both times drops out', () => {
    const before = idleArea({ ...reading, valveDuty: { value: 40.75, sd: 0.1 } }, airway)!;
    const found = recovered(before, idleArea(reading, airway)!);
    expect(found.value).toBeCloseTo(3.1, 1);
    expect(found.shown).toBe(true);
    expect(found.high - found.low).toBeLessThan(1);
    const same = recovered(before, before);
    expect([same.value, same.shown]).toEqual([0, false]);
  });
  it('counts what a driven plate is opened by', () => {
    const plate = { ...airway, valveMm2PerPercent: null, plate: { boreMm: 46, closedDeg: 6, bodies: 1 } };
    const area = idleArea({ ...reading, valveDuty: null, plateDeg: { value: 1.9, sd: 0.05 } }, plate)!;
    expect(area.governed.value).toBeCloseTo(0.7 * plateArea(46, 7.9, 6), 6);
    expect(area.governed.sd).toBeGreaterThan(0.05);
  });
});
