import type { UnitObjectKind } from '../../vehicle/index.ts';
import type { Finding } from '../types.ts';

/** Findings as tests write them: `sign=outcome`, or `sign@kind:place=outcome` for one made on a unit. */
export const findingsIn = (text: string): Finding[] =>
  text
    .split(/\s+/)
    .filter((each) => each !== '')
    .map((each) => {
      const [name = '', outcome = ''] = each.split('=');
      const [sign = '', at = ''] = name.split('@');
      const [kind = '', place = ''] = at.split(':');
      return { sign, outcome, ...(at === '' ? {} : { unit: { kind: kind as UnitObjectKind, place } }) };
    });
