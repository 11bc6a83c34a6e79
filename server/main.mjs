import { existsSync, readFileSync } from 'node:fs'
import { createServer as createPlain } from 'node:http'
import { createServer as createSafe } from 'node:https'
import { DIST, makeApp } from './app.mjs'

// `npm start`: serves DIST (dist by default) on PORT (4173 by default), on this machine only unless HOST says otherwise;
// by https where CERT and KEY name the files of a certificate.
const { PORT, HOST: host = 'localhost', ATAQUE_OPEN: open = '/', CERT, KEY } = process.env

function endWith(code, message) {
  console.error(message)
  process.exit(code)
}

if (PORT !== undefined && !(/^\d+$/.test(PORT) && Number(PORT) <= 65_535)) {
  endWith(2, `PORT should be a number from 0 to 65535, not "${PORT}".`)
}
if (!existsSync(`${DIST}/index.html`)) endWith(1, 'There is nothing built yet: run npm run build first.')

if (Boolean(CERT) !== Boolean(KEY)) endWith(2, 'CERT and KEY go together: the files of a certificate and of its key.')

/** A server of the application; by https where there is a certificate. */
function makeServer() {
  if (!CERT) return createPlain(makeApp())
  try {
    return createSafe({ cert: readFileSync(CERT), key: readFileSync(KEY) }, makeApp())
  } catch (error) {
    return endWith(2, `The certificate cannot be used: ${error.message}`)
  }
}

function listen(port, triesLeft) {
  const server = makeServer()
  server.once('error', (error) => {
    if (error.code === 'EADDRINUSE' && triesLeft > 0 && !PORT) listen(port + 1, triesLeft - 1)
    else endWith(1, `Cannot listen on ${host}:${port}: ${error.message}`)
  })
  server.listen(port, host, () => {
    console.log(`Ataque: ${CERT ? 'https' : 'http'}://${host}:${server.address().port}${open}`)
    endOnSignal(server)
  })
}

/** Ends with code 0 once the requests that are open are answered. */
function endOnSignal(server) {
  for (const signal of ['SIGTERM', 'SIGINT']) process.once(signal, () => server.close(() => process.exit(0)))
}

listen(Number(PORT ?? 4173), 10)
