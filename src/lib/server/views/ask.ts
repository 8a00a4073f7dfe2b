/** What a screen is asked for: the parts of its address, as plain data that goes from thread to thread. */
export interface AskedData {
	params: Record<string, string>;
	search: string;
	/** Where the app is read from, as the browser has it. */
	origin: string;
}

/** The same as a view reads it. The address of every screen names its garden; `P` are the other parts that it has. */
export interface Ask<P extends string = never> {
	params: Readonly<Record<'garden' | P, string>>;
	query: URLSearchParams;
	origin: string;
}

export const askOf = ({ params, search, origin }: AskedData): Ask<string> => ({
	params,
	query: new URLSearchParams(search),
	origin
});
