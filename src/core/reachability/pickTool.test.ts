import { describe, expect, it } from 'vitest'
import { defaultMethods } from '@/core/methods/methods'
import { longestTooShort, pickTool, type ToolSite } from './pickTool'
import { starterTools } from '@/core/tools/starterTools'
import type { Tool } from '@/core/tools/tool'

const without = (...ids: string[]) => starterTools.filter(({ id }) => !ids.includes(id))

const at = (gapMillimetres: number, changes: Partial<ToolSite> = {}): ToolSite => ({
  gapMillimetres,
  depthMillimetres: 0,
  surface: { finish: 'paintedGloss', condition: 'sound' },
  liner: 'plastic',
  methods: defaultMethods,
  vehicleKind: 'car',
  ...changes,
})

describe('picking a tool', () => {
  it.each([
    ['wide gap: the thickest that passes', 60, 'large-barrel-brush'],
    ['narrower: the medium one', 35, 'medium-barrel-brush'],
    ['narrow: the wand', 20, 'thin-angled-wand'],
  ])('%s', (_, gapMillimetres, id) => {
    expect(pickTool('barrel', starterTools, at(gapMillimetres))?.id).toBe(id)
  })

  it('says when nothing passes the gap', () => {
    expect(pickTool('barrel', starterTools, at(5))).toBeNull()
  })

  it('keeps stiff brushes off the wheel and dropped or worn ones in the box', () => {
    const stiff: Tool = { ...starterTools[4]!, id: 'stiff', stiffness: 'stiff' }
    expect(pickTool('face', [stiff], at(50))).toBeNull()
    for (const state of ['dropped', 'worn'] as const) {
      expect(pickTool('face', [{ ...starterTools[4]!, state }], at(50))).toBeNull()
    }
  })

  it('lets stiff brushes work on rubber and liner, whatever the gap', () => {
    expect(pickTool('tyre', starterTools, at(0, { surface: null }))?.id).toBe('tyre-brush')
    expect(pickTool('arch', starterTools, at(0, { surface: null }))?.id).toBe('arch-brush')
    expect(pickTool('tyre', without('tyre-brush'), at(50))).toBeNull()
  })

  it('takes the soft brush for a fabric liner', () => {
    expect(pickTool('arch', starterTools, at(0, { surface: null, liner: 'fabric' }))?.id).toBe(
      'soft-liner-brush',
    )
  })

  it('keeps medium bristles off gloss black and matte', () => {
    const medium: Tool = { ...starterTools[4]!, id: 'medium', stiffness: 'medium' }
    for (const finish of ['glossBlack', 'matte'] as const)
      expect(pickTool('face', [medium], at(50, { surface: { finish, condition: 'sound' } }))).toBeNull()
    expect(pickTool('face', [medium], at(50))?.id).toBe('medium')
  })

  it('never takes a tool that is kept for the paint or for tyres', () => {
    for (const dedicatedTo of ['paint', 'tyre', 'arch'] as const)
      expect(pickTool('face', [{ ...starterTools[7]!, dedicatedTo }], at(50))).toBeNull()
  })

  it('follows the shop on mitt or brush for the face', () => {
    expect(pickTool('face', starterTools, at(50))?.id).toBe('wheel-mitt')
    expect(
      pickTool('face', starterTools, at(50, { methods: { ...defaultMethods, face: 'brush' } }))?.id,
    ).toBe('soft-face-brush')
  })
})

describe('a tool that is too short', () => {
  const short = starterTools.map((tool) => ({ ...tool, reachMillimetres: 60 }))

  it('does not work a barrel that is deeper than it reaches', () => {
    expect(pickTool('barrel', starterTools, at(80, { depthMillimetres: 130 }))).not.toBeNull()
    expect(pickTool('barrel', short, at(80, { depthMillimetres: 130 }))).toBeNull()
    expect(longestTooShort('barrel', short, at(80, { depthMillimetres: 130 }))?.reachMillimetres).toBe(60)
    expect(longestTooShort('barrel', starterTools, at(80, { depthMillimetres: 130 }))).toBeNull()
  })
})
