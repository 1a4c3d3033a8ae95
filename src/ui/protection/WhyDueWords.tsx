import { exhaustive } from '@/core/exhaustive'
import type { Weight, WhyDue } from '@/core/protection/whyDue'

const percent = (share: number): string => `${Math.round(share * 100)} %`

function weightWords({ kind, amount }: Weight): string {
  switch (kind) {
    case 'days':
      return `Days take ${percent(amount)} of it`
    case 'winter':
      return `Winter takes ${percent(amount)}`
    case 'heat':
      return `Hot months take ${percent(amount)}`
    case 'road':
      return `Kilometres and brake dust take ${percent(amount)}`
    case 'washes':
      return `Washes take ${percent(amount)}`
    case 'hardSet':
      return `This car uses protection up ${amount.toFixed(1)} times as fast as usual`
    case 'easySet':
      return `This car is easy on it: ${amount.toFixed(1)} times the usual wear`
    case 'shortProduct':
      return `This product lasts ${amount.toFixed(1)} times as long as its kind`
    case 'longProduct':
      return `This product lasts ${amount.toFixed(1)} times as long as its kind`
    default:
      return exhaustive(kind)
  }
}

const daysWords = (days: number): string =>
  `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'} ${days < 0 ? 'sooner' : 'later'}`

/** The three things that weigh most on a date, and what a wash more or less driving would do. */
export function WhyDueWords({ why }: { readonly why: WhyDue }) {
  return (
    <ul className="layer-why">
      {why.weights.map((weight) => (
        <li key={weight.kind}>
          {weightWords(weight)}; without that {daysWords(weight.days)}.
        </li>
      ))}
      <li>
        One wash more: {why.washDays === 0 ? 'no day sooner' : daysWords(why.washDays)}. A thousand kilometres
        fewer: {why.kilometreDays === 0 ? 'no day later' : daysWords(why.kilometreDays)}.
      </li>
    </ul>
  )
}
