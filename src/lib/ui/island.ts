/** How parts of a page come to life one after the other (Island.svelte). */
import type { Component } from 'svelte';
import { render } from 'svelte/server';

/** What the server writes for a part; nothing in the browser, where it is there already. */
export const written = <Props extends Record<string, unknown>>(
	part: Component<Props>,
	props: Props,
	context: Map<unknown, unknown>,
	idPrefix: string
): string => (import.meta.env.SSR ? render(part as Component, { props, context, idPrefix }).body : '');

let living = false;
let reviving = false;
/** Has the page come to life in this browser, and is this not a part that just does? On the server it never has. */
export const alive = (): boolean => living && !reviving;
/** Brings to life what the server wrote, with the parts in it. */
export function revived<T>(work: () => T): T {
	reviving = true;
	try {
		return work();
	} finally {
		reviving = false;
	}
}
/** It has. */
export function cameAlive(): void {
	living = true;
}

const waiting: (() => void)[] = [];
let next: ReturnType<typeof setTimeout> | null = null;
/** Small parts come together: so long the thread is not held up by them. */
const TOGETHER_MS = 8;

function takeNext() {
	next = null;
	const until = performance.now() + TOGETHER_MS;
	try {
		do waiting.shift()?.();
		while (waiting.length > 0 && performance.now() < until);
	} finally {
		if (waiting.length > 0) next ??= setTimeout(takeNext);
	}
}

/** Does it in a task of its own, after those that were called before, or before them. Gives back what takes it off again. */
export function inTurn(work: () => void, first = false): () => void {
	if (first) waiting.unshift(work);
	else waiting.push(work);
	next ??= setTimeout(takeNext);
	return () => {
		const at = waiting.indexOf(work);
		if (at >= 0) waiting.splice(at, 1);
	};
}

/** Lets go of the thread: what waits for it, a touch before all, comes first. */
export const letGo = (): Promise<void> => new Promise((go) => setTimeout(go));

/** Does it when what has changed until now is painted. Gives back what calls it off. */
export function afterPaint(work: () => void): () => void {
	let timer: ReturnType<typeof setTimeout> | undefined;
	const frame = requestAnimationFrame(() => (timer = setTimeout(work)));
	return () => {
		cancelAnimationFrame(frame);
		clearTimeout(timer);
	};
}
