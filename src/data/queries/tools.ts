import * as v from 'valibot'
import { oneOf } from '@/contracts/fields'
import { stiffnesses, toolDuties, toolKinds, toolStates, usualDuty, type Tool } from '@/core/tools/tool'
import type { Database, Queryable } from '../database'
import { readRow, readRows } from '../rows'

const toolRow = v.object({
  id: v.string(),
  name: v.string(),
  kind: oneOf(toolKinds),
  stiffness: oneOf(stiffnesses),
  diameter_millimetres: v.number(),
  squeezed_millimetres: v.number(),
  reach_millimetres: v.number(),
  state: oneOf(toolStates),
  dedicated_to: v.nullable(oneOf(toolDuties)),
})
type ToolRow = v.InferOutput<typeof toolRow>

const toolOfRow = (row: ToolRow): Tool => ({
  id: row.id,
  name: row.name,
  kind: row.kind,
  stiffness: row.stiffness,
  diameterMillimetres: row.diameter_millimetres,
  squeezedMillimetres: row.squeezed_millimetres,
  reachMillimetres: row.reach_millimetres,
  state: row.state,
  dedicatedTo: row.dedicated_to ?? usualDuty(row.kind),
})

export async function listTools(database: Queryable): Promise<Tool[]> {
  const rows = await readRows(database, toolRow, 'select * from tool order by lower(name), id')
  return rows.map(toolOfRow)
}

/** The versions of all tools, by their id. */
export async function toolVersions(database: Queryable): Promise<Map<string, number>> {
  const rows = await readRows(
    database,
    v.object({ id: v.string(), version: v.number() }),
    'select id, version from tool',
  )
  return new Map(rows.map(({ id, version }) => [id, version]))
}

/** A tool with the version a form is made from. */
export async function findTool(
  database: Queryable,
  id: string,
): Promise<{ readonly tool: Tool; readonly version: number } | null> {
  const row = await readRow(
    database,
    v.object({ ...toolRow.entries, version: v.number() }),
    'select * from tool where id = $1',
    [id],
  )
  return row ? { tool: toolOfRow(row), version: row.version } : null
}

/** Saves an edit over the version it was made from. */
export async function updateTool(
  database: Database,
  fromVersion: number,
  tool: Tool,
): Promise<'saved' | 'gone' | 'changedMeanwhile'> {
  return database.transaction(async (transaction) => {
    const known = await findTool(transaction, tool.id)
    if (!known) return 'gone'
    if (known.version !== fromVersion) return 'changedMeanwhile'
    await putTool(transaction, tool)
    return 'saved'
  })
}

/** Adds a tool, or puts it in the place of the one with the same id. */
export async function putTool(database: Queryable, tool: Tool): Promise<void> {
  await database.query(
    `insert into tool (id, name, kind, stiffness, diameter_millimetres, squeezed_millimetres, reach_millimetres, state, dedicated_to)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
     on conflict (id) do update set name = excluded.name, kind = excluded.kind, stiffness = excluded.stiffness,
       diameter_millimetres = excluded.diameter_millimetres, squeezed_millimetres = excluded.squeezed_millimetres,
       reach_millimetres = excluded.reach_millimetres, state = excluded.state, dedicated_to = excluded.dedicated_to, version = tool.version + 1`,
    [
      tool.id,
      tool.name,
      tool.kind,
      tool.stiffness,
      tool.diameterMillimetres,
      tool.squeezedMillimetres,
      tool.reachMillimetres,
      tool.state,
      tool.dedicatedTo,
    ],
  )
}

export async function setToolState(database: Queryable, id: string, state: Tool['state']): Promise<void> {
  await database.query('update tool set state = $2, version = version + 1 where id = $1', [id, state])
}

export async function removeTool(database: Queryable, id: string): Promise<void> {
  await database.query('delete from tool where id = $1', [id])
}
