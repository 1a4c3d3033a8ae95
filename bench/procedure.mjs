// Runs bench/procedure.ts: how many plans of ordinary jobs are as a practised person works, and what is wrong with the others.
import { bin, node } from '../scripts/lib/run.mjs'

export async function benchProcedure() {
  const { output } = await node([bin.tsx, 'bench/procedure.ts'], { capture: true })
  const lines = output.trim().split('\n')
  process.stdout.write(`${lines.slice(0, -1).join('\n')}\n`)
  const rows = JSON.parse(lines.at(-1))
  const middle = (list) => [...list].sort((a, b) => a - b)[list.length >> 1] ?? 0
  const spread = (list) => `${Math.min(...list)}, ${middle(list)}, ${Math.max(...list)}`
  const services = [...new Set(rows.map(({ service }) => service))]
  const figures = ['minutes', 'steps', 'rinses', 'changes', 'tools']
  for (const service of services) {
    const own = rows.filter((row) => row.service === service)
    const said = figures.map((name) => `${name} ${spread(own.map((row) => row[name]))}`)
    process.stdout.write(`${service}, ${own.length} jobs, least, median, most: ${said.join('; ')}\n`)
  }
  const share = (own) => own.filter(({ wrong }) => wrong.length > 0).length / own.length
  const row = (what, own, most) => ({
    what: `${what}: not as a practised person works`,
    ratio: share(own),
    most,
    detail: `${own.filter(({ wrong }) => wrong.length > 0).length} of ${own.length}`,
  })
  return [
    row('ordinary jobs in mild weather', rows, 0.05),
    ...services.map((service) =>
      row(
        service,
        rows.filter((one) => one.service === service),
      ),
    ),
    {
      what: 'without a pattern',
      ratio: rows.filter(({ pattern }) => pattern !== 'pattern').length / rows.length,
      most: 0.02,
      detail: `${rows.length} jobs`,
    },
  ]
}
