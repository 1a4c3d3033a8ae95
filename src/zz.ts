import { openDatabase } from '@/data/openDatabase'
import { listWheelSets } from '@/data/queries/wheelSets'
import { planJob } from '@/services/planJob'
import { intakeOffer } from '@/services/intakeOffer'
import { entriesOfLoads } from '@/ui/intake/loads'
const database = await openDatabase('/tmp/x/demo4')
const now = new Date()
for (const set of await listWheelSets(database)) {
  const offer = await intakeOffer(database, set, now)
  const made = await planJob(database, set.id, { corners: offer.loads.map(({ position, loads }) => ({ position, loads: entriesOfLoads(loads) })), service: 'decontaminate', conditions: {} as never, people: 1 } as never, now)
  if (!made.ok) { console.log(set.vehicleName, made.problems); continue }
  const { steps } = made.value.plan
  console.log(set.vehicleName, set.name, steps.length, 'cards', made.value.plan.sequence?.cards.length, 'tests', steps.filter((s) => s.asks === 'testSpot').map((s) => s.id).join(' '), 'foam', steps.filter((s) => s.asks === 'foam').length, 'iron', steps.filter((s) => s.asks === 'iron').length)
}
await database.close()
