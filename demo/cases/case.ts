import {
  attemptFinding,
  type Case,
  causesFor,
  type Finding,
  findingOfCode,
  findingsOfCodes,
  type Knowledge,
  type OptionId,
  type UnitRef,
  understand,
} from '../../core/diagnose/index.ts';
import { codesIn, UNIT_KINDS, type UnitObjectKind } from '../../core/vehicle/index.ts';
import { VEHICLES, type WrittenCase } from './written.ts';

/** How much a code counts by its status: one that was cleared speaks of what was. */
const STATUS: Readonly<Record<string, number>> = { stored: 1, pending: 0.7, permanent: 1, cleared: 0.3 };

/** The case as it is scored: words are understood and codes read by the program itself, by one knowledge. */
export function toCase(written: WrittenCase, knowledge: Knowledge): Case {
  const { signs, ownPhrases } = knowledge;
  const subject = VEHICLES[written.on];
  const understood = understand(written.says, signs, ownPhrases);
  const codes = written.codes.split(',').flatMap((each): { code: string; weight: number }[] => {
    const [code] = codesIn(each);
    return code === undefined ? [] : [{ code, weight: STATUS[each.trim().split(/\s+/)[1] ?? 'stored'] ?? 1 }];
  });
  const stored = codes.flatMap(({ code, weight }): Finding[] => {
    const finding = findingOfCode(signs, code);
    return finding === null ? [] : [{ ...finding, weight }];
  });
  const read =
    written.codes === ''
      ? []
      : findingsOfCodes(
          signs,
          codes.map(({ code }) => code),
          true,
        );
  const told: Finding[] = [
    ...understood.heard.map(({ sign, outcome }) => ({ sign, outcome })),
    ...understood.attempts.map(({ option, kind, helped, days }) =>
      attemptFinding({ option, unit: placeOfKind(kind, subject.units), helped, ago: { km: null, h: null, days } }),
    ),
    ...findingsIn(written.asked),
    ...written.tried.split(';').flatMap((each) => attemptIn(each, subject.units)),
    ...stored,
    ...read.filter(({ sign }) => !stored.some((finding) => finding.sign === sign)),
  ];
  const models = causesFor(knowledge, subject);
  return {
    id: written.id,
    title: written.title,
    subject,
    told,
    finds: findingsIn(written.finds),
    truth: written.truth === 'none' ? [] : written.truth.split('+').map((each) => modelId(each, models)),
    first: written.first.split(' ') as OptionId[],
  };
}

/** A truth with a unit is a model of its own only where there are several; else it is the cause. */
const modelId = (truth: string, models: readonly { readonly id: string }[]): string =>
  models.some(({ id }) => id === truth) ? truth : (truth.split('@')[0] ?? truth);

/** `sign=outcome sign@kind:place=outcome` */
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

const placeOfKind = (kind: UnitObjectKind | null, units: readonly UnitRef[]): UnitRef | null =>
  kind === null ? null : (units.find((unit) => unit.kind === kind) ?? null);

/** `option@kind no 12 days 300 km` */
function attemptIn(text: string, units: readonly UnitRef[]): Finding[] {
  const [what = '', how = '', ...since] = text.trim().split(/\s+/);
  if (what === '') return [];
  const [option = '', kind = ''] = what.split('@');
  const ago = (unit: string): number | null => {
    const at = since.indexOf(unit);
    return at < 1 ? null : Number(since[at - 1]);
  };
  return [
    attemptFinding({
      option: option as OptionId,
      unit: placeOfKind(kind in UNIT_KINDS ? (kind as UnitObjectKind) : null, units),
      helped: how === 'yes',
      ago: { km: ago('km'), h: ago('h'), days: ago('days') },
    }),
  ];
}
