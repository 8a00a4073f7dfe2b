/**
 * A stand-in for thermometers at home: sends readings of places to POST /api/readings, as any sensor can.
 *
 *   SURCULUS_URL=http://127.0.0.1:5173 SURCULUS_TOKEN=… node --import tsx stand-ins/thermometers/post.ts "Kitchen sill=19" "Garage=7" [--every 600] [--times 3]
 *
 * Each place swings by a degree or two about the figure given, warmer in the afternoon.
 */
const args = process.argv.slice(2);
const option = (name: string, usual: number) => {
	const at = args.indexOf(`--${name}`);
	return at < 0 ? usual : Number(args.splice(at, 2)[1]);
};
const every = option('every', 600);
const times = option('times', 1);
const base = process.env.SURCULUS_URL;
const token = process.env.SURCULUS_TOKEN;
if (!base || !token || args.length === 0) {
	process.stderr.write('Give SURCULUS_URL, SURCULUS_TOKEN and places as "name=degrees".\n');
	process.exit(2);
}
for (let n = 0; n < times; n++) {
	const at = new Date();
	const swing = Math.cos(((at.getHours() - 15) / 24) * 2 * Math.PI);
	const readings = args.map((arg) => {
		const [place, middle] = arg.split(/=(?=[^=]*$)/);
		return { place, at: at.toISOString(), now_c: Math.round((Number(middle) + 1.5 * swing) * 10) / 10 };
	});
	const answer = await fetch(`${base}/api/readings`, {
		method: 'POST',
		headers: { authorization: `Bearer ${token}`, 'content-type': 'application/json' },
		body: JSON.stringify({ readings })
	});
	process.stdout.write(`${answer.status} ${await answer.text()}\n`);
	if (!answer.ok) process.exit(1);
	if (n + 1 < times) await new Promise((r) => setTimeout(r, every * 1000));
}
export {};
