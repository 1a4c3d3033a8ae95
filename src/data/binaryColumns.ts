import { types, type PGliteOptions } from '@electric-sql/pglite'

/**
 * How bytes go into and come out of the engine: as hex, written by Node. The engine's own way builds the text digit by digit and
 * keeps everybody waiting for a tenth of a second per picture.
 */
export const binaryColumns = {
  serializers: {
    [types.BYTEA]: (value: unknown) => {
      if (!(value instanceof Uint8Array)) throw new TypeError('Bytes are stored from a Uint8Array.')
      return `\\x${Buffer.from(value.buffer, value.byteOffset, value.byteLength).toString('hex')}`
    },
  },
  parsers: {
    [types.BYTEA]: (text: string) => new Uint8Array(Buffer.from(text.slice(2), 'hex')),
  },
} satisfies PGliteOptions
