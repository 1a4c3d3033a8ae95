import { wheelZones, zoneNames, type Zone } from '@/core/wheel/zone'
import { listed } from './listed'
import type { Act, Stage } from '@/core/plan/plan'
import { isOnRubber } from '@/core/acts/stageKind'
import type { ActText } from './actText'
import { dressText, protectText } from './protectTexts'

const namesOf = (zones: readonly Zone[]): string => listed(zones.map((zone) => zoneNames[zone]))

/** Zones as one says them: all of a wheel is the wheel. */
const shortly = (zones: readonly Zone[]): string => {
  const own = zones.filter((zone) => wheelZones.some((one) => one === zone))
  const rest = zones.filter((zone) => !own.includes(zone))
  return own.length < 6 ? namesOf(zones) : listed(['the whole wheel', ...rest.map((zone) => zoneNames[zone])])
}

/** The zones that something goes on; what stays in front is no whole wheel. */
const goesOn = (zones: readonly Zone[]): string =>
  zones.includes('barrel') ? shortly(zones) : namesOf(zones)

/** What lies behind the face and is worked before it. */
const behindTheFace: readonly Zone[] = ['barrel', 'spokeBacks']

/** How an act reads where what is reached late is sprayed as one comes to it. */
export function asYouComeToIt(
  act: Act,
  { detail }: ActText,
  zones: readonly Zone[],
  toolRinse: string,
): Pick<ActText, 'detail'> {
  if (act !== 'spray' && act !== 'agitate') return { detail }
  const behind = behindTheFace.filter((zone) => zones.includes(zone))
  if (behind.length === 0 || behind.length === zones.length)
    return { detail: act === 'spray' ? detail : `${detail} Spray again what you reach late.`.trim() }
  const words = namesOf(behind)
  if (act === 'spray')
    return { detail: `${words.charAt(0).toUpperCase()}${words.slice(1)} first. Keep it wet.` }
  const rest = zones.includes('face') ? 'the face and the rest' : 'the rest'
  return {
    detail:
      `Brush the ${listed(behind.map((zone) => zoneNames[zone]))}. Then spray ${rest}, give it a moment, and brush that. ${toolRinse}`.trim(),
  }
}

/** How a spray reads that goes on anew, halfway through the wheel. */
export const freshCoat = (where: string, { productName }: Stage): ActText => ({
  title: `Spray ${where} again with ${productName}`,
  detail: 'What you have not brushed yet, and the rest once more. Give it a moment.',
  why: 'Fresh product keeps all of it wet until the rinse.',
})

/** What is worked where, with what, for the words of one act. */
export interface Worked {
  readonly stage: Stage
  /** The wheel, as it stands in a sentence. */
  readonly where: string
  readonly zones: readonly Zone[]
  readonly round: number
  /** Names of what is in the hand. */
  readonly tools: readonly string[]
  /** How what is in the hand is kept clean, as a sentence. */
  readonly toolRinse: string
  /** Whether what it takes sits behind the face alone. */
  readonly isBehind: boolean
  /** Whether the arch is over the wheel, so that it drips on what is rinsed. */
  readonly hasArch: boolean
  /** Whether a dressing goes on the tyre afterwards. */
  readonly isDressed: boolean
  /** What solvent is washed off with, as a sentence begins. */
  readonly afterSolvent: string
}

const roundsText = ({ stage, round }: Worked): string =>
  stage.rounds > 1 ? ` (round ${round} of ${stage.rounds})` : ''

function sprayText(worked: Worked): ActText {
  const { stage, where, zones } = worked
  const { kind, family, delivery, productName } = stage
  if (delivery === 'bucket')
    return {
      title: `Wet ${where} with ${productName}`,
      detail: `From the bucket, water first and then soap. Soak ${goesOn(zones)}.`,
      why: 'Suds carry the dirt off instead of rubbing it in.',
    }
  if (kind === 'presoak')
    return {
      title: `Pre-soak ${where} with ${productName}`,
      detail: 'Foam it on from the bottom up, let it run down, touch nothing.',
      why: 'It loosens grit and dust, so that the rinse takes them.',
    }
  if (kind === 'tar' && family === 'tarRemover')
    return {
      title: `Dab ${productName} on the lumps, ${where}`,
      detail: `Only where tar sits: ${shortly(zones)}. Let it soften, keep it wet.`,
      why: 'Solvent elsewhere only costs protection.',
    }
  return {
    title: `Spray ${isOnRubber(kind) ? `${kind}, ${where},` : where} with ${productName}${roundsText(worked)}`,
    detail: worked.isBehind
      ? 'Barrel, spoke backs and round the lugs, where the dust sits; a thin mist on the face. Keep it wet.'
      : `Cover evenly: ${goesOn(zones)}. Keep it wet.`,
    why: 'Missed areas clean unevenly; a product that dries stains.',
  }
}

