/** What people are in a workshop, with the word for it. */
export const ROLES = {
  lead: 'lead',
  technician: 'technician',
  apprentice: 'apprentice',
  owner: 'proprietor',
  parts: 'parts counter',
} as const;
/** The id of a {@link ROLES}. */
export type Role = keyof typeof ROLES;

/** The word for a role. */
export const roleWords = (role: Role): string => ROLES[role];

/** What people enter whatever they are: what they saw, and the slip they just made. */
const EVERYBODY = ['make-note', 'attach-picture', 'mark-picture', 'undo', 'redo'] as const;

/** Commands of those who do not work on vehicles. Everybody else gives all, as far as a command itself says no more. */
const GIVEN_BY: Readonly<Partial<Record<Role, ReadonlySet<string>>>> = {
  owner: new Set([
    ...EVERYBODY,
    'open-job',
    'assign-job',
    'put-aside',
    'take-up',
    'cancel-job',
    'promise-ready',
    'withdraw-promise',
    'reopen-job',
    'set-terms',
    'make-estimate',
    'answer-estimate',
    'set-recheck',
    'leave-open',
  ]),
  parts: new Set([...EVERYBODY, 'tick-need', 'add-need', 'use-part']),
};

/** Whether somebody of a role gives a command of this name on a job. */
export const mayGive = (role: Role, command: string): boolean => GIVEN_BY[role]?.has(command) ?? true;

/** Who changes what the shop says of itself: its people, prices, hours, rules and knowledge. */
export const mayChange = (role: Role): boolean => role === 'lead' || role === 'owner';
