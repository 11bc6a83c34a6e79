// Faults of the samples that change nothing a test could see, each with the reason.
export const EQUIVALENT = [
  {
    file: 'src/workers/jobs.ts',
    from: 'bench.solved && !touchesPlan(changedSince(bench.solved.chart, chart.value))',
    to: 'false',
    reason: 'only saves the time of compiling the same game once more',
  },
]
