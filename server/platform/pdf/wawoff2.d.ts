/** WOFF2 to OpenType; the bytes given lie in memory that the next call uses again. */
declare module 'wawoff2/decompress.js' {
  export default function decompress(packed: Uint8Array): Promise<Uint8Array>
}
