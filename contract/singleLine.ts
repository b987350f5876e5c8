/** Text of one line, without control characters, as a name is. */
export const singleLine = '^[^\\p{Cc}]*$'
