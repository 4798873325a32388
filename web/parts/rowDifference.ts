/** One field in which two rows differ, in words. */
export interface FieldDifference {
  readonly label: string;
  readonly mine: string;
  readonly theirs: string;
}

/** Leaves of a row by their path; an empty list or record counts as a leaf that says nothing. */
function leaves(value: unknown, path: string, into: Map<string, string>): void {
  if (value === null || value === undefined || value === '') return;
  if (typeof value !== 'object') {
    into.set(path, typeof value === 'boolean' ? (value ? 'yes' : 'no') : String(value));
    return;
  }
  for (const [key, inner] of Object.entries(value)) leaves(inner, path === '' ? key : `${path}.${key}`, into);
}

/** “priceMinor” as a person would say it. */
const spelled = (key: string): string =>
  /^\d+$/.test(key) ? String(Number(key) + 1) : key.replaceAll(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();

/** A path as words: its parts by the names given, else spelled out. */
function labelOf(path: string, names: Readonly<Record<string, string>>): string {
  const named = names[path];
  if (named !== undefined) return named;
  const words = path
    .split('.')
    .map((part) => names[part] ?? spelled(part))
    .join(', ');
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/**
 * Where two rows differ, field by field, in the order in which they hold them.
 * @param names words for paths such as “figures.idleRpm.low” or for their parts
 * @param leftOut parts that the person does not type, such as the id
 */
export function rowDifferences(
  mine: unknown,
  theirs: unknown,
  names: Readonly<Record<string, string>> = {},
  leftOut: ReadonlySet<string> = new Set(),
): FieldDifference[] {
  const a = new Map<string, string>();
  const b = new Map<string, string>();
  leaves(mine, '', a);
  leaves(theirs, '', b);
  const paths = [...new Set([...a.keys(), ...b.keys()])];
  return paths.flatMap((path) => {
    const [one = '', other = ''] = [a.get(path), b.get(path)];
    if (one === other || path.split('.').some((part) => leftOut.has(part))) return [];
    return [{ label: labelOf(path, names), mine: one, theirs: other }];
  });
}
