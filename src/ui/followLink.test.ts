import { describe, expect, it } from 'vitest'
import { followLink } from './followLink'

function stage() {
  const later: (() => void)[] = []
  const loaded: string[] = []
  const at = { address: 'http://shop/jobs/a' }
  const ports = {
    address: () => at.address,
    load: (address: string) => void loaded.push(address),
    after: (work: () => void) => void later.push(work),
  }
  const look = () => later.splice(0).forEach((work) => work())
  return { at, loaded, ports, look, pass: () => Array.from({ length: 30 }, look) }
}

describe('a tap on a link', () => {
  it('is followed by the browser where the page in front is still the same', () => {
    const { loaded, ports, pass } = stage()
    followLink('/jobs/a/run', ports)
    pass()
    expect(loaded).toEqual(['http://shop/jobs/a/run'])
  })

  it('is left alone once it has led somewhere, or somebody has gone elsewhere', () => {
    const { at, loaded, ports, pass } = stage()
    followLink('/jobs/a/run', ports)
    at.address = 'http://shop/log'
    pass()
    expect(loaded).toEqual([])
  })

  it('is done once it has led somewhere, also for who comes back at once', () => {
    const { at, loaded, ports, look, pass } = stage()
    followLink('/jobs/a/run', ports)
    look()
    at.address = 'http://shop/jobs/a/run'
    look()
    at.address = 'http://shop/jobs/a'
    pass()
    expect(loaded).toEqual([])
  })

  it('gives way to the next tap, and to the page that is shown already', () => {
    const { loaded, ports, pass } = stage()
    followLink('/log', ports)
    followLink('/due', ports)
    pass()
    expect(loaded).toEqual(['http://shop/due'])
    followLink('/jobs/a', ports)
    pass()
    expect(loaded).toEqual(['http://shop/due'])
  })
})
