import { message } from '@/core/message/message'
import type { Rule } from '../rule'
import { wipedOn } from './protections'
import { onWheel } from './surfaces'

export const protectionRules: readonly Rule[] = [
  {
    id: 'stripping-live-protection', verdict: 'withCare', safety: false, zones: onWheel, wear: ['strips'], onLiveProtection: true,
    reason: message('ruleBook.strippingLiveProtection.reason'),
    care: message('ruleBook.strippingLiveProtection.care'),
  },
  {
    id: 'stripping-a-coated-tyre', verdict: 'no', safety: false, zones: ['tyre'], wear: ['strips'], onLiveProtection: true,
    reason: message('ruleBook.strippingACoatedTyre.reason'),
  },
  {
    id: 'nothing-on-a-curing-coating', verdict: 'no', safety: false, zones: onWheel, onCuringProtection: true,
    reason: message('ruleBook.nothingOnACuringCoating.reason'),
  },
  {
    id: 'wipe-on-wet', verdict: 'no', safety: false, zones: onWheel, families: wipedOn, onWetWheel: true,
    reason: message('ruleBook.wipeOnWet.reason'),
  },
  {
    id: 'protection-over-residue', verdict: 'no', safety: false, zones: onWheel, purpose: 'protect', overResidue: true,
    reason: message('ruleBook.protectionOverResidue.reason'),
  },
  {
    id: 'dressing-over-brown', verdict: 'no', safety: false, zones: ['tyre'], purpose: 'protect', overResidue: true,
    reason: message('ruleBook.dressingOverBrown.reason'),
  },
] // prettier-ignore
