/** 4 min, 1 h 12 min; under a minute in seconds. */
export function formatDuration(seconds: number): string {
  if (Math.round(seconds) < 60) return `${Math.round(seconds)} s`
  const minutes = Math.round(seconds / 60)
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`
}

/** A dwell: 45 s, 90 s, 2.5 min; from ten minutes on whole ones. */
export function formatDwell(seconds: number): string {
  if (seconds <= 90) return `${Math.round(seconds)} s`
  return seconds < 600 ? `${Math.round(seconds / 30) / 2} min` : formatDuration(seconds)
}

/** A running clock: 2:05, and a minus once it is over. */
export function formatClock(seconds: number): string {
  const whole = Math.abs(Math.trunc(seconds))
  return `${seconds < 0 ? '−' : ''}${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}
