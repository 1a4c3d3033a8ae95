/** Months in which salt lies on the road, 1 to 12. House estimate: from the first frosts to the last. */
export const winterMonths = { northern: [11, 12, 1, 2, 3], southern: [5, 6, 7, 8, 9] } as const

/**
 * @param month 1 to 12
 * @param northern whether winter is around January
 */
export const isWinter = (month: number, northern: boolean): boolean =>
  (winterMonths[northern ? 'northern' : 'southern'] as readonly number[]).includes(month)
