import { createGunzip, gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { compressed, takesGzip } from './compress.js';

const ask = (accept: string | null, method = 'GET') =>
	new Request('http://localhost/', { method, headers: accept === null ? {} : { 'accept-encoding': accept } });
const page = (text: string, type = 'text/html', more: Record<string, string> = {}) =>
	new Response(text, { headers: { 'content-type': type, ...more } });
const long = '<p>lavender, </p>'.repeat(2_000);

describe('answers go out compressed', () => {
	it('to whoever takes gzip', () => {
		// RFC 9110, 12.5.3: a weight of nought says no.
		const said = [null, '', 'gzip', 'br, gzip', 'GZIP;q=0.5', 'gzip;q=0', 'identity', '*', '*;q=0'].map(takesGzip);
		expect(said).toEqual([false, false, true, true, true, false, false, true, false]);
	});
	it('smaller, the same once unpacked, and told apart by caches', async () => {
		const sent = compressed(
			ask('gzip'),
			page(long, 'text/html; charset=utf-8', { etag: '"a"', 'content-length': String(long.length) })
		);
		expect(sent.headers.get('content-encoding')).toBe('gzip');
		expect(sent.headers.get('vary')).toBe('accept-encoding');
		expect(sent.headers.get('etag')).toBe('W/"a"');
		expect(sent.headers.has('content-length')).toBe(false);
		const bytes = Buffer.from(await sent.arrayBuffer());
		expect(bytes.length).toBeLessThan(long.length / 20);
		expect(gunzipSync(bytes).toString()).toBe(long);
	});
	it('at once: the head of a page is out while its tail is still being worked out', async () => {
		let finish = () => {};
		const body = new ReadableStream<Uint8Array>({
			start(c) {
				c.enqueue(new TextEncoder().encode(long));
				finish = () => {
					c.enqueue(new TextEncoder().encode('the end'));
					c.close();
				};
			}
		});
		const sent = compressed(ask('gzip'), new Response(body, { headers: { 'content-type': 'text/html' } }));
		const reader = sent.body!.getReader();
		const unpack = createGunzip();
		let read = '';
		unpack.on('data', (d: Buffer) => (read += d.toString()));
		while (read.length < long.length) {
			const { value, done } = await reader.read();
			expect(done).toBe(false);
			await new Promise((r) => unpack.write(value, r));
		}
		expect(read).toBe(long);
		finish();
		for (let at = await reader.read(); !at.done; at = await reader.read()) unpack.write(at.value);
		await new Promise((r) => unpack.end(r));
		expect(read.endsWith('the end')).toBe(true);
	});
	it('and whoever goes away takes nothing down', async () => {
		const body = new ReadableStream<Uint8Array>({
			async pull(c) {
				await new Promise((r) => setTimeout(r, 5));
				c.enqueue(new TextEncoder().encode(long));
			}
		});
		const sent = compressed(ask('gzip'), new Response(body, { headers: { 'content-type': 'text/html' } }));
		const reader = sent.body!.getReader();
		await reader.read();
		await reader.cancel();
		await new Promise((r) => setTimeout(r, 50));
	});
	it('not twice, not pictures, not what is short, not to who cannot read it', async () => {
		const as = (r: Response) => r.headers.get('content-encoding');
		expect(as(compressed(ask('gzip'), page(long, 'image/png')))).toBeNull();
		expect(as(compressed(ask('gzip'), page(long, 'application/pdf')))).toBeNull();
		expect(as(compressed(ask('gzip'), page('short', 'text/html', { 'content-length': '5' })))).toBeNull();
		expect(as(compressed(ask('gzip'), page(long, 'text/html', { 'content-encoding': 'br' })))).toBe('br');
		expect(as(compressed(ask(null), page(long)))).toBeNull();
		expect(as(compressed(ask('gzip'), new Response(null, { status: 304, headers: { 'content-type': 'text/html' } })))).toBeNull();
		expect(await compressed(ask(null), page(long)).text()).toBe(long);
	});
});
