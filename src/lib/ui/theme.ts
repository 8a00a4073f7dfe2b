/**
 * Flowbite in our look, once: a shed's plain boards. What stands here goes on top of each component's own classes, by
 * Flowbite's own theming; colours are the tokens of app.css, which turn with the light.
 */
import type { ThemeConfig } from 'flowbite-svelte';

/** The ring of what has the focus; Flowbite's own glow goes. */
const FOCUS =
	'focus-within:ring-0 focus:ring-0 focus-visible:outline-3 focus-visible:outline-offset-2 focus-visible:outline-catkin';
const FIELD = `min-h-12 rounded-none border-edge bg-field px-3 py-1.5 text-base text-ink placeholder:text-faded focus:border-bottle ${FOCUS}`;
const TICK = `h-6 w-6 rounded-none border-edge bg-field text-bottle checked:border-bottle ${FOCUS}`;

export const theme: ThemeConfig = {
	button: {
		base: `min-h-12 cursor-pointer gap-2 rounded-none px-4 py-1 text-base leading-tight font-semibold ${FOCUS}`
	},
	input: { input: FIELD },
	select: { select: `${FIELD} pr-9` },
	textarea: { wrapper: `w-full ${FIELD}`, base: FIELD },
	label: 'mb-1 text-base font-semibold text-ink',
	helper: 'mt-1 text-[length:var(--text-note)] text-faded',
	checkbox: { base: TICK, div: 'min-h-11 gap-2 text-base font-normal text-ink' },
	radio: { input: `${TICK} rounded-full`, label: 'min-h-11 gap-2 text-base font-normal text-ink' },
	alert: 'bg-transparent px-3 py-0 text-base text-ink',
	modal: { base: 'rounded-none border border-bottle bg-pane text-ink', body: 'p-0', header: 'text-ink' },
	kbd: 'rounded-none border border-edge bg-field font-mono text-base text-ink',
	toast: {
		base: 'max-w-lg items-center rounded-none border-l-8 border-catkin bg-bar p-3 text-onbar shadow-lg',
		content: 'text-base'
	}
};
