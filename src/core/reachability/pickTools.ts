import type { Tool, ToolKind } from '@/core/tools/tool'
import { showsEveryTouch } from '@/core/finishes/finish'
import type { Zone } from '@/core/wheel/zone'
import { candidates, isAllowed, type ToolSite } from './pickTool'

/** Putting one tool down, rinsing it and taking the next costs so much at every wheel, s. House estimate. */
const anotherToolSeconds = 12
/** Working a zone with the next best kind takes so much longer, s. House estimates. */
const nextBestSeconds: Partial<Record<Zone, number>> = {
  face: 6,
  barrel: 6,
  spokeBacks: 5,
  windows: 4,
  lip: 3,
}
const usualNextBestSeconds = 2
/** A brush for corners on a large surface, s. House estimate. */
const smallOnLargeSeconds = 20
/** What is thicker than the gap works the windows from the front alone, s. House estimate. */
const tooThickSeconds = 15
/** More than so many tools are not weighed against each other; those that serve fewer zones are left out. */
const maxWeighed = 12

/** A shop that works the face by brush does so where there is one, s: more than any other tool saves. */
const againstTheShopSeconds = 60

/** Washing a tool out in clean water before it goes to a face that shows every touch, s. House estimate. */
const washedOutSeconds = 40
/** What is worked in the dirt behind the face, and what one sees. */
const behind: readonly Zone[] = ['barrel', 'spokeBacks', 'caliper']
const inSight: readonly Zone[] = ['face', 'lip']

const largeZones: readonly Zone[] = ['barrel', 'spokeBacks', 'windows', 'face', 'lip']
const byBrush: readonly Zone[] = ['face', 'lip']
const cornerKinds: readonly ToolKind[] = ['detailBrush', 'lugBrush']

/** A tool that may work a zone, and how much longer it takes than the best. */
interface Serving {
  readonly tool: Tool
  readonly extraSeconds: number
}

function servingOf(zone: Zone, kit: readonly Tool[], site: ToolSite): Serving[] {
  const allowed = candidates(zone, kit, site).filter((tool) => isAllowed(tool, zone, site))
  const kinds = [...new Set(allowed.map(({ kind }) => kind))]
  const isByBrush = site.methods.face === 'brush' && kinds[0] === 'faceBrush' && byBrush.includes(zone)
  return allowed.map((tool) => ({
    tool,
    extraSeconds:
      kinds.indexOf(tool.kind) * (nextBestSeconds[zone] ?? usualNextBestSeconds) +
      (largeZones.includes(zone) && cornerKinds.includes(tool.kind) ? smallOnLargeSeconds : 0) +
      (isByBrush && tool.kind !== 'faceBrush' ? againstTheShopSeconds : 0) +
      (zone === 'windows' && tool.squeezedMillimetres > site.gapMillimetres ? tooThickSeconds : 0),
  }))
}

const serves = (tool: Tool, served: readonly Serving[]): boolean => served.some((one) => one.tool === tool)

/** The quickest of the tools in hand for a zone; of two alike the one that is named first. */
const quickest = (served: readonly Serving[], inHand: (tool: Tool) => boolean): Serving | undefined =>
  served
    .filter(({ tool }) => inHand(tool))
    .reduce<Serving | undefined>(
      (best, one) => (best === undefined || one.extraSeconds < best.extraSeconds ? one : best),
      undefined,
    )

/** Tools that go from the dirt behind to the face. */
export const carriesDirt = (picked: ReadonlyMap<Zone, Tool | null>): Tool[] => {
  const seen = new Set(inSight.map((zone) => picked.get(zone) ?? null))
  return [...new Set(behind.flatMap((zone) => picked.get(zone) ?? []))].filter((tool) => seen.has(tool))
}

/**
 * The tools for a wheel: few, because each is taken up and put down at every wheel, and each zone with one that serves it well.
 * Weighs every set of tools of the kit by its seconds. A face that shows every touch has its own tool where the kit has one.
 * @param siteOf where a zone is worked
 * @returns by zone; null where nothing in the kit serves it
 */
