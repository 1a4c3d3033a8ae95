import type { Foam } from '@/core/run/answer'

/** Where bubbles sit on the rubber, and how large they are. */
const bubbles = [
  [-17, 3, 7], [-8, -4, 8.5], [3, 2, 8], [13, -3, 7.5], [19, 5, 5.5], [-13, 9, 5], [-2, 9, 6], [9, 9, 6], [-20, -4, 4], [20, -6, 3.5],
] as const // prettier-ignore

/** Foam on a tyre's sidewall, in the colour it has. */
export function FoamPicture({ foam }: { readonly foam: Foam }) {
  return (
    <svg className={`foam-picture is-${foam}`} viewBox="-26 -16 52 32" aria-hidden>
      <rect x="-26" y="-16" width="52" height="32" rx="3" className="patch-rubber" />
      {bubbles.map(([x, y, r]) => (
        <g key={`${x} ${y}`}>
          <circle cx={x} cy={y} r={r} className="foam-bubble" />
          <circle cx={x - r * 0.3} cy={y - r * 0.35} r={r * 0.28} className="foam-shine" />
        </g>
      ))}
    </svg>
  )
}
