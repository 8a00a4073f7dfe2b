/** The plan of all wants in gardens that the demo is not, in the middle of July. */
import { test } from './app.js';
import { JULY, walks } from './planWalks.js';

test.use({ appOptions: { demo: false, env: { SURCULUS_TODAY: JULY } } });
walks(JULY);
