import type { Actions, PageServerLoad } from './$types';
import { doing } from '$lib/server/acts/doing.js';
import { clearFigure, saw, setFigure } from '$lib/server/acts/kind.js';
import { takeKindAway } from '$lib/server/acts/ownKind.js';
import { view } from '$lib/server/threads/pool.js';

export const load: PageServerLoad = (event) => view('kind', event, ['day']);

export const actions: Actions = { saw: doing(saw), set: doing(setFigure), clear: doing(clearFigure), away: doing(takeKindAway) };
