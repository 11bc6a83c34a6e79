export const SHELL: string
export function chromiumPath(): string
