import type { LayoutServerLoad } from './$types';
import { view } from '$lib/server/threads/pool.js';

export const load: LayoutServerLoad = (event) => view('frame', event, ['day']);
