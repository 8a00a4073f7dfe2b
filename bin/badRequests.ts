/** Requests that no browser of ours would send, made from the routes themselves. */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { randomLcg } from 'd3-random';
import { ROOT } from './lib.js';

interface Route {
	/** Address with [name=kind] for its parts. */
	path: string;
	/** Names of form actions; '' is the default one. */
	actions: string[];
	methods: string[];
	fields: string[];
	queries: string[];
}

const FOLDER = join(ROOT, 'src', 'routes');
const SERVER = join(ROOT, 'src', 'lib', 'server');

/** Every route of the app with what its source reads: fields of forms, parts of the query. */
export function routes(folder = FOLDER): Route[] {
	const found: Route[] = [];
	const names = (text: string, pattern: RegExp) => [...new Set([...text.matchAll(pattern)].map((m) => m[1]!))];
	const walk = (at: string, path: string) => {
		const files = readdirSync(at, { withFileTypes: true });
		const source = files.filter(
			(f) => f.isFile() && /^\+(page|layout)?(\.?server)?\.(ts|svelte)$|\+page\.server\.ts|\+server\.ts/.test(f.name)
		);
		const text = source.map((f) => readFileSync(join(at, f.name), 'utf8')).join('\n');
		if (source.some((f) => f.name.startsWith('+page') || f.name === '+server.ts')) {
			const body = /export const actions[^]*$/.exec(text)?.[0] ?? '';
			// What its forms mean and what it shows stand elsewhere: the files that it names are read as well.
			const meant = [
				...names(text, /from '\$lib\/server\/(acts\/\w+)\.js'/g),
				...names(text, /view\('(\w+)'/g).map((n) => `views/${n}`)
			].map((name) => join(SERVER, `${name}.ts`));
			const all = [text, ...meant.filter((f) => existsSync(f)).map((f) => readFileSync(f, 'utf8'))].join('\n');
			found.push({
				path: path || '/',
				actions: names(body, /[\t {](\w+): (?:async|doing)\b/g).map((a) => (a === 'default' ? '' : a)),
				methods: names(text, /export const (GET|POST|PUT|PATCH|DELETE)\b/g),
				fields: names(all, /\b(?:f|form|fields)\.(?:text|textOrNull|number|flag|json|cm|metres|celsius|all)\(\s*'(\w+)'/g),
				queries: names(all, /(?:searchParams|query)\.get\('(\w+)'/g)
			});
		}
		for (const f of files) if (f.isDirectory()) walk(join(at, f.name), `${path}/${f.name}`);
	};
	walk(folder, '');
	return found;
}

const LONG = 'a'.repeat(20_000);
const NASTY = [
	'',
	' ',
	'0',
	'-1',
	'1e999',
	'NaN',
	'9007199254740993',
	'1'.repeat(40_000),
	'constructor',
	'__proto__',
	'toString',
	'null',
	'undefined',
	'[]',
	'{}',
	'[{"on":9007199254740991,"pieces":1}]',
	'{"__proto__":{"x":1}}',
	'\u0000',
	'a\u0000b',
	'\ud800',
	'2026-02-30',
	'2026-13-45',
	'9999-12-31',
	'-271821-04-20',
	'0001-01-01',
	'../../etc/passwd',
	'<script>alert(1)</script>',
	"'; DROP TABLE entry; --",
	'%00',
	'338-4:5000',
	'338-4:2026-02-30',
	'ABCDEF01-2345-6789-ABCD-EF0123456789',
	'00000000-0000-0000-0000-000000000000',
	'not-a-uuid',
	LONG,
	'🌱'.repeat(3_000),
	'\u202egnirts',
	'Infinity',
	'0x10',
	'1,5',
	'١٢'
];
const TYPES = [
	'application/x-www-form-urlencoded',
	'multipart/form-data; boundary=x',
	'text/plain',
	'application/json',
	'application/octet-stream',
	''
];

export interface Bad {
	method: string;
	path: string;
	headers: Record<string, string>;
	body?: string;
}

/** So many bad requests, the same for the same seed. `known` gives ids, codes and words that there are, by the kind of part. */
export function* badRequests(count: number, known: Record<string, readonly string[]>, seed: number): Generator<Bad> {
	const uniform = randomLcg(seed);
	const pick = <T>(of: readonly T[]): T => of[Math.floor(uniform() * of.length)]!;
	const all = routes();
	const part = (name: string): string => {
		const [word = '', kind = ''] = name.split('=');
		const good = known[word] ?? known[kind] ?? [];
		return good.length > 0 && uniform() < 0.75 ? pick(good) : encodeURIComponent(pick(NASTY).toWellFormed().slice(0, 2_000));
	};
	const value = (name: string): string =>
		uniform() < 0.45 && known[name] ? pick(known[name]) : uniform() < 0.2 ? pick(Object.values(known).flat()) : pick(NASTY);
	for (let n = 0; n < count; n++) {
		const route = pick(all);
		const path = route.path.replace(/\[([^\]]+)\]/g, (_, name: string) => part(name));
		const query = new URLSearchParams();
		for (const q of route.queries) if (uniform() < 0.6) query.set(q, value(q).toWellFormed());
		const posts = [...route.actions.map((a) => `?/${a}`), ...route.methods.filter((m) => m !== 'GET').map(() => '')];
		if (posts.length === 0 || uniform() < 0.35) {
			yield {
				method: pick(['GET', 'GET', 'GET', 'HEAD', 'OPTIONS', 'PUT', 'DELETE']),
				path: `${path}?${query.toString()}`,
				headers: {}
			};
			continue;
		}
		const action = pick(posts);
		const form = new URLSearchParams();
		if (uniform() < 0.9) form.set('entry_id', uniform() < 0.9 ? crypto.randomUUID() : pick(NASTY).toWellFormed());
		for (const f of route.fields) if (uniform() < 0.8) form.append(f, value(f).toWellFormed());
		const type = uniform() < 0.85 ? TYPES[0]! : pick(TYPES);
		const body =
			route.methods.includes('POST') && uniform() < 0.8
				? JSON.stringify(Object.fromEntries([...form.entries()].map(([k, v]) => [k, uniform() < 0.5 ? v : Number(v)])))
				: form.toString();
		yield {
			method: 'POST',
			path: `${path}${action === '?/' ? '' : action}`,
			headers: {
				...(type ? { 'content-type': type } : {}),
				...(uniform() < 0.7 ? { 'x-sveltekit-action': 'true', accept: 'application/json' } : {})
			},
			body
		};
	}
}

export interface Answered {
	bad: Bad;
	status: number;
	ms: number;
}

const send = (url: string, bad: Bad): Promise<number> =>
	fetch(`${url}${bad.path}`, {
		method: bad.method,
		headers: bad.headers,
		redirect: 'manual',
		...(bad.body !== undefined ? { body: bad.body } : {})
	}).then(
		async (r) => {
			await r.arrayBuffer();
			return r.status;
		},
		() => 0
	);

/** Sends them, some at once, and gives back how each was answered; 0 where nothing came. */
export async function sendAll(url: string, requests: Iterable<Bad>, atOnce = 4): Promise<Answered[]> {
	const queue = requests[Symbol.iterator]();
	const answers: Answered[] = [];
	const one = async () => {
		for (let next = queue.next(); !next.done; next = queue.next()) {
			const bad = next.value;
			const began = performance.now();
			// An answer given before a long body was sent ends the connection, and with it whatever was sent after on it.
			const status = (await send(url, bad)) || (await send(url, bad));
			answers.push({ bad, status, ms: performance.now() - began });
		}
	};
	await Promise.all(Array.from({ length: atOnce }, one));
	return answers;
}

/** Ids, codes and words that the demo garden has, for requests that get past the first door. */
export async function knownOf(query: (sql: string) => Promise<{ v: string }[]>): Promise<Record<string, string[]>> {
	const list = async (sql: string) => (await query(sql)).map((r) => r.v);
	const batch = await list('SELECT id::text AS v FROM batch LIMIT 20');
	const stock = await list('SELECT id::text AS v FROM stock LIMIT 20');
	const place = await list('SELECT id::text AS v FROM place');
	const code = await list('SELECT code AS v FROM batch LIMIT 20');
	return {
		garden: ['three-alders'],
		batch,
		stock,
		want: await list('SELECT id::text AS v FROM want'),
		code,
		codes: code,
		kind: ['lavender', 'penstemon', 'fuchsia', 'toString', 'triffid'],
		way: ['soft-tip', 'semi-ripe', 'division'],
		file: ['record.csv', 'record.dly', 'constructor'],
		token: ['x.ics'],
		verb: ['checked', 'potted', 'split', 'kept', 'lost', 'given', 'moved', 'planted', 'laid-out', 'constructor'],
		place,
		place_id: place,
		stock_id: stock,
		targets: [...batch, ...stock],
		to: place,
		kind_id: ['lavender', 'box'],
		way_id: ['soft-tip', 'semi-ripe'],
		count: ['1', '2', '100000'],
		alive: ['3', '-1', '1.5'],
		work: ['water', 'look', 'winter-count'],
		day: ['2026-09-05', '2027-03-01']
	};
}
