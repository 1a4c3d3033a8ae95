export const acts = [
  'lookRound', 'coolCheck', 'getReady', 'preRinse', 'spray', 'reMist', 'agitate', 'scrub', 'wipe', 'rinse', 'lookAgain', 'dry',
  'testSpot', 'protect', 'dress', 'hub', 'roll', 'body', 'brakes', 'writeDown',
] as const // prettier-ignore
/** What hands do at one step. */
export type Act = (typeof acts)[number]
