/** What a route asks about layers, checks, driving and changes of wheels. */
export { changeWheels } from './changeWheels'
export { putLayerOn, renewWheels } from './putLayerOn'
export { recordLook } from './recordLook'
export { tellDriving } from './tellDriving'
export { listReadings } from '@/data/queries/driving'
export { listLooks, removeLook } from '@/data/queries/looks'
export { lastTyreReading, listWheelChanges, removeLastWheelChange } from '@/data/queries/wheelChanges'
