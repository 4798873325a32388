import { codesIn } from '../../vehicle/index.ts';

/** What was said in figures: trouble codes, and how fast it idles. */
export interface ToldFigures {
  /** As {@link codesIn} reads them, each once. */
  readonly codes: readonly string[];
  /** Idle, rpm, or null when nothing was said of it. */
  readonly idleRpm: number | null;
}

const NUMBER = String.raw`(\d[.,']?\d{2,3}|\d{3,4}|\dk)`;
const IDLE_SAYS: readonly RegExp[] = [
  new RegExp(
    String.raw`\b(?:idles?|idling|tick-?over|ticks? over|idle speed|idle sits?|idle is)\b(?:\s+(?:is|sits|sitting|speed|rpm|now|only|at|about|around|of|ca|=|warm|cold)\.?)*\s+${NUMBER}(?!\s*(?:km|miles?|hours?|h\b|cr\b))`,
    'i',
  ),
  new RegExp(String.raw`\b${NUMBER}\s*(?:rpm|revs)?\s+at\s+idle\b`, 'i'),
];
/** What an engine can idle at, rpm. */
const IDLES = [150, 4500] as const;

/** Reads codes and an idle speed out of what was said. “1.600” is sixteen hundred: no engine idles at 1.6. */
export function figuresIn(text: string): ToldFigures {
  const said = IDLE_SAYS.map((pattern) => pattern.exec(text)?.[1]).find((found) => found !== undefined);
  const rpm = said === undefined ? null : rpmOf(said);
  return {
    codes: codesIn(text),
    idleRpm: rpm !== null && rpm >= IDLES[0] && rpm <= IDLES[1] ? rpm : null,
  };
}

const rpmOf = (said: string): number =>
  /k$/i.test(said) ? Number(said.slice(0, -1)) * 1000 : Number(said.replace(/[.,']/g, ''));
