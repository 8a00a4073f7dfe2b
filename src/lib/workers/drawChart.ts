/** Draws charts away from the page's thread: on a phone one takes as long as coming to life takes a whole page. */
import { pictureOf } from '$lib/ui/echarts.js';
import type { ChartOption } from '$lib/ui/echarts.js';

export interface DrawWish {
	id: number;
	option: ChartOption;
	width: number;
	height: number;
}
export interface Drawn {
	id: number;
	svg: string;
}

self.onmessage = ({ data }: MessageEvent<DrawWish>) => {
	const drawn: Drawn = { id: data.id, svg: pictureOf(data.option, data.width, data.height) };
	self.postMessage(drawn);
};
