import type { Role } from '../../core/access/index.ts';

/** Who a request may come from: a role, a phone that joined one job, or anybody at all. */
export type Caller = Role | 'phone' | 'anybody';

/** A route with who may use it. Paths under `/api`. */
export interface Rule {
  readonly method: 'GET' | 'POST' | 'PUT' | 'DELETE';
  readonly path: string;
  readonly may: ReadonlySet<Caller>;
}

const AT_WORK = ['lead', 'technician', 'apprentice'] as const;
const SIGNED_IN = [...AT_WORK, 'owner', 'parts'] as const;
const ANSWERS = ['lead', 'owner'] as const;

const rules = (may: readonly Caller[], routes: string): Rule[] =>
  routes
    .trim()
    .split('\n')
    .map((line) => {
      const [method = '', path = ''] = line.trim().split(/\s+/);
      return { method: method as Rule['method'], path, may: new Set(may) };
    });

/**
 * Who may use which route once people sign in. What is not in it is answered to nobody. What a role may do inside a
 * route (which command on a job, which figure of the shop) is judged there, by the same roles.
 */
export const ACCESS: readonly Rule[] = [
  ...rules(
    ['anybody'],
    `GET    /health
     GET    /session
     POST   /session
     POST   /session/hands
     POST   /phones
     GET    /for/:token
     GET    /calendars/:token
     GET    /for/:token/sheet.pdf
     POST   /for/:token/answer`,
  ),
  ...rules([...SIGNED_IN, 'phone'], 'DELETE /session'),
  ...rules(
    [...SIGNED_IN, 'phone'],
    `POST   /jobs/:id/commands
     POST   /pictures
     GET    /pictures/:hash`,
  ),
  ...rules(
    SIGNED_IN,
    `GET    /adapter
     GET    /air
     GET    /bay
     GET    /day
     GET    /feeds
     GET    /due
     GET    /lasting
     GET    /lessons
     GET    /practice
     GET    /practice/progress
     GET    /practice/jobs/:id
     GET    /practice/jobs/:id/review
     POST   /practice/jobs
     POST   /practice/jobs/:id/deeds
     POST   /practice/jobs/:id/end
     POST   /practice/jobs/:id/stop
     POST   /practice/jobs/:id/take-up
     POST   /practice/jobs/:id/again
     DELETE /practice/jobs/:id
     POST   /practice/drills
     GET    /adapter/engines/:link
     GET    /shops
     GET    /vehicles/:id/elsewhere
     GET    /units/:id/elsewhere
     POST   /signed-files/looks
     GET    /supplier/offers
     POST   /supplier/orders
     GET    /price-lists
     GET    /on-order
     POST   /price-lists
     DELETE /price-lists/:id
     GET    /reports/:period
     GET    /reports/:period/behind
     GET    /reports/:period/sheet.pdf
     GET    /reports/:period/tables/:table
     POST   /feeds
     POST   /feeds/:id/withdraw
     GET    /wanted
     GET    /changes
     GET    /reminders
     GET    /returns
     GET    /results
     GET    /part-lives
     GET    /held
     GET    /rung-tries
     GET    /instruments
     GET    /instruments/:id/readings
     GET    /jobs
     GET    /jobs/:id
     GET    /jobs/:id/like-figures
     GET    /jobs/:id/verify
     GET    /jobs/:id/file
     GET    /jobs/:id/sheet.pdf
     GET    /jobs/:id/estimate.pdf
     GET    /jobs/:id/links
     GET    /keeping
     GET    /knowledge/:version
     GET    /knowledge/:version/page
     GET    /procedures
     GET    /procedures/:id
     GET    /procedures/:id/versions
     GET    /procedures/:id/times
     GET    /procedures/:id/file
     GET    /recipes
     GET    /recipes/:id
     GET    /recipes/:id/versions
     GET    /recipes/:id/file
     GET    /adapter/recordings/:id/news
     GET    /recordings/:hash
     GET    /recordings/:hash/csv
     GET    /search
     GET    /shop
     GET    /stock
     GET    /stock/outlook
     GET    /stock/find
     GET    /stock/table.csv
     GET    /stock/:id
     GET    /stock/:id/audit
     GET    /stock/:id/movements
     GET    /stock/:id/uses
     GET    /stock/:id/arrivals
     GET    /references
     GET    /families
     GET    /families/:id
     GET    /families/:id/audit
     GET    /units
     GET    /units/:id
     GET    /units/:id/audit
     GET    /vehicles
     GET    /vehicles/:id
     GET    /vehicles/:id/figures
     GET    /vehicles/:id/audit
     POST   /session/everywhere
     PUT    /people/:id/password
     PUT    /people/:id/pin`,
  ),
  ...rules(
    AT_WORK,
    `POST   /jobs/:id/countersign
     POST   /jobs/:id/phones
     POST   /adapter/read
     POST   /adapter/clear
     POST   /adapter/recordings
     POST   /adapter/recordings/:id/steps
     POST   /adapter/recordings/:id/end
     POST   /adapter/recordings/act
     PUT    /instruments/:id/station
     PUT    /instruments/:id/shows
     POST   /recordings
     POST   /air
     PUT    /procedures/:id
     POST   /procedures/files
     PUT    /recipes/:id
     POST   /recipes/files
     PUT    /families/:id
     PUT    /units/:id
     POST   /units/:id/life`,
  ),
  ...rules(
    [...AT_WORK, 'owner'],
    `PUT    /day/plan
     PUT    /day/wishes
     PUT    /day/longer
     PUT    /due/:vehicleId
     POST   /follow-ups/:jobId
     PUT    /vehicles/:id
     DELETE /vehicles/:id
     POST   /reminders/:jobId/:id/done
     POST   /jobs/:id/links
     POST   /links/:id/withdraw`,
  ),
  ...rules(
    SIGNED_IN,
    `PUT    /stock/:id
     POST   /stock/table
     POST   /stock/:id/movements
     POST   /stock/:id/orders
     POST   /orders/:id/received
     PUT    /references
     POST   /returns/:jobId/:id/sent
     PUT    /settings/measures
     PUT    /absences/:id
     DELETE /absences/:id`,
  ),
  ...rules(
    ANSWERS,
    `PUT    /house-rules/:question
     GET    /practice/to-countersign
     POST   /practice/jobs/:id/countersign
     POST   /practice/scenarios
     POST   /practice/scenarios/from-job/:id
     GET    /practice/scenarios/:key/file
     DELETE /practice/scenarios/:key
     PUT    /figures/:id
     PUT    /settings
     POST   /starter
     PUT    /people/:id
     POST   /people/:id/leave
     POST   /people/:id/sign-out
     POST   /people/:id/unlock
     GET    /stations
     POST   /stations
     POST   /stations/:id/strike
     GET    /access-lines
     PUT    /wrenches/:id
     PUT    /tools/:id
     DELETE /wrenches/:id
     DELETE /tools/:id
     PUT    /calendar
     PUT    /day/figures
     PUT    /shop
     PUT    /air
     PUT    /keeping
     POST   /backups
     POST   /knowledge
     POST   /knowledge/trials
     POST   /vehicles/:id/merge
     POST   /job-files
     POST   /lessons/:id/answers
     GET    /vehicles/:id/life
     GET    /units/:id/life
     GET    /know-how
     POST   /signed-files
     PUT    /shops/:fingerprint
     GET    /network`,
  ),
];

const partsOf = (path: string): readonly string[] => path.split('/').filter((part) => part !== '');
const SPLIT = ACCESS.map((rule) => ({ rule, parts: partsOf(rule.path) }));

/** The rule for a request; one that names the address word for word comes before one with a parameter. Null where there is none. */
export function ruleFor(method: string, path: string): Rule | null {
  const asked = partsOf(path);
  const as = method === 'HEAD' ? 'GET' : method;
  const fits = SPLIT.filter(
    ({ rule, parts }) =>
      rule.method === as &&
      parts.length === asked.length &&
      parts.every((part, at) => part.startsWith(':') || part === asked[at]),
  );
  const exact = ({ parts }: { parts: readonly string[] }): number =>
    parts.filter((part) => !part.startsWith(':')).length;
  return fits.toSorted((a, b) => exact(b) - exact(a))[0]?.rule ?? null;
}
