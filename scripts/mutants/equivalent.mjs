// Faults of the samples that change nothing a test could see, each with the reason.
export const EQUIVALENT = [
  ...['src/core/shelf/search.ts', 'src/core/shelf/decisions.ts'].map((file) => ({
    ...{ file, from: 'text.trim().toLowerCase()', to: 'text.trim().toUpperCase()' },
    reason: 'both sides of the comparison pass through it',
  })),
  {
    file: 'src/core/shelf/decisions.ts',
    from: 'variant.views.filter((one) => one !== view)',
    to: 'variant.views',
    reason: 'the moves of the chosen way are taken out of those set aside in the next line',
  },
  {
    file: 'src/core/shelf/publish.ts',
    from: "''",
    to: '"Stryker was here!"',
    reason: 'stands for no id, and neither is the id of anything',
  },
]
