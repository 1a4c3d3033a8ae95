/** A new UUID. The browser's own maker needs a secure page, which a phone in the bay may not have; random bytes do not. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  // Version 4, variant 1 (RFC 9562, section 5.4).
  bytes[6] = ((bytes[6] ?? 0) & 0x0f) | 0x40
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80
  const digits = Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('')
  return digits.replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5')
}
