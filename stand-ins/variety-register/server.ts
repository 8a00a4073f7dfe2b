/**
 * A stand-in for an office that keeps a register of protected varieties. Its entries are made up.
 * GET /varieties?q=NAME answers { varieties: [{ variety, trade, species, right, number, filed, granted,
 * woody }] }, by variety name, trade name or number: `right` is patent or breeder, dates are ISO, `granted`
 * is null while it is applied for. How long a right runs is for the asker to know. GET /healthz answers 200.
 */
import { createServer } from 'node:http';

/** Made up, every one. */
const VARIETIES = [
	{
		variety: 'Surhyd01',
		trade: 'Chalk Lantern',
		species: 'Hydrangea macrophylla',
		right: 'patent',
		number: 'XP 90114',
		filed: '2019-04-02',
		granted: '2021-05-18',
		woody: true
	},
	{
		variety: 'Surpen07',
		trade: 'Quarry Bell',
		species: 'Penstemon',
		right: 'breeder',
		number: 'XB 4120',
		filed: '2012-02-29',
		granted: '2014-09-01',
		woody: false
	},
	{
		variety: 'Surdah22',
		trade: 'Brass Moth',
		species: 'Dahlia',
		right: 'patent',
		number: 'XP 71550',
		filed: '2003-11-20',
		granted: '2005-03-03',
		woody: false
	},
	{
		variety: 'Surfuc03',
		trade: 'Rain Gauge',
		species: 'Fuchsia',
		right: 'breeder',
		number: 'XB 5071',
		filed: '2025-01-14',
		granted: null,
		woody: true
	},
	{
		variety: 'Survit11',
		trade: 'Cellar Door',
		species: 'Vitis vinifera',
		right: 'breeder',
		number: 'XB 3902',
		filed: '2004-06-01',
		granted: '2006-10-10',
		woody: true
	}
];

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
		varieties: VARIETIES.filter((v) => [v.variety, v.trade, v.number].some((name) => name.toLowerCase().includes(wanted)))
	});
}).listen(Number(process.env.PORT), '127.0.0.1');
