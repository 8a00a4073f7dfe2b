/**
 * A stand-in for an office that keeps a register of protected varieties. Its entries are made up.
 * GET /varieties?q=NAME answers { varieties: [{ variety, trade, number, filed, until }] }, by variety
 * or trade name; GET /healthz answers 200.
 */
import { createServer } from 'node:http';

const TERM_YEARS = 20;

/** Made up, every one. */
const VARIETIES = [
	{
		variety: 'Surhyd01',
		trade: 'Chalk Lantern',
		species: 'Hydrangea macrophylla',
		number: 'XP 90114',
		filed: 2019
	},
	{ variety: 'Surpen07', trade: 'Quarry Bell', species: 'Penstemon', number: 'XP 88203', filed: 2012 },
	{ variety: 'Surdah22', trade: 'Brass Moth', species: 'Dahlia', number: 'XP 71550', filed: 2003 },
	{ variety: 'Surfuc03', trade: 'Rain Gauge', species: 'Fuchsia', number: 'XP 93001', filed: 2022 }
].map((v) => ({ ...v, until: v.filed + TERM_YEARS }));

createServer((request, response) => {
	const url = new URL(request.url ?? '/', 'http://stand-in');
	const answer = (status: number, body: unknown) => {
		response.writeHead(status, { 'content-type': 'application/json' });
		response.end(JSON.stringify(body));
	};
	if (url.pathname === '/healthz') return answer(200, { ok: true });
	if (url.pathname !== '/varieties') return answer(404, { error: 'no such thing' });
	const wanted = (url.searchParams.get('q') ?? '').trim().toLowerCase();
	if (wanted.length < 2) return answer(400, { error: 'two letters at least' });
	answer(200, {
		varieties: VARIETIES.filter((v) => [v.variety, v.trade].some((name) => name.toLowerCase().includes(wanted)))
	});
}).listen(Number(process.env.PORT), '127.0.0.1');
