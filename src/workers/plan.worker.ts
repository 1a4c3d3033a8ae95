import { expose } from 'comlink'
import { planFromFile } from './planFromFile'

expose({ planFromFile })
