/** What the page of mixes says: media, feeds, pots. */
import { inLanguages } from './language.js';
import type { Said } from './language.js';

const en = {
	// mix
	mixAndShopping: (name: Said) => `Mix and shopping · ${name}`,
	whatToFillMix: 'What to fill, mix and buy',
	forOf: (plural: Said, kindName: Said) => `For ${plural} of ${kindName}.`,
	batch: 'batch',
	batches: 'batches',
	forPlanned: (rows: Said, more: Said) => `For ${rows} planned ${more}.`,
	tomorrow: 'Tomorrow',
	thisWeek: 'This week',
	thisSeason: 'This season',
	allThatIsPlanned: 'All that is planned',
	nothingIsPlannedIn: 'Nothing is planned in that time. Take a plan for a want, or work it out for any kind below.',
	fill: 'Fill',
	water: 'water',
	ofWord: (litres: Said, more: Said) => `${litres} of ${more}`,
	plannedFor: (on: Said) => ` · planned for ${on}`,
	toEachApartSo: (more: Said, kindName: Said, pieces: Said, piece: Said, each: Said, apartCm: Said, more2: Said) =>
		`${more}${kindName}, ${pieces} ${piece}, ${each} to each, ${apartCm} apart so that leaves do not touch${more2}`,
	thisMediumCouldNot:
		'This medium could not be read as parts, like 2 multi-purpose : 1 perlite; it is not in the list of materials.',
	startTheClock: (say: Said) => `${say}: start the clock`,
	mix: 'Mix',
	material: 'Material',
	needed: 'Needed',
	atHand: 'At hand',
	buy: 'Buy',
	nothing: 'nothing',
	toBeFound: (short: Said) => `${short} to be found`,
	shrinkageIsAllowedFor:
		'Shrinkage is allowed for: fines fall between coarse grains. Wet dry mixes before you stir them, and do not breathe the dust: potting mixes can carry Legionella.',
	waterToBring: 'Water to bring:',
	pricesAreGuessesIn: 'Prices are guesses in the handbook until you set your own.',
	toBuy: 'To buy:',
	asManyPlantsBought: '; as many plants bought ready would cost about',
	hormone: 'Hormone',
	aKnifeTip: 'a knife tip',
	powderOfTipOut: (powder: Said, more: Said, dip: Said, dip2: Said, dipMl: Said) =>
		`: powder of ${powder} %, tip out about ${more}; or a quick dip of ${dip}–${dip2} mg/L, ${dipMl} ml.`,
	noneIsNeededFor: 'None is needed for these.',
	byTheWoodSoft: 'By the wood: soft, firm or hard.',
	whatIsOnThe: 'What is on the shelf',
	noteIt: 'Note it',
	litresAtHand: 'Litres at hand',
	mixesAndWhatThey: 'Mixes and what they are for',
	shrinksBy: (shrinkage: Said) => `shrinks by ${shrinkage} %`,
	workItOutFor: 'Work it out for any kind',
	kind: 'Kind',
	typeAnyNameOf: 'Type any name of it',
	way: 'Way',
	pieces: 'Pieces',
	inWord: 'In',
	asTheHandbookHas: 'As the handbook has it',
	mixInParts: 'Mix, in parts',
	emptyAsTheHandbook: 'Empty: as the handbook has it.',
	workItOut: 'Work it out',
	flOz: (number: Said) => `${number} fl oz`,
	ml: (number: Said) => `${number} ml`,

	// Feed
	feed: 'Feed',
	theLabelSaysMl: 'The label says, ml a litre',
	canLitres: 'Can, litres',
	forTheYoungHalf: 'For the young half of that:',
	inTheCan: 'in the can.',
	onceTheMixHas:
		'Once the mix has fed them for three weeks, then every other week in growth. Never dry pots; the label comes first.',

	// OwnVessel
	aPotOrTray: 'A pot or tray of your own size',
	name: 'Name',
	blueWindowBox: 'blue window box',
	shape: 'Shape',
	roundPot: 'round pot',
	squarePot: 'square pot',
	trayOrBox: 'tray or box',
	trayOfCells: 'tray of cells',
	insideMeasures: 'Inside measures.',
	acrossTheTop: 'Across the top',
	acrossTheBase: 'Across the base',
	height: 'Height',
	sideAtTheTop: 'Side at the top',
	sideAtTheBase: 'Side at the base',
	length: 'Length',
	width: 'Width',
	cells: 'Cells',
	cellTop: 'Cell, top',
	cellBase: 'Cell, base',
	across: 'Across',
	waterDepth: 'Water depth',

	// Thin
	thinALiquid: 'Thin a liquid',
	bottle: 'Bottle, %',
	wantedMgL: 'Wanted, mg/L',
	makeMl: 'Make, ml',
	ofItAnd: 'of it and',
	ofWater1To: (toOne: Said) => `of water (1 to ${toOne}).`,
	n1Is10000: (hours: Said, mgL: Said, mgL2: Said) =>
		`1 % is 10,000 mg/L. A soak of ${hours} hours is far weaker: ${mgL}–${mgL2} mg/L. Strengths after Hartmann and Kester, “Plant Propagation”, from memory. The label and local rules come first; gloves, no dust.`,
	aRecipeAsWritten: '2 multi-purpose : 1 perlite'
};

export const texts = inLanguages({ en });
