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

test('a bed is measured by tape, filled, printed, wanted; what cannot be is said, and it is undone', async ({ app, page }) => {
	await page.setViewportSize({ width: 390, height: 844 });
	// A hedge in which nothing stands yet.
	await page.goto(`${app.demo}/settings`);
	await page.waitForLoadState('networkidle');
	await page.getByRole('button', { name: 'Add a place' }).click();
	await page.getByLabel('Name', { exact: true }).fill('East hedge');
	await page.getByLabel('What it is', { exact: true }).selectOption('hedge');
	await page.getByRole('button', { name: 'Save the place' }).click();
	await expect(page.getByText(/\d+\. East hedge/)).toBeVisible();
	await page.goto(`${app.demo}/ground`);
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('56.8 m² of measured ground');
	await page.getByRole('link', { name: /^East hedge/ }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('East hedge is not measured yet');
	await page.getByLabel('How was it measured?').selectOption('tape');
	await page.getByLabel('Between the two points').fill('4');
	const tapes = page.getByLabel(/^Each corner in order/);
	await tapes.fill('0 4\n4 0\n1 1');
	// Told as it is typed, and by the app when it is sent all the same; nothing typed is lost.
	const short = 'Corner 3: 1 m and 1 m do not reach each other over the 4 m between the points: 2 m are missing.';
	await expect(page.getByText(short)).toBeVisible();
	await page.getByRole('button', { name: 'Keep this' }).click();
	await expect(page.getByRole('alert').filter({ hasText: short })).toBeVisible();
	// With gloves, one number at a time: what was typed so far is there, and one can go back.
	await tapes.fill('0 4\n4 0');
	await page.getByRole('button', { name: 'One number at a time, for outdoors' }).click();
	const large = page.getByLabel('Corner 3: from the left point');
	await large.fill('five');
	await page.getByRole('button', { name: 'Next number' }).click();
	await expect(page.getByText('A length in m, as the tape has it.')).toBeVisible();
	await large.fill('5');
	await page.getByRole('button', { name: 'Next number' }).click();
	await page.getByLabel('Corner 3: from the right point').fill('9');
	await page.keyboard.press('Enter');
	await page.getByRole('button', { name: 'Back one' }).click();
	await page.getByLabel('Corner 3: from the right point').fill('3');
	await page.keyboard.press('Enter');
	await page.getByRole('button', { name: 'That was the last corner' }).click();
	await expect(tapes).toHaveValue('0  4\n4  0\n5  3');
	await tapes.fill('0 4\n4 0\n5 3\n3,0 5');
	await expect(page.getByText('12 m²', { exact: true })).toBeVisible();
	await page.getByRole('button', { name: 'Keep this' }).click();
	await expect(page.getByRole('status').filter({ hasText: 'Measured.' })).toBeVisible();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('East hedge: 12 m²');
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('East hedge is not measured yet');
	await page.getByLabel('How was it measured?').selectOption('sides');
	await page.getByLabel('Length', { exact: true }).fill('4');
	await page.getByLabel('Width', { exact: true }).fill('3');
	await page.getByRole('button', { name: 'Keep this' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('East hedge: 12 m²');

	// Asked of a kind: three spacings side by side, the drawing says how many, closer is more.
	const kind = page.getByRole('combobox', { name: 'Kind' });
	await kind.fill('catmi');
	await page.getByRole('option', { name: /Catmint/ }).click();
	await page.getByLabel('Spacing').fill('50');
	await page.getByRole('button', { name: 'Fill it' }).click();
	await expect(page.getByRole('img', { name: /of Catmint/ })).toBeVisible();
	const count = Number(/^(\d+)/.exec((await page.getByRole('heading', { level: 1 }).textContent())!)![1]);
	// 12 m² at 50 cm, staggered: 55 by area, and some on the edge.
	expect(count).toBeGreaterThan(55);
	expect(count).toBeLessThan(75);
	await expect(page.getByRole('img', { name: new RegExp(`with ${count} of Catmint`) })).toBeVisible();
	const counts = async () =>
		(await page.getByRole('table').locator('tbody tr td:nth-child(2)').allTextContents()).map((t) => Number(t));
	const [closer, asked, wider] = await counts();
	expect([closer! > asked!, asked! > wider!, asked]).toEqual([true, true, count]);
	// 4 × 3 m at 50 cm, square: 9 × 7.
	await page.getByLabel('Pattern').selectOption('square');
	await page.getByRole('button', { name: 'Fill it' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText('63 plants fit in East hedge');
	// Its length as a hedge: both ends planted.
	await expect(page.getByText('As a hedge along its length: 9 plants in one row, 17 in two.')).toBeVisible();
	// Mixed with another kind, two fifths of it, in groups: 38 and 25 of 63.
	await page.getByRole('combobox', { name: 'Mixed with' }).fill('lavend');
	await page.getByRole('option', { name: /English lavender/ }).click();
	await page.getByLabel('Share of that').fill('40');
	await page.getByRole('button', { name: 'Fill it' }).click();
	await expect(page.getByText(/38 Catmint and 25 English lavender, in groups of three to seven/)).toBeVisible();
	await expect(page.getByRole('link', { name: 'Say that you want 25 English lavender here' })).toBeVisible();
	await page.getByRole('combobox', { name: 'Mixed with' }).fill('nothing');
	await page.getByRole('option', { name: 'nothing else' }).click();
	await page.getByRole('button', { name: 'Fill it' }).click();
	await expect(page.getByRole('link', { name: 'Say that you want 63 of them here' })).toBeVisible();
	const sheet = await page.request.get(
		new URL((await page.getByRole('link', { name: 'Print it to scale' }).getAttribute('href'))!, page.url()).href
	);
	expect([sheet.status(), (await sheet.body()).subarray(0, 5).toString()]).toEqual([200, '%PDF-']);
	await page.getByLabel('Pattern').selectOption('drift');
	await page.getByRole('button', { name: 'Fill it' }).click();
	await expect(page.getByText(/there is no gap for one more/)).toBeVisible();
	expect((await counts())[1]).toBeLessThan(63);
	await page.getByLabel('Pattern').selectOption('square');
	await page.getByLabel('Spacing').fill('1');
	await page.getByRole('button', { name: 'Fill it' }).click();
	await expect(page.getByRole('alert').filter({ hasText: 'Plants in a bed stand 3 cm to 10 m apart.' })).toBeVisible();
	await page.getByLabel('Spacing').fill('50');
	await page.getByRole('button', { name: 'Fill it' }).click();
	await page.getByRole('link', { name: 'Say that you want 63 of them here' }).click();
	await expect(page.getByLabel('How many', { exact: true })).toHaveValue('63');
	await expect(page.getByLabel('Where')).toHaveValue(/[0-9a-f-]{36}/);

	// What was measured is in the ledger, and comes out again.
	await page.goto(`${app.demo}/ledger`);
	await expect(page.getByText('East hedge measured, 12 m²').first()).toBeVisible();
	const unknown = await page.request.get(`${app.demo}/ground/00000000-0000-7000-8000-000000000000`);
	expect(unknown.status()).toBe(404);
});

test('what stands in a bed is set in its drawing by tap, key and number; what is new keeps off it', async ({ app, page }) => {
	await page.setViewportSize({ width: 1280, height: 900 });
	await page.goto(`${app.demo}/ground`);
	await page.getByRole('link', { name: /^Long border/ }).click();
	const fits = async () => Number(/^(\d+) plants fit/.exec((await page.getByRole('heading', { level: 1 }).textContent())!)![1]);
	await page.getByLabel('Spacing').fill('40');
	await page.getByRole('button', { name: 'Fill it' }).click();
	await expect(page.getByText(/ at 40\scm on /)).toBeVisible();
	const before = await fits();
	await expect(page.getByText(/plants without a place in the drawing are not counted/)).toBeVisible();
	const item = page.getByRole('listitem').filter({ hasText: 'old blue' });
	await item.getByRole('button', { name: 'Set it in the bed' }).click();
	const drawing = item.getByRole('button', { name: /^Set one where you tap/ });
	await drawing.scrollIntoViewIfNeeded();
	const box = (await drawing.boundingBox())!;
	await page.mouse.click(box.x + box.width * 0.4, box.y + box.height * 0.4);
	await expect(item.getByText('1 of 2 set.')).toBeVisible();
	const where = item.getByLabel(/^Where each stands/);
	const [x, y] = (await where.inputValue()).split(/\s+/).map(Number) as [number, number];
	await drawing.focus();
	await page.keyboard.press('ArrowRight');
	await expect(where).toHaveValue(new RegExp(`^${String(Math.round((x + 0.05) * 100) / 100).replace('.', '\\.')} +${y}$`));
	// Three of two are refused, and one outside; what was typed is still there.
	await where.fill('3 2\n4 2\n5 2');
	await item.getByRole('button', { name: 'Keep these places' }).click();
	await expect(item.getByRole('alert')).toContainText('There are 2 of them: set no more.');
	await where.fill('3 2\n40 2');
	await item.getByRole('button', { name: 'Keep these places' }).click();
	await expect(item.getByRole('alert')).toContainText('Plant 2 would stand outside Long border, or in a stone.');
	await expect(where).toHaveValue('3 2\n40 2');
	await where.fill('3 2\n4,5 2');
	await item.getByRole('button', { name: 'Keep these places' }).click();
	await expect(page.getByRole('status').filter({ hasText: 'Set.' })).toBeVisible();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^\d+ plants fit beside what stands in Long border$/);
	// Two hydrangeas some metre and a half across each: what fits is less, or what was drawn where it fits moves aside.
	const drawn = page.getByText(/drawn where it fits/);
	await expect(drawn.first()).toBeVisible();
	expect(await fits()).toBeLessThanOrEqual(before);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(`${before} plants fit beside what stands in Long border`);
});

test('where so many of a kind can go: the beds by light and room, what is left over, and a wrong number told', async ({
	app,
	page
}) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await page.goto(`${app.demo}/ground?kind=lavender&count=20`);
	const where = page.getByRole('region', { name: 'Where can these go?' });
	await expect(where.getByText(/^20 English lavender in .+\.$/)).toBeVisible();
	await where.getByLabel('How many').fill('900');
	await where.getByRole('button', { name: 'Find room' }).click();
	const told = where.getByText(/^\d+ English lavender in .+, \d+ in .+; \d+ are left over: give them away, or pot them on\.$/);
	await expect(told).toBeVisible();
	const numbers = ((await told.textContent())!.match(/\d+/g) ?? []).map(Number);
	expect(numbers.reduce((a, b) => a + b)).toBe(900);
	// The same number on the bed's own page.
	const item = where.getByRole('listitem').filter({ hasText: 'Path edge' });
	const fits = Number(/(\d+) plants fit/.exec((await item.textContent())!)![1]);
	await item.getByRole('link').click();
	await expect(page.getByRole('heading', { level: 1 })).toHaveText(`${fits} plants fit beside what stands in Path edge`);
	await page.goto(`${app.demo}/ground?kind=hosta&count=3`);
	await expect(where.getByRole('listitem').filter({ hasText: 'Long border' })).toContainText('too sunny for it');
	await where.getByLabel('How many').fill('many');
	await where.getByRole('button', { name: 'Find room' }).click();
	await expect(where.getByRole('alert')).toContainText('How many: a whole number from 1 to 5,000.');
});

test('moves: knots in an order with the fewest waiting, each on its day, ticked off, changed, cleared, dropped, undone', async ({
	app,
	page
}) => {
	await page.setViewportSize({ width: 390, height: 844 });
	await page.goto(`${app.demo}/ground`);
	await page.getByRole('link', { name: /^Things have to change places/ }).click();
	const heading = page.getByRole('heading', { level: 1 });
	// A swap and a ring of three: one group of each waits, never both at once.
	await expect(heading).toHaveText('9 moves; 2 plants wait in between');
	const order = page.getByRole('region', { name: 'In this order' }).locator('ol > li');
	await expect(order).toHaveCount(11);
	const told = (await order.allTextContents()).map((t) => t.replace(/\s+/g, ' '));
	const lifted = told.findIndex((t) => t.includes('into pots or sacking, to Nursery row'));
	const planted = told.findIndex((t) => / waited to /.test(t));
	const other = told.findIndex((t) => t.includes(', where') && !/ waited to /.test(t));
	expect([lifted < other, other < planted]).toEqual([true, true]);
	await expect(page.getByRole('img', { name: 'Long border from above: 5 of the moves begin here, 5 end here' })).toBeVisible();
	await expect(page.getByRole('listitem').filter({ hasText: /^Blackcurrant/ })).toContainText('Roots cut round a season before');

	// Two steps are made: what waits is told from where it waits, the rest in its order.
	await page.getByRole('checkbox', { name: 'Daylily, lemon, early is put to wait' }).check();
	await page.getByRole('checkbox', { name: 'Catmint is moved' }).check();
	await page.getByRole('button', { name: 'Log 2 as moved' }).click();
	await expect(page.getByRole('status').filter({ hasText: '2 moved.' })).toBeVisible();
	await expect(heading).toHaveText('8 moves; 2 plants wait in between');
	await expect(page.getByText('1 of 9 are made.')).toBeVisible();
	await expect(order.filter({ hasText: 'Daylily' })).toContainText('from Nursery row to Path edge, where Catmint stood');
	// A day typed meanwhile stays when the page is read anew, and is read though what reads days is slow to come.
	await page.route(/\/_app\/immutable\//, async (route) => {
		await new Promise((r) => setTimeout(r, 3_000));
		await route.continue();
	});
	await page.getByText('Change where each goes').click();
	await page.getByLabel('All done by').fill('1 Oct');
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(heading).toHaveText('9 moves; 2 plants wait in between');
	await expect(page.getByLabel('All done by')).toHaveValue(/^1 Oct/);
	await page.getByRole('button', { name: 'Find the order' }).click();
	await expect(page.getByText(/Not all can be done by 1\sOct/)).toBeVisible();
	await page.unrouteAll({ behavior: 'wait' });

	// Who is in the way must go somewhere; a day that can't be met says what binds.
	await page.getByLabel('3 Catmint, Path edge').selectOption({ label: 'stays' });
	await page.getByRole('button', { name: 'Find the order' }).click();
	await expect(page.getByRole('alert')).toHaveText('Daylily, lemon, early goes where Catmint stands: say where that goes.');
	await page.getByLabel('2 Daylily, lemon, early, Long border').selectOption({ label: 'to a free spot in Path edge' });
	await page.getByLabel(/^Spot of Daylily, lemon, early/).fill('7 0,3');
	await page.getByRole('button', { name: 'Find the order' }).click();
	await expect(heading).toHaveText(/^8 moves; 2 plants wait in between$/);
	await expect(page.getByText(/Not all can be done by 1\sOct/)).toContainText('can’t be moved before');
	await page.getByRole('button', { name: 'Keep these moves' }).click();
	await expect(page.getByRole('status').filter({ hasText: 'Kept: they come up on the round in their season.' })).toBeVisible();
	await page.goto(`${app.demo}/ground/moves`);
	await expect(heading).toHaveText('8 moves; 2 plants wait in between');
	await expect(page.getByText(/All are to be done by 1\sOct\s2026\./)).toBeVisible();

	// The round brings them up on their day.
	await page.goto(`${app.demo}/round`);
	await expect(page.getByText(/Move \d+ plants from Long border/).first()).toBeVisible();

	await page.goto(`${app.demo}/ground/moves`);
	await page.getByRole('button', { name: 'Drop these moves' }).click();
	await expect(heading).toHaveText('In what order do things move?');
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(heading).toHaveText('8 moves; 2 plants wait in between');

	// A whole bed is cleared: each into a bed with light and room for it, or it is said that there is none.
	await page.goto(`${app.demo}/ground`);
	await page.getByRole('link', { name: /^Path edge/ }).click();
	await page.getByRole('link', { name: /^Clear this bed/ }).click();
	await expect(page.getByText('They clear Path edge.')).toBeVisible();
	const cleared = (await order.allTextContents()).join(' ');
	for (const name of ['Catmint', 'lavender', 'sage']) expect(cleared).toContain(name);
	expect(cleared).not.toContain('to Path edge');
	// An address that says nothing is no plan.
	await page.goto(`${app.demo}/ground/moves?m=what,${'0'.repeat(36)}~at:${'1'.repeat(36)}`);
	await expect(heading).toHaveText('In what order do things move?');
});

test('a hedge along a line with gaps and spares, on a slope; beds out to a map and in again; a wrong map is told', async ({
	app,
	page
}) => {
	await page.goto(`${app.demo}/ground`);
	await page.getByRole('link', { name: /^Windbreak/ }).click();
	await page.getByLabel('How was it measured?').selectOption('line');
	await page.getByLabel('Width').fill('1');
	const line = page.getByLabel(/^The line, from end to end/);
	await line.fill('0 0\n12 0\n0 0.1');
	await expect(page.getByText('The line turns back on itself: measure that as two hedges.')).toBeVisible();
	await line.fill('0 0\n12 0\n15 4');
	await page.getByText('Slope, light that differs, where it lies').click();
	await page.getByLabel('Slope', { exact: true }).fill('steep');
	await page.getByRole('button', { name: 'Keep this' }).click();
	await expect(page.getByText(/^A slope is written in degrees/).first()).toBeVisible();
	await page.getByLabel('Slope', { exact: true }).fill('1 in 2');
	await page.getByLabel('East').fill('10');
	await page.getByLabel('North').fill('-4');
	await page.getByRole('button', { name: 'Keep this' }).click();
	await expect(page.getByText('27° is steep')).toBeVisible();
	await page.getByLabel('Spacing').fill('50');
	await page.getByLabel('Gaps in the standing hedge').fill('1.2 2');
	await page.getByRole('button', { name: 'Fill it' }).click();
	// 12 m and 5 m at 50 cm: 24 and 10 gaps, 35 plants, 69 in two rows; gaps of 1.2 m take 2, of 2 m take 3.
	await expect(page.getByText(/35 plants in one row, 69 in two/)).toBeVisible();
	await expect(page.getByText(/5 fill its gaps/)).toBeVisible();
	await expect(page.getByText(/more of the same age by: 9 times in 10/)).toBeVisible();

	const map = await page.request.get(`${app.demo}/ground/beds.geojson`);
	expect(map.headers()['content-type']).toContain('application/geo+json');
	const geo = (await map.json()) as {
		features: { geometry: { coordinates: number[][][] } | null; properties: { name: string } }[];
	};
	const hedge = geo.features.find((f) => f.properties.name === 'Windbreak, west side')!;
	expect(hedge.geometry!.coordinates[0]!.length).toBe(7);
	expect(geo.features.find((f) => f.properties.name === 'Path edge')!.geometry).toBeNull();
	hedge.properties.name = 'South border';
	await page.goto(`${app.demo}/ground`);
	await page.getByText('Maps: beds to and from other programs').click();
	const file = page.getByLabel('GeoJSON with a polygon for each bed');
	const bring = page.getByRole('button', { name: 'Bring these beds in' });
	await file.setInputFiles({
		name: 'x.geojson',
		mimeType: 'application/geo+json',
		buffer: Buffer.from('{"type":"Polygon","coordinates":[[1,2]]}')
	});
	await bring.click();
	await expect(page.getByText(/not nested as a polygon is/).first()).toBeVisible();
	await file.setInputFiles({ name: 'x.geojson', mimeType: 'application/geo+json', buffer: Buffer.from(JSON.stringify({ type: 'FeatureCollection', features: [hedge] })) }); // prettier-ignore
	await bring.click();
	await expect(page.getByRole('status').filter({ hasText: '1 bed added.' })).toBeVisible();
	await expect(page.getByRole('link', { name: /^South border/ })).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('link', { name: /^South border/ })).toHaveCount(0);
});
