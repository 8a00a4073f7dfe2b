/** What was just logged, with the way back. One at a time: the last one counts. */
export interface Logged {
	entryId: string | null;
	sentence: string;
}

export const toast = $state<{ shown: Logged | null }>({ shown: null });

export function tell(logged: Logged): void {
	toast.shown = logged;
}
