/** How the string of each person is dashed, so that they are told apart without colour. */
export const DASHES: readonly string[] = ['none', '1.5 3', '6 4', '9 3 1.5 3', '3 2'];
