import { protectionFacts, protectionKinds, type ProtectionKind } from '@/core/protection/kinds'
import type { Layer } from '@/core/protection/due'
import type { Position } from '@/core/wheel/position'
import type { Queryable } from '../database'

/** What was put on some wheels of a set in one go. */
export interface StoredLayers {
  readonly wheelSetId: string
  readonly vehicleName: string
  readonly wheelSetName: string
  readonly kind: ProtectionKind
  readonly productName: string
  readonly appliedAt: Date
  /** At least one. */
  readonly positions: readonly Position[]
}

interface LayersRow {
  wheel_set_id: string
  vehicle_name: string
  wheel_set_name: string
  kind: ProtectionKind
  product_name: string
  applied_at: Date
  positions: Position[]
}

/** Layers that have not ended, of all wheel sets or of one. */
export async function listLiveLayers(
  database: Queryable,
  wheelSetId: string | null = null,
): Promise<StoredLayers[]> {
  const rows = await database.query<LayersRow>(
    `select l.*, v.name as vehicle_name, s.name as wheel_set_name
     from (select wheel_set_id, kind, product_name, applied_at, array_agg(position order by position) as positions
           from protection_layer where ended_at is null and ($1::uuid is null or wheel_set_id = $1)
           group by wheel_set_id, kind, product_name, applied_at) l
     join wheel_set s on s.id = l.wheel_set_id join vehicle v on v.id = s.vehicle_id`,
    [wheelSetId],
  )
  return rows.map((row) => ({
    wheelSetId: row.wheel_set_id,
    vehicleName: row.vehicle_name,
    wheelSetName: row.wheel_set_name,
    kind: row.kind,
    productName: row.product_name,
    appliedAt: row.applied_at,
    positions: row.positions,
  }))
}

/** A new layer on the same surface ends the old one, except that a topper leaves the coating under it alone. */
function endedBy(kind: ProtectionKind): ProtectionKind[] {
  const surface = protectionFacts[kind].on
  return protectionKinds.filter(
    (other) =>
      protectionFacts[other].on === surface && (other !== 'ceramicCoating' || kind === 'ceramicCoating'),
  )
}

export async function addLayer(
  database: Queryable,
  wheelSetId: string,
  layer: Layer & { readonly productName: string },
  visitId: string | null,
): Promise<void> {
  await database.query(
    `update protection_layer set ended_at = greatest($4, applied_at)
     where wheel_set_id = $1 and position = $2 and kind = any($3) and ended_at is null`,
    [wheelSetId, layer.position, endedBy(layer.kind), layer.appliedAt],
  )
  await database.query(
    `insert into protection_layer (wheel_set_id, position, kind, product_name, applied_at, visit_id)
     values ($1, $2, $3, $4, $5, $6)`,
    [wheelSetId, layer.position, layer.kind, layer.productName, layer.appliedAt, visitId],
  )
}

/** Ends what stripping chemistry took off the wheel; coatings survive. */
export async function endStripped(
  database: Queryable,
  wheelSetId: string,
  positions: readonly Position[],
  at: Date,
): Promise<void> {
  const kinds = protectionKinds.filter(
    (kind) => protectionFacts[kind].on === 'wheel' && kind !== 'ceramicCoating',
  )
  await database.query(
    `update protection_layer set ended_at = greatest($4, applied_at)
     where wheel_set_id = $1 and position = any($2) and kind = any($3) and ended_at is null`,
    [wheelSetId, positions, kinds, at],
  )
}
