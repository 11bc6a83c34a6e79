import { existsSync } from 'node:fs'
import { DIST, makeApp } from './app.mjs'

// `npm start`: serves DIST (dist by default) on PORT (4173 by default), on this machine only unless HOST says otherwise.
const { PORT, HOST: host = 'localhost', ATAQUE_OPEN: open = '/' } = process.env

function endWith(code, message) {
  console.error(message)
  process.exit(code)
}

if (PORT !== undefined && !(/^\d+$/.test(PORT) && Number(PORT) <= 65_535)) {
  endWith(2, `PORT should be a number from 0 to 65535, not "${PORT}".`)
}
if (!existsSync(`${DIST}/index.html`)) endWith(1, 'There is nothing built yet: run npm run build first.')

function listen(port, triesLeft) {
  const server = makeApp().listen(port, host, (error) => {
    if (error?.code === 'EADDRINUSE' && triesLeft > 0 && !PORT) return listen(port + 1, triesLeft - 1)
    if (error) return endWith(1, `Cannot listen on ${host}:${port}: ${error.message}`)
    console.log(`Ataque: http://${host}:${server.address().port}${open}`)
    endOnSignal(server)
  })
}

/** Ends with code 0 once the requests that are open are answered. */
function endOnSignal(server) {
  for (const signal of ['SIGTERM', 'SIGINT']) process.once(signal, () => server.close(() => process.exit(0)))
}

listen(Number(PORT ?? 4173), 10)
