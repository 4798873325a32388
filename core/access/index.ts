export { mayChange, mayGive, ROLES, type Role, roleWords } from './roles.ts';
