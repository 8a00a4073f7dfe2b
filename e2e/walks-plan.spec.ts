/** The plan of all wants in gardens that the demo is not, in the middle of January. */
import { test } from './app.js';
import { JANUARY, walks } from './planWalks.js';

test.use({ appOptions: { demo: false, env: { SURCULUS_TODAY: JANUARY } } });
walks(JANUARY);
