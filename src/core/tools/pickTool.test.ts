import { describe, expect, it } from 'vitest'
import { pickTool } from './pickTool'
import { starterTools } from './starterTools'
import type { Tool } from './tool'

const without = (...ids: string[]) => starterTools.filter(({ id }) => !ids.includes(id))

describe('picking a tool', () => {
  it.each([
    ['wide gap: the thickest that passes', 60, 'large-barrel-brush'],
    ['narrower: the medium one', 35, 'medium-barrel-brush'],
    ['narrow: the wand', 20, 'thin-angled-wand'],
  ])('%s', (_, gapMillimetres, id) => {
    expect(pickTool('barrel', starterTools, gapMillimetres)?.id).toBe(id)
  })

  it('says when nothing passes the gap', () => {
    expect(pickTool('barrel', starterTools, 5)).toBeNull()
  })

  it('keeps stiff brushes off the wheel and dropped or worn ones in the box', () => {
    const stiff: Tool = { ...starterTools[4]!, id: 'stiff', stiffness: 'stiff' }
    expect(pickTool('face', [stiff], 50)).toBeNull()
    for (const state of ['dropped', 'worn'] as const) {
      expect(pickTool('face', [{ ...starterTools[4]!, state }], 50)).toBeNull()
    }
  })

  it('lets stiff brushes work on rubber and liner, whatever the gap', () => {
    expect(pickTool('tyre', starterTools, 0)?.id).toBe('tyre-brush')
    expect(pickTool('arch', starterTools, 0)?.id).toBe('arch-brush')
    expect(pickTool('tyre', without('tyre-brush'), 50)).toBeNull()
  })
})
