import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';
import { originOf } from '$lib/server/api.js';
import { safePath, SESSION_COOKIE, sessionCookie, signIn, signInAsked, signOut, signOutEverywhere } from '$lib/server/auth.js';
import { Fields, guarded } from '$lib/server/forms.js';

export const load: PageServerLoad = () => {
	if (!signInAsked()) redirect(303, '/');
};

export const actions: Actions = {
	in: async ({ request, cookies, url, getClientAddress }) => {
		const password = (await Fields.of(request)).text('password');
		const address = getClientAddress();
		const tried = await guarded(() => signIn(password, address));
		if (tried.outcome === 'wait')
			return fail(429, {
				sentence: `Too many wrong tries: wait ${tried.minutes === 1 ? 'a minute' : `${tried.minutes} minutes`}.`
			});
		if (tried.outcome === 'wrong') return fail(400, { sentence: 'That is not the household’s password.' });
		cookies.set(SESSION_COOKIE, tried.token, { ...sessionCookie, secure: originOf(request, url).startsWith('https:') });
		redirect(303, safePath(url.searchParams.get('to')));
	},
	out: async ({ cookies }) => {
		await guarded(() => signOut(cookies.get(SESSION_COOKIE)));
		cookies.delete(SESSION_COOKIE, { path: '/' });
		redirect(303, '/sign-in');
	},
	everywhere: async ({ cookies, locals }) => {
		if (!locals.signedIn) redirect(303, '/sign-in');
		await guarded(signOutEverywhere);
		cookies.delete(SESSION_COOKIE, { path: '/' });
		redirect(303, '/sign-in');
	}
};
