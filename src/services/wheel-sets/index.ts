/** What a route asks about vehicles and their sets. */
export { listTestSpots } from '@/data/queries/testSpots'
export { isNameKnown, listVehicles, type SeenVehicle } from '@/data/queries/vehicles'
export {
  countWheelSets,
  createWheelSet,
  findWheelSet,
  hasWheelSets,
  listWheelSets,
  setsOfVehicle,
  updateWheelSet,
  type WheelSet,
} from '@/data/queries/wheelSets'
