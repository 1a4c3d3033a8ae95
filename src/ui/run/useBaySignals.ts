import { useEffect, useRef, useState } from 'react'
import type { ClockPhase } from '@/core/run/dwellClock'
import { isMoreSerious } from '@/core/run/urgentClock'

const pitchOf = { ready: 660, keepWet: 770, rinseNow: 880, dry: 990, over: 990 } as const

function beep(pitch: number): void {
  try {
    const context = new AudioContext()
    const tone = context.createOscillator()
    const volume = context.createGain()
    volume.gain.setValueAtTime(0.25, context.currentTime)
    volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + 0.5)
    tone.frequency.value = pitch
    tone.connect(volume).connect(context.destination)
    tone.start()
    tone.stop(context.currentTime + 0.5)
    tone.onended = () => void context.close()
  } catch {
    // A browser that does not let the page sound still shows and says it.
  }
}

/** Sound and vibration when a clock becomes more serious. */
export function usePhaseSignal(
  phases: readonly { readonly key: string; readonly phase: ClockPhase }[],
): void {
  const known = useRef(new Map<string, ClockPhase>())
  useEffect(() => {
    for (const { key, phase } of phases) {
      const before = known.current.get(key)
      if (before !== undefined && phase !== 'dwelling' && isMoreSerious(phase, before)) {
        beep(pitchOf[phase])
        navigator.vibrate?.(phase === 'ready' ? 200 : [300, 120, 300])
      }
    }
    known.current = new Map(phases.map(({ key, phase }) => [key, phase]))
  }, [phases])
}

/**
 * Keeps the screen awake while the page is in front; asked again after it was away.
 * @returns whether the browser cannot, or would not
 */
export function useAwakeScreen(): boolean {
  const [maySleep, setMaySleep] = useState(false)
  useEffect(() => {
    let lock: WakeLockSentinel | null = null
    const ask = async () => {
      try {
        if (document.visibilityState === 'visible')
          lock = (await navigator.wakeLock?.request('screen')) ?? null
        if (document.visibilityState === 'visible') setMaySleep(lock === null)
      } catch {
        setMaySleep(true)
        // Refused on low battery; the clocks are kept by the server either way.
      }
    }
    void ask()
    document.addEventListener('visibilitychange', ask)
    return () => {
      document.removeEventListener('visibilitychange', ask)
      void lock?.release()
    }
  }, [])
  return maySleep
}
