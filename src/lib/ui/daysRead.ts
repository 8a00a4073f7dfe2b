/** Days being read at the moment: what reads them may still be on its way to the device. */
let reading: Promise<unknown> = Promise.resolve();

export function alsoReading(day: Promise<unknown>): void {
	reading = Promise.allSettled([reading, day]);
}

/** Before anything is done with days that have been typed: all of them are read, or are none. */
export async function daysRead(): Promise<void> {
	let last;
	do await (last = reading);
	while (last !== reading);
}
