import { fail, redirect } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';
import { SESSION_COOKIE, sessionCookie, signIn, signInAsked, signOut, tooManyTries } from '$lib/server/auth.js';
import { guarded } from '$lib/server/forms.js';

/** Only a path of ours: a full address would send people elsewhere. */
const safe = (to: string | null): string => (to && /^\/(?![/\\])/.test(to) ? to : '/');

export const load: PageServerLoad = () => {
	if (!signInAsked()) redirect(303, '/');
};

export const actions: Actions = {
	in: async ({ request, cookies, url, getClientAddress }) => {
		const password = String((await request.formData()).get('password') ?? '');
		const address = getClientAddress();
		return guarded(async () => {
			if (await tooManyTries(address)) return fail(429, { sentence: 'Too many wrong tries: wait a quarter of an hour.' });
			const token = await signIn(password, address);
			if (!token) return fail(400, { sentence: 'That is not the household’s password.' });
			cookies.set(SESSION_COOKIE, token, {
				...sessionCookie,
				secure: request.headers.get('x-forwarded-proto') === 'https'
			});
			redirect(303, safe(url.searchParams.get('to')));
		});
	},
	out: async ({ cookies }) => {
		await guarded(() => signOut(cookies.get(SESSION_COOKIE)));
		cookies.delete(SESSION_COOKIE, { path: '/' });
		redirect(303, '/sign-in');
	}
};
