import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { makeApp } from './app.mjs'

// `npm start`: serves dist on PORT (4173 by default), on this machine only unless HOST says otherwise.
if (!existsSync(fileURLToPath(new URL('../dist/index.html', import.meta.url)))) {
  console.error('There is nothing built yet: run npm run build first.')
  process.exit(1)
}
const wanted = Number(process.env.PORT ?? 4173)
const host = process.env.HOST ?? 'localhost'

function listen(port, triesLeft) {
  const server = makeApp().listen(port, host, (error) => {
    if (error?.code === 'EADDRINUSE' && triesLeft > 0 && !process.env.PORT) return listen(port + 1, triesLeft - 1)
    if (error) {
      console.error(`Cannot listen on ${host}:${port}: ${error.message}`)
      process.exit(1)
    }
    console.log(`Ataque: http://${host}:${server.address().port}${process.env.ATAQUE_OPEN ?? '/'}`)
  })
}
listen(wanted, 10)