export function pickTools(
  zones: readonly Zone[],
  kit: readonly Tool[],
  siteOf: (zone: Zone) => ToolSite,
): Map<Zone, Tool | null> {
  const served = new Map(zones.map((zone) => [zone, servingOf(zone, kit, siteOf(zone))]))
  const keepsApart = inSight.some((zone) => {
    const surface = zones.includes(zone) ? siteOf(zone).surface : null
    return surface !== null && showsEveryTouch(surface.finish)
  })
  const reached = zones
    .filter((zone) => served.get(zone)?.length)
    // Where tools are kept apart, the face chooses first.
    .sort((a, b) => (keepsApart ? Number(behind.includes(a)) - Number(behind.includes(b)) : 0))
  const weighed = worthWeighing(kit, reached, served, keepsApart)
  let best: { seconds: number; picked: Map<Zone, Tool | null> } | null = null
  for (let set = 0; set < 1 << weighed.length; set += 1) {
    const inHand = weighed.filter((_, at) => set & (1 << at))
    if (best && inHand.length * anotherToolSeconds >= best.seconds) continue
    const found = handOut(inHand, reached, served, keepsApart, best?.seconds ?? Infinity)
    if (found.seconds < (best?.seconds ?? Infinity)) best = found
  }
  const none = new Map<Zone, Tool | null>(zones.map((zone) => [zone, null]))
  // Only where a zone is served by none of those that were weighed: each zone for itself.
  return best
    ? new Map([...none, ...best.picked])
    : new Map(zones.map((zone) => [zone, served.get(zone)?.[0]?.tool ?? null]))
}

type Served = ReadonlyMap<Zone, readonly Serving[]>

/** The tools whose sets are weighed against each other: those that serve most zones, none that another replaces everywhere. */
function worthWeighing(
  kit: readonly Tool[],
  reached: readonly Zone[],
  served: Served,
  keepsApart: boolean,
): Tool[] {
  const zonesOf = (tool: Tool): number =>
    reached.filter((zone) => serves(tool, served.get(zone) ?? [])).length
  const extra = (tool: Tool, zone: Zone): number =>
    served.get(zone)?.find((one) => one.tool === tool)?.extraSeconds ?? Infinity
  // Whatever it serves, another serves as well: of two alike the one that is named first stays.
  const isSpare = (tool: Tool, at: number): boolean =>
    !keepsApart &&
    kit.some(
      (other, place) =>
        other !== tool &&
        reached.every((zone) => extra(other, zone) <= extra(tool, zone)) &&
        (place < at || reached.some((zone) => extra(other, zone) < extra(tool, zone))),
    )
  return kit
    .filter((tool, at) => zonesOf(tool) > 0 && !isSpare(tool, at))
    .map((tool, at) => ({ tool, at, zones: zonesOf(tool) }))
    .sort((a, b) => b.zones - a.zones || a.at - b.at)
    .slice(0, maxWeighed)
    .map(({ tool }) => tool)
}

/** Gives each zone the quickest tool of a set, and what that takes; infinite where the set leaves a zone out or takes too long. */
function handOut(
  inHand: readonly Tool[],
  reached: readonly Zone[],
  served: Served,
  keepsApart: boolean,
  mostSeconds: number,
): { seconds: number; picked: Map<Zone, Tool | null> } {
  const picked = new Map<Zone, Tool | null>()
  let seconds = inHand.length * anotherToolSeconds
  for (const zone of reached) {
    const here = served.get(zone) ?? []
    const isClean = (tool: Tool): boolean =>
      !keepsApart || !behind.includes(zone) || inSight.every((seen) => picked.get(seen) !== tool)
    const one =
      quickest(here, (tool) => inHand.includes(tool) && isClean(tool)) ??
      quickest(here, (tool) => inHand.includes(tool))
    if (!one) return { seconds: Infinity, picked }
    seconds += one.extraSeconds + (isClean(one.tool) ? 0 : washedOutSeconds)
    if (seconds >= mostSeconds) return { seconds: Infinity, picked }
    picked.set(zone, one.tool)
  }
  return { seconds, picked }
}
