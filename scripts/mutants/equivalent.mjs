// Faults of the samples that change nothing a test could see, each with the reason.
export const EQUIVALENT = []
