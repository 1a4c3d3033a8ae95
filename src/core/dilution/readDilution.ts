import { message, type Message, type Said } from '@/core/message/message'
import { millilitresPerUnit, type OunceSystem } from '@/core/quantity/volume'
import { showFound } from '@/core/result'
import { combineStages, fractionOfDoseAdded, fractionOfDoseMadeUp, fractionFromRatio, type Mix } from './mix'
import { tokenize, type Container, type Token, type VolumeUnit } from './tokens'
import { writeDilution } from './writeDilution'

/** One way an open phrase can be meant. */
export interface DilutionChoice {
  readonly label: Said
  readonly mix: Mix
}

/** What was understood. An open phrase is asked about, never guessed. */
export type DilutionReading =
  | {
      readonly kind: 'mix'
      readonly mix: Mix
      /** The strength was said of a foam lance's bottle; the lance thins it again. */
      readonly inLanceBottle: boolean
    }
  | { readonly kind: 'open'; readonly question: Message; readonly choices: readonly DilutionChoice[] }
  | { readonly kind: 'needs'; readonly need: Container; readonly question: Message }
  | { readonly kind: 'unreadable'; readonly found: string; readonly fix: Message }

/** What is known beside the words. */
export interface DilutionContext {
  /** Which ounces and gallons this shop means; absent: asked where it matters. */
  readonly ounces?: OunceSystem
  /** What bottle, cap and bucket hold, ml: for "half a lance bottle" and "2 capfuls per bucket". */
  readonly holdsMillilitres?: Readonly<Partial<Record<Container, number>>>
}

interface Quantity {
  readonly from: number
  readonly to: number
  readonly unit: VolumeUnit
}
type Role = 'water' | 'product' | undefined
type Piece = Token | { readonly kind: 'quantity'; readonly quantity: Quantity }

const examples = message('measures.dilution.examples')
/** Weaker than this nobody mixes; most likely a slip of the keys. */
const weakestFraction = 1 / 20_001

const unreadable = (text: string, fix: Message): DilutionReading => ({
  kind: 'unreadable',
  found: showFound(text),
  fix,
})
const isMix = (reading: DilutionReading | null): reading is Extract<DilutionReading, { kind: 'mix' }> =>
  reading?.kind === 'mix'

function mixOf(weak: number, strong = weak): DilutionReading {
  return {
    kind: 'mix',
    mix: { from: Math.min(weak, strong), to: Math.max(weak, strong) },
    inLanceBottle: false,
  }
}

function open(question: Message, fractions: readonly (readonly [Said, number])[]): DilutionReading {
  return {
    kind: 'open',
    question,
    choices: fractions.map(([label, fraction]) => ({ label, mix: { from: fraction, to: fraction } })),
  }
}

const partsLabel = (product: number, water: number): Message =>
  message('measures.dilution.parts', { product, water })

/** House rule: the side that is 1 is the concentrate, whichever way round it is written. */
function readSides(
  a: number,
  b: number,
  by: 'ratio' | 'slash' | 'in',
  roleA: Role,
  roleB: Role,
): DilutionReading | null {
  if (roleA === 'water' || roleB === 'product') return b > 0 ? mixOf(b / (a + b)) : null
  if (roleA === 'product' || roleB === 'water') return a > 0 ? mixOf(a / (a + b)) : null
  if (a === 1 && b === 0) return mixOf(1)
  if (a === 0 || b === 0) return null
  if (a === b) return mixOf(1 / 2)
  const said = `${a}${by === 'in' ? ' in ' : by === 'slash' ? '/' : ':'}${b}`
  if (by === 'in' && a < b) {
    return open(message('measures.dilution.finishedOrWater', { said }), [
      [message('measures.dilution.inFinished', { a, b, percent: (a / b) * 100 }), a / b],
      [partsLabel(a, b), a / (a + b)],
    ])
  }
  if (by === 'slash' && a === 1) {
    return open(message('measures.dilution.ratioOrFraction', { said }), [
      [partsLabel(a, b), a / (a + b)],
      [message('measures.dilution.shareOfFinished', { share: `${a}/${b}` }), a / b],
    ])
  }
  const other = a === 1 ? b : b === 1 ? a : null
  if (other !== null && other > 1) return mixOf(fractionFromRatio(other))
  // Parts of a hundred: what is named first is the product, as in 60/40.
  if (by !== 'in' && Math.abs(a + b - 100) < 1e-9) return mixOf(a / 100)
  return open(message('measures.dilution.whichSide', { said }), [
    [partsLabel(a, b), a / (a + b)],
    [partsLabel(b, a), b / (a + b)],
  ])
}

