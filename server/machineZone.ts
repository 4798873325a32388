/** The time zone of this machine, IANA name: what a shop has until it says where it is. */
export function machineZone(): string {
  // eslint-disable-next-line no-restricted-syntax -- the machine itself is asked, not a day of the shop
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}
