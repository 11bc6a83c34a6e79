// A part of the service worker: what another application shares is kept until the page has opened and takes it in.
self.addEventListener('fetch', (event) => {
  const { method, url } = event.request
  if (method !== 'POST' || new URL(url).pathname !== '/share') return
  event.respondWith(keepShared(event.request))
})

async function keepShared(request) {
  const data = await request.formData()
  const given = data.get('file')
  const file = given instanceof File ? given : new File([data.get('text') ?? ''], 'shared.txt')
  const cache = await caches.open('ataque-shared')
  await cache.put('/shared', new Response(file, { headers: { 'x-name': encodeURIComponent(file.name) } }))
  return Response.redirect('/?shared=1#/charts', 303)
}
