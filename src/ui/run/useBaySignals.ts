import { useEffect, useRef } from 'react'
import type { ClockReading } from '@/core/run/runState'

const pitchOf = { ready: 660, rinseNow: 880, over: 990 } as const

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

/** Sound and vibration when a clock changes its phase. */
export function usePhaseSignal(
  phases: readonly { readonly key: string; readonly phase: ClockReading['phase'] }[],
): void {
  const known = useRef(new Map<string, ClockReading['phase']>())
  useEffect(() => {
    for (const { key, phase } of phases) {
      const before = known.current.get(key)
      if (before !== undefined && before !== phase && phase !== 'dwelling') {
        beep(pitchOf[phase])
        navigator.vibrate?.(phase === 'ready' ? 200 : [300, 120, 300])
      }
    }
    known.current = new Map(phases.map(({ key, phase }) => [key, phase]))
  }, [phases])
}

/** Keeps the screen awake while the page is in front; asked again after it was away. */
export function useAwakeScreen(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | null = null
    const ask = async () => {
      try {
        if (document.visibilityState === 'visible')
          lock = (await navigator.wakeLock?.request('screen')) ?? null
      } catch {
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
}
