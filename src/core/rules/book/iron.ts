import { message } from '@/core/message/message'
import { bareFinishes } from '@/core/finishes/finish'
import type { Rule } from '../rule'
import { onWheel, softSkins } from './surfaces'

export const ironRules: readonly Rule[] = [
  {
    id: 'iron-on-diamond-cut', verdict: 'withCare', safety: false, zones: onWheel, finishes: ['diamondCut'], traits: ['ironReactive'],
    reason: message('ruleBook.ironOnDiamondCut.reason'),
    care: message('ruleBook.ironOnDiamondCut.care'), dwellCap: 'shortest',
  },
  {
    id: 'iron-on-bare', verdict: 'withCare', safety: false, zones: onWheel, finishes: bareFinishes, traits: ['ironReactive'],
    reason: message('ruleBook.ironOnBare.reason'),
    care: message('ruleBook.ironOnBare.care'), dwellCap: 'shortest', testSpot: true,
  },
  {
    id: 'iron-under-peeling-lacquer', verdict: 'withCare', safety: false, zones: onWheel, conditions: ['peeling', 'corroded'], traits: ['ironReactive'],
    reason: message('ruleBook.ironUnderPeelingLacquer.reason'),
    care: message('ruleBook.ironUnderPeelingLacquer.care'), dwellCap: 'shortest',
  },
  {
    id: 'iron-on-film', verdict: 'withCare', safety: false, zones: onWheel, families: ['ironRemover', 'ironTarRemover', 'ironClayLubricant'],
    filmAbove: 1, method: { name: 'ironOn', value: 'dirty' },
    reason: message('ruleBook.ironOnFilm.reason'),
    care: message('ruleBook.ironOnFilm.care'),
  },
  {
    id: 'iron-after-the-wash', verdict: 'no', safety: false, zones: onWheel, families: ['ironRemover', 'ironTarRemover', 'ironClayLubricant'],
    filmAbove: 1, method: { name: 'ironOn', value: 'afterWash' },
    reason: message('ruleBook.ironAfterTheWash.reason'),
  },
  {
    id: 'gel-on-diamond-cut', verdict: 'no', safety: false, zones: onWheel, finishes: ['diamondCut'], families: ['heavyGel', 'ironTarRemover'],
    reason: message('ruleBook.gelOnDiamondCut.reason'),
  },
  {
    id: 'stripping-on-soft-skin', verdict: 'no', safety: false, zones: onWheel, finishes: softSkins, wear: ['strips'], purpose: 'clean',
    reason: message('ruleBook.strippingOnSoftSkin.reason'),
  },
  {
    id: 'stripping-on-open-lacquer', verdict: 'withCare', safety: false, zones: onWheel, conditions: ['chipped', 'peeling', 'corroded', 'curbRashed'],
    wear: ['strips'], purpose: 'clean',
    reason: message('ruleBook.strippingOnOpenLacquer.reason'),
    care: message('ruleBook.strippingOnOpenLacquer.care'), dwellCap: 'shortest',
  },
] // prettier-ignore
