import type { Product } from './product'

/** Words under which chlorine bleach stands on labels. */
const words = /bleach|hypochlor|chlorine|\bchlor\b|chlorreiniger|javel/i

/** Where a note warns of it or says that there is none, the product itself has none. */
const warnings = [
  /\b(?:no|not|never|without|free (?:of|from)|do not|don['’]t|avoid|away from|instead of)\b[^.;:!]*/gi,
  /\b(?:bleach|chlorine|hypochlorite)[- ]free\b/gi,
]

/** Whether name or note of a product speak of chlorine bleach in it: with acid that sets free a poisonous gas. */
export const speaksOfChlorine = ({ name, note = '' }: Pick<Product, 'name' | 'note'>): boolean =>
  words.test(warnings.reduce((text, warning) => text.replaceAll(warning, ' '), `${name}. ${note}`))
