import { evaluate } from '../src/core/plan/evaluate';
import { openPlan } from '../src/core/plan/open';
import { demoPlan, ticketHall, quayFootbridge, vehicleRamp, passengerCanopy } from '../tests/demo-plan';
import { raised } from '../tests/raised';
const T='2026-11-28';
const demos:any={hall:demoPlan(),bridge:quayFootbridge(),ticket:ticketHall(),ramp:vehicleRamp(),canopy:passengerCanopy(),jack:raised('jack'),hoist:raised('hoist'),hands:raised('hands'),mast:raised('mastLift')};
// every hold signed so that nothing hides
const harms:[string,(v:any)=>any][]=[
 ['null',v=>v===null?SAME:null],
 ['gone',()=>undefined],
 ['x1000',v=>typeof v==='number'&&v!==0?v*1000:SAME],
 ['/1000',v=>typeof v==='number'&&v!==0?v/1000:SAME],
 ['x10',v=>typeof v==='number'&&v!==0?v*10:SAME],
 ['/10',v=>typeof v==='number'&&v!==0?v/10:SAME],
 ['neg',v=>typeof v==='number'&&v!==0?-v:SAME],
 ['0',v=>typeof v==='number'&&v!==0?0:SAME],
 ['empty',v=>typeof v==='string'&&v!==''?'':SAME],
 ['x',v=>typeof v==='string'&&v!==''?'x':SAME],
 ['flip',v=>typeof v==='boolean'?!v:SAME],
 ['none',v=>Array.isArray(v)&&v.length?[]:SAME],
];
const SAME=Symbol() as any;
function places(v:any,way:any[]=[]):any[][]{const inside=Array.isArray(v)?v.flatMap((o,i)=>places(o,[...way,i])):v&&typeof v==='object'?Object.entries(v).flatMap(([k,o])=>places(o,[...way,k])):[];return [way,...inside];}
const pat=(d:any,way:any[])=>{let s='';let cur=d;for(const w of way){ if(Array.isArray(cur)) s+='[]'+(cur[w]&&cur[w].kind?`<${cur[w].kind}>`:''); else s+='.'+w; cur=cur[w];} return s;};
const badOf=(p:any)=>{const m=new Map<string,string>();for(const c of evaluate(p,T).checks) if(c.verdict!=='clear') m.set(`${c.id}|${c.about.kind}|${c.about.id}|${c.about.part??''}`,c.verdict);return m;};
const only=process.argv.slice(2);
const silent=new Map<string,number>(), loud=new Map<string,number>();
for(const [name,demo] of Object.entries(demos)){
  if(only.length&&!only.includes(name))continue;
  const base=badOf(demo); const seen=new Map<string,number>(); let n=0;
  for(const way of places(demo)){ if(!way.length)continue; const p=pat(demo,way);
    if(/\.(id|note|description)$/.test(p)||/^\.(format|version)/.test(p)) continue;
    const k=(seen.get(p)??0)+1; seen.set(p,k); if(k>2&&k!==7) continue;
    for(const [h,f] of harms){
      let holder:any=demo; for(const s of way.slice(0,-1)) holder=holder[s];
      const last=way.at(-1); const v=f(holder[last]); if(v===SAME) continue;
      const copy=structuredClone(demo); let H=copy; for(const s of way.slice(0,-1)) H=H[s];
      if(v===undefined){ if(Array.isArray(H)) H.splice(last,1); else delete H[last]; } else H[last]=v;
      const o=openPlan(copy); if(!o.ok) continue;
      let bad; try{ bad=badOf(o.plan);}catch(e:any){ console.log('THROW',name,way.join('.'),h,e.message); continue; }
      n++; let news=0; for(const [kk,vv] of bad) if(base.get(kk)!==vv&&!(base.get(kk)==='stop')) news++;
      const key=`${p} ${h}`; if(news===0) silent.set(key,(silent.get(key)??0)+1); else loud.set(key,(loud.get(key)??0)+1);
    }}
  console.error(name,n);
}
for(const [k,v] of [...silent].sort()) if(!loud.has(k)) console.log(k,v);
