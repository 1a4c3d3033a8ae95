import * as v from 'valibot'
import { oneOf } from '@/contracts/fields'
import { protectionFacts, protectionKinds, type ProtectionKind } from '@/core/protection/kinds'
import { positions, type Position } from '@/core/wheel/position'
import type { Queryable } from '../database'
import { readRows, readRow } from '../rows'

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

const layersRow = v.object({
  wheel_set_id: v.string(),
  vehicle_name: v.string(),
  wheel_set_name: v.string(),
  kind: oneOf(protectionKinds),
  product_name: v.string(),
  applied_at: v.date(),
  positions: v.array(oneOf(positions)),
})

/** Layers that have not ended, of all wheel sets or of one. */
export async function listLiveLayers(
  database: Queryable,
  wheelSetId: string | null = null,
): Promise<StoredLayers[]> {
  const rows = await readRows(
    database,
    layersRow,
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

/** One layer on one wheel. */
export interface NewLayer {
  readonly position: Position
  readonly kind: ProtectionKind
  readonly appliedAt: Date
  readonly productName: string
  /** Absent: one. */
  readonly coats?: number
  readonly appliedBy?: string
  /** Absent: by its kind. */
  readonly cureUntil?: Date | null
}

/** Puts a layer on. One that is entered later than it was put on does not end what came after it. */
export async function addLayer(
  database: Queryable,
  wheelSetId: string,
  layer: NewLayer,
  visitId: string | null,
): Promise<void> {
  const later = await readRow(
    database,
    v.object({ at: v.nullable(v.date()) }),
    `select min(applied_at) as at from protection_layer
     where wheel_set_id = $1 and position = $2 and applied_at > $4 and kind = any($3)`,
    [wheelSetId, layer.position, endingKinds(layer.kind), layer.appliedAt],
  )
  await database.query(
    `update protection_layer set ended_at = greatest($4, applied_at)
     where wheel_set_id = $1 and position = $2 and kind = any($3) and ended_at is null and applied_at <= $4`,
    [wheelSetId, layer.position, endedBy(layer.kind), layer.appliedAt],
  )
  await database.query(
    `insert into protection_layer (wheel_set_id, position, kind, product_name, applied_at, visit_id, coats, applied_by,
       cure_until, ended_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)`,
    [
      wheelSetId,
      layer.position,
      layer.kind,
      layer.productName,
      layer.appliedAt,
      visitId,
      layer.coats ?? 1,
      layer.appliedBy ?? '',
      layer.cureUntil ?? null,
      later?.at ?? null,
    ],
  )
}

/** Kinds that end a layer of some kind when they are put over it. */
const endingKinds = (kind: ProtectionKind): ProtectionKind[] =>
  protectionKinds.filter((other) => endedBy(other).includes(kind))

/** Whether some layer of a request is there already: what is sent twice is put on once. */
export async function hasLayer(
  database: Queryable,
  wheelSetId: string,
  layer: Pick<NewLayer, 'kind' | 'appliedAt' | 'productName' | 'position'>,
): Promise<boolean> {
  const rows = await database.query(
    `select 1 from protection_layer where wheel_set_id = $1 and position = $2 and kind = $3 and product_name = $4
       and applied_at = $5`,
    [wheelSetId, layer.position, layer.kind, layer.productName, layer.appliedAt],
  )
  return rows.length > 0
}

/** Ends everything that was on wheels which are new or repainted. */
export async function endAll(
  database: Queryable,
  wheelSetId: string,
  positions: readonly Position[],
  at: Date,
): Promise<void> {
  await database.query(
    `update protection_layer set ended_at = greatest($3, applied_at)
     where wheel_set_id = $1 and position = any($2) and ended_at is null and applied_at <= $3`,
    [wheelSetId, positions, at],
  )
}

export async function addWheelRenewal(
  database: Queryable,
  wheelSetId: string,
  kind: 'new' | 'repainted',
  positions: readonly Position[],
  at: Date,
): Promise<void> {
  await database.query(
    `insert into wheel_renewal (wheel_set_id, renewed_at, kind, positions) values ($1, $2, $3, $4)
     on conflict (wheel_set_id, renewed_at) do nothing`,
    [wheelSetId, at, kind, positions],
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
