import { message, sentences, type Message, type Said, type Sayable } from '@/core/message/message'
import { terms } from '@/core/message/term'
import { wheelZones, type Zone } from '@/core/wheel/zone'
import type { Act, Stage } from '@/core/plan/plan'
import type { ActText } from './actText'
import { dressText, protectText } from './protectTexts'

/** Zones as one says them: all of a wheel is the wheel. */
const shortly = (zones: readonly Zone[]): Message[] => {
  const own = zones.filter((zone) => wheelZones.some((one) => one === zone))
  const rest = zones.filter((zone) => !own.includes(zone))
  return own.length < 6 ? terms('zone', zones) : [message('steps.wholeWheel'), ...terms('zone', rest)]
}

/** The zones that something goes on; what stays in front is no whole wheel. */
const goesOn = (zones: readonly Zone[]): Message[] =>
  zones.includes('barrel') ? shortly(zones) : terms('zone', zones)

/** What lies behind the face and is worked before it. */
const behindTheFace: readonly Zone[] = ['barrel', 'spokeBacks']

/** How an act reads where what is reached late is sprayed as one comes to it. */
export function asYouComeToIt(
  act: Act,
  { detail }: ActText,
  zones: readonly Zone[],
  toolRinse: Said,
): Pick<ActText, 'detail'> {
  if (act !== 'spray' && act !== 'agitate') return { detail }
  const behind = behindTheFace.filter((zone) => zones.includes(zone))
  if (behind.length === 0 || behind.length === zones.length)
    return { detail: act === 'spray' ? detail : sentences(detail, message('steps.asYouCome.again')) }
  const names = terms('zone', behind)
  if (act === 'spray')
    return { detail: message('steps.asYouCome.behindFirst', { zones: { capital: names } }) }
  return {
    detail: sentences(
      zones.includes('face')
        ? message('steps.asYouCome.thenFace', { zones: names })
        : message('steps.asYouCome.thenRest', { zones: names }),
      toolRinse,
    ),
  }
}

/** How a spray reads that goes on anew, halfway through the wheel. */
export const freshCoat = (where: Sayable, { productName }: Stage): ActText => ({
  title: message('steps.freshCoat.title', { where, product: productName }),
  detail: message('steps.freshCoat.detail'),
  why: message('steps.freshCoat.why'),
})

/** What is worked where, with what, for the words of one act. */
export interface Worked {
  readonly stage: Stage
  /** The wheel, as it stands in a sentence. */
  readonly where: Message
  readonly zones: readonly Zone[]
  readonly round: number
  /** Names of what is in the hand. */
  readonly tools: readonly string[]
  /** How what is in the hand is kept clean, as a sentence. */
  readonly toolRinse: Said
  /** Whether it is part of a wheel only. */
  readonly isPart: boolean
  /** Whether what it takes sits behind the face alone. */
  readonly isBehind: boolean
  /** Whether the arch is over the wheel, so that it drips on what is rinsed. */
  readonly hasArch: boolean
  /** Whether a dressing goes on the tyre afterwards. */
  readonly isDressed: boolean
  /** What solvent is washed off with. */
  readonly afterSolvent: Sayable
}

/** A title with its round, where there is more than one. */
const withRound = (title: Message, { stage, round }: Worked): Message =>
  stage.rounds > 1 ? message('steps.round', { title, round, rounds: stage.rounds }) : title

function sprayText(worked: Worked): ActText {
  const { stage, where, zones } = worked
  const { kind, family, delivery, productName: product } = stage
  if (delivery === 'bucket')
    return {
      title: message('steps.wetWithSuds.title', { where, product }),
      detail: message('steps.wetWithSuds.detail', { zones: goesOn(zones) }),
      why: message('steps.wetWithSuds.why'),
    }
  if (kind === 'presoak')
    return {
      title: message('steps.presoak.title', { where, product }),
      detail: message('steps.presoak.detail'),
      why: message('steps.presoak.why'),
    }
  if (kind === 'tar' && family === 'tarRemover')
    return {
      title: message('steps.tar.title', { where, product }),
      detail: message('steps.tar.detail', { zones: shortly(zones) }),
      why: message('steps.tar.why'),
    }
  return {
    title: withRound(sprayTitle(stage, where), worked),
    detail: worked.isBehind
      ? message('steps.spray.behind')
      : message('steps.spray.detail', { zones: goesOn(zones) }),
    why: message('steps.spray.why'),
  }
}

function sprayTitle({ kind, productName: product }: Stage, where: Message): Message {
  if (kind === 'arch') return message('steps.spray.arch', { where, product })
  if (kind === 'tyre') return message('steps.spray.tyre', { where, product })
  return message('steps.spray.title', { where, product })
}

