/** The database of a browser that keeps nothing: it throws at once. */
export const noDatabase = {
  open: () => {
    throw new Error('no')
  },
} as unknown as IDBFactory
