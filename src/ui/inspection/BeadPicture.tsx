import type { LookGrade } from '@/core/protection/record'

/** Drops on the patch: where, and how large; they grow flatter and run together as the protection goes. */
const drops: Record<LookGrade, readonly (readonly [number, number, number, number])[]> = {
  4: [
    [-18, -8, 4.2, 4.2], [-8, -10, 3, 3], [2, -7, 4.8, 4.8], [13, -9, 3.4, 3.4], [20, -2, 4, 4], [-21, 3, 3.2, 3.2],
    [-11, 1, 4.6, 4.6], [0, 4, 3.2, 3.2], [10, 2, 4.4, 4.4], [18, 9, 3.2, 3.2], [-16, 10, 3.8, 3.8], [-4, 11, 4, 4], [8, 11, 2.8, 2.8],
  ],
  3: [
    [-17, -7, 6, 5.2], [-3, -8, 4.6, 4], [12, -7, 6.4, 5.4], [21, 3, 4, 3.4], [-19, 7, 5, 4.4], [-6, 5, 6.4, 5.4], [8, 7, 5.4, 4.6],
    [19, 12, 3, 2.6],
  ],
  2: [[-14, -6, 9.5, 6.2], [9, -7, 10, 6], [-16, 8, 7, 4.6], [4, 7, 10.5, 6], [20, 8, 5, 3.4]],
  1: [[-9, -4, 15, 7.5], [13, 5, 12, 6.5], [-15, 10, 8, 3.6]],
  0: [[0, 1, 30, 18]],
} // prettier-ignore

/** Water on a patch of wheel, from standing in beads to lying flat. */
export function BeadPicture({ grade }: { readonly grade: LookGrade }) {
  return (
    <svg className={`bead-picture is-${grade}`} viewBox="-26 -16 52 32" aria-hidden>
      <rect x="-26" y="-16" width="52" height="32" rx="3" className="patch-metal" />
      {drops[grade].map(([x, y, width, height]) => (
        <g key={`${x} ${y}`}>
          <ellipse cx={x} cy={y} rx={width} ry={height} className="bead" />
          {grade > 0 && (
            <ellipse
              cx={x - width * 0.3}
              cy={y - height * 0.35}
              rx={width * 0.25}
              ry={height * 0.2}
              className="bead-shine"
            />
          )}
        </g>
      ))}
    </svg>
  )
}
