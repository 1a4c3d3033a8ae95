import { sayInEnglish } from '@/i18n/testEnglish'
import { describe, expect, it } from 'vitest'
import { ruleBook, ruleSubjects } from './book'
import { ruleWords } from './ruleWords'

describe('rules in words', () => {
  it.each(ruleBook.map((rule) => [rule.id, rule] as const))('%s reads as a sentence', (_, rule) => {
    const words = sayInEnglish(ruleWords(rule))
    expect(words).toMatch(/^[A-Z].*\.$/)
    expect(words).not.toMatch(/undefined|\[object|[a-z][A-Z][a-z]/)
  })

  it('names finish, chemistry and place, so that a person finds it by any of them', () => {
    const words = (id: string) => sayInEnglish(ruleWords(ruleBook.find((rule) => rule.id === id)!))
    expect(words('acid-on-diamond-cut')).toBe('Strong acid or mild acid on diamond-cut.')
    expect(words('nothing-slippery-on-brakes')).toContain('rotor or caliper')
    expect(words('stiff-on-fabric-liner')).toContain('fabric liners')
    expect(words('pressure-too-high')).toContain('140 bar')
  })

  it('every rule stands under one subject', () => {
    const ids = ruleSubjects.flatMap(({ rules }) => rules.map(({ id }) => id))
    expect([...ids].sort()).toEqual(ruleBook.map(({ id }) => id).sort())
  })
})
