import { message } from '@/core/message/message'
import type { Rule } from '../rule'

export const safetyRules: readonly Rule[] = [
  {
    id: 'no-fluoride', verdict: 'no', safety: true, fluoride: true,
    reason: message('ruleBook.noFluoride.reason'),
  },
  {
    id: 'fluoride-by-its-words', verdict: 'no', safety: true, fluorideByWords: true,
    reason: message('ruleBook.fluorideByItsWords.reason'),
  },
  {
    id: 'chlorine-by-its-words', verdict: 'no', safety: true, chlorineByWords: true,
    reason: message('ruleBook.chlorineByItsWords.reason'),
  },
  {
    id: 'silica-spray-on-motorcycles', verdict: 'no', safety: true, families: ['sprayRinseSilica'], vehicleKinds: ['motorcycle'],
    reason: message('ruleBook.silicaSprayOnMotorcycles.reason'),
  },
  {
    id: 'nothing-slippery-on-brakes', verdict: 'no', safety: true, zones: ['rotor', 'caliper'], purpose: 'protect',
    reason: message('ruleBook.nothingSlipperyOnBrakes.reason'),
  },
  {
    id: 'inhibitor-near-brakes', verdict: 'no', safety: true, families: ['discInhibitor'],
    reason: message('ruleBook.inhibitorNearBrakes.reason'),
  },
  {
    id: 'no-dressing-on-motorcycle-tyres', verdict: 'no', safety: true, zones: ['tyre'], purpose: 'protect', vehicleKinds: ['motorcycle'],
    reason: message('ruleBook.noDressingOnMotorcycleTyres.reason'),
  },
  {
    id: 'chemistry-on-the-disc', verdict: 'withCare', safety: true, zones: ['rotor'], purpose: 'clean',
    reason: message('ruleBook.chemistryOnTheDisc.reason'),
    care: message('ruleBook.chemistryOnTheDisc.care'),
  },
  {
    id: 'one-product-one-sprayer', verdict: 'no', safety: true, inUsedSprayer: true,
    reason: message('ruleBook.oneProductOneSprayer.reason'),
  },
] // prettier-ignore
