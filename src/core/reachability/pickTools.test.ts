import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { defaultMethods } from '@/core/methods/methods'
import { starterTools } from '@/core/tools/starterTools'
import type { Tool } from '@/core/tools/tool'
import { wheelZones, type Zone } from '@/core/wheel/zone'
import { pickTool, type ToolSite } from './pickTool'
import { carriesDirt, pickTools } from './pickTools'

const siteOf =
  (gapMillimetres: number, changes: Partial<ToolSite> = {}) =>
  (): ToolSite => ({
    gapMillimetres,
    depthMillimetres: 0,
    surface: { finish: 'paintedGloss', condition: 'sound' },
    liner: 'plastic',
    methods: defaultMethods,
    vehicleKind: 'car',
    ...changes,
  })
const idsOf = (picked: Map<Zone, Tool | null>) =>
  [...new Set([...picked.values()].flatMap((tool) => tool?.id ?? []))].sort()

describe('the tools for a wheel', () => {
  it.each([
    ['an open wheel', 60, ['detail-brush', 'large-barrel-brush', 'wheel-mitt']],
    ['narrow gaps', 20, ['detail-brush', 'flat-flexible-brush', 'thin-angled-wand', 'wheel-mitt']],
  ])('are few on %s', (_, gap, ids) => {
    expect(idsOf(pickTools(wheelZones, starterTools, siteOf(gap)))).toEqual(ids)
  })

  it('keep a tool for a face that shows every touch, where the kit has another for what is behind it', () => {
    fc.assert(
      fc.property(
        fc.subarray([...starterTools]),
        fc.integer({ min: 0, max: 80 }),
        fc.constantFrom('glossBlack' as const, 'polishedBare' as const),
        (kit, gap, finish) => {
          const site = siteOf(gap, { surface: { finish, condition: 'sound' } })
          const picked = pickTools(wheelZones, kit, site)
          const carried = carriesDirt(picked)
          const others = (zone: Zone) =>
            kit.filter((tool) => !carried.includes(tool) && pickTool(zone, [tool], site()) !== null)
          for (const zone of ['barrel', 'spokeBacks'] as const)
            if (carried.includes(picked.get(zone) as Tool))
              expect([zone, others(zone).length === 0 || others('face').length === 0]).toEqual([zone, true])
        },
      ),
    )
  })

  it('have the face brush where the shop works the face with one', () => {
    const methods = { ...defaultMethods, face: 'brush' as const }
    expect(pickTools(wheelZones, starterTools, siteOf(60, { methods })).get('face')?.id).toBe(
      'soft-face-brush',
    )
  })

  it('reach every zone that a tool of the kit reaches, with as many tools as there are zones at most', () => {
    fc.assert(
      fc.property(fc.subarray([...starterTools]), fc.integer({ min: 0, max: 80 }), (kit, gap) => {
        const picked = pickTools(wheelZones, kit, siteOf(gap))
        for (const zone of wheelZones)
          expect([zone, picked.get(zone) !== null]).toEqual([
            zone,
            pickTool(zone, kit, siteOf(gap)()) !== null,
          ])
        const alone = new Set(wheelZones.flatMap((zone) => pickTool(zone, kit, siteOf(gap)())?.id ?? []))
        expect(idsOf(picked).length).toBeLessThanOrEqual(alone.size)
      }),
    )
  })

  it('are the same where the kit has some of them twice', () => {
    const twice = [...starterTools, ...starterTools.map((tool) => ({ ...tool, id: `${tool.id}-2` }))]
    expect(idsOf(pickTools(wheelZones, twice, siteOf(60)))).toEqual(
      idsOf(pickTools(wheelZones, starterTools, siteOf(60))),
    )
  })
})
