import { ROLES, type Role } from '../trace.ts';

/** A heading as understood: its words, its unit, and what it shows. */
export interface Heading {
  readonly name: string;
  readonly unit: string;
  readonly role: Role | null;
  /** What values are multiplied by, then moved by, to come to the unit of the role. */
  readonly scale: number;
  readonly offset: number;
}

/** Words of a heading that name what it shows; the first that matches is taken. */
const NAMES: readonly (readonly [RegExp, Role])[] = [
  [/\b(?:long|ltft).*(?:bank ?2|b2)|(?:ltft|lft) ?2\b/i, 'long-trim-second'],
  [/\b(?:short|stft).*(?:bank ?2|b2)|(?:stft|sft) ?2\b/i, 'short-trim-second'],
  [/\bltft|\blong.*trim|trim.*long/i, 'long-trim'],
  [/\bstft|\bshort.*trim|trim.*short/i, 'short-trim'],
  [/\b(?:iac|idle|leerlauf|ralenti)\b.*(?:step|position|schritt)/i, 'steps'],
  [/\b(?:iac|idle|isc|leerlauf|ralenti)\b.*(?:duty|valve|%|ventil)|duty/i, 'duty'],
  [/command.*(?:throttle|plate)|(?:throttle|plate).*(?:command|asked|desired|soll)/i, 'plate-command'],
  [/(?:throttle|tps|plate|track|drossel\w*|papillon).*(?:\b2\b|\bb\b|second)|tps2/i, 'plate-second'],
  [/(?:pedal|app|accelerator|pedale|fahrpedal).*(?:\b2\b|\be\b|second)/i, 'pedal-second'],
  [/pedal|\bapp\b|accelerator/i, 'pedal'],
  [/throttle|\btps\b|plate|drossel|papillon|acelerador/i, 'plate'],
  [/\bmap\b|manifold|inlet pressure|intake.*press|saugrohr/i, 'manifold'],
  [/\bmaf\b|air.?mass|air.?flow|luftmasse/i, 'air-mass'],
  [/\becg?t\b|coolant|engine temp|k(?:ü|ue)hl|refroid/i, 'coolant'],
  [/\biat\b|intake.*temp|air temp|ansaugluft/i, 'intake'],
  [/\bbaro|atmospher|outside.*press/i, 'baro'],
  [/volt|supply|batter|spannung|\bvpwr\b/i, 'volts'],
  [/vehicle speed|road speed|\bvss\b|km\/h|geschwindigkeit|vitesse/i, 'road-speed'],
  [/\brpm\b|engine speed|\bn\/?min\b|drehzahl|r(?:é|e)gime|1\/min|revs?\b/i, 'rpm'],
  [/\bload\b|last\b/i, 'load'],
  [/ignition|advance|spark|timing/i, 'advance'],
];

/** Units as they are written, and what brings them to the unit of the role. */
const UNITS: readonly (readonly [RegExp, unit: string, scale: number, offset: number])[] = [
  [/^°?\s?f$|fahrenheit/i, '°C', 5 / 9, -160 / 9],
  [/^°?\s?c$|celsius|grad/i, '°C', 1, 0],
  [/^(?:h|m)?bar$/i, 'kPa', 1, 0],
  [/^psi/i, 'kPa', 6.894757293168, 0],
  [/^in\.?\s?hg/i, 'kPa', 3.386389, 0],
  [/^k?pa$/i, 'kPa', 1, 0],
  [/^mph$/i, 'km/h', 1.609344, 0],
  [/^km\/?h$/i, 'km/h', 1, 0],
  [/^kg\/?h$/i, 'g/s', 1 / 3.6, 0],
  [/^lb\/?min$/i, 'g/s', 7.559873, 0],
  [/^g\/?s(?:ec)?$/i, 'g/s', 1, 0],
  [/^(?:rpm|1\/min|min-1|u\/min|tr\/min|r\/min)$/i, 'rpm', 1, 0],
  [/^mv$/i, 'V', 0.001, 0],
  [/^v(?:olts?)?$/i, 'V', 1, 0],
  [/^(?:%|pct|percent)$/i, '%', 1, 0],
  [/^(?:°|deg|degrees)$/i, '°', 1, 0],
  [/^steps?$/i, 'steps', 1, 0],
];
/** Pressures by their first letter. */
const PRESSURES: Readonly<Record<string, number>> = { bar: 100, hbar: 0.1, mbar: 0.1, hpa: 0.1, pa: 0.001, kpa: 1 };

/** Words before a unit in brackets, parentheses or after a comma, and the unit. */
export function splitHeading(text: string): { readonly name: string; readonly unit: string } {
  const plain = text.trim().replace(/^["']|["']$/g, '');
  const found =
    /^(.*?)\s*[[({]\s*([^\])}]*)\s*[\])}]\s*$/.exec(plain) ??
    /^(.*?)\s*[,/]\s*(rpm|%|V|mV|°C|°F|kPa|g\/s|km\/h|mph|s|ms|sec)\s*$/i.exec(plain);
  return found === null ? { name: plain, unit: '' } : { name: (found[1] ?? '').trim(), unit: (found[2] ?? '').trim() };
}

/** What a heading shows. @param below the heading under it, which in some files holds the unit */
export function headingOf(text: string, below = ''): Heading {
  const split = splitHeading(text);
  const name = split.name === '' ? text.trim() : split.name;
  const written = split.unit === '' ? below.replace(/[[\](){}]/g, '').trim() : split.unit;
  const role =
    NAMES.find(([pattern]) => pattern.test(name))?.[1] ?? NAMES.find(([pattern]) => pattern.test(text))?.[1] ?? null;
  const known = UNITS.find(([pattern]) => pattern.test(written));
  const pressure = PRESSURES[written.toLowerCase()];
  const unit = known?.[1] ?? written;
  const scale = unit === 'kPa' && pressure !== undefined ? pressure : (known?.[2] ?? 1);
  // A role in another kind of unit is another thing: a throttle in volts is not one in per cent.
  const fits = role !== null && (unit === '' || unit === ROLES[role].unit || VOLTS_TOO.has(role));
  return {
    name,
    unit: unit === '' && role !== null ? ROLES[role].unit : unit,
    role: fits ? role : null,
    scale,
    offset: known?.[3] ?? 0,
  };
}

/** Tracks of a sensor may be told in volts as well. */
const VOLTS_TOO: ReadonlySet<Role> = new Set<Role>(['plate', 'plate-second', 'pedal', 'pedal-second']);

/** Whether a heading is that of the time. */
export const isTimeHeading = (text: string): boolean =>
  /^\W*(?:time|zeit|temps|tiempo|t|timestamp|elapsed|clock|date|datum|uhrzeit)\b/i.test(
    text.trim().replace(/^["']/, ''),
  );
