/** What falls due, and when: the only way in from outside. */
export { careAdvice } from './careCard'
export {
  dueKinds,
  surenesses,
  type DueItem,
  type DueKind,
  type DueMark,
  type DueMarks,
  type Sureness,
} from './dueItem'
export type { DueShop } from './dueList'
export { liveProtection, type LiveProtection } from './liveProtection'
export { saidOfLook, type LookEffect } from './lookEffect'
export {
  dueByKey,
  dueOfSet,
  dueOfShop,
  dueOfWeek,
  duePage,
  type DueAsked,
  type DueMoment,
  type DuePage,
  type NamedDue,
  type WeekDue,
} from './namedDue'
export type { Reminder } from './shopDue'
