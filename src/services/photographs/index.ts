/** What a route asks about pictures of wheels. */
export { isDrawingQueueFull } from './drawingQueue'
export { keepPhotograph } from './keepPhotograph'
export { makePhotographRoom, photographRoom } from './photographRoom'
export {
  countPhotographs,
  findPhotograph,
  listPhotographs,
  photographsBeside,
  readPicture,
  removePhotograph,
} from '@/data/queries/photographs'
