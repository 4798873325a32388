/** A day that may lie in another year: “20 January 2027”. @param isoDay ISO day */
export const dayWithYear = (isoDay: string): string =>
  new Date(`${isoDay}T12:00:00Z`).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  });
