import type { Express } from 'express'

export function makeApp(dist?: string): Express
