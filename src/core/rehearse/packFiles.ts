/** What the files say that they are: homework that goes out, and the answers that come back. */
export const PACK_FILE = { name: 'pack', format: 'ataque-pack', version: 1, extension: '.ataque-pack.json' } as const
export const ANSWERS_FILE = {
  ...{ name: 'answers', format: 'ataque-answers', version: 1, extension: '.ataque-answers.json' },
} as const
