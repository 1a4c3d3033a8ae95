import type { Product } from './product'

/** Words under which fluoride stands on labels; a polymer of the same name only costs one look at the data sheet. */
const words = /fluor|flu(?:ss|ß)-?s(?:ä|ae?)ure|\bHF\b/i

/** Whether name or note of a product speak of fluoride and nobody has looked it up in the safety data sheet. */
export const speaksOfFluoride = ({
  name,
  note = '',
  containsFluoride,
  fluorideChecked,
}: Pick<Product, 'name' | 'note' | 'containsFluoride' | 'fluorideChecked'>): boolean =>
  !containsFluoride && !fluorideChecked && words.test(`${name} ${note}`)
