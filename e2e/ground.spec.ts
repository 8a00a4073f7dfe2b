/** What the ground answers to whoever asks over the wire. */
import { expect, test } from './app.js';

test('hedges, beds and the order of moves are answered, and a bad question with a sentence', async ({ app, request }) => {
	const ask = async (path: string, data: unknown) => {
		const r = await request.post(`${app.url}/api/ground/${path}`, {
			headers: { 'content-type': 'application/json' },
			data: data as object
		});
		return { status: r.status(), body: await r.json() };
	};
	expect(await ask('hedge', { length: 0.7, spacing: 0.1, rows: 1 })).toEqual({ status: 200, body: { count: 8 } });
	expect((await ask('hedge', { length: 10, spacing: 1, rows: 2 })).body.count).toBe(21);
	for (const [body, path] of [
		[{ length: -1, spacing: 1, rows: 1 }, 'length'],
		[{ length: 1, spacing: 0, rows: 1 }, 'spacing'],
		[{ length: 1, spacing: 1, rows: 3 }, 'rows']
	] as const) {
		const r = await ask('hedge', body);
		expect([r.status, r.body.error.path]).toEqual([400, path]);
	}
	const bed = [
		[0, 0],
		[3, 0],
		[3, 1.2],
		[0, 1.2]
	];
	const filled = await ask('fill', { outline: bed, holes: [], spacing: 0.35, margin: 0, pattern: 'square', turn: false });
	expect(filled.body.count).toBe(36);
	expect(filled.body.points).toHaveLength(36);
	for (const [more, path] of [
		[{ outline: [bed[0], bed[2], bed[1], bed[3]] }, 'outline'],
		[{ outline: [[0, 0]] }, 'outline'],
		[{ outline: [[0, 'x']] }, 'outline.0.1'],
		[{ holes: [bed.map(([x, y]) => [x! + 9, y!])] }, 'holes.0'],
		[{ spacing: 0 }, 'spacing'],
		[{ margin: -1 }, 'margin'],
		[{ pattern: 'round' }, 'pattern'],
		[{ turn: 'yes' }, 'turn']
	] as const) {
		const r = await ask('fill', { outline: bed, spacing: 0.35, pattern: 'square', ...more });
		expect([r.status, r.body.error.path]).toEqual([400, path]);
	}
	const swap = {
		...{ beds: ['a', 'b'], start: { rose: 'a', iris: 'b' }, target: { rose: 'b', iris: 'a' } },
		parking: 'holding'
	};
	const { status, body } = await ask('order', swap);
	expect(status).toBe(200);
	expect([body.holdingMoves, body.mostHeld, body.totalMoves]).toEqual([1, 1, 3]);
	expect(body.moves.filter((m: { to: string }) => m.to === 'HOLD')).toHaveLength(1);
	for (const [more, path] of [
		[{ parking: 'shed' }, 'parking'],
		[{ target: { rose: 'b', iris: 'b' } }, 'target.iris'],
		[{ beds: ['a', 'b', 'HOLD'] }, 'beds'],
		[{ start: { rose: 'a' } }, 'start']
	] as const) {
		const r = await ask('order', { ...swap, ...more });
		expect([r.status, r.body.error.path]).toEqual([400, path]);
	}
});

test('how one plant becomes many is answered with the fewest cuttings', async ({ app, request }) => {
	const ask = async (data: unknown) => {
		const r = await request.post(`${app.url}/api/plan/grow`, {
			headers: { 'content-type': 'application/json' },
			data: data as object
		});
		return { status: r.status(), body: await r.json() };
	};
	const q = {
		...{ periods: 4, lag: 1, initialStock: 1, perStock: 3, survival: { num: 1, den: 1 }, bench: [500, 500, 500, 500] },
		...{ maxTake: null, demand: [{ date: 4, quantity: 256 }], stockCountsAtEnd: true }
	};
	// (1 + 3)⁴ plants from one, itself among them.
	const { status, body } = await ask(q);
	expect([status, body.status, body.total]).toEqual([200, 'optimal', 255]);
	expect(body.cuttings).toHaveLength(4);
	expect(body.promoted).toHaveLength(4);
	expect((await ask({ ...q, demand: [{ date: 4, quantity: 257 }] })).body).toEqual({
		...{ status: 'infeasible', cuttings: [], promoted: [], total: 0 }
	});
	for (const [more, path] of [
		[{ bench: [1] }, 'bench'],
		[{ survival: { num: 3, den: 2 } }, 'survival'],
		[{ lag: 0 }, 'lag'],
		[{ demand: [{ date: 9, quantity: 1 }] }, 'demand']
	] as const) {
		const r = await ask({ ...q, ...more });
		expect([r.status, r.body.error.path]).toEqual([400, path]);
	}
});
