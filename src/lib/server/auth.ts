/**
 * Sign-in of the household. Not asked on loopback; served on any other address the app does not
 * start without a password (bin/start sees to it, and this does again).
 */
import { createHash, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { database } from './db.js';

export const SESSION_COOKIE = 'surculus_session';
const SESSION_DAYS = 30;
const TRIES = 5;
const TRY_WINDOW = '15 minutes';

export const isLoopback = (host: string): boolean => /^(127\.\d+\.\d+\.\d+|localhost|::1|\[::1\])$/.test(host);

/** Must people sign in? Only then is there a password hash. */
export const signInAsked = (): boolean => Boolean(process.env.SURCULUS_PASSWORD_HASH);

/** Argon2id with the library's defaults (19 MiB, two passes), which are OWASP's recommendation. */
export const hashPassword = (password: string): Promise<string> => hash(password);

const tokenHash = (token: string): Buffer => createHash('sha256').update(token).digest();

export async function tooManyTries(address: string): Promise<boolean> {
	const { rows } = await database().query<{ n: number }>(
		`SELECT count(*) AS n FROM sign_in_try WHERE address = $1 AND tried_at > now() - $2::interval`,
		[address, TRY_WINDOW]
	);
	return Number(rows[0]!.n) >= TRIES;
}

/** A session token for the right password, or null. Wrong tries are counted by address. */
export async function signIn(password: string, address: string): Promise<string | null> {
	const expected = process.env.SURCULUS_PASSWORD_HASH;
	if (!expected || !(await verify(expected, password.slice(0, 1000)))) {
		await database().query('INSERT INTO sign_in_try (address) VALUES ($1)', [address]);
		await database().query(`DELETE FROM sign_in_try WHERE tried_at < now() - interval '1 day'`);
		return null;
	}
	const token = randomBytes(32).toString('base64url');
	await database().query(`INSERT INTO session (token_hash, expires_at) VALUES ($1, now() + $2::interval)`, [
		tokenHash(token),
		`${SESSION_DAYS} days`
	]);
	await database().query('DELETE FROM session WHERE expires_at < now()');
	return token;
}

export async function signedIn(token: string | undefined): Promise<boolean> {
	if (!token) return false;
	const { rowCount } = await database().query('SELECT 1 FROM session WHERE token_hash = $1 AND expires_at > now()', [
		tokenHash(token)
	]);
	return rowCount === 1;
}

export async function signOut(token: string | undefined): Promise<void> {
	if (token) await database().query('DELETE FROM session WHERE token_hash = $1', [tokenHash(token)]);
}

export const sessionCookie = {
	path: '/',
	httpOnly: true,
	sameSite: 'strict' as const,
	maxAge: SESSION_DAYS * 86_400
};