/** Collapses numbers and units to quantities, fractions like "1 1/2 oz" and spans like "5 to 7 ounces" among them. */
function collapseQuantities(tokens: readonly Token[]): Piece[] {
  const pieces: Piece[] = []
  for (let at = 0; at < tokens.length;) {
    const numberAt = (offset: number): number | null => {
      const token = tokens[at + offset]
      return token?.kind === 'number' ? token.value : null
    }
    const kindAt = (offset: number) => tokens[at + offset]?.kind
    const unitAt = (offset: number): VolumeUnit | null => {
      const token = tokens[at + offset]
      return token?.kind === 'unit' ? token.unit : null
    }
    const [n0, n1, n2, n3] = [numberAt(0), numberAt(1), numberAt(2), numberAt(3)]
    const push = (length: number, from: number, to: number, unit: VolumeUnit) => {
      pieces.push({ kind: 'quantity', quantity: { from, to, unit } })
      at += length
    }
    const unit1 = unitAt(1)
    const unit3 = unitAt(3)
    const unit4 = unitAt(4)
    if (n0 !== null && unit1) push(2, n0, n0, unit1)
    else if (n0 !== null && kindAt(1) === 'slash' && n2 && unit3) push(4, n0 / n2, n0 / n2, unit3)
    else if (n0 !== null && n1 !== null && kindAt(2) === 'slash' && n3 && unit4)
      push(5, n0 + n1 / n3, n0 + n1 / n3, unit4)
    else if (n0 !== null && (kindAt(1) === 'to' || kindAt(1) === 'dash') && n2 !== null && unit3)
      push(4, n0, n2, unit3)
    else {
      const unit0 = unitAt(0)
      // "per litre" is one litre.
      if (unit0) push(1, 1, 1, unit0)
      else {
        pieces.push(tokens[at] as Token)
        at += 1
      }
    }
  }
  return pieces
}

function millilitresOf(unit: VolumeUnit, ounces: OunceSystem, context: DilutionContext): number | null {
  switch (unit.kind) {
    case 'metric':
      return unit.millilitres
    case 'customary':
      return millilitresPerUnit[unit.system ?? ounces][unit.unit]
    case 'container':
      return context.holdsMillilitres?.[unit.of] ?? null
  }
}

/** Two volumes and the words between them. */
function readVolumes(
  first: Quantity,
  second: Quantity,
  by: string,
  roles: [Role, Role],
  context: DilutionContext,
): DilutionReading | null {
  for (const { unit } of [first, second])
    if (unit.kind === 'container' && context.holdsMillilitres?.[unit.of] === undefined)
      return { kind: 'needs', need: unit.of, question: message(`measures.dilution.holds.${unit.of}`) }
  const waterFirst =
    roles[0] === 'water' || roles[1] === 'product' || (by === 'toppedWith' && roles[0] !== 'product')
  const [dose, base] = waterFirst ? [second, first] : [first, second]
  const rolesSaid = roles.some((role) => role !== undefined)
  const fractionsIn = (ounces: OunceSystem): [number, number] | null => {
    const doseUnit = millilitresOf(dose.unit, ounces, context)
    const baseUnit = millilitresOf(base.unit, ounces, context)
    if (doseUnit === null || baseUnit === null) return null
    const share = by === 'madeUp' ? fractionOfDoseMadeUp : fractionOfDoseAdded
    return [share(dose.from * doseUnit, base.to * baseUnit), share(dose.to * doseUnit, base.from * baseUnit)]
  }
  const us = fractionsIn('us')
  const imperial = fractionsIn('imperial')
  if (!us || !imperial) return null
  if ([...us, ...imperial].some((fraction) => !(fraction > 0 && fraction <= 1))) return null
  const first1 = waterFirst ? 1 - us[1] : us[1]
  // "16 oz to 2 oz" and "50 ml + 450 ml" do not say which of the two is poured into the other.
  const isOpen = by === 'toppedWith' || ((by === 'to' || by === 'ratio') && us[1] > 1 / 2)
  if (isOpen && !rolesSaid) {
    return open(message('measures.dilution.whichVolume'), [
      [
        message('measures.dilution.firstVolume', { strength: writeDilution({ from: first1, to: first1 }) }),
        first1,
      ],
      [
        message('measures.dilution.secondVolume', {
          strength: writeDilution({ from: 1 - first1, to: 1 - first1 }),
        }),
        1 - first1,
      ],
    ])
  }
  if (Math.abs(us[0] - imperial[0]) < 1e-9 && Math.abs(us[1] - imperial[1]) < 1e-9) return mixOf(...us)
  if (context.ounces) return mixOf(...(context.ounces === 'us' ? us : imperial))
  const choice = (system: OunceSystem, [from, to]: [number, number]): DilutionChoice => ({
    label: message('measures.dilution.ounces', { system, strength: writeDilution({ from, to }) }),
    mix: { from, to },
  })
  return {
    kind: 'open',
    question: message('measures.dilution.whichOunces'),
    choices: [choice('us', us), choice('imperial', imperial)],
  }
}

