/** The keys of a constant, with their type. */
export const keysOf = <T extends object>(value: T): (keyof T & string)[] => Object.keys(value) as (keyof T & string)[];
