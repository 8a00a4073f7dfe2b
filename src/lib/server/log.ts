import { pino } from 'pino';

/** One line of JSON an event on standard error; LOG_LEVEL=silent in tests. */
export const log = pino(
	{ level: process.env.LOG_LEVEL ?? 'info', base: undefined, timestamp: pino.stdTimeFunctions.isoTime },
	pino.destination({ dest: 2, sync: true })
);
