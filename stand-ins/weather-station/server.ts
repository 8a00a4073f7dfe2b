/**
 * A stand-in for a weather service. Its protocol is told in docs/weather-station.md; its weather is made
 * up by a generator with a seed (SURCULUS_WEATHER_SEED), so that it can be replayed.
 */
import { createServer } from 'node:http';
import type { ServerResponse } from 'node:http';
import { dayNumber, isIsoDate, isoOf } from '../../src/lib/core/dates.js';
import { FORECAST_DAYS, Sky } from './sky.js';
import type { Spell } from './sky.js';

const seed = Number(process.env.SURCULUS_WEATHER_SEED ?? 1);
const MOST_DAYS = 800;
const MOST_SKIES = 20;

/** How it misbehaves, for tests: set by PUT /scenario. */
type Mode = 'ok' | 'down' | 'hang' | 'nonsense' | 'huge' | 'wrong-day';
let mode: Mode = 'ok';
let spells: Spell[] = [];
const skies = new Map<string, Sky>();

function skyAt(q: URLSearchParams): Sky | null {
	const [latitude, longitude, height] = ['latitude', 'longitude', 'height_m'].map((name) => Number(q.get(name) ?? Number.NaN));
	if (!(Math.abs(latitude!) <= 90 && Math.abs(longitude!) <= 180 && Math.abs(height!) <= 9000)) return null;
	const key = [latitude, longitude, height].map((v) => v!.toFixed(2)).join('/');
	let sky = skies.get(key);
	if (!sky) {
		if (skies.size >= MOST_SKIES) skies.clear();
		skies.set(key, (sky = new Sky(latitude!, longitude!, height!, seed, () => spells)));
	}
	return sky;
}

const asJson = (d: { low: number; high: number; rain: number }) => ({ low_c: d.low, high_c: d.high, rain_mm: d.rain });

function respond(url: URL, response: ServerResponse): void {
	const answer = (status: number, body: unknown) => {
		response.writeHead(status, { 'content-type': 'application/json' });
		response.end(JSON.stringify(body));
	};
	if (mode === 'down') return answer(503, { error: 'the station is down' });
	if (mode === 'hang') return;
	if (mode === 'nonsense') return answer(200, { days: [{ date: 'soon', low_c: 'cold' }], members: 7 });
	if (mode === 'huge') {
		response.writeHead(200, { 'content-type': 'application/json' });
		const piece = ' '.repeat(1_000_000);
		let sent = 0;
		const more = () => {
			while (sent++ < 50) if (!response.write(piece)) return void response.once('drain', more);
			response.end('{}');
		};
		return more();
	}
	const sky = skyAt(url.searchParams);
	if (!sky) return answer(400, { error: 'latitude, longitude and height_m are needed' });
	const date = (name: string) => {
		const text = url.searchParams.get(name) ?? '';
		return isIsoDate(text) ? dayNumber(text) : null;
	};
	if (url.pathname === '/v1/observed') {
		const [from, to] = [date('from'), date('to')];
		if (from === null || to === null || to < from || to - from > MOST_DAYS)
			return answer(400, { error: `from and to: at most ${MOST_DAYS} days` });
		const days = [];
		for (let day = from; day <= to; day++) {
			const d = sky.day(day);
			if (d) days.push({ date: isoOf(day), ...asJson(d) });
		}
		return answer(200, { days });
	}
	const from = date(url.pathname === '/v1/hours' ? 'date' : 'from');
	if (from === null) return answer(400, { error: 'a date is needed' });
	if (url.pathname === '/v1/hours') return answer(200, { date: isoOf(from), hours: sky.hours(from) ?? [] });
	const start = mode === 'wrong-day' ? from - 30 : from;
	answer(200, {
		from: isoOf(start),
		days: FORECAST_DAYS,
		members: sky.forecast(start).map((m) => m.map((d, n) => ({ date: isoOf(start + n), ...asJson(d) })))
	});
}

const SPELLS = (body: unknown): { mode?: Mode; spells?: Spell[] } => {
	const b = body as { mode?: Mode; spells?: { from: string; to: string; degrees: number; rain_mm?: number }[] };
	const change: { mode?: Mode; spells?: Spell[] } = {};
	if (b.mode) change.mode = b.mode;
	if (b.spells)
		change.spells = b.spells.map((s) => ({
			from: dayNumber(s.from),
			to: dayNumber(s.to),
			degrees: s.degrees,
			...(s.rain_mm === undefined ? {} : { rain: s.rain_mm })
		}));
	return change;
};

createServer((request, response) => {
	const url = new URL(request.url ?? '/', 'http://stand-in');
	if (url.pathname === '/healthz') {
		response.writeHead(200, { 'content-type': 'application/json' });
		response.end(JSON.stringify({ ok: true, mode }));
		return;
	}
	if (url.pathname === '/scenario' && request.method === 'PUT') {
		let text = '';
		request.on('data', (piece: Buffer) => (text += piece.toString()));
		request.on('end', () => {
			try {
				const change = SPELLS(JSON.parse(text));
				mode = change.mode ?? mode;
				spells = change.spells ?? spells;
				response.writeHead(200, { 'content-type': 'application/json' });
				response.end(JSON.stringify({ mode, spells: spells.length }));
			} catch (error) {
				response.writeHead(400, { 'content-type': 'application/json' });
				response.end(JSON.stringify({ error: (error as Error).message }));
			}
		});
		return;
	}
	if (!url.pathname.startsWith('/v1/')) {
		response.writeHead(404, { 'content-type': 'application/json' });
		response.end(JSON.stringify({ error: 'no such thing' }));
		return;
	}
	respond(url, response);
}).listen(Number(process.env.PORT), '127.0.0.1');
