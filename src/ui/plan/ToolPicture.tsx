import { exhaustive } from '@/core/exhaustive'
import type { ToolKind } from '@/core/tools/tool'

/** Outlines in a field of 32 by 32, handle at the lower left. */
function Outline({ kind }: { readonly kind: ToolKind }) {
  switch (kind) {
    case 'barrelBrush':
      return (
        <>
          <path d="M3 29 13 19" />
          <path className="tool-head" d="M12 13 19 20 29 10 q1 -7 -7 -7 z" />
          <path d="M15 10 22 17 M18 7 25 14" />
        </>
      )
    case 'barrelWand':
    case 'longBrush':
      return (
        <>
          <path d="M3 29 14 18" />
          <path className="tool-head" d="M13 16 16 19 28 7 q1 -4 -3 -3 z" />
        </>
      )
    case 'flatBrush':
      return (
        <>
          <path d="M3 29 12 20" />
          <path className="tool-head" d="M11 18 14 21 29 6 26 3 z" />
          <path d="M17 12 20 15 M21 8 24 11" />
        </>
      )
    case 'faceBrush':
    case 'tyreBrush':
    case 'archBrush':
    case 'linerBrush':
      return (
        <>
          <path d="M3 13 h12" />
          <path className="tool-head" d="M13 9 h16 v6 h-16 z" />
          <path
            d={
              kind === 'archBrush' || kind === 'linerBrush'
                ? 'M15 15 v11 M19 15 v11 M23 15 v11 M27 15 v11'
                : 'M15 15 v7 M19 15 v7 M23 15 v7 M27 15 v7'
            }
          />
        </>
      )
    case 'detailBrush':
    case 'lugBrush':
      return (
        <>
          <path d="M4 28 17 15" />
          <path className="tool-head" d="M16 12 20 16 26 13 q3 -5 3 -10 q-5 0 -10 3 z" />
        </>
      )
    case 'mitt':
      return (
        <path
          className="tool-head"
          d="M8 28 v-14 q0 -10 8 -10 q8 0 8 8 l3 -1 q3 1 1 5 l-4 6 v6 z M8 24 h16"
        />
      )
    case 'sponge':
    case 'clay':
    case 'applicator':
      return (
        <path
          className="tool-head"
          d="M5 12 q0 -4 4 -4 h14 q4 0 4 4 v8 q0 4 -4 4 h-14 q-4 0 -4 -4 z M9 24 v3 h14 v-3"
        />
      )
    case 'towel':
      return <path className="tool-head" d="M6 6 h20 v18 q-5 4 -10 0 q-5 -4 -10 0 z M6 11 h20" />
    case 'blower':
      return (
        <>
          <path className="tool-head" d="M5 12 q0 -6 7 -6 q7 0 7 6 q0 6 -7 6 q-7 0 -7 -6 z" />
          <path d="M19 9 28 7 v10 l-9 -2 M10 18 v9 h5 v-9" />
        </>
      )
    default:
      return exhaustive(kind)
  }
}

/** Draws a tool by its kind; the caller writes its name. */
export const ToolPicture = ({ kind }: { readonly kind: ToolKind }) => (
  <svg className="tool-picture" viewBox="0 0 32 32" aria-hidden>
    <Outline kind={kind} />
  </svg>
)
