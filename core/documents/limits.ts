/** What a document may be at most. Bytes count as on disk, pixels as width times height. */
export const documentLimits = {
  bytes: 10 * 1024 * 1024,
  pages: 20,
  /** What pages joined from pictures are brought below. */
  joinedBytes: 5_000_000,
  /** A picture of more than this is not opened: small files can unfold to any size. */
  pixels: 60_000_000,
} as const

/** What a video answer may be at most; a question may ask for a shorter one. */
export const videoLimits = { bytes: 60 * 1024 * 1024, seconds: 180 } as const
