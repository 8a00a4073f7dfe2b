/**
 * Two roles on one database. The owner, whose name is in DATABASE_URL, makes and changes tables; the app takes on
 * another, which may add to the ledger and read it, and no more, whatever the app's code does.
 */
import type { Queryable } from './db.js';

export const APP_ROLE = 'surculus_app';

/** The owner may not make roles. */
export class RoleMissing extends Error {}

/** Makes the app's role if it is not there, and grants it what the app needs. Inside the migration's transaction. */
export async function grantAppRole(db: Queryable): Promise<void> {
	const { rows } = await db.query<{ there: boolean; mine: boolean; me: string }>(
		`SELECT EXISTS (SELECT FROM pg_roles WHERE rolname = $1) AS there,
			COALESCE((SELECT pg_has_role(current_user, oid, 'MEMBER') FROM pg_roles WHERE rolname = $1), false) AS mine, current_user AS me`,
		[APP_ROLE]
	);
	const { there, mine, me } = rows[0]!;
	if (!there || !mine)
		try {
			await db.query(`SAVEPOINT role`);
			// Several databases of one server share the role: another may just be making it.
			await db.query(
				`DO $$ BEGIN CREATE ROLE ${APP_ROLE} NOLOGIN; EXCEPTION WHEN duplicate_object OR unique_violation THEN NULL; END $$`
			);
			const { super: isSuper } = (
				await db.query<{ super: boolean }>('SELECT rolsuper AS super FROM pg_roles WHERE rolname = current_user')
			).rows[0]!;
			if (!isSuper) await db.query(`GRANT ${APP_ROLE} TO CURRENT_USER`);
			await db.query('RELEASE SAVEPOINT role');
		} catch (error) {
			if ((error as { code?: string }).code !== '42501') throw error;
			throw new RoleMissing(
				`The app works as the database role ${APP_ROLE}, which ${me} may not make. Let the server’s administrator run:  CREATE ROLE ${APP_ROLE} NOLOGIN; GRANT ${APP_ROLE} TO "${me}";`
			);
		}
	await db.query(`
		GRANT USAGE ON SCHEMA public TO ${APP_ROLE};
		GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA public TO ${APP_ROLE};
		GRANT USAGE, SELECT ON ALL SEQUENCES IN SCHEMA public TO ${APP_ROLE};
		REVOKE ALL ON entry, schema_version FROM ${APP_ROLE};
		GRANT SELECT, INSERT ON entry TO ${APP_ROLE};
		GRANT SELECT ON schema_version TO ${APP_ROLE}`);
}
