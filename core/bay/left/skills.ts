import type { Stage } from '../../job/index.ts';
import type { Role } from '../../access/index.ts';

/** Kinds of work that not everybody in a workshop does, with their words. Stored with a person: never change one. */
export const SKILLS = {
  diagnose: 'finds the fault and decides',
  strip: 'takes off and puts back',
  bench: 'cleans and rebuilds at the bench',
  prove: 'relearns and proves',
  'sign-off': 'signs off and hands over',
} as const;
/** The id of a {@link SKILLS}. */
export type Skill = keyof typeof SKILLS;

/** What each stage of a job takes. */
export const SKILL_OF: Readonly<Record<Stage, Skill>> = {
  complaint: 'diagnose',
  diagnose: 'diagnose',
  decide: 'diagnose',
  prepare: 'strip',
  strip: 'strip',
  inspect: 'bench',
  clean: 'bench',
  rebuild: 'bench',
  refit: 'strip',
  coolant: 'strip',
  relearn: 'prove',
  prove: 'prove',
  'hand-over': 'sign-off',
};

const ALL = Object.keys(SKILLS) as Skill[];
const BY_ROLE: Readonly<Record<Role, readonly Skill[]>> = {
  lead: ALL,
  technician: ALL,
  apprentice: ['strip', 'bench'],
  owner: [],
  parts: [],
};

/** What somebody of a role does while nobody has said otherwise. */
export const usualSkills = (role: Role): readonly Skill[] => BY_ROLE[role];
