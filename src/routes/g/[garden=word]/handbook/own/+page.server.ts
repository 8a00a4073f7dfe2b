import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { kindFromFile, setOwnKind } from '$lib/server/acts/ownKind.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('ownKind', event, ['kind', 'like']);

export const actions: Actions = { set: doing(setOwnKind), file: doing(kindFromFile) };
