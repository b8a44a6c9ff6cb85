import loadHighs from 'highs';
import { highsModels, mixedChange } from '@maquette/core/levelling';
import { floorOf, INVENTED_FLOORS } from './floors.ts';
const open = highsModels(await loadHighs());
for (const f of INVENTED_FLOORS) {
  const { grid, heights } = floorOf(f);
  const limits = { fillMm: new Float64Array(grid.inside.length).fill(Infinity), grindMm: new Float64Array(grid.inside.length).fill(3) };
  const t=performance.now(); let lp=0; 
  const timed = (c:any,l:any,u:any)=>{const m=open(c,l,u); return {...m, solve(){const a=performance.now(); const r=m.solve(); lp+=performance.now()-a; return r;}}};
  const m = mixedChange(grid, heights, [{gapMm:3,edgeMm:2000}], {fillPerL:3,grindPerL:10,touchPerM2:3}, limits, {open: timed as any, contactsOnly:false, every:Number(process.argv[2]??4)})!;
  console.log(f.name.padEnd(20), (performance.now()-t).toFixed(0), 'lp', lp.toFixed(0), 'rounds', m.rounds, 'rows', m.rows, 'lin', m.linearCost.toFixed(2), 'bound', m.boundCost.toFixed(2), m.holds);
}
