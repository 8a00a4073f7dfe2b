import { madeRecord, climateOfRecord, scenariosOf, windowOdds, momentOver, fitGenerator, generate, frostDates, usualNight, coldestNights } from './src/lib/core/season/index.js';
import { dayNumber, isoOf, dayInYear } from './src/lib/core/dates.js';
import { randomLcg } from 'd3-random';
import { readFileSync, readdirSync } from 'fs';
import { parse } from 'yaml';
import { kindSchema } from './src/lib/core/handbook/schema.js';
const c = {latitude:49.6,longitude:20,coldestC:-19,lastFrost:{doy:128,sd:9},firstFrost:{doy:278,sd:11}};
const r = madeRecord(c, dayNumber('2026-09-05'));
let t=performance.now(); const rc = climateOfRecord(r, c)!; console.log('climate ms', performance.now()-t, rc.climate, rc.middle, rc.budBreakSum, rc.rains);
t=performance.now(); const sc = scenariosOf(r, rc, 2026, null); console.log('scen ms', performance.now()-t, sc.length);
const kinds = readdirSync('handbook/kinds').map(f=>kindSchema.parse(parse(readFileSync('handbook/kinds/'+f,'utf8'))));
const show=(rule:any,k:any)=>{const w=windowOdds(rule,sc,rc,k); return w.likely.map(l=>`${isoOf(l.opens.p10)}/${isoOf(l.opens.p50)}/${isoOf(l.opens.p90)} – ${isoOf(l.closes.p10)}/${isoOf(l.closes.p50)}/${isoOf(l.closes.p90)} ${l.share.toFixed(2)}`).join(' | ')};
t=performance.now(); for (const k of kinds) for (const w of k.ways) windowOdds(w.window, sc, rc, k); console.log('all ways', performance.now()-t);
for (const k of kinds.slice(0,5)) for (const w of k.ways) console.log(k.id,w.id,show(w.window,k));
const box=kinds.find(k=>k.id==='box')!;
const m=(rule:any)=>{const x=momentOver({from:'last_frost',days:0,rule} as any,sc,rc,box); return x? isoOf(dayInYear(2026,x.doy))+' ±'+x.sd:null};
for (const rule of [{by:'shoot',is:'soft'},{by:'shoot',is:'semi-ripe'},{by:'shoot',is:'hard'},{by:'nights_above',c:10},{by:'nights_below',c:7},{by:'soil_freeze'},{by:'day_length',hours:12,going:'up'},{by:'frost_chance',chance:.1,side:'spring'},{by:'degree_days',sum:300,base:5,since:'midwinter'}]) console.log(JSON.stringify(rule), m(rule));
for (const a of ['last_frost','first_frost','bud_break','leaf_fall']) {const x=momentOver({from:a,days:0} as any,sc,rc,box); console.log(a, x && isoOf(dayInYear(2026,x.doy)), x?.sd)}
t=performance.now(); const m2=fitGenerator(r); console.log('fit', performance.now()-t); t=performance.now(); const g=generate(m2,randomLcg(.3),dayInYear(1990,1),365*100); console.log('gen', 36500/(performance.now()-t)*1000,'days/s');
const f=frostDates(g,0,rc.middle), f0=frostDates(r,0,rc.middle); console.log(f.last.mean,f0.last.mean,f.last.sd,f0.last.sd,f.first.mean,f0.first.mean,f.first.sd,f0.first.sd, m2.slow, m2.a, m2.b);
// vega
const rows=readFileSync('node_modules/vega-datasets/data/weather.csv','utf8').trim().split('\n').slice(1).map(l=>l.split(','));
import { recordOfDays } from './src/lib/core/season/record.js';
for (const city of ['Seattle','New York']) { const rec=recordOfDays(rows.filter(x=>x[0]===city).map(x=>({day:dayNumber(x[1]!),rain:+x[2]!,high:+x[3]!,low:+x[4]!})));
 const m=fitGenerator(rec); const g=generate(m,randomLcg(.7),dayInYear(1990,1),365*40); const st=(r:any)=>{let n=r.low.length,s=0,h=0,w=0,rr=0; for(let i=0;i<n;i++){s+=r.low[i];h+=r.high[i];w+=r.rain[i]>=.254?1:0;rr+=r.rain[i]} return [s/n,h/n,w/n,rr/n].map(x=>x.toFixed(2)).join(' ')}; console.log(city,st(rec),'|',st(g), 'slow',m.slow); const rcc=climateOfRecord(rec,{latitude:city==='Seattle'?47.6:40.7,longitude:-100})!; console.log(rcc.climate, coldestNights(rec,rcc.middle));
 const a=frostDates(rec,0,rcc.middle),b=frostDates(g,0,rcc.middle); console.log(a.last.offsets,a.first.offsets,b.last.mean,b.last.sd,b.first.mean,b.first.sd);}
