/** Headers that the server and the gate set for what lies behind them; a client's own never come through. */
export const callerHeaders = {
  door: 'x-even-spoke-door',
  peer: 'x-even-spoke-peer',
  role: 'x-even-spoke-role',
  device: 'x-even-spoke-device',
  /** Up to which change the answer is sure to know everything. */
  livePlace: 'x-even-spoke-live-place',
} as const

/** `__Host-`: the browser itself holds that it came over TLS, for this host alone. */
export const deviceCookie = '__Host-even-spoke-device'
/** The desk itself is reached without TLS. */
export const deskCookie = 'even-spoke-desk'
