/**
 * Sign-in of the household. Not asked on loopback; on any other address the app does not serve without a password:
 * bin/start sees to it first, and the app itself again (hooks.server.ts).
 */
import { createHash, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { database, transaction } from './db.js';
import { log } from './log.js';

export const SESSION_COOKIE = 'surculus_session';
export const LEAST_PASSWORD = 12;
/** A session ends after so long, and earlier when nobody has used it. */
const SESSION_DAYS = 30;
const IDLE_DAYS = 7;
/** Longer than any sentence that is remembered: more would only cost time. */
const MOST_PASSWORD = 1000;

export const isLoopback = (host: string): boolean => /^(127\.\d+\.\d+\.\d+|localhost|::1|\[::1\])$/.test(host);

/** Must people sign in? Only then is there a password hash. */
export const signInAsked = (): boolean => Boolean(process.env.SURCULUS_PASSWORD_HASH);

/** Does a proxy with TLS stand in front, whose X-Forwarded headers are to be believed? Only if it is said. */
export const proxyTrusted = (): boolean => process.env.SURCULUS_TRUST_PROXY === '1';

/** Why the app must not serve on an address as things are; null if it may. A socket file is the system's to guard. */
export function unsafeBind(env: NodeJS.ProcessEnv): string | null {
	if (env.SOCKET_PATH || env.SURCULUS_PASSWORD_HASH) return null;
	// The adapter serves on all addresses unless told otherwise.
	const host = env.HOST ?? '0.0.0.0';
	return isLoopback(host)
		? null
		: `On ${host} others can reach Surculus, so it needs a household password: start it with ./start and SURCULUS_PASSWORD, or with HOST=127.0.0.1.`;
}

/** Argon2id with the library's defaults (19 MiB, two passes), which are OWASP's recommendation. */
export const hashPassword = (password: string): Promise<string> => hash(password);

/**
 * Keeps the household's password as its hash and gives that. Another password than before ends every session.
 */
export async function keepPassword(password: string): Promise<string> {
	return transaction(async (db) => {
		const { rows } = await db.query<{ password_hash: string }>('SELECT password_hash FROM household FOR UPDATE');
		const kept = rows[0]?.password_hash;
		if (kept && (await verify(kept, password))) return kept;
		const fresh = await hashPassword(password);
		await db.query(
			'INSERT INTO household (password_hash) VALUES ($1) ON CONFLICT (only_one) DO UPDATE SET password_hash = EXCLUDED.password_hash',
			[fresh]
		);
		await db.query('DELETE FROM session');
		return fresh;
	});
}

const tokenHash = (token: string): Buffer => createHash('sha256').update(token).digest();

/** Tries in a quarter of an hour: from one address, and by the whole world, for a thief has many addresses. */
const TRIES = 5;
const TRIES_OF_ALL = 100;
const WINDOW_S = 15 * 60;

const limiter = (keyPrefix: string, points: number) =>
	new RateLimiterPostgres({
		storeClient: database(),
		storeType: 'pool',
		tableName: 'rate_limit',
		tableCreated: true,
		keyPrefix,
		points,
		duration: WINDOW_S
	});

export type Attempt = { outcome: 'in'; token: string } | { outcome: 'wrong' } | { outcome: 'wait'; minutes: number };

/** One try to sign in. It is counted before the password is weighed: a hundred at once are a hundred tries. */
export async function signIn(password: string, address: string): Promise<Attempt> {
	const ofAddress = limiter('sign-in address', TRIES);
	try {
		await ofAddress.consume(address);
		await limiter('sign-in household', TRIES_OF_ALL).consume('household');
	} catch (error) {
		if (!(error instanceof RateLimiterRes)) throw error;
		log.warn({ event: 'sign-in held off', address }, 'sign-in');
		return { outcome: 'wait', minutes: Math.max(1, Math.ceil(error.msBeforeNext / 60_000)) };
	}
	const expected = process.env.SURCULUS_PASSWORD_HASH;
	if (!expected || !(await verify(expected, password.slice(0, MOST_PASSWORD)))) {
		log.warn({ event: 'sign-in refused', address }, 'sign-in');
		return { outcome: 'wrong' };
	}
	await ofAddress.delete(address);
	const token = randomBytes(32).toString('base64url');
	await database().query(`INSERT INTO session (token_hash, expires_at) VALUES ($1, now() + $2::interval)`, [
		tokenHash(token),
		`${SESSION_DAYS} days`
	]);
	await database().query(`DELETE FROM session WHERE expires_at < now() OR used_at < now() - $1::interval`, [`${IDLE_DAYS} days`]);
	log.info({ event: 'signed in', address }, 'sign-in');
	return { outcome: 'in', token };
}

/** Is the token one of a session that goes on? Its use is noted, by the hour. */
export async function signedIn(token: string | undefined): Promise<boolean> {
	if (!token) return false;
	const { rows } = await database().query<{ fresh: boolean }>(
		`SELECT used_at > now() - interval '1 hour' AS fresh FROM session
		 WHERE token_hash = $1 AND expires_at > now() AND used_at > now() - $2::interval`,
		[tokenHash(token), `${IDLE_DAYS} days`]
	);
	if (!rows[0]) return false;
	if (!rows[0].fresh) await database().query('UPDATE session SET used_at = now() WHERE token_hash = $1', [tokenHash(token)]);
	return true;
}

export async function signOut(token: string | undefined): Promise<void> {
	if (token) await database().query('DELETE FROM session WHERE token_hash = $1', [tokenHash(token)]);
	log.info({ event: 'signed out' }, 'sign-in');
}

/** Ends every session, on every device. */
export async function signOutEverywhere(): Promise<void> {
	await database().query('DELETE FROM session');
	log.info({ event: 'signed out everywhere' }, 'sign-in');
}

export const sessionCookie = {
	path: '/',
	httpOnly: true,
	sameSite: 'strict' as const,
	maxAge: SESSION_DAYS * 86_400
};

/** Where to go after signing in: a path of ours. A full address, however it is disguised, would send people elsewhere. */
export function safePath(to: string | null): string {
	if (!to?.startsWith('/')) return '/';
	try {
		const here = 'http://here.invalid';
		// Read as a browser reads it: control characters fall out, backslashes turn.
		const url = new URL(to, here);
		return url.origin === here ? `${url.pathname}${url.search}` : '/';
	} catch {
		return '/';
	}
}
