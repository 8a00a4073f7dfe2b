import { Sky } from './stand-ins/weather-station/sky.js';
import { climateOfRecord } from './src/lib/core/season/index.js';
for (const h of [410,330,250]) for (const seed of [1,2,3]) { const s=new Sky(49.62,20.69,h,seed); const c=climateOfRecord(s.truth,{latitude:49.62,longitude:20.69})!.climate; console.log(h,seed,c.coldestC,c.lastFrost,c.firstFrost); }
