import { planInOrder } from '@/core/order/orderPlan'
import { planPasses } from '@/core/passes/planPasses'
import { plainConditions } from '@/core/conditions/conditions'
import { allOf, fourCorners, testJob, testWheel, testCorner } from '@/core/job/testJob'
import type { Job, Corner } from '@/core/job/job'
import { axleOf } from '@/core/wheel/position'
const shade = (c: number, h = 0.6) => plainConditions({ airCelsius: c, humidityShare: h, windKilometresPerHour: 5, cloudShare: 1, exposure: 'shade' } as never)
const five = testWheel({ tyreCode: '225/45 R17', spokeCount: 5, spokeWidthMillimetres: 45 })
const ten = testWheel({ spokeCount: 10, spokeWidthMillimetres: 28 })
const dirt = (film: number, dust: number, bonded = 0, more: object = {}, brown = 1, grit = 0) => ({ face: { film, freshDust: dust, bondedDust: bonded, ...more }, barrel: { film, freshDust: dust, bondedDust: bonded, ...more }, windows: { film, freshDust: dust }, spokeBacks: { film, freshDust: dust }, lip: { film, freshDust: dust }, tyre: { tyreBrowning: brown, film: Math.min(film, 2) }, arch: { film: Math.min(film, 2), grit } })
const fb = (make: (front: boolean) => object) => (c: Corner): Corner => ({ ...c, ...make(axleOf(c.position) === 'front') } as Corner)
const jobs: Record<string, () => Job> = {
  'weekly, sealed, five spokes, light dust': () => testJob(fourCorners({ wheel: five, loads: dirt(1, 1) as never, protection: ['spraySealant'] as never }), { service: 'maintain', conditions: shade(17) }),
  'four winter months': () => testJob(fourCorners({ wheel: five }).map(fb((f) => ({ loads: dirt(3, f ? 3 : 2, f ? 2 : 1, {}, 3, 2) }))), { service: 'decontaminate', conditions: shade(9, 0.7) }),
  'ten gloss black, swirls, clear dust': () => testJob(fourCorners({ wheel: ten, finishes: allOf('glossBlack'), protection: ['sprayRinseSilica'] as never }).map(fb((f) => ({ loads: dirt(1, f ? 2 : 1) }))), { service: 'maintain', conditions: shade(21) }),
  'polished bare rim, painted centre, film 3': () => testJob(fourCorners({ wheel: five, finishes: { ...allOf('paintedGloss'), lip: { finish: 'polishedBare', condition: 'sound' } } as never, loads: dirt(3, 1) as never }), { service: 'maintain', conditions: shade(17) }),
  'matte, tar in front': () => testJob(fourCorners({ wheel: five, finishes: allOf('matte') }).map(fb((f) => ({ loads: dirt(2, 1, 0, f ? { tar: 2 } : {}) }))), { service: 'decontaminate', conditions: shade(17) }),
  'van, steel, film 3 grease': () => testJob(['frontLeft', 'frontRight', 'rearRight', 'rearLeft', 'rearLeftInner', 'rearRightInner'].map((p) => testCorner(p as never, { wheel: testWheel({ tyreCode: '205/75 R16', spokeCount: 0 }), finishes: allOf('paintedSteel'), loads: dirt(3, 1, 0, {}, 2) as never })), { service: 'maintain', vehicleKind: 'van', conditions: shade(17) }),
  'coated quick': () => testJob(fourCorners({ wheel: five, loads: dirt(1, 1) as never, protection: ['ceramicCoating'] as never }), { service: 'quickRound', conditions: shade(17) }),
  'coated, white scale': () => testJob(fourCorners({ wheel: five, loads: dirt(1, 1, 0, { mineral: 2 }) as never, protection: ['ceramicCoating'] as never }), { service: 'coatedMaintenance', conditions: shade(17) }),
  'wheels off, barrels caked': () => testJob(fourCorners({ wheel: ten }).map(fb((f) => ({ loads: { ...dirt(3, 3, f ? 4 : 3, { tar: 1 }, 2, 1) } }))), { service: 'wheelsOff', conditions: shade(17) }),
  'two people winter': () => testJob(fourCorners({ wheel: five, loads: dirt(2, 2, 1, {}, 2, 2) as never }), { service: 'winter', crew: { people: 2 }, conditions: shade(8, 0.8) }),
  'unknown finish': () => testJob(fourCorners({ wheel: five, finishes: allOf('unknown'), loads: dirt(2, 2, 1) as never }), { service: 'maintain', conditions: shade(17) }),
  'hot black in full sun 38': () => testJob(fourCorners({ wheel: ten, finishes: allOf('glossBlack'), loads: dirt(2, 2, 1) as never }), { service: 'maintain', conditions: plainConditions({ airCelsius: 38, humidityShare: 0.3, windKilometresPerHour: 8, cloudShare: 0, exposure: 'fullSun', startAt: '2026-07-01T13:00:00Z' } as never) }),
  'motorcycle': () => testJob((['front', 'rear'] as const).map((p) => testCorner(p, { wheel: testWheel({ tyreCode: '120/70 R17', rimWidthInches: 3.5, spokeCount: 5, spokeWidthMillimetres: 30 }), loads: dirt(2, 2) as never })), { service: 'maintain', vehicleKind: 'motorcycle', conditions: shade(17) }),
  'restore chrome pitted, mineral 2': () => testJob(fourCorners({ wheel: five, finishes: allOf('chrome'), loads: dirt(2, 2, 1, { mineral: 2, tar: 1 }, 2) as never }), { service: 'restore', conditions: shade(17) }),
  'waterless': () => testJob(fourCorners({ wheel: five, loads: dirt(0, 1) as never, protection: ['spraySealant'] as never }), { service: 'waterless', conditions: shade(17) }),
  'one wheel neglected': () => testJob([testCorner('frontLeft', { wheel: five, loads: dirt(4, 4, 4, {}, 4, 4) as never })], { service: 'decontaminate', conditions: shade(17) }),
  'diamond cut, edge corroded, winter': () => testJob(fourCorners({ wheel: ten, finishes: allOf('diamondCut', 'curbRashed'), loads: dirt(2, 2, 1, {}, 2, 2) as never }), { service: 'winter', conditions: shade(6, 0.8) }),
  'anodised, tar and iron': () => testJob(fourCorners({ wheel: five, finishes: allOf('anodised'), loads: dirt(1, 2, 2, { tar: 1 }) as never }), { service: 'decontaminate', conditions: shade(17) }),
  'one brush for everything': () => testJob(fourCorners({ wheel: five, loads: dirt(2, 2) as never }), { service: 'maintain', conditions: shade(17), tools: [{ id: 'b', name: 'only brush', kind: 'faceBrush', stiffness: 'medium', diameterMillimetres: 60, squeezedMillimetres: 40, reachMillimetres: 120, state: 'clean', dedicatedTo: 'wheel' }] as never }),
  'trailer 3 axles light': () => testJob((['rearLeft', 'rearRight'] as const).map((p) => testCorner(p, { wheel: five, loads: dirt(1, 1) as never })), { service: 'maintain', vehicleKind: 'trailer', conditions: shade(17) }),
}
const wanted = process.argv.slice(2)
for (const [name, make] of Object.entries(jobs)) {
  if (wanted.length && !wanted.some((w) => name.includes(w))) continue
  const job = make()
  const before = performance.now()
  const plan = planInOrder(job)
  const p = planPasses(plan)
  console.log(`\n## ${name}  (${Math.round(performance.now() - before)} ms, ${plan.steps.length} steps)`)
  console.log(plan.headline, '|', plan.sequence?.pattern?.sentences.join(' '), plan.sequence?.pattern?.because ?? '')
  for (const f of plan.fills) console.log(`   fill ${f.recipe.concentrateMillilitres} ml + ${f.recipe.waterMillilitres} ml ${f.productName} (${f.container}) for ${f.stageIds.join(', ')}`)
  for (const q of p.passes) console.log('  ', q.title, `[${q.corners.length} wheels, ${q.secondsAtWheel} s]`, q.because ? `(${q.because})` : '', '|', q.moves.map((m) => m.words + (m.corners.length < q.corners.length ? `(${m.corners.length})` : '') + (m.tools.length ? ` [${m.tools.join(', ')}]` : '')).join(' · '))
  console.log('   after:', p.after.map((s) => s.title).join(' · '))
  for (const s of plan.shortfalls) console.log('   SHORT', s.text, s.mend)
  for (const t of plan.timings) if ((t.sections > 1 || t.isNotNow || t.mists) && t.corner === job.corners[0]!.position) console.log('   TIMING', t.stageId, t.surfaceCelsius, t.text)
}
