import { isMessage, message, type Message, type Said } from '@/core/message/message'

/** What a title is called where the wheel stands above it. */
const lines = {
  'steps.preRinse.title': 'steps.preRinse.line',
  'steps.spray.title': 'steps.spray.line',
  'steps.spray.arch': 'steps.spray.archLine',
  'steps.spray.tyre': 'steps.spray.tyreLine',
  'steps.spray.archAndTyre': 'steps.spray.archAndTyreLine',
  'steps.wetWithSuds.title': 'steps.wetWithSuds.line',
  'steps.presoak.title': 'steps.presoak.line',
  'steps.tar.title': 'steps.tar.line',
  'steps.freshCoat.title': 'steps.freshCoat.line',
  'steps.reMist.title': 'steps.reMist.line',
  'steps.scrubArch.title': 'steps.scrubArch.line',
  'steps.scrubTyre.title': 'steps.scrubTyre.line',
  'steps.brush.title': 'steps.brush.line',
  'steps.brush.barrelFirst': 'steps.brush.barrelFirstLine',
  'steps.waterless.title': 'steps.waterless.line',
  'steps.polish.title': 'steps.polish.line',
  'steps.degrease.title': 'steps.degrease.line',
  'steps.wipeTar.title': 'steps.wipeTar.line',
  'steps.wipeTar.withIron': 'steps.wipeTar.withIronLine',
  'steps.wipeTyre.title': 'steps.wipeTyre.line',
  'steps.drySpots.title': 'steps.drySpots.line',
  'steps.rinse.title': 'steps.rinse.line',
  'steps.sharedRinse.title': 'steps.sharedRinse.line',
  'steps.rinseAtOnce.title': 'steps.rinseAtOnce.line',
  'steps.testSpot.title': 'steps.testSpot.line',
  'steps.finalCheck.title': 'steps.finalCheck.line',
  'steps.hub.title': 'steps.hub.line',
  'steps.dry.title': 'steps.dry.line',
  'steps.protect.title': 'steps.protect.line',
  'steps.dress.title': 'steps.dress.line',
  'steps.dress.coat.title': 'steps.dress.coat.line',
} as const

const isTitle = (key: string): key is keyof typeof lines => key in lines

/** A step's title without its wheel; that of an earlier version's plan, which is a sentence, as it is. */
export function lineTitle(title: Said): Said {
  if (typeof title === 'string') return title
  const { key, values = {} } = title
  if (key === 'steps.round' && isMessage(values.title))
    return { key, values: { ...values, title: lineTitle(values.title) } }
  if (!isTitle(key)) return title
  const line: Message = { key: lines[key], values }
  const part = isMessage(values.where) && values.where.key === 'steps.part' ? values.where.values?.part : null
  return isMessage(part) ? message('steps.partLine', { line, part }) : line
}
