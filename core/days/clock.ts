/** Reads “3”, “03:00” or “3.30”. @returns minutes since midnight; null for what is no time of day */
export function readClock(text: string): number | null {
  const [, hour, minute = '0'] = /^\s*(\d{1,2})(?:[:.](\d\d))?\s*$/.exec(text) ?? [];
  if (hour === undefined || Number(hour) > 23 || Number(minute) > 59) return null;
  return Number(hour) * 60 + Number(minute);
}
