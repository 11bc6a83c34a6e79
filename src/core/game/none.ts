/** In place of an index: there is none. */
export const NONE = -1
