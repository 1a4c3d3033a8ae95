import type { Zone } from '@/core/wheel/zone'
import type { Stage } from './plan'

type Tooled = Pick<Stage, 'tools'>

/** Whether anything in the kit works a zone of a stage; what nothing works is sprayed and rinsed. */
export const isWorkedByHand = (zone: Zone, { tools }: Tooled): boolean =>
  tools.some(({ zones, tool }) => tool !== null && zones.includes(zone))

/** Whether anything in the kit works any zone of a stage. */
export const isByHand = ({ tools }: Tooled): boolean => tools.some(({ tool }) => tool !== null)
