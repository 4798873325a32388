/** A name within a sentence: “Body gasket” becomes “body gasket”, “O-ring” and “MAF” stay. */
export const lowerFirst = (name: string): string =>
  /^\p{Lu}[\p{Lu}-]/u.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);
/** A phrase as it begins a line. */
export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
