/** What the page of labels says. */
import { inLanguages } from './language.js';
import type { Said } from './language.js';

const en = {
	// labels
	labels: (name: Said) => `Labels · ${name}`,
	labels2: 'Labels',
	chooseTheBatchesThat: 'Choose the batches that need one.',
	label: 'label',
	labels3: 'labels',
	sheet: 'sheet',
	sheets: 'sheets',
	on: (more: Said, pages: Said, more2: Said) => `${more} on ${pages} ${more2}`,
	batches: 'Batches',
	sayWhatYouWant: 'Say what you want',
	strikeSomeWithoutA: 'strike some without a plan',
	noBatchIsPlanned: 'No batch is planned or growing yet, so nothing needs a label.',
	or: ', or',
	plannedFor: 'planned for',
	struck: 'struck',
	howManyFor: (code: Said) => `How many for ${code}`,
	sheet2: 'Sheet',
	kindOfLabel: 'Kind of label',
	usLetter: 'US Letter',
	aSheetOfMy: 'a sheet of my own measures',
	usedPlaces: 'Used places',
	rightMm: 'Right, mm',
	downMm: 'Down, mm',
	usedPlacesAreLeft: 'Used places are left free from the top left on. If your printer is off, shift all labels right or down.',
	theSheetWithIts: 'The sheet with its labels',
	theLabelOf: (code: Said) => `The label of ${code}`,
	saveThisOneAs: 'Save this one as a picture',
	hairlinesToCutAlong: 'Hairlines to cut along',
	makeThePdf: 'Make the PDF',
	chooseABatchFirst: 'Choose a batch first.',
	noPrinterPencilThe: 'No printer? Pencil the code on a stick: typing it opens the batch too.',

	// OwnSheet
	paper: 'Paper',
	labelsAcross: 'Labels across',
	labelsDown: 'Labels down',
	widthMm: 'Width, mm',
	heightMm: 'Height, mm',
	fromTheLeftMm: 'From the left, mm',
	fromTheTopMm: 'From the top, mm',
	betweenColumnsMm: 'Between columns, mm',
	betweenRowsMm: 'Between rows, mm',

	// QrAddress
	addressThatTheQr: 'Address that the QR code opens',
	asPhonesInThe: 'As phones in the house reach it: http://192.168.1.20:5273',
	thatIsNoAddress: 'That is no address: it begins with http:// or https://.',
	thatIsThisComputers:
		'That is this computer’s own address: a phone can’t open it. Start Surculus with --host 0.0.0.0 and a password, and put this computer’s address in the house here. The code in letters works either way.'
};

export const texts = inLanguages({ en });
