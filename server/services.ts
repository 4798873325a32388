import type { Database } from 'better-sqlite3';
import type { PartLived, ShopResult } from '../core/choose/index.ts';
import type { ThrottleKind } from '../core/vehicle/index.ts';
import { type Access, createAccess } from './access/access.ts';
import { RecordingDesk } from './adapter/desk.ts';
import { AdapterHub } from './adapter/hub.ts';
import { InstrumentHub } from './instruments/hub.ts';
import { type Job, type VehicleDone, vehicleDone } from '../core/job/index.ts';
import { makeBackup } from './keeping/backup.ts';
import { type Files, realFiles } from './keeping/files.ts';
import { HeadsFile } from './keeping/heads.ts';
import { Keeper, type MakeBackup } from './keeping/keeper.ts';
import { type Place, placeOf } from './keeping/place.ts';
import { Practice } from './practice/practice.ts';
import { Air } from './store/air.ts';
import { Audit } from './store/audit.ts';
import { Bay } from './store/bay.ts';
import { Changes } from './store/changes.ts';
import { ComingUp } from './store/comingUp.ts';
import { Day } from './store/day.ts';
import { Figures } from './store/figures.ts';
import { FollowUps } from './store/followUps.ts';
import { OneGo } from './store/oneGo.ts';
import { earlierJobs } from './store/earlier.ts';
import { Families } from './store/families.ts';
import { House } from './store/house.ts';
import { Jobs } from './store/jobs.ts';
import { Lessons } from './store/lessons.ts';
import { Lives } from './exchange/lives.ts';
import { Shops } from './exchange/shops.ts';
import { KnowledgeStore } from './store/knowledge.ts';
import { JobLines } from './store/jobLines.ts';
import { People } from './store/people.ts';
import { PriceLists } from './store/priceLists.ts';
import { Pictures } from './store/pictures.ts';
import { type Printing, printing } from './report/printing.ts';
import type { Supplier } from './supplier/client.ts';
import { Reports } from './store/report/reports.ts';
import { Search } from './store/search.ts';
import { Settings } from './store/settings.ts';
import { Tools } from './store/tools.ts';
import { Procedures } from './store/procedures.ts';
import type { RungTries } from '../core/seized/index.ts';
import { Recipes } from './store/recipes.ts';
import { Recordings } from './store/recordings.ts';
import type { NetworkReply, TrialReply } from '../contract/index.ts';
import { HERE } from './network/serving.ts';
import type { Knowledge } from '../core/diagnose/index.ts';
import { partLives, rungTries, shopResults } from './store/results.ts';
import { tryKnowledge } from './store/trial.ts';
import { Stock } from './store/stock.ts';
import { Units } from './store/units.ts';
import { Vehicles } from './store/vehicles.ts';
import { Visits } from './store/visits.ts';
import { Years } from './store/years.ts';

/** What the routes work with. */
export interface Services {
  /** Who is let in. */
  readonly access: Access;
  /** How the server is reached; said once it listens. */
  readonly network: { reply: NetworkReply };
  readonly jobs: Jobs;
  readonly vehicles: Vehicles;
  readonly jobLines: JobLines;
  readonly bay: Bay;
  readonly day: Day;
  readonly comingUp: ComingUp;
  readonly changes: Changes;
  readonly people: People;
  readonly settings: Settings;
  readonly search: Search;
  readonly tools: Tools;
  readonly procedures: Procedures;
  readonly recipes: Recipes;
  readonly knowledge: KnowledgeStore;
  readonly families: Families;
  readonly units: Units;
  readonly house: House;
  readonly stock: Stock;
  readonly air: Air;
  readonly followUps: FollowUps;
  readonly figures: Figures;
  readonly visits: Visits;
  readonly years: Years;
  readonly lessons: Lessons;
  /** Shops that we have files of, and our own key. */
  readonly shops: Shops;
  readonly lives: Lives;
  readonly reports: Reports;
  readonly priceLists: PriceLists;
  /** Null where none is connected. */
  readonly supplier: Supplier | null;
  readonly audit: Audit;
  /** One request, one transaction. */
  readonly oneGo: OneGo;
  readonly keeper: Keeper;
  readonly hub: AdapterHub;
  readonly instruments: InstrumentHub;
  readonly rungTries: () => readonly RungTries[];
  /** What parts of these numbers lasted here before they failed. */
  readonly partLives: (numbers: readonly string[]) => readonly PartLived[];
  readonly results: (throttle: ThrottleKind) => readonly ShopResult[];
  /** What a change of the knowledge would do to past jobs. */
  readonly trial: (before: Knowledge, after: Knowledge) => TrialReply;
  readonly pictures: Pictures;
  readonly recordings: Recordings;
  /** What a simulated vehicle notices of the work of its job. */
  readonly doneTo: (job: Job) => VehicleDone;
  /** Practice jobs, each a world of its own beside the store. */
  readonly practice: Practice;
  /** Recordings of live data that run now. */
  readonly desk: RecordingDesk;
  /** ISO time. */
  readonly now: () => string;
  readonly printing: Printing;
}

