import type { VehicleInput } from '../../contract/index.ts';
import { FIELDS } from '../../core/quantity/index.ts';
import { FIGURE_FIELDS, type Vehicle } from '../../core/vehicle/index.ts';
import type { TypedRow } from '../forms/rowForm.ts';
import { numberIn } from '../parts/numberIn.ts';
import { bandText, figureFrom } from './bandText.ts';

/** A vehicle as typed. */
export interface VehicleText {
  plate: string;
  vin: string;
  make: string;
  model: string;
  nickname: string;
  year: string;
  engine: string;
  owner: string;
  notes: string;
  /** Nothing can have been done here before; a day on paper, such as that of the first invoice, is as good. */
  knownSince: string;
  use: NonNullable<VehicleInput['use']> | null;
  throttle: VehicleInput['throttle'] | null;
  idleValve: VehicleInput['idleValve'] | null;
  meterUnit: VehicleInput['meterUnit'] | null;
  familyId: string;
  computer: string;
  selfStarting: 'yes' | 'no' | null;
  /** As it is stored; it is given from a job. */
  coolant: VehicleInput['coolant'] | null;
  bands: Record<keyof VehicleInput['figures'], string>;
  /** As they are stored: a band whose text is still the same keeps its source. */
  figures: VehicleInput['figures'];
  units: VehicleInput['units'];
}

/** A vehicle as it would be typed; null for a new one. */
export const vehicleText = (vehicle: Vehicle | null): VehicleText => ({
  plate: vehicle?.plate ?? '',
  vin: vehicle?.vin ?? '',
  make: vehicle?.make ?? '',
  model: vehicle?.model ?? '',
  nickname: vehicle?.nickname ?? '',
  year: vehicle?.year?.toString() ?? '',
  engine: vehicle?.engine ?? '',
  owner: vehicle?.owner ?? '',
  notes: vehicle?.notes ?? '',
  knownSince: vehicle?.knownSince ?? '',
  // What it has is a fact: for a new one nothing is taken for granted.
  use: vehicle?.use ?? null,
  throttle: vehicle?.throttle ?? null,
  idleValve: vehicle?.idleValve ?? null,
  meterUnit: vehicle?.meterUnit ?? 'km',
  familyId: vehicle?.familyId ?? '',
  computer: vehicle?.computer ?? '',
  selfStarting: vehicle?.selfStarting === undefined ? null : vehicle.selfStarting ? 'yes' : 'no',
  coolant: vehicle?.coolant ?? null,
  bands: {
    idleRpm: bandText(vehicle?.figures.idleRpm ?? null),
    valveDuty: bandText(vehicle?.figures.valveDuty ?? null),
    closedVolts: bandText(vehicle?.figures.closedVolts ?? null),
  },
  figures: vehicle?.figures ?? { idleRpm: null, valveDuty: null, closedVolts: null },
  units: (vehicle?.units ?? []).map((unit) => ({ ...unit })) as VehicleInput['units'],
});

/** What was typed as a vehicle, and what of it cannot be read. */
export function readVehicleText({
  bands,
  figures,
  knownSince,
  familyId,
  use,
  computer,
  selfStarting,
  coolant,
  ...text
}: VehicleText): TypedRow {
  const unread: Record<string, string> = {};
  const band = (name: keyof VehicleInput['figures']) => {
    const read = figureFrom(bands[name], figures[name], FIGURE_FIELDS[name]);
    if (typeof read !== 'string') return read;
    unread[`figures.${name}`] = read;
    return null;
  };
  const year = text.year.trim() === '' ? null : numberIn(text.year, FIELDS.count);
  if (year !== null && !Number.isInteger(year)) unread.year = `Expected a year, got “${text.year}”.`;
  const row = {
    ...text,
    year,
    figures: { idleRpm: band('idleRpm'), valveDuty: band('valveDuty'), closedVolts: band('closedVolts') },
    familyId: familyId === '' ? null : familyId,
    ...(knownSince === '' ? {} : { knownSince }),
    ...(use === null ? {} : { use }),
    ...(computer.trim() === '' ? {} : { computer }),
    ...(selfStarting === null ? {} : { selfStarting: selfStarting === 'yes' }),
    ...(coolant === null ? {} : { coolant }),
  };
  return { row, unread };
}
