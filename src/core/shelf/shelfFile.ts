/** What a shelf's file says that it is, apart from what is in it. */
export const SHELF_FILE = { name: 'shelf', format: 'ataque-shelf', version: 1, extension: '.shelf.json' } as const
