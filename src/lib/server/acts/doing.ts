/** The one way from a form to the ledger: what is asked, what is written, what is said. */
import { isActionFailure, redirect } from '@sveltejs/kit';
import type { ActionFailure, RequestEvent } from '@sveltejs/kit';
import type { GardenHead } from '../context.js';
import { Fields, frameOf, gardenHeadOr404, recordForm } from '../forms.js';
import type { Done, Refused } from '../forms.js';
import type { Act } from '../ledger.js';

/** `P` are the parts of the route's address besides its garden. */
export interface Asked<P extends string = never> {
	garden: GardenHead;
	f: Fields;
	/** Id, day and note, as every form of an entry sends them. */
	frame: ReturnType<typeof frameOf>;
	params: Readonly<Record<'garden' | P, string>>;
	event: RequestEvent;
}

export interface Made {
	/** Written together or not at all; with none there is nothing to say. */
	acts: readonly Act[];
	said: string | ((code: string | null) => string);
	/** Where the person goes then. */
	next?: string;
}

type Answer = Made | ActionFailure<Refused>;

/** An action of a route, made of what its form means. */
export const doing =
	<P extends string = never>(make: (asked: Asked<P>) => Answer | Promise<Answer>) =>
	async (event: RequestEvent): Promise<Done | { done: null } | ActionFailure<Refused>> => {
		const params = event.params as Asked<P>['params'];
		const garden = await gardenHeadOr404(params.garden);
		const f = await Fields.of(event.request);
		const made = await make({ garden, f, frame: frameOf(f, garden), params, event });
		if (!('acts' in made)) return made;
		if (made.acts.length === 0) return { done: null };
		const answer = await recordForm(garden, event.locals.actor, made.acts, made.said);
		if (isActionFailure(answer) || made.next === undefined) return answer;
		redirect(303, made.next);
	};
