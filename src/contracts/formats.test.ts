import { inEnglish } from '@/i18n/testEnglish'
import { readdirSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { planInOrder } from '@/core/order/orderPlan'
import { formats, schemaText } from './formats'
import { readJobText } from './jobFile'
import { withTexts } from './saidText'
import { shopSay } from '@/i18n/shopSay'
import { writePlan } from './planFile'

const again = 'run `npm run formats` and commit what it writes'

it.each(Object.entries(formats))(
  'the published schema of a %s is the one the program uses',
  (name, schema) => {
    expect(schemaText(schema), again).toBe(readFileSync(`docs/formats/${name}.schema.json`, 'utf8'))
  },
)

const jobs = readdirSync('docs/examples').filter((name) => name.endsWith('.job.json'))
it.each(jobs)('the published plan of %s is the one it makes', (name) => {
  const job = readJobText(readFileSync(`docs/examples/${name}`, 'utf8'))
  if (!job.ok) throw new Error(inEnglish(job.problems)[0]?.fix)
  const published: unknown = JSON.parse(
    readFileSync(`docs/examples/${name.replace('.job.json', '.plan.json')}`, 'utf8'),
  )
  expect(
    JSON.parse(JSON.stringify(withTexts(writePlan(planInOrder(job.value.job)), shopSay()))),
    again,
  ).toEqual(published)
})
