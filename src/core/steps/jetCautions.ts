import { saidOnce, type Said } from '@/core/message/message'
import type { Corner, Job } from '@/core/job/job'
import { judge, surfaceOf } from '@/core/rules/judge'
import { wheelZones } from '@/core/wheel/zone'

/** What the rule book says of a jet on this wheel. */
export const jetCautions = (corner: Corner, job: Job): Said[] =>
  saidOnce(
    wheelZones.flatMap((zone) =>
      judge(
        {},
        {
          zone,
          surface: surfaceOf(zone, corner.finishes),
          vehicleKind: job.vehicleKind,
          methods: job.methods,
          protectionLive: false,
          pressureBar: job.equipment.pressureBar,
        },
      ).rules.flatMap(({ care, verdict }) => (verdict === 'withCare' && care ? [care] : [])),
    ),
  )
