// How near the forecast comes to the truth: on the given shops, and on shops of other stories. Prints JSON last.
import { readFileSync } from 'node:fs'
import { forecastShop, type Band } from '@/core/protection/forecast'
import type { ShopRecord } from '@/core/protection/record'
import { readRecord } from '@/contracts/shopRecord'
import { shopOf, stories, type Truth } from './protectionShops'

const cut = (days: number | null): number => Math.max(-30, Math.min(730, days ?? 730))
const pinball = (quantile: number, truth: number, share: number): number =>
  truth >= quantile ? share * (truth - quantile) : (1 - share) * (quantile - truth)

interface Score {
  readonly loss: number
  readonly median: number
  readonly inside: number
}

function scoreOf(shops: readonly { record: ShopRecord; truth: readonly Truth[] }[]): Score {
  const pairs = shops.flatMap(({ record, truth }) => {
    const byId = new Map(forecastShop(record).layers.map((one) => [one.id, one]))
    return truth.flatMap((one) =>
      (['topUpDays', 'renewDays'] as const).flatMap((key): { band: Band; days: number }[] => {
        const band = byId.get(one.id)?.[key]
        return band ? [{ band, days: cut(one[key]) }] : []
      }),
    )
  })
  const ends = ({ band }: (typeof pairs)[number]) =>
    [band.p10, band.p50, band.p90].map(cut) as [number, number, number]
  const losses = pairs.map((pair) => {
    const [low, middle, high] = ends(pair)
    return (
      (pinball(low, pair.days, 0.1) + pinball(middle, pair.days, 0.5) + pinball(high, pair.days, 0.9)) / 3
    )
  })
  const errors = pairs.map((pair) => Math.abs(pair.days - ends(pair)[1])).sort((a, b) => a - b)
  const inside = pairs.filter((pair) => pair.days >= ends(pair)[0] && pair.days <= ends(pair)[2])
  return {
    loss: losses.reduce((sum, one) => sum + one, 0) / losses.length,
    median: errors[errors.length >> 1] ?? 0,
    inside: inside.length / pairs.length,
  }
}

const say = (name: string, { loss, median, inside }: Score) =>
  console.log(
    `${name}: loss ${loss.toFixed(2)} days, median error ${median.toFixed(1)} days, inside the band ${(100 * inside).toFixed(0)} %`,
  )

const files = JSON.parse(readFileSync('bench/protection-shops.json', 'utf8')) as unknown[]
const truths = JSON.parse(readFileSync('bench/protection-truth.json', 'utf8')) as {
  layers: { layerId: string; topUpDays: number | null; renewDays: number | null }[]
}[]
const began = performance.now()
const given = scoreOf(
  files.map((file, at) => {
    const read = readRecord(file)
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    return {
      record: read.value,
      truth: (truths[at]?.layers ?? []).map(({ layerId, ...one }) => ({ id: layerId, ...one })),
    }
  }),
)
say('given shops', given)
console.log(`${Math.round((performance.now() - began) / files.length)} ms a shop`)
const others = stories.map((story) => {
  const shops = Array.from({ length: 8 }, (_, at) => shopOf(story, at + 1))
  const learnt = scoreOf(shops)
  const unlearnt = scoreOf(shops.map(({ record, truth }) => ({ record: { ...record, looks: [] }, truth })))
  say(`own shops, ${story.name}`, learnt)
  return { inside: learnt.inside, share: learnt.loss / unlearnt.loss }
})
console.log(
  JSON.stringify({
    given,
    leastInside: Math.min(...others.map(({ inside }) => inside)),
    worstShare: Math.max(...others.map(({ share }) => share)),
  }),
)
