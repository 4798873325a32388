export { command, commandData } from './commands.ts';
export { eventData, recordedEvent } from './events.ts';
export { jobQuery, person, settings, sinceQuery, stockItem, vehicleQuery } from './http.ts';
export type {
  BayLine,
  BayReply,
  BayStretch,
  CommandReply,
  ErrorReply,
  JobReply,
  JobSummary,
  Page,
  Person,
  Settings,
  StockItem,
  VehicleFile,
} from './http.ts';
export { id } from './primitives.ts';
export { procedure, wrench } from './procedure.ts';
export { transfer, TRANSFER_FORMAT, TRANSFER_VERSION } from './transfer.ts';
export type { Transfer } from './transfer.ts';
export { vehicle, vehicleInput } from './vehicle.ts';
export type { VehicleInput } from './vehicle.ts';
