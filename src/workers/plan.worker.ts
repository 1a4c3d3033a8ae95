import { expose } from 'comlink'
import { planFromFile } from './planFromFile'
import type { PlanProtocol } from './planProtocol'
import { refineFromFile } from './refineFromFile'
import { resumeFromFile } from './resumeFromFile'

const answers: PlanProtocol = { planFromFile, refineFromFile, resumeFromFile }
expose(answers)
