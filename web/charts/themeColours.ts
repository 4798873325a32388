import type { Colours, Tone } from './curve.ts';

const TONES: readonly Tone[] = ['ink', 'soft', 'line', 'brass', 'harbour', 'moss', 'oxide', 'alarm', 'bottle', 'paper'];

/** The colours of the theme as the style sheet has them now: a canvas takes no variables. */
export function themeColours(): Colours {
  const style = getComputedStyle(document.documentElement);
  return Object.fromEntries(TONES.map((tone) => [tone, style.getPropertyValue(`--${tone}`).trim()])) as Record<
    Tone,
    string
  >;
}
