/** Light or dark by choice, or as the device has it: kept on the device, in a cookie, so that the first paint is right. */
export const LOOKS = ['device', 'light', 'dark'] as const;
export type Look = (typeof LOOKS)[number];

export const LOOK_COOKIE = 'look';
const YEAR_S = 31_536_000;

/** Of a cookie that may hold anything. */
export const lookOf = (cookie: string | undefined): Look => LOOKS.find((l) => l === cookie) ?? 'device';

/** The cookie that a choice is kept in. */
export const lookCookie = (look: Look): string => `${LOOK_COOKIE}=${look}; path=/; max-age=${YEAR_S}; samesite=lax`;