/** One letter a piece, so that the shapes below can be read as a table. */
const letter: Record<Piece['kind'], string> = {
  number: 'N', quantity: 'Q', percent: '%', colon: ':', slash: '/', dash: '-', to: 'T', in: 'I', added: 'A',
  madeUp: 'M', toppedWith: 'X', part: 'p', water: 'w', product: 'c', neat: 'E', then: 'H', lance: 'L', unit: 'U',
} // prettier-ignore

const relations: Record<string, string> = {
  T: 'to', ':': 'ratio', I: 'in', A: 'added', M: 'madeUp', X: 'toppedWith', '/': 'added', '': 'ratio',
} // prettier-ignore

const roleOf = (letters: string): Role =>
  letters.includes('w') ? 'water' : letters.includes('c') ? 'product' : undefined

function readPieces(pieces: readonly Piece[], context: DilutionContext): DilutionReading | null {
  const shape = pieces.map((piece) => letter[piece.kind]).join('')
  const numbers = pieces.flatMap((piece) => (piece.kind === 'number' ? [piece.value] : []))
  const volumes = pieces.flatMap((piece) => (piece.kind === 'quantity' ? [piece.quantity] : []))
  const [a = NaN, b = NaN] = numbers

  if (/^c?E[cIw]*$/.test(shape)) return mixOf(1)
  const percent = /^c?N%(c|w)?(?:Iw)?$/.exec(shape)
  if (percent) {
    const share = percent[1] === 'w' ? 1 - a / 100 : a / 100
    return share > 0 && share <= 1 ? mixOf(share) : null
  }
  if (/^N%?[-T]N%c?(Iw)?$/.test(shape)) {
    return a > 0 && b > 0 && a <= 100 && b <= 100 ? mixOf(a / 100, b / 100) : null
  }
  // "60 % product, 40 % water": both shares are said, and have to make a whole.
  const shares = /^N%([wc]?)[:/XT]?N%([wc]?)$/.exec(shape)
  if (shares)
    return Math.abs(a + b - 100) > 1e-9
      ? null
      : mixOf((roleOf(shares[1] ?? '') === 'water' || roleOf(shares[2] ?? '') === 'product' ? b : a) / 100)
  if (shape === 'N-N') return Math.abs(a + b - 100) < 1e-9 ? mixOf(a / 100) : null
  const sides = /^N(p?[wc]?)([:/TIX]|)N(p?[wc]?)$/.exec(shape)
  if (sides) {
    const [, left = '', mark = '', right = ''] = sides
    const roles = [roleOf(left), roleOf(right)] as const
    if (mark === '' && !roles[0] && !roles[1]) return null
    return readSides(a, b, mark === '/' ? 'slash' : mark === 'I' ? 'in' : 'ratio', ...roles)
  }
  // "1:7-10": the concentrate is said once.
  if (/^N:N[-T]N$/.test(shape) && a === 1) {
    const c = numbers[2] ?? NaN
    return b >= 1 && c >= 1 ? mixOf(fractionFromRatio(b), fractionFromRatio(c)) : null
  }
  const pair = /^Q([wc]?)([TIAMX:/]|)(?:Iw)?Q([wc]?)$/.exec(shape)
  if (pair && volumes[0] && volumes[1]) {
    const [, left = '', mark = '', right = ''] = pair
    const roles: [Role, Role] = [roleOf(left), roleOf(right)]
    if (mark === '' && !roles[0] && !roles[1]) return null
    return readVolumes(volumes[0], volumes[1], relations[mark] ?? 'ratio', roles, context)
  }
  return readSpan(pieces, context)
}

