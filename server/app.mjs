import { STATUS_CODES } from 'node:http'
import { fileURLToPath } from 'node:url'
import compression from 'compression'
import express from 'express'
import helmet from 'helmet'

/** The folder of the built application. */
export const DIST = process.env.DIST ?? fileURLToPath(new URL('../dist', import.meta.url))

/**
 * Nothing comes from elsewhere and nothing goes there; styles and scripts are files of ours, and so are the equations.
 */
const directives = {
  defaultSrc: ["'none'"],
  scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
  styleSrc: ["'self'"],
  fontSrc: ["'self'"],
  imgSrc: ["'self'", 'data:'],
  connectSrc: ["'self'"],
  workerSrc: ["'self'"],
  manifestSrc: ["'self'"],
  baseUri: ["'none'"],
  formAction: ["'none'"],
  frameAncestors: ["'none'"],
}

/** Serves the built application. Nothing of a chart passes through here. */
export function makeApp(dist = DIST) {
  const app = express()
  app.disable('x-powered-by')
  app.use(helmet({ contentSecurityPolicy: { useDefaults: false, directives }, strictTransportSecurity: false }))
  app.use(compression())
  app.use('/assets', express.static(`${dist}/assets`, { immutable: true, maxAge: '1y', fallthrough: false }))
  app.use(express.static(dist, { maxAge: 0 }))
  app.get('/{*path}', (_, response) => response.sendFile('index.html', { root: dist }))
  app.use((_, response) => answer(response, 404))
  app.use((error, request, response, next) => {
    if (response.headersSent) return next(error)
    const status = error.status ?? 500
    if (status >= 500) console.error(`${request.method} ${request.path}: ${error.message}`)
    answer(response, status)
  })
  return app
}

/** In the same words whatever NODE_ENV is: no answer tells a stack or a path. */
function answer(response, status) {
  response.status(status).type('text').send(`${STATUS_CODES[status]}\n`)
}
