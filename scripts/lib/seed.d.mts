/** Fills an empty server with the demo world. @param now ms since 1970 */
export function seed(address: string, now: number): Promise<void>;