/** "1:10 to 1:7", "5 ml per litre to 10 ml per litre": two whole strengths with a word between. */
function readSpan(pieces: readonly Piece[], context: DilutionContext): DilutionReading | null {
  for (let at = 1; at < pieces.length - 1; at += 1) {
    const kind = pieces[at]?.kind
    if (kind !== 'to' && kind !== 'dash') continue
    const [left, right] = [pieces.slice(0, at), pieces.slice(at + 1)]
    // A lone number is no strength, so "1 to 4" never gets here as a span.
    const [weak, strong] = [readPieces(left, context), readPieces(right, context)]
    if (isMix(weak) && isMix(strong)) {
      return mixOf(Math.min(weak.mix.from, strong.mix.from), Math.max(weak.mix.to, strong.mix.to))
    }
  }
  return null
}

/** "1:4 then 1:10": every stage thins the last one. */
function readStages(pieces: readonly Piece[], context: DilutionContext): DilutionReading | null {
  const split = pieces.findIndex((piece) => piece.kind === 'then')
  if (split < 0) return readPieces(pieces, context)
  const first = readPieces(pieces.slice(0, split), context)
  const rest = readStages(pieces.slice(split + 1), context)
  if (!isMix(first)) return first
  if (!isMix(rest)) return rest
  return mixOf(combineStages([first.mix.from, rest.mix.from]), combineStages([first.mix.to, rest.mix.to]))
}

/**
 * Reads a dilution the way people say it: 1:4, four to one, 20 %, 30 ml in a 20 litre bucket, half an ounce per gallon.
 * `in`, `per` and `to` add the dose to the volume; `made up to` counts the volume as the finished mix.
 *
 * @param text what was typed or said, at most 200 characters
 * @returns the mix, a question with its choices, something missing, or why it cannot be read
 */
export function readDilution(text: string, context: DilutionContext = {}): DilutionReading {
  if (text.trim() === '') return unreadable(text, message('measures.dilution.empty', { examples }))
  if (text.length > 200) return unreadable(text, message('measures.dilution.tooLong', { examples }))
  return grouped.test(text) ? readGrouped(text, context) : readPlain(text, context)
}

/**
 * 1.000 and 1,000 are a thousand to one reader and one to the next. 0.125 is clear, and so is 3.923: nobody mixes by such
 * thousands, and this program never writes a nought at the end of its decimals.
 */
const grouped = /(?<![\d.,])[1-9]\d{0,2}(?:\.\d\d0|,\d{3})(?![\d.,]*\d)/
const everyGrouped = new RegExp(grouped, 'g')

/** Reads a text with such a number in both ways, and asks where it makes a difference. */
function readGrouped(text: string, context: DilutionContext): DilutionReading {
  const thousands = readPlain(
    text.replace(everyGrouped, (number) => number.replace(/[.,]/, '')),
    context,
  )
  const decimals = readPlain(
    text.replace(everyGrouped, (number) => number.replace(',', '.')),
    context,
  )
  if (!isMix(thousands) || !isMix(decimals)) return isMix(decimals) ? decimals : thousands
  const [number = ''] = grouped.exec(text) ?? []
  const isSame = Math.abs(thousands.mix.to - decimals.mix.to) < 1e-9
  return isSame
    ? thousands
    : {
        kind: 'open',
        question: message('measures.dilution.thousands', {
          written: number,
          whole: number.replace(/[.,]/, ''),
        }),
        choices: [thousands, decimals].map(({ mix }) => ({ label: writeDilution(mix), mix })),
      }
}

function readPlain(text: string, context: DilutionContext): DilutionReading {
  const split = tokenize(text)
  if ('unknown' in split)
    return unreadable(
      text,
      message('measures.dilution.unknown', { word: split.unknown.slice(0, 30), examples }),
    )
  const pieces = collapseQuantities(split.tokens)
  const inLanceBottle = pieces.some((piece) => piece.kind === 'lance')
  const reading = readStages(
    pieces.filter((piece) => piece.kind !== 'lance'),
    context,
  )
  if (!reading) return unreadable(text, message('measures.dilution.unreadable', { examples }))
  if (reading.kind === 'mix') {
    if (!(reading.mix.from >= weakestFraction && reading.mix.to <= 1)) {
      return unreadable(text, message('measures.dilution.tooWeak'))
    }
    return { ...reading, inLanceBottle }
  }
  return reading
}
