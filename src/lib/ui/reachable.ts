/** What scrolls sideways can be reached and scrolled by keys. An attachment; where nothing scrolls it is no stop. */
export function reachable(node: HTMLElement): () => void {
	const scroller = node.matches('table') ? node.parentElement! : node;
	const look = () => {
		if (scroller.scrollWidth > scroller.clientWidth) scroller.tabIndex = 0;
		else scroller.removeAttribute('tabindex');
	};
	const seen = new ResizeObserver(look);
	seen.observe(scroller);
	look();
	return () => seen.disconnect();
}
