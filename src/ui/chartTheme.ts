import { Chart } from 'chart.js'
import { useEffect, useState } from 'react'

/** A colour of the style sheet, for a canvas. */
export const colourOf = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim() || '#333'

// Words in a chart are set in the same type as those around it.
if (typeof document !== 'undefined') Chart.defaults.font.family = getComputedStyle(document.body).fontFamily

/** Paints anew when the theme changes: the colours live in the style sheet and want to be read again. */
export function useThemeRepaint(): void {
  const [, repaint] = useState(0)
  useEffect(() => {
    const watcher = new MutationObserver(() => repaint((count) => count + 1))
    watcher.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] })
    return () => watcher.disconnect()
  }, [])
}
