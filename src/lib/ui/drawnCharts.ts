/** Charts as pictures, drawn by one worker for the whole page. */
import type { ChartOption } from './echarts.js';
import type { DrawWish, Drawn } from '$lib/workers/drawChart.js';

let worker: Worker | null = null;
let last = 0;
const waiting = new Map<number, (svg: string) => void>();

function theWorker(): Worker {
	if (worker) return worker;
	worker = new Worker(new URL('../workers/drawChart.ts', import.meta.url), { type: 'module' });
	worker.onmessage = ({ data }: MessageEvent<Drawn>) => {
		waiting.get(data.id)?.(data.svg);
		waiting.delete(data.id);
	};
	return worker;
}

/** Has it drawn so wide and so high, px. Gives back what calls it off. */
export function drawChart(option: ChartOption, width: number, height: number, done: (svg: string) => void): () => void {
	const id = ++last;
	waiting.set(id, done);
	// What a pointer is told is put into words by functions, which cannot be sent; a picture has no use for it.
	const { tooltip: _, ...plain } = option;
	const wish: DrawWish = { id, option: plain, width, height };
	theWorker().postMessage(wish);
	return () => waiting.delete(id);
}
