import { forecastShop } from '@/core/protection/forecast'
import { readRecordText, writeForecast } from '@/contracts/shopRecord'
import { readInput, refuse } from './files'

const usage =
  'Usage: npm run -s forecast -- SHOP.json   (or - to read from standard input)\n' +
  'Prints when each layer is due, as a middle and what it lies between in eight of ten cases.\n'

const [name, ...more] = process.argv.slice(2)
if (name === undefined || more.length > 0 || (name.startsWith('-') && name !== '-')) {
  process.stderr.write(usage)
  process.exit(2)
}
const read = readRecordText(readInput(name))
if (!read.ok) refuse(read.problems)
process.stdout.write(`${JSON.stringify(writeForecast(forecastShop(read.value)))}\n`)
