// Writes the JSON Schemas of the open formats into docs/formats, and the plans of the example jobs.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { planInOrder } from '@/core/order/orderPlan'
import { formats, schemaText } from '@/contracts/formats'
import { readJobText } from '@/contracts/jobFile'
import { withTexts } from '@/contracts/saidText'
import { shopSay } from '@/i18n/shopSay'
import { writePlan } from '@/contracts/planFile'

for (const [name, schema] of Object.entries(formats))
  writeFileSync(`docs/formats/${name}.schema.json`, schemaText(schema))
for (const name of readdirSync('docs/examples').filter((file) => file.endsWith('.job.json'))) {
  const job = readJobText(readFileSync(`docs/examples/${name}`, 'utf8'))
  if (!job.ok) throw new Error(`${name}: ${job.problems[0]?.path} ${job.problems[0]?.fix}`)
  writeFileSync(
    `docs/examples/${name.replace('.job.json', '.plan.json')}`,
    `${JSON.stringify(withTexts(writePlan(planInOrder(job.value.job)), shopSay()), null, 2)}\n`,
  )
}
