import { isDarkOrSoft, showsEveryTouch } from '@/core/finishes/finish'
import type { Job } from '@/core/job/job'
import { services } from '@/core/visit-kinds/service'
import { worstGrade } from '@/core/soils/zoneLoads'
import type { WheelGroup } from './wheelGroup'

/** Grit or loose dust from which a soak is worth its minute. */
const worthSoaking = 2

/** Whether grit meets a soft or dark finish, so that it is soaked loose before anything else; whatever the shop rinses first. */
export const wantsPresoak = ({ corners, zones }: WheelGroup, job: Job): boolean =>
  services[job.service].water &&
  worstGrade(corners, zones, 'grit') >= worthSoaking &&
  corners.some(({ finishes }) => Object.values(finishes).some(isDarkOrSoft))

/** Whether loose dust lies on a face that shows every touch: what touches it at once rubs the dust in. */
export const hasDustToLoosen = ({ corners }: WheelGroup): boolean =>
  corners.some(
    (corner) =>
      corner.finishes.face !== undefined &&
      showsEveryTouch(corner.finishes.face.finish) &&
      worstGrade([corner], ['face', 'windows', 'lip'], 'freshDust') >= worthSoaking,
  )
