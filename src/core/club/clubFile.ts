/** What a club's file says that it is. */
export const CLUB_FILE = { name: 'club', format: 'ataque-club', version: 1, extension: '.ataque-club.json' } as const
