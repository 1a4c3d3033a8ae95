import type { PictureFile } from '@/contracts/backup'
import type { DumpReader } from './dump'
import type { RestoreSource } from './restore'

/** Everything that is stored, held at once; for small data, in tests. */
export interface DumpInMemory {
  readonly dataVersion: number
  readonly tables: readonly { readonly name: string; readonly rows: readonly unknown[] }[]
  readonly pictures: readonly PictureFile[]
}

export async function dumpInMemory(reader: DumpReader): Promise<DumpInMemory> {
  const tables: { name: string; rows: unknown[] }[] = []
  for (const name of reader.tables) {
    const rows: unknown[] = []
    for await (const lines of reader.rowsOf(name))
      rows.push(...lines.map((line) => JSON.parse(line) as unknown))
    tables.push({ name, rows })
  }
  const pictures: PictureFile[] = []
  for (const of of reader.pictures) pictures.push({ ...of, jpeg: await reader.picture(of) })
  return { dataVersion: reader.dataVersion, tables, pictures }
}

export const sourceInMemory = ({ dataVersion, tables, pictures }: DumpInMemory): RestoreSource => ({
  dataVersion,
  rowsOf: (table) => Promise.resolve(tables.find(({ name }) => name === table)?.rows ?? null),
  pictures: async function* () {
    for (const picture of pictures) yield await Promise.resolve(picture)
  },
})
