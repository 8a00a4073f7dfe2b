/** Ten thousand bad requests on every route and action: no fault of ours, no half-save, no long wait. `npm run trial:input [count]` */
import pg from 'pg';
import { badRequests, knownOf, routes, sendAll } from './badRequests.js';
import { openDemoApp } from './demoApp.js';
import { say } from './lib.js';
import { unequalAfterRebuild } from './rebuilt.js';
import { writeTrial } from './trials.js';

const COUNT = Number(process.argv[2] ?? 10_000);
const app = await openDemoApp();
const client = new pg.Client({ connectionString: app.databaseUrl });
await client.connect();
const known = await knownOf(async (sql) => (await client.query<{ v: string }>(sql)).rows);
const answers = await sendAll(app.url, badRequests(COUNT, known, 0.57));
const faults = answers.filter((a) => a.status === 0 || a.status >= 500);
const slow = answers.filter((a) => a.ms > 2_000);
const by = new Map<string, number>();
for (const a of answers) by.set(String(a.status), (by.get(String(a.status)) ?? 0) + 1);
say(
	`${answers.length} requests on ${routes().length} routes: ${[...by]
		.sort()
		.map(([s, n]) => `${s} ${n} times`)
		.join(', ')}.`
);
const causes = new Map<string, number>();
for (const f of faults) {
	const key = `${f.status} ${f.bad.method} ${f.bad.path.slice(0, 140)} ${f.bad.body?.slice(0, 200) ?? ''}`;
	causes.set(key, (causes.get(key) ?? 0) + 1);
}
for (const [what, n] of [...causes].slice(0, 40)) say(`FAULT ${n} × ${what}`);
for (const s of slow.slice(0, 20)) say(`SLOW ${Math.round(s.ms)} ms ${s.bad.method} ${s.bad.path.slice(0, 120)}`);
// What a request half did would not be what the ledger tells: derived afresh, the state must be the same.
const whole = (await unequalAfterRebuild(app.databaseUrl)).length === 0;
say(
	`${faults.length} faults, ${slow.length} answers over 2 s; the state ${whole ? 'is what the ledger tells' : 'IS NOT what the ledger tells'}.`
);
writeTrial('Bad requests', [
	'Made by `npm run trial:input`: requests that no browser of ours would send, generated from the routes themselves.',
	'',
	`${answers.length.toLocaleString('en')} requests on ${routes().length} routes and ${routes().flatMap((r) => r.actions).length} form actions: **${faults.length}** faults of ours, **${slow.length}** answers over 2 s, and the state afterwards ${whole ? 'is' : '**is not**'} what the ledger tells.`
]);
await client.end();
await app.close();
process.exit(faults.length === 0 && slow.length === 0 && whole ? 0 : 1);
