import { isDarkOrSoft } from '@/core/finishes/finish'
import type { Job } from '@/core/job/job'
import { services } from '@/core/visit-kinds/service'
import { worstGrade } from '@/core/soils/zoneLoads'
import type { WheelGroup } from './wheelGroup'

/** Grit from which a soak is worth its minute. */
const clearGrit = 2

/** Whether grit meets a soft or dark finish, so that it is soaked loose before anything else; whatever the shop rinses first. */
export const wantsPresoak = ({ corners, zones }: WheelGroup, job: Job): boolean =>
  services[job.service].water &&
  worstGrade(corners, zones, 'grit') >= clearGrit &&
  corners.some(({ finishes }) => Object.values(finishes).some(isDarkOrSoft))
