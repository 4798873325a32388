import { FIELDS } from '../../core/quantity/index.ts';
import { describe, expect, it } from 'vitest';
import { SAMPLE_FAMILY } from '../../core/job/testing/samples.ts';
import type { EngineFamily } from '../../core/vehicle/index.ts';
import { readVariant, variantText } from '../parts/variantText.ts';
import { bandText, figureFrom, readBand } from './bandText.ts';
import { emptyKitPart, emptyUnitType, familyText, movedPart, readFamily } from './familyText.ts';

describe('a family as typed', () => {
  it('comes back as it was', () => {
    const read = readFamily(familyText(SAMPLE_FAMILY, 'cr'), 'cr');
    const { id: _, ...input } = SAMPLE_FAMILY;
    expect(read).toEqual({ row: input, unread: {} });
  });
  it('keeps its kits, and says which piece cannot be read', () => {
    const part = {
      id: 'r',
      name: 'Ring',
      partNumber: 'R-1',
      count: 2,
      rubber: 'epdm' as const,
      wayRound: 'lip out',
      order: 1,
      note: 'wet',
    };
    const [type] = SAMPLE_FAMILY.unitTypes;
    const family = { ...SAMPLE_FAMILY, unitTypes: [{ ...type!, kit: [part] }] };
    const text = familyText(family, 'cr');
    const read = readFamily(text, 'cr');
    expect((read.row as EngineFamily).unitTypes[0]?.kit).toEqual([part]);
    text.unitTypes[0]!.kit.push({ ...emptyKitPart('x', 2), count: 'some' });
    const wrong = readFamily(text, 'cr');
    expect(wrong.unread).toEqual({ 'unitTypes.0.kit.1.count': 'Expected 1 to 99, got “some”.' });
  });
  it('keeps its kit in the order in which it goes in, and numbers it anew when a piece is moved', () => {
    const piece = (id: string, order: string) => ({ ...emptyKitPart(id, 1), order });
    const kit = [piece('a', '1'), piece('b', '1'), piece('c', '2')];
    expect(movedPart(kit, 'c', 0).map(({ id, order }) => `${id}${order}`)).toEqual(['c1', 'a2', 'b3']);
    expect(movedPart(kit, 'a', 2).map(({ id }) => id)).toEqual(['b', 'c', 'a']);
    expect(movedPart(kit, 'x', 0)).toEqual(kit);
    const stored = (id: string, order: number) => ({ id, name: id, partNumber: '', count: 1, rubber: null, wayRound: '', order }); // prettier-ignore
    const [type] = SAMPLE_FAMILY.unitTypes;
    const family = { ...SAMPLE_FAMILY, unitTypes: [{ ...type!, kit: [stored('late', 2), stored('early', 1)] }] };
    expect(familyText(family, 'cr').unitTypes[0]?.kit.map(({ id }) => id)).toEqual(['early', 'late']);
  });
  it('leaves empty what is empty, and marks what has no source', () => {
    const text = familyText(null, 'cr');
    text.figures.idleRpm.band = '780 – 880';
    text.unitTypes.push(emptyUnitType('x'));
    const read = readFamily(text, 'cr');
    expect(read).toMatchObject({
      unread: {},
      row: {
        figures: { idleRpm: { low: 780, high: 880, source: null } },
        unitTypes: [{ places: ['only'], prices: { new: null }, daysToGet: null, source: null }],
      },
    });
    expect(Object.keys((read.row as EngineFamily).figures)).toEqual(['idleRpm']);
  });
  it('says beside each field what cannot be read', () => {
    const text = familyText(SAMPLE_FAMILY, 'cr');
    text.figures.coilOhms.band = 'about 50';
    text.figures.idleRpm.band = '900 to 800';
    text.unitTypes[0]!.new = 'dear';
    text.unitTypes[0]!.expected.pins = 'many';
    const read = readFamily(text, 'cr');
    expect(read.unread).toEqual({
      'figures.coilOhms': 'Expected two figures, such as 780 to 880; got “about 50”.',
      'figures.idleRpm': 'Expected the smaller figure first, got “900 to 800”.',
      'unitTypes.0.prices.new': 'Expected an amount in cr, such as 80.00; got “dear”.',
      'unitTypes.0.expected.pins': expect.stringContaining('got “many”') as string,
    });
  });
  it.each([
    ['', null],
    ['0,45 to 0,55', { low: 0.45, high: 0.55 }],
    ['5', 'Expected two figures, such as 780 to 880; got “5”.'],
  ])('reads the band “%s”', (text, expected) => {
    expect(readBand(text, FIELDS.voltsBand)).toEqual(expected);
  });
  it('a figure keeps its source while its text is not touched', () => {
    const book = { low: 780, high: 880, source: 'card 12' };
    expect(figureFrom(bandText(book), book, FIELDS.idleBand)).toBe(book);
    expect(figureFrom('790-880', book, FIELDS.idleBand)).toEqual({ low: 790, high: 880, source: null });
    expect(figureFrom('', book, FIELDS.idleBand)).toBeNull();
    expect(figureFrom('', null, FIELDS.idleBand)).toBeNull();
    expect(figureFrom('warm', book, FIELDS.idleBand)).toContain('Expected a number');
  });
  it('reads features, half a pin not among them', () => {
    const features = { portMm: 46.5, gasket: 'oval', pins: 4, drive: 'motor', mark: 'E4' };
    expect(readVariant(variantText(features))).toEqual({ ok: true, features });
    expect(readVariant({ ...variantText(features), pins: '4.5' }).ok).toBe(false);
  });
});