/** What services may be given otherwise than usual. */
export interface ServiceOptions {
  /** By which files are written. */
  readonly files?: Files;
  /** Where backups are made: in this thread, unless it is another. */
  readonly make?: MakeBackup;
  /** The store can only be read: nothing beside it is written either. */
  readonly readOnly?: boolean;
  /** Where the store really lies, when what is open is a copy of it. */
  readonly place?: Place;
  /** Who is asked for prices and ordered from. */
  readonly supplier?: Supplier;
  /** Ports of this machine at which instruments are expected. */
  readonly instrumentPorts?: readonly number[];
  /** What cookies are signed with; left out: people sign in anew when this process ends. */
  readonly cookieKey?: string;
  /** What a simulated vehicle notices of its job; what an engine would meet, where left out. */
  readonly doneTo?: (job: Job) => VehicleDone;
  /** Told how far it is when columns of all jobs are made anew. */
  readonly progress?: (done: number, of: number) => void;
}

/**
 * Builds the services over an open store.
 * @param pictureFolder where picture files live
 * @param machineZone time zone of this machine, IANA name, for a shop that never said where it is
 */
export function createServices(
  db: Database,
  pictureFolder: string,
  now: () => string,
  machineZone: string,
  hub = new AdapterHub(),
  {
    files = realFiles,
    make,
    readOnly = false,
    place = placeOf(db.name),
    instrumentPorts = [],
    cookieKey,
    supplier,
    progress,
    doneTo = vehicleDone,
  }: ServiceOptions = {},
): Services {
  const oneGo = new OneGo(db);
  const audit = new Audit(db);
  const units = new Units(db, audit);
  const people = new People(db, audit);
  const search = new Search(db, people);
  const vehicles = new Vehicles(db, units, audit, search);
  const settings = new Settings(db, audit, machineZone);
  const tools = new Tools(db, audit);
  const pictures = new Pictures(db, pictureFolder, files);
  const recordings = new Recordings(db, pictureFolder, files);
  const knowledge = new KnowledgeStore(db);
  knowledge.ship(now());
  const families = new Families(db, audit);
  const house = new House(db, audit);
  const procedures = new Procedures(db, audit);
  const recipes = new Recipes(db, audit);
  const jobs: Jobs = new Jobs(db, oneGo, {
    vehicles,
    people,
    settings,
    tools,
    procedures,
    recipes,
    knowledge,
    families,
    house,
    units,
    earlier: (vehicleId) => earlierJobs(db, vehicleId, (id) => jobs.job(id)?.complaint ?? ''),
  });
  jobs.remakeProjections(progress);
  const stock = new Stock(db, audit);
  oneGo.run(() => {
    stock.keyNumbers();
    vehicles.wordRows();
  });
  const shops = new Shops(db, audit);
  const jobLines = new JobLines(db, search);
  const changes = new Changes();
  jobs.onChange((id, version) => changes.tell({ kind: 'job', id, version }));
  if (!readOnly) {
    const heads = new HeadsFile(db, files, place.heads);
    jobs.onChange((id) => heads.grown(id));
    oneGo.onWritten(() => heads.written());
  }
  const keeper = new Keeper({
    db,
    place: { ...place, pictures: pictureFolder },
    files,
    settings,
    changes,
    now,
    machineZone,
    make: make ?? ((task, told) => makeBackup(files, task, told)),
    readOnly,
  });
  const access = createAccess(db, now, { ...(cookieKey !== undefined && { cookieKey }), readOnly });
  const practice = new Practice({
    shop: db,
    folder: place.folder,
    access,
    knowledge,
    now,
    machineZone,
    readOnly,
    make: createServices,
  });
  return {
    access,
    network: { reply: HERE },
    vehicles,
    jobLines,
    bay: new Bay(db, jobLines),
    comingUp: new ComingUp(db),
    day: new Day(db, audit, people, settings),
    changes,
    people,
    settings,
    search,
    tools,
    procedures,
    recipes,
    jobs,
    knowledge,
    families,
    units,
    house,
    stock,
    air: new Air(db, audit, settings),
    followUps: new FollowUps(db),
    figures: new Figures(db),
    visits: new Visits(db),
    years: new Years(db, audit, settings),
    lessons: new Lessons(db, { audit, families, procedures, stock }),
    shops,
    lives: new Lives(db, { jobs, vehicles, units, people, settings, shops, audit }),
    reports: new Reports(db, settings),
    priceLists: new PriceLists(db, audit, settings),
    supplier: supplier ?? null,
    audit,
    oneGo,
    keeper,
    hub,
    instruments: new InstrumentHub(db, instrumentPorts),
    rungTries: () => rungTries(db),
    partLives: (numbers) => partLives(db, numbers),
    results: (throttle) => shopResults(db, throttle, settings.read('comeback-within')),
    trial: (before, after) => tryKnowledge({ db, jobs, families }, before, after),
    pictures,
    recordings,
    doneTo,
    practice,
    desk: new RecordingDesk(hub, { jobs, recordings, oneGo, now }, files, place.folder, readOnly),
    now,
    printing: printing(people, settings, pictures, recordings),
  };
}
