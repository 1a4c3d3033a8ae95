/** What a step can ask the person: the foam of a tyre round, whether iron still bleeds, what stayed, what a test spot showed. */
export const questions = ['foam', 'iron', 'look', 'testSpot'] as const
export type Question = (typeof questions)[number]
