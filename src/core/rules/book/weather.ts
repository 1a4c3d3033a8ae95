import { message } from '@/core/message/message'
import type { Rule } from '../rule'
import { dressings, longLived, sealants, wipedOn } from './protections'

export const weatherRules: readonly Rule[] = [
  {
    id: 'frost', verdict: 'no', safety: true, purpose: 'clean', airBelowCelsius: -5,
    reason: message('ruleBook.frost.reason'),
  },
  {
    id: 'near-freezing', verdict: 'withCare', safety: true, purpose: 'clean', airBelowCelsius: 2,
    reason: message('ruleBook.nearFreezing.reason'),
    care: message('ruleBook.nearFreezing.care'),
  },
  {
    id: 'coating-in-the-cold', verdict: 'no', safety: false, families: longLived, airBelowCelsius: 10,
    reason: message('ruleBook.coatingInTheCold.reason', { limit: { celsius: 10 } }),
  },
  {
    id: 'coating-in-heat', verdict: 'no', safety: false, families: longLived, airAboveCelsius: 30,
    reason: message('ruleBook.coatingInHeat.reason', { limit: { celsius: 30 } }),
  },
  {
    id: 'coating-in-damp', verdict: 'no', safety: false, families: longLived, humidityAboveShare: 0.8,
    reason: message('ruleBook.coatingInDamp.reason'),
  },
  {
    id: 'sealant-in-the-cold', verdict: 'no', safety: false, families: sealants, airBelowCelsius: 5,
    reason: message('ruleBook.sealantInTheCold.reason', { limit: { celsius: 5 } }),
  },
  {
    id: 'sealant-in-damp', verdict: 'no', safety: false, families: sealants, humidityAboveShare: 0.92,
    reason: message('ruleBook.sealantInDamp.reason'),
  },
  {
    id: 'dressing-in-the-cold', verdict: 'no', safety: false, zones: ['tyre', 'arch'], families: dressings, airBelowCelsius: 3,
    reason: message('ruleBook.dressingInTheCold.reason'),
  },
  {
    id: 'dressing-in-damp', verdict: 'no', safety: false, zones: ['tyre', 'arch'], families: dressings, humidityAboveShare: 0.95,
    reason: message('ruleBook.dressingInDamp.reason'),
  },
  {
    id: 'dry-work-in-rain', verdict: 'no', safety: false, families: [...wipedOn, ...dressings], inRain: true,
    reason: message('ruleBook.dryWorkInRain.reason'),
  },
  {
    id: 'solvent-in-rain', verdict: 'no', safety: false, families: ['tarRemover', 'ironTarRemover', 'waterlessSpray', 'metalPolish'], inRain: true,
    reason: message('ruleBook.solventInRain.reason'),
  },
] // prettier-ignore
