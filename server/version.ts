/** The version of this program, as in package.json. */
export const VERSION = '0.12.0';
