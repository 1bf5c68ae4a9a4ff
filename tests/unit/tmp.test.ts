import { readChart } from '$lib/core/intake';
import { align, assemble, constructionOf } from '$lib/core/constructions';
import { defaultShop } from '$lib/core/shop';
import { plan } from '$lib/core/plan';
import { readDocument, jsonSchema } from '$lib/core/documents';
const c = `1 placement grey 120 0.60 m
2 tack-down black 120 0.60 m
3 face white 1,500 8.10 m
4 cheeks pink 60 0.32 m
5 eyes black 900 4.86 m
6 outline white 420 2.10 m`;
it('x', () => {
 const r = readChart(c);
 const made = constructionOf('snap-tab')!.patternOf({});
 if (!made.ok) throw made.problems;
 const a = align(r.rows, made.pattern.expected);
 const item = assemble(made.pattern, {id:'t', name:'T', now:'2026-11-23T10:00:00Z', construction:'snap-tab', params: made.params, chart:{text:c,setAside:[],rows:r.rows,alignment:a}});
 const shop = defaultShop('s'); shop.machines[0]!.setSpm=400; shop.machines[0]!.trimmer=false;
 const p = plan(item, undefined, shop);
 console.log(p.steps.map(s=>`${s.number} [${s.stop?.machineNumber??''}] ${s.title} | ${s.detail} | ${s.hoop.where}${s.hoop.turned?' turned':''} h${s.hands.value.toFixed(0)} n${s.running.value.toFixed(0)} ${s.thread?.name??''}`).join('\n'));
 console.log(p.totals, p.upperMetres, p.cuts.map(x=>[x.name,x.cut]), p.warnings);
 console.log(readDocument('item', JSON.stringify({...item, version:2})), readDocument('item', JSON.stringify({...item, pieces:[{...item.pieces[0], plies:0}]})), JSON.stringify(jsonSchema('run')).length);
});