const scrubText = (worked: Worked): ActText =>
  worked.stage.kind === 'arch'
    ? {
        title: `Scrub arch, ${worked.where}`,
        detail: `With the ${listed(worked.tools)}, top first.`,
        why: 'It drips on everything below, so it comes first.',
      }
    : {
        title: `Scrub tyre, ${worked.where}${roundsText(worked)}`,
        detail: 'A quarter at a time. Brown foam means again, white foam means done.',
        why: worked.isDressed
          ? 'Strip it bare or the dressing will not take.'
          : 'Brown foam is old dressing and dirt that still comes out of the rubber.',
      }

function brushText({ stage, where, zones, toolRinse }: Worked): ActText {
  const isWhole = zones.includes('barrel') && zones.includes('face') && !where.endsWith(',')
  return {
    title: isWhole ? `Brush ${where}, barrel first` : `Brush ${where}`,
    detail: `Back to front, top to bottom: ${namesOf(zones)}. ${toolRinse}`,
    why:
      stage.kind === 'iron'
        ? 'Wait for the violet to darken, then move it on.'
        : 'Dirt runs from back to front.',
  }
}

function wipeText({ stage, where, zones }: Worked): ActText {
  if (stage.kind === 'waterless')
    return {
      title: `Lift the dust off ${where}`,
      detail: 'Folded damp cloth, rolling motion, turn it often; buff with a second, dry one.',
      why: 'Dust is lifted, never rubbed.',
    }
  if (stage.kind === 'polish')
    return {
      title: `Polish the bare metal, ${where}`,
      detail: `${stage.productName} on a clean cloth, small areas: ${namesOf(zones)}. Wipe it off, then a fresh cloth.`,
      why: 'Bare metal is clean only when it shines.',
    }
  if (stage.kind === 'protect')
    return {
      title: `Degreasing wipe, ${where}`,
      detail:
        'Old wax and oils off with the wipe the coating’s label names, fresh side of the cloth every spoke, until water lies flat.',
      why: 'A coating bonds only to a bare, degreased, dry wheel.',
    }
  return {
    title: `Wipe ${stage.family === 'ironTarRemover' ? 'iron and tar' : 'tar'} off ${where}`,
    detail: 'Let it soften, then lift it with a fresh side of the tar towel.',
    why: 'Rubbing a hard lump scratches.',
  }
}

const dryText = ({ stage, where }: Worked): ActText =>
  stage.kind === 'tar'
    ? {
        title: `Dry the spots, ${where}`,
        detail: 'Only where tar sits, and a little round it.',
        why: 'Tar remover does not work on wet spots.',
      }
    : {
        title: `Dry ${where}`,
        detail: 'Lug holes, behind the spokes and the valve first.',
        why: 'Water left in a gap runs out over the finished work.',
      }

const rinseText = ({ stage, where, zones, hasArch, afterSolvent }: Worked): ActText => ({
  title: `Rinse ${where}`,
  detail:
    stage.kind === 'arch'
      ? 'Arch, top to bottom.'
      : stage.kind === 'tar'
        ? `${afterSolvent} over the spots first, then plenty of water: ${shortly(zones)}.`
        : `Even passes, plenty of water: ${shortly(zones)}, back to front${hasArch ? ', arch edge last' : ''}.`,
  why:
    stage.kind === 'tar'
      ? 'Water alone leaves solvent behind, and nothing bonds over it.'
      : 'Rushed rinsing leaves residue that stains and keeps protection from bonding.',
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
        title: `Mist ${where} again`,
        detail: `A fine mist of ${stage.productName} or water over all of it.`,
        why: 'It would dry before the brush comes.',
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

/** The rinse that takes off everything that was wet together. */
export const sharedRinseText = (where: string, zones: readonly Zone[]): ActText => ({
  title: `Rinse ${where}, all of it`,
  detail: `From the top down, plenty of water: ${shortly(zones)}.`,
  why: 'Everything that is on leaves together; rushed rinsing leaves residue that stains and keeps protection from bonding.',
})
