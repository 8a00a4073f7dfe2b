/** The one of `tailwind-merge` that Flowbite calls, by the copy that `tailwind-variants` has in it (vite.config.ts). */
import { cnMerge } from 'tailwind-variants';
import type { CnOptions } from 'tailwind-variants';

/** Classes in one text; of two that say the same thing, the later. */
export const twMerge = (...classes: CnOptions): string => cnMerge(...classes)({ twMerge: true }) ?? '';
