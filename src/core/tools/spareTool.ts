import type { Tool } from './tool'

/** Another clean tool that does what this one does and gets where it gets; absent where the kit has none. */
export function spareOf(name: string, kit: readonly Tool[]): Tool | undefined {
  const used = kit.find((tool) => tool.name === name)
  return (
    used &&
    kit.find(
      (tool) =>
        tool.name !== name &&
        tool.state === 'clean' &&
        tool.kind === used.kind &&
        tool.stiffness === used.stiffness &&
        tool.dedicatedTo === used.dedicatedTo &&
        tool.squeezedMillimetres <= used.squeezedMillimetres &&
        tool.reachMillimetres >= used.reachMillimetres,
    )
  )
}
