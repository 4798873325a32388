import { describe, expect, it } from 'vitest';
import type { Vehicle } from '../../vehicle/index.ts';
import { SAMPLE_VEHICLE } from '../testing/samples.ts';
import { STAGES } from '../stages.ts';
import { CAUTIONS, cautionsFor } from './cautions.ts';

const at = (id: string, more: Partial<Vehicle>): string[] =>
  STAGES.filter((stage) => cautionsFor({ vehicle: { ...SAMPLE_VEHICLE, ...more } }, stage).includes(id));

describe('cautions that a vehicle calls for', () => {
  it.each([
    [
      'an engine that is known to start by itself, wherever hands go in',
      'self-start',
      { selfStarting: true },
      ['diagnose', 'prepare', 'strip', 'clean', 'refit', 'coolant'],
    ],
    ['one of which nobody has said, before hands go in', 'self-start', { use: 'road' }, ['strip']],
    ['one that is known not to', 'self-start', { use: 'road', selfStarting: false }, []],
    ['a motorcycle, which never does', 'self-start', { use: 'motorcycle' }, []],
    ['the tank of a motorcycle, with or without a procedure', 'fuel-tank', { use: 'motorcycle' }, ['strip']],
    [
      'a diesel whose filter may be burning',
      'regeneration',
      { throttle: 'diesel-flap' },
      ['strip', 'relearn', 'prove'],
    ],
    ['petrol, which has none', 'regeneration', { throttle: 'cable' }, []],
    ['a diesel at the cleaner', 'diesel-spray', { throttle: 'diesel-flap' }, ['clean']],
    ['a driven plate', 'plate', { throttle: 'electronic' }, ['diagnose', 'inspect', 'clean']],
    ['an outboard', 'propeller', { use: 'outboard' }, ['rebuild', 'relearn', 'prove']],
  ] as const)('%s', (_, id, more, stages) => {
    expect(at(id, more)).toEqual(stages);
    expect(CAUTIONS.map((each) => each.id)).toContain(id);
  });
});
