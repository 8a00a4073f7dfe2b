/** What a thread says: the value, or the answer that the framework would have given in its place, as plain data. */
import { error, isHttpError, isRedirect, redirect } from '@sveltejs/kit';

export type Answer<T> =
	{ value: T } | { error: { status: number; body: App.Error } } | { redirect: { status: 303; location: string } };

export async function answerOf<T>(work: () => Promise<T>): Promise<Answer<T>> {
	try {
		return { value: await work() };
	} catch (e) {
		if (isHttpError(e)) return { error: { status: e.status, body: e.body } };
		if (isRedirect(e)) return { redirect: { status: 303, location: e.location } };
		throw e;
	}
}

export function valueOf<T>(answer: Answer<T>): T {
	if ('value' in answer) return answer.value;
	if ('redirect' in answer) redirect(answer.redirect.status, answer.redirect.location);
	error(answer.error.status, answer.error.body);
}
