import { id, paragraph, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField } from '../decision.ts';
import { fact } from '../fact.ts';
import { pointing, unitItems } from '../items/units.ts';
import { vehicle } from '../shapes.ts';
import { countsHours } from '../../vehicle/index.ts';
import { withFigures } from './opening.ts';

/** What {@link vehiclePutRight} holds. */
export const vehiclePutRightShape = record({ vehicle, why: paragraph });
/** The job stood on the wrong vehicle; the work is the same, and its figures are judged by the right one from now on. */
export const vehiclePutRight = fact('vehicle-put-right', {
  shape: vehiclePutRightShape,
  means: (job, { vehicle, why }, stamp) => ({
    vehicle,
    items: pointing(job.items, unitItems(job.items, vehicle.units)),
    wrongVehicles: [...job.wrongVehicles, { plate: job.vehicle.plate, why, ...stamp }],
  }),
  words: (data) => `The vehicle is ${data.vehicle.plate}`,
  sheet: 'Put right',
});

/** Puts a job on another vehicle. */
export const moveJob = command('move-job', {
  shape: record({ vehicleId: id, why: paragraph }),
  asks: ({ vehicleId }) => ({ vehicle: vehicleId, family: true }),
  whenClosed: true,
  decide: (job, { vehicleId, why }, { vehicle: right, family }) => {
    if (vehicleId === job.vehicle.id) return refuse('already-there', `It is on ${job.vehicle.plate} already.`);
    if (right === null) return refuse('no-such-vehicle', 'That vehicle is not in the list.');
    if (countsHours(right.meterUnit) !== countsHours(job.reading.unit))
      return refuseField(
        'vehicleId',
        `${right.plate} counts ${right.meterUnit}; the reading was taken in ${job.reading.unit}.`,
      );
    return (
      nonEmpty('why', why, 'Why was it on the other one?') ??
      accept(vehiclePutRight.of({ vehicle: withFigures(right, family), why: why.trim() }))
    );
  },
});
