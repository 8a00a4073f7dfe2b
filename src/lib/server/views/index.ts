/** What each screen shows, by name: the one list that the threads serve. */
import { calendarView } from './calendar.js';
import { awaySheetView } from './awaySheet.js';
import { labelDrawnView, labelSheetView } from './labelSheet.js';
import { guidePageView } from './guidePage.js';
import { kindFileView, ownKindView } from './ownKind.js';
import { paletteView } from './palette.js';
import { recordFileView } from './recordFile.js';
import { sourcesView } from './sources.js';
import { awayView } from './away.js';
import { batchView } from './batch.js';
import { benchView } from './bench.js';
import { codeView } from './code.js';
import { cutsView } from './cuts.js';
import { frameView } from './frame.js';
import { leavingView } from './leaving.js';
import { bedSheetView, bedsGeoView, bedView, groundView, movesView } from './ground.js';
import { guideView } from './guide.js';
import { handbookView } from './handbook.js';
import { kindView } from './kind.js';
import { labelsView } from './labels.js';
import { ledgerView } from './ledger.js';
import { mixView } from './mix.js';
import { planFrameView } from './plan.js';
import { newPlantView } from './newPlant.js';
import { newWantView } from './newWant.js';
import { plantView } from './plant.js';
import { plantListView } from './plantList.js';
import { roundTargetsView, roundView } from './round.js';
import { settingsView } from './settings.js';
import { plantWinterView, shelterChangesView, shelterSheetView, shelterView } from './shelter.js';
import { stockView } from './stock.js';
import { strikeView } from './strike.js';
import { walkView } from './walk.js';
import { wantView } from './want.js';
import { wantsView } from './wants.js';
import { weatherView } from './weather.js';
import { wouldTakeView } from './wouldTake.js';
import { yearView } from './year.js';

export const VIEWS = {
	sources: sourcesView,
	recordFile: recordFileView,
	ownKind: ownKindView,
	kindFile: kindFileView,
	palette: paletteView,
	guidePage: guidePageView,
	labelDrawn: labelDrawnView,
	labelSheet: labelSheetView,
	awaySheet: awaySheetView,
	calendar: calendarView,
	away: awayView,
	batch: batchView,
	bench: benchView,
	code: codeView,
	cuts: cutsView,
	frame: frameView,
	planFrame: planFrameView,
	ground: groundView,
	bed: bedView,
	bedsGeo: bedsGeoView,
	moves: movesView,
	leaving: leavingView,
	bedSheet: bedSheetView,
	guide: guideView,
	handbook: handbookView,
	kind: kindView,
	labels: labelsView,
	ledger: ledgerView,
	mix: mixView,
	newPlant: newPlantView,
	newWant: newWantView,
	wouldTake: wouldTakeView,
	plant: plantView,
	plantList: plantListView,
	round: roundView,
	roundTargets: roundTargetsView,
	settings: settingsView,
	shelter: shelterView,
	shelterChanges: shelterChangesView,
	shelterSheet: shelterSheetView,
	plantWinter: plantWinterView,
	stock: stockView,
	strike: strikeView,
	walk: walkView,
	want: wantView,
	wants: wantsView,
	weather: weatherView,
	year: yearView
} as const;
