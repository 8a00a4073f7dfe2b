import type { PageServerLoad } from './$types';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('leaving', event, ['on', 'to']);
