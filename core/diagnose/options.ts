/** What can be done about it. */
export const OPTIONS = {
  relearn: 'Relearn only',
  remove: 'Remove what is there, look again',
  adjust: 'Adjust: cable, stop, damper, balance',
  'clean-in-place': 'Clean on the vehicle',
  'clean-bench': 'Clean on the bench',
  rebuild: 'Rebuild: seals, screws, gears',
  replace: 'Replace, new unit',
  'replace-rebuilt': 'Replace, rebuilt unit',
  'replace-used': 'Replace, used unit',
  elsewhere: 'Not the throttle',
} as const;
/** A key of {@link OPTIONS}. */
export type OptionId = keyof typeof OPTIONS;
/** Every option, in the order in which they are shown. */
export const OPTION_IDS = Object.keys(OPTIONS) as readonly OptionId[];
