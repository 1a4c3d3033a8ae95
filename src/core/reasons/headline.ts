import { message, saidOnce, type Message, type Sayable } from '@/core/message/message'
import { term } from '@/core/message/term'
import type { Job } from '@/core/job/job'
import type { Stage } from '@/core/plan/plan'
import { isByHand } from '@/core/plan/byHand'
import { onWheel, whatIs } from './summary'

/** Longer ones are not read at a glance. */
export const maxHeadlineCharacters = 89

const inShort = ['waterless', 'wash', 'iron', 'mineral', 'tar'] as const

/** What a stage is for, where there is no room for what it is. */
function shortName({ kind, family }: Stage): Message {
  const short = inShort.find((one) => one === kind)
  return short ? message(`reasons.short.${short}`) : term('family', family)
}

/** Ways to name the products in the order of their use, each once; the longest first. */
const waysToName = (job: Job, stages: readonly Stage[]): Sayable[] => {
  const ways: ((stage: Stage) => Sayable)[] = [
    (stage) => whatIs(stage, job),
    ({ family }) => term('family', family),
    ({ family, kind }) => (kind === 'wash' ? message('reasons.short.wash') : term('family', family)),
    shortName,
  ]
  return ways.map((name) => ({ capital: saidOnce(stages.filter(onWheel).map(name)) }))
}

interface Told {
  readonly products: Sayable
  readonly time: { readonly seconds: number }
  readonly most: { readonly seconds: number }
  readonly people: number
}

/** One minute more or less is the same to whoever asks. */
const isSameTime = (one: number, other: number): boolean => Math.round(one / 60) === Math.round(other / 60)

function sentenceOf({ products, time, most, people }: Told, isSprayedOnly: boolean): Message {
  if (isSameTime(time.seconds, most.seconds))
    return isSprayedOnly
      ? message('reasons.headline.sprayedOnly', { products, time, people })
      : message('reasons.headline.title', { products, time, people })
  return isSprayedOnly
    ? message('reasons.headline.sprayedOnlyRange', { products, time, most, people })
    : message('reasons.headline.range', { products, time, most, people })
}

/**
 * The answer as a colleague would say it: products, time, people. Where and how often stands below it.
 * @param clockSeconds from the first look to the note, where the steps stand in an order; else hand time stands alone
 * @param moreSeconds that second rounds may take, if the look asks for them
 */
export function headlineOf(
  job: Job,
  stages: readonly Stage[],
  operatorSeconds: number,
  clockSeconds: number = operatorSeconds,
  moreSeconds = 0,
): Message {
  const washing = stages.filter(onWheel)
  if (washing.length === 0) return message('reasons.headline.nothingWashes')
  const isSprayedOnly = washing.every((stage) => stage.kind === 'wash' && !isByHand(stage))
  const told = {
    time: { seconds: clockSeconds },
    most: { seconds: clockSeconds + moreSeconds },
    people: job.crew.people,
  }
  const ways = saidOnce(waysToName(job, stages)).map((products) =>
    sentenceOf({ products, ...told }, isSprayedOnly),
  )
  return message('common.asItIs', { text: { shortest: ways, maxCharacters: maxHeadlineCharacters } })
}
