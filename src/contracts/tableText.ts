/** What a spreadsheet would run, and what a text of ours that was kept from running begins with. */
const running = /^[=+\-@\t\r']/

/** A text for a cell of a table: a quote in front keeps a spreadsheet from running it, and is taken off when it is read. */
export const writeTableText = (text: string): string => (running.test(text) ? `'${text}` : text)

/** A cell as it was before it was written. */
export const readTableText = (cell: string): string =>
  cell.startsWith("'") && running.test(cell.slice(1)) ? cell.slice(1) : cell
