/** The verbs of the bench. */
import { checked } from './checked.js';
import { dropped } from './dropped.js';
import { given } from './given.js';
import { kept } from './kept.js';
import { laidOut } from './laidOut.js';
import { lost } from './lost.js';
import { meant } from './meant.js';
import { moved } from './moved.js';
import { planned } from './planned.js';
import { planted } from './planted.js';
import { potted } from './potted.js';
import { split } from './split.js';
import { splitOff } from './splitOff.js';
import { struck } from './struck.js';
import { wintered } from './wintered.js';

export { noTreatment } from './common.js';

export const batchKinds = {
	'batch.planned': planned,
	'batch.struck': struck,
	'batch.split-off': splitOff,
	'batch.checked': checked,
	'batch.laid-out': laidOut,
	'batch.potted': potted,
	'batch.moved': moved,
	'batch.meant': meant,
	'batch.split': split,
	'batch.wintered': wintered,
	'batch.planted': planted,
	'batch.given': given,
	'batch.lost': lost,
	'batch.kept': kept,
	'batch.dropped': dropped
} as const;
