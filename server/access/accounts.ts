import type { Database } from 'better-sqlite3';
import { prepared } from '../store/prepared.ts';

/** What somebody signs in by. */
export interface Account {
  readonly personId: string;
  readonly passwordHash: string | null;
  readonly pinHash: string | null;
  /** ISO time at which the PIN was set. */
  readonly pinAt: string | null;
  readonly wrongPasswords: number;
  readonly wrongPins: number;
  /** ISO time since which nobody can sign in by it; null where it is open. */
  readonly lockedAt: string | null;
}

/** So many wrong passwords in a row lock an account until a lead opens it again. */
export const WRONG_PASSWORDS = 10;
/** So many wrong PINs in a row ask for the password. */
export const WRONG_PINS = 5;
/** A PIN is set anew after so many days. */
export const PIN_DAYS = 180;

/** Accounts: one for each person who has a password. */
export class Accounts {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  /** Whether anybody has to sign in at all: a shop without accounts works on one machine, by names that are picked. */
  any(): boolean {
    return this.#sql('SELECT 1 FROM account WHERE password_hash IS NOT NULL LIMIT 1').get() !== undefined;
  }

  of(personId: string): Account | null {
    return (
      this.#sql<[string], Account>(
        `SELECT person_id AS personId, password_hash AS passwordHash, pin_hash AS pinHash, pin_at AS pinAt,
           wrong_passwords AS wrongPasswords, wrong_pins AS wrongPins, locked_at AS lockedAt
         FROM account WHERE person_id = ?`,
      ).get(personId) ?? null
    );
  }

  /** Who has an account, and whether it is locked. */
  all(): readonly { readonly personId: string; readonly hasPin: boolean; readonly locked: boolean }[] {
    return this.#sql<[], { personId: string; pin: number; locked: number }>(
      `SELECT person_id AS personId, pin_hash IS NOT NULL AS pin, locked_at IS NOT NULL AS locked FROM account
       WHERE password_hash IS NOT NULL`,
    )
      .all()
      .map(({ personId, pin, locked }) => ({ personId, hasPin: pin === 1, locked: locked === 1 }));
  }

  /** Sets a password; the account is open then. */
  setPassword(personId: string, passwordHash: string, at: string): void {
    this.#sql(
      `INSERT INTO account (person_id, password_hash, password_at) VALUES (?, ?, ?)
       ON CONFLICT (person_id) DO UPDATE SET password_hash = excluded.password_hash, password_at = excluded.password_at,
         wrong_passwords = 0, wrong_pins = 0, locked_at = NULL`,
    ).run(personId, passwordHash, at);
  }

  setPin(personId: string, pinHash: string, at: string): void {
    this.#sql('UPDATE account SET pin_hash = ?, pin_at = ?, wrong_pins = 0 WHERE person_id = ?').run(
      pinHash,
      at,
      personId,
    );
  }

  /** A right password or PIN: tries count from here again. The right password makes up for wrong PINs too. */
  right(personId: string, way: 'password' | 'pin'): void {
    this.#sql(
      way === 'password'
        ? 'UPDATE account SET wrong_passwords = 0, wrong_pins = 0 WHERE person_id = ?'
        : 'UPDATE account SET wrong_pins = 0 WHERE person_id = ?',
    ).run(personId);
  }

  /** A wrong one. @returns whether the account is locked by it */
  wrong(personId: string, way: 'password' | 'pin', at: string): boolean {
    if (way === 'pin') {
      this.#sql('UPDATE account SET wrong_pins = wrong_pins + 1 WHERE person_id = ?').run(personId);
      return false;
    }
    this.#sql('UPDATE account SET wrong_passwords = wrong_passwords + 1 WHERE person_id = ?').run(personId);
    return (
      this.#sql(
        'UPDATE account SET locked_at = ? WHERE person_id = ? AND locked_at IS NULL AND wrong_passwords >= ?',
      ).run(at, personId, WRONG_PASSWORDS).changes > 0
    );
  }

  /** A lead opens it again. */
  unlock(personId: string): void {
    this.#sql('UPDATE account SET locked_at = NULL, wrong_passwords = 0, wrong_pins = 0 WHERE person_id = ?').run(
      personId,
    );
  }

  /** Nobody signs in by it any more. */
  remove(personId: string): void {
    this.#sql('UPDATE account SET password_hash = NULL, pin_hash = NULL WHERE person_id = ?').run(personId);
  }
}
