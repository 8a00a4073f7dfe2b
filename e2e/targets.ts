/** Read in the page: what is there to be touched, and what of it is too small or hidden. */

/** Targets smaller than so many px either way; links within a sentence may be as high as their line (WCAG 2.2, 2.5.8). */
export function tooSmall(least: number): string[] {
	const seen = (el: Element) => {
		const r = el.getBoundingClientRect();
		return r.width > 1 && r.height > 1 && el.checkVisibility({ visibilityProperty: true }) && !el.closest('.sr-only');
	};
	const inSentence = (el: Element) =>
		el.tagName === 'A' &&
		getComputedStyle(el).display === 'inline' &&
		(el.parentElement?.textContent ?? '').trim().length > (el.textContent ?? '').trim().length + 3;
	return [
		...document.querySelectorAll(
			'a[href], button, input:not([type=hidden]), select, textarea, summary, [role=slider], [role=combobox], [role=tab]'
		)
	]
		.map((el) => (el.matches('[type=checkbox], [type=radio]') ? (el.closest('label') ?? el) : el))
		.filter((el, i, all) => all.indexOf(el) === i && seen(el) && !inSentence(el))
		.flatMap((el) => {
			const { width, height } = el.getBoundingClientRect();
			// Half a px is rounding.
			return width >= least - 0.5 && height >= least - 0.5
				? []
				: [
						`${el.tagName.toLowerCase()} “${(el.textContent ?? '').trim().slice(0, 30)}” ${Math.round(width)} × ${Math.round(height)}`
					];
		});
}

/** What has the focus and lies under a bar, in the order of the keys; `most` of them are looked at. */
export async function hiddenFocus(most: number): Promise<string[]> {
	const bad: string[] = [];
	const all = [
		...document.querySelectorAll<HTMLElement>(
			'a[href], button, input:not([type=hidden]):not([tabindex="-1"]), select, textarea, summary'
		)
	].filter((el) => el.checkVisibility({ visibilityProperty: true }) && !el.closest('[data-foot]'));
	// Of very many every second, third …: they are rows alike.
	const stops = all.filter((_, i) => i % Math.max(1, Math.ceil(all.length / most)) === 0);
	for (const el of stops) {
		el.focus();
		await new Promise((done) => requestAnimationFrame(done));
		const r = el.getBoundingClientRect();
		const over = document.elementFromPoint(r.left + r.width / 2, r.top + Math.min(r.height / 2, 20));
		if (over?.closest('[data-foot], .fixed') && !el.contains(over) && !over.contains(el))
			bad.push(`${el.tagName.toLowerCase()} “${(el.textContent ?? '').trim().slice(0, 30)}” at ${Math.round(r.top)}`);
	}
	return bad;
}
