import { pino } from 'pino';

/** One line of JSON an event on standard error; LOG_LEVEL=silent in tests. */
const destination = pino.destination({ dest: 2, sync: true });
// A full disk takes no lines: the app goes on without them.
destination.on('error', () => undefined);

export const log = pino(
	{ level: process.env.LOG_LEVEL ?? 'info', base: undefined, timestamp: pino.stdTimeFunctions.isoTime },
	destination
);
