/** Secrets of links and sensors: each is for one purpose of one garden. Shown once, when made; kept only as a hash. */
import { createHash, randomBytes } from 'node:crypto';
import { v7 as uuidv7 } from 'uuid';
import { database } from './db.js';

export type Purpose = 'readings' | 'calendar';
export const MOST_TOKENS = 20;

const hashOf = (token: string): Buffer => createHash('sha256').update(token).digest();

export interface TokenRow {
	id: string;
	purpose: Purpose;
	label: string;
	created_at: Date;
	used_at: Date | null;
}

export async function tokens(gardenId: string): Promise<TokenRow[]> {
	const { rows } = await database().query<TokenRow>(
		`SELECT id, purpose, label, created_at, used_at FROM garden_token
		 WHERE garden_id = $1 AND revoked_at IS NULL ORDER BY created_at`,
		[gardenId]
	);
	return rows;
}

/** A new secret; null when the garden has too many already. */
export async function makeToken(gardenId: string, purpose: Purpose, label: string): Promise<string | null> {
	if ((await tokens(gardenId)).length >= MOST_TOKENS) return null;
	const token = randomBytes(24).toString('base64url');
	await database().query('INSERT INTO garden_token (garden_id, id, purpose, label, token_hash) VALUES ($1, $2, $3, $4, $5)', [
		gardenId,
		uuidv7(),
		purpose,
		label.trim().slice(0, 80),
		hashOf(token)
	]);
	return token;
}

/** Ends it for good. */
export async function revokeToken(gardenId: string, id: string): Promise<void> {
	await database().query('UPDATE garden_token SET revoked_at = now() WHERE garden_id = $1 AND id = $2 AND revoked_at IS NULL', [
		gardenId,
		id
	]);
}

/** The garden a secret opens, or null. That it was used is noted once an hour at most. */
export async function gardenOfToken(token: string, purpose: Purpose): Promise<string | null> {
	if (!/^[A-Za-z0-9_-]{32}$/.test(token)) return null;
	const { rows } = await database().query<{ garden_id: string; id: string }>(
		'SELECT garden_id, id FROM garden_token WHERE token_hash = $1 AND purpose = $2 AND revoked_at IS NULL',
		[hashOf(token), purpose]
	);
	if (!rows[0]) return null;
	await database().query(
		`UPDATE garden_token SET used_at = now() WHERE garden_id = $1 AND id = $2 AND (used_at IS NULL OR used_at < now() - interval '1 hour')`,
		[rows[0].garden_id, rows[0].id]
	);
	return rows[0].garden_id;
}
