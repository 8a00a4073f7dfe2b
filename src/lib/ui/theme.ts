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
	range: 'min-h-11 rounded-none bg-transparent dark:bg-transparent',
	alert: 'bg-transparent px-3 py-0 text-base text-ink',
	modal: { base: 'rounded-none border border-bottle bg-pane text-ink', body: 'p-0', header: 'text-ink' },
	kbd: 'rounded-none border border-edge bg-field font-mono text-base text-ink',
	breadcrumb: { list: 'space-x-0' },
	breadcrumbItem: {
		base: 'ms-0 min-h-11 min-w-11 items-center text-[length:var(--text-note)] font-normal text-leaf underline-offset-4 hover:underline md:ms-0'
	},
	navbar: 'mx-auto max-w-[1240px] px-4 py-0 sm:px-4',
	navbarContainer: 'min-h-14 gap-x-4 max-md:flex-nowrap',
	navbarBrand: 'min-h-12 min-w-0 items-baseline gap-2 py-2 font-head text-lg font-semibold text-onbar',
	navbarUl: { base: 'flex-1', ul: 'gap-x-1 p-0 md:flex-wrap md:text-base md:font-normal' },
	navbarLi: 'flex min-h-14 items-center rounded-none border-b-4 px-3 text-onbar md:border-b-4 md:p-0 md:px-3 md:hover:text-onbar',
	bottomNav: { base: 'h-auto border-rule bg-pane', inner: 'grid-cols-6 max-w-none' },
	bottomNavItem: {
		base: 'min-h-16 min-w-0 border-t-4 px-0 text-[0.75rem] text-bottle hover:bg-transparent',
		span: 'text-[0.75rem] text-bottle group-hover:text-bottle'
	},
	table: { div: 'overflow-x-auto', table: 'text-base text-ink' },
	tableHead: 'border-b border-ink bg-transparent text-base text-ink normal-case',
	tableHeadCell: 'px-0 py-1 pr-4 align-bottom font-semibold last:pr-0',
	tableBodyRow: 'border-rule bg-transparent align-top',
	tableBodyCell: 'px-0 py-1.5 pr-4 font-normal whitespace-normal last:pr-0',
	progressbar: { base: 'overflow-hidden rounded-none border border-ink bg-transparent', inside: 'rounded-none' },
	toast: {
		base: 'max-w-lg items-center rounded-none border-l-8 border-catkin bg-bar p-3 text-onbar shadow-lg',
		content: 'text-base'
	}
};
