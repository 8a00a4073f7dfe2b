/** How dates and numbers are written on this device. */
import { PLAIN, writtenAs } from '$lib/core/writing.js';
import type { Writing } from '$lib/core/writing.js';
import { writingCookie, writingOf, writingText } from '$lib/formats/writing.js';

/** What says a date or a number follows it. */
let hand = $state<Writing>(PLAIN);

/** What the server wrote the first page in: the page goes on in the same hand. */
export function takeHand(): Writing {
	hand = writingOf(document.documentElement.dataset.writing);
	writtenAs(() => hand);
	return hand;
}

export function chooseHand(chosen: Writing): void {
	document.cookie = writingCookie(chosen);
	document.documentElement.dataset.writing = writingText(chosen);
	takeHand();
}
