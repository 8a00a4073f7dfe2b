import { madeModel, climateOfRecord, fitGenerator, generate, frostDates } from './src/lib/core/season/index.js';
import { dayInYear } from './src/lib/core/dates.js';
import { randomLcg } from 'd3-random';
const c = {latitude:49.6,longitude:20,coldestC:-19,lastFrost:{doy:128,sd:9},firstFrost:{doy:278,sd:11}};
const m=madeModel(c);
const st=(r:any,k:string)=>{const f=frostDates(r,0,201); console.log(k,f.last.mean.toFixed(1),f.last.sd.toFixed(1),f.first.mean.toFixed(1),f.first.sd.toFixed(1))};
for (const seed of [.1,.5,.9]) { const r=generate(m,randomLcg(seed),dayInYear(1800,1),365*150); st(r,'made'); const m2=fitGenerator(r); st(generate(m2,randomLcg(.3),dayInYear(1800,1),365*150),'refit'); console.log(m2.slow, m2.low.sd[0][270],m.low.sd[0][270],m2.low.mean[0][270],m.low.mean[0][270],m2.low.mean[1][270],m.low.mean[1][270], m2.low.sd[1][270],m.low.sd[1][270]);}
