import { usualDuty, type Tool } from './tool'

const tool = (
  id: string,
  kind: Tool['kind'],
  stiffness: Tool['stiffness'],
  sizes: [number, number, number],
): Tool => ({
  id,
  name: id.replaceAll('-', ' '),
  kind,
  stiffness,
  diameterMillimetres: sizes[0],
  squeezedMillimetres: sizes[1],
  reachMillimetres: sizes[2],
  state: 'clean',
  dedicatedTo: usualDuty(kind),
})

/** A usual kit; a job file without tools is planned with it. Sizes in mm: head, squeezed, reach. */
export const starterTools: readonly Tool[] = [
  tool('large-barrel-brush', 'barrelBrush', 'soft', [70, 45, 320]),
  tool('medium-barrel-brush', 'barrelBrush', 'soft', [50, 30, 320]),
  tool('thin-angled-wand', 'barrelWand', 'soft', [30, 18, 300]),
  tool('flat-flexible-brush', 'flatBrush', 'soft', [20, 12, 350]),
  tool('soft-face-brush', 'faceBrush', 'soft', [60, 40, 120]),
  tool('detail-brush', 'detailBrush', 'soft', [30, 20, 90]),
  tool('lug-brush', 'lugBrush', 'medium', [32, 24, 120]),
  tool('wheel-mitt', 'mitt', 'soft', [60, 25, 150]),
  tool('tyre-brush', 'tyreBrush', 'stiff', [80, 70, 100]),
  tool('arch-brush', 'archBrush', 'stiff', [90, 70, 500]),
  tool('soft-liner-brush', 'linerBrush', 'soft', [90, 70, 500]),
  tool('dressing-applicator', 'applicator', 'soft', [80, 40, 60]),
  { ...tool('finishing-pad', 'applicator', 'soft', [60, 25, 60]), dedicatedTo: 'wheel' },
  tool('wheel-towel', 'towel', 'soft', [10, 5, 100]),
  tool('blower', 'blower', 'soft', [40, 40, 200]),
]