const scrubText = (worked: Worked): ActText =>
  worked.stage.kind === 'arch'
    ? {
        title: message('steps.scrubArch.title', { where: worked.where }),
        detail: message('steps.scrubArch.detail', { tools: worked.tools }),
        why: message('steps.scrubArch.why'),
      }
    : {
        title: withRound(message('steps.scrubTyre.title', { where: worked.where }), worked),
        detail: message('steps.scrubTyre.detail'),
        why: worked.isDressed ? message('steps.scrubTyre.beforeDressing') : message('steps.scrubTyre.why'),
      }

function brushText({ stage, where, zones, toolRinse, isPart }: Worked): ActText {
  const isWhole = zones.includes('barrel') && zones.includes('face') && !isPart
  return {
    title: isWhole ? message('steps.brush.barrelFirst', { where }) : message('steps.brush.title', { where }),
    detail: sentences(message('steps.brush.detail', { zones: terms('zone', zones) }), toolRinse),
    why: stage.kind === 'iron' ? message('steps.brush.purple') : message('steps.brush.why'),
  }
}

function wipeText({ stage, where, zones }: Worked): ActText {
  if (stage.kind === 'waterless')
    return {
      title: message('steps.waterless.title', { where }),
      detail: message('steps.waterless.detail'),
      why: message('steps.waterless.why'),
    }
  if (stage.kind === 'polish')
    return {
      title: message('steps.polish.title', { where }),
      detail: message('steps.polish.detail', { product: stage.productName, zones: terms('zone', zones) }),
      why: message('steps.polish.why'),
    }
  if (stage.kind === 'protect')
    return {
      title: message('steps.degrease.title', { where }),
      detail: message('steps.degrease.detail'),
      why: message('steps.degrease.why'),
    }
  return {
    title:
      stage.family === 'ironTarRemover'
        ? message('steps.wipeTar.withIron', { where })
        : message('steps.wipeTar.title', { where }),
    detail: message('steps.wipeTar.detail'),
    why: message('steps.wipeTar.why'),
  }
}

const dryText = ({ stage, where }: Worked): ActText =>
  stage.kind === 'tar'
    ? {
        title: message('steps.drySpots.title', { where }),
        detail: message('steps.drySpots.detail'),
        why: message('steps.drySpots.why'),
      }
    : {
        title: message('steps.dry.title', { where }),
        detail: message('steps.dry.detail'),
        why: message('steps.dry.why'),
      }

function rinseDetail({ stage, zones, hasArch, afterSolvent }: Worked): Message {
  if (stage.kind === 'arch') return message('steps.rinse.arch')
  if (stage.kind === 'tar')
    return message('steps.rinse.tar', { suds: { capital: afterSolvent }, zones: shortly(zones) })
  return hasArch
    ? message('steps.rinse.archLast', { zones: shortly(zones) })
    : message('steps.rinse.detail', { zones: shortly(zones) })
}

const rinseText = (worked: Worked): ActText => ({
  title: message('steps.rinse.title', { where: worked.where }),
  detail: rinseDetail(worked),
  why: worked.stage.kind === 'tar' ? message('steps.rinse.tarWhy') : message('steps.rinse.why'),
})

/** What a person reads at one act of a stage: what to do, how, and why. */
export function textOf(act: Act, worked: Worked): ActText {
  const { stage, where, tools } = worked
  switch (act) {
    case 'spray':
      return sprayText(worked)
    case 'scrub':
      return scrubText(worked)
    case 'agitate':
      return brushText(worked)
    case 'wipe':
      return wipeText(worked)
    case 'reMist':
      return {
        title: message('steps.reMist.title', { where }),
        detail: message('steps.reMist.detail', { product: stage.productName }),
        why: message('steps.reMist.why'),
      }
    case 'dry':
      return dryText(worked)
    case 'protect':
      return protectText(stage, where, tools)
    case 'dress':
      return dressText(stage, where)
    default:
      return rinseText(worked)
  }
}

/** The title of a spray that goes on arch and tyre at once. */
export const archAndTyreTitle = (where: Message, { productName: product }: Stage): Message =>
  message('steps.spray.archAndTyre', { where, product })

/** The rinse that takes off everything that was wet together. */
export const sharedRinseText = (where: Message, zones: readonly Zone[]): ActText => ({
  title: message('steps.sharedRinse.title', { where }),
  detail: message('steps.sharedRinse.detail', { zones: shortly(zones) }),
  why: message('steps.sharedRinse.why'),
})

/** The rinse straight after something is sprayed on to protect. */
export const rinseAtOnceText = (wheel: Message): ActText => ({
  title: message('steps.rinseAtOnce.title', { wheel }),
  detail: message('steps.rinseAtOnce.detail'),
  why: message('steps.rinseAtOnce.why'),
})

/** A part of a wheel as it stands in a sentence. */
export const partOf = (wheel: Message, part: Message): Message => message('steps.part', { wheel, part })
