/** A digest as two people compare it over the telephone: “4f2a 91c0 77de 03b5”. @param hex at least 16 digits */
export const fingerprintWords = (hex: string): string => (hex.slice(0, 16).match(/.{4}/g) ?? []).join(' ');
