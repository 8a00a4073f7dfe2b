/** How far the search for an order looks: past it the best that was found is told, with what no order can do without. */
export const SEARCH = {
	/** Plants of one knot whose every subset is looked at. */
	exact: 22,
	/** Next sets that are looked at in all, following as many sets side by side as that allows. */
	looks: 800_000
};
