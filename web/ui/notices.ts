import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** Something just done, told in passing; with a way back where there is one. */
export type Notice = {
  id: string
  text: string
  undo?: { findingId?: string; reviewId?: string; documentId?: string; mergeId?: string }
}

export const notices = createSlice({
  name: 'notices',
  initialState: [] as Notice[],
  reducers: {
    toast: (_list, { payload }: PayloadAction<Notice>) => [payload],
    gone: (list, { payload }: PayloadAction<string>) => list.filter(({ id }) => id !== payload),
  },
})
