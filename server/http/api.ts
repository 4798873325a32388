import type { Router } from 'express';
import { accountRoutes } from './accounts.ts';
import { countersignRoutes } from './countersigning.ts';
import { linkRoutes } from './links.ts';
import { phoneRoutes } from './phones.ts';
import { signInRoutes } from './signIn.ts';
import { stationRoutes } from './stations.ts';
import { adapterRoutes } from './adapter.ts';
import { airRoutes } from './air.ts';
import { bayRoutes } from './bay.ts';
import { feedRoutes } from './feeds.ts';
import { dayRoutes } from './day.ts';
import { changeRoutes } from './changes.ts';
import { followUpRoutes } from './followUps.ts';
import { houseRoutes } from './house.ts';
import { networkRoutes } from './network.ts';
import { peopleRoutes } from './people.ts';
import { wallRoutes } from './wall.ts';
import { instrumentRoutes } from './instruments.ts';
import { jobRoutes } from './jobs.ts';
import { keepingRoutes } from './keeping.ts';
import { knowledgeRoutes } from './knowledge.ts';
import { pictureRoutes } from './pictures.ts';
import { recordingNowRoutes } from './recordingNow.ts';
import { recordingRoutes } from './recordings.ts';
import { practiceRoutes } from './practice.ts';
import { procedureRoutes } from './procedures.ts';
import { recipeRoutes } from './recipes.ts';
import { searchRoutes } from './search.ts';
import { shopRoutes } from './shop.ts';
import { stockRoutes } from './stock.ts';
import { transferRoutes } from './transfer.ts';
import { familyRoutes, unitRoutes } from './units.ts';
import { supplierRoutes } from './supplier.ts';
import { reportRoutes } from './reports.ts';
import { exchangeRoutes, signedFileRoutes } from './exchange.ts';
import { lessonRoutes } from './lessons.ts';
import { yearRoutes } from './years.ts';
import { vehicleRoutes } from './vehicles.ts';
import type { Services } from '../services.ts';

/** Where routes hang under `/api`, and what makes them. */
type Mount = readonly [path: string, routes: (services: Services) => Router];

/** Routes that read the body of a request themselves: files. */
export const FILE_ROUTES: readonly Mount[] = [
  ['/', transferRoutes],
  ['/', signedFileRoutes],
  ['/pictures', pictureRoutes],
  ['/recordings', recordingRoutes],
];

/** All others: their bodies are JSON. */
export const API: readonly Mount[] = [
  ['/', signInRoutes],
  ['/', accountRoutes],
  ['/', stationRoutes],
  ['/', networkRoutes],
  ['/', linkRoutes],
  ['/', phoneRoutes],
  ['/', countersignRoutes],
  ['/jobs', jobRoutes],
  ['/vehicles', vehicleRoutes],
  ['/procedures', procedureRoutes],
  ['/recipes', recipeRoutes],
  ['/families', familyRoutes],
  ['/units', unitRoutes],
  ['/knowledge', knowledgeRoutes],
  ['/adapter/recordings', recordingNowRoutes],
  ['/adapter', adapterRoutes],
  ['/instruments', instrumentRoutes],
  ['/', houseRoutes],
  ['/', peopleRoutes],
  ['/', wallRoutes],
  ['/', stockRoutes],
  ['/', airRoutes],
  ['/', followUpRoutes],
  ['/', bayRoutes],
  ['/', dayRoutes],
  ['/', feedRoutes],
  ['/', yearRoutes],
  ['/', lessonRoutes],
  ['/', exchangeRoutes],
  ['/', reportRoutes],
  ['/', supplierRoutes],
  ['/', practiceRoutes],
  ['/', changeRoutes],
  ['/', searchRoutes],
  ['/', keepingRoutes],
  ['/', shopRoutes],
];
