import { expect, it } from 'vitest'
import { idOfPath, pathOfId } from './idPath'

it.each(['rim-wash', 'new', 'import', 'tools', '~new', '50 %', 'ärger/2'])(
  '%s comes back from its address',
  (id) => {
    expect(idOfPath(pathOfId(id))).toBe(id)
    expect(['new', 'import', 'tools']).not.toContain(pathOfId(id))
  },
)
