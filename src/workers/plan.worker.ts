import { expose } from 'comlink'
import { planFromFile } from './planFromFile'
import { refineFromFile } from './refineFromFile'
import { resumeFromFile } from './resumeFromFile'

expose({ planFromFile, refineFromFile, resumeFromFile })
