/** Levels of the Common European Framework of Reference for Languages, from the first steps to mastery. */
export const cefrLevels = ['A1', 'A2', 'B1', 'B2', 'C1', 'C2'] as const
export type CefrLevel = (typeof cefrLevels)[number]
