/** How whoever asked writes dates and numbers, for as long as their question is worked on. */
import { AsyncLocalStorage } from 'node:async_hooks';
import { PLAIN, writing, writtenAs } from '$lib/core/writing.js';
import type { Writing } from '$lib/core/writing.js';
import { writingText } from '$lib/formats/writing.js';

const asked = new AsyncLocalStorage<Writing>();
writtenAs(() => asked.getStore() ?? PLAIN);

export const inWriting = <T>(chosen: Writing, work: () => T): T => asked.run(chosen, work);

/** Part of the key of what is kept with its sentences. */
export const handOf = (): string => writingText(writing());
