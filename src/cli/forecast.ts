import { message } from '@/core/message/message'
import { printError } from '@/i18n/terminal'
import { forecastShop } from '@/core/protection/forecast'
import { readRecordText, writeForecast } from '@/contracts/shopRecord'
import { readInput, refuse } from './files'

const [name, ...more] = process.argv.slice(2)
if (name === undefined || more.length > 0 || (name.startsWith('-') && name !== '-')) {
  printError(message('commands.forecast.usage'))
  process.exit(2)
}
const read = readRecordText(readInput(name))
if (!read.ok) refuse(read.problems)
process.stdout.write(`${JSON.stringify(writeForecast(forecastShop(read.value)))}\n`)
