import { sure, present } from '../../../core/sure'
import { fileName, OUTPUTS } from '../../../core/files/fileKinds'
import type { Scene } from '../../../core/slope/scene'
import { download } from '../../parts/files/download'
import { t } from '../../../words/slope'

/** The CSS properties that are written into an exported picture, so that it needs no style sheet. */
const LOOK = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'paint-order',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'dominant-baseline',
]
const NOT_DRAWN = '.reach, .handle, .drag, .column, .under'
const SCALE = 2
/** Most pixels along a side that every browser's canvas can take. */
const MAX_PIXELS = 8000

const SVG = 'http://www.w3.org/2000/svg'

/** The picture as a separate SVG: text stays text, fonts are named, styles are written on each element. */
export function standalone(root: HTMLElement, { width, height }: Scene): SVGSVGElement {
  const whole = document.createElementNS(SVG, 'svg')
  whole.setAttribute('xmlns', SVG)
  whole.setAttribute('viewBox', `0 0 ${width} ${height}`)
  whole.setAttribute('width', String(width))
  whole.setAttribute('height', String(height))
  const ground = document.createElementNS(SVG, 'rect')
  ground.setAttribute('width', String(width))
  ground.setAttribute('height', String(height))
  ground.setAttribute('fill', getComputedStyle(root).backgroundColor)
  whole.append(ground)
  for (const group of root.querySelectorAll('.moving, .heads')) {
    const copy = withLook(group)
    copy.removeAttribute('transform')
    whole.append(copy)
  }
  return whole
}

function withLook(original: Element): Element {
  const copy = document.importNode(original, true)
  const drawn = [original, ...original.querySelectorAll('*')]
  const copies = [copy, ...copy.querySelectorAll('*')]
  copies.forEach((element, i) => {
    const look = getComputedStyle(sure(drawn[i]))
    for (const name of LOOK) element.setAttribute(name, look.getPropertyValue(name))
    for (const { name } of [...element.attributes]) {
      if (name === 'class' || name === 'style' || name.startsWith('data-')) element.removeAttribute(name)
    }
  })
  drawn.forEach((element, i) => element.matches(NOT_DRAWN) && sure(copies[i]).remove())
  return copy
}

/** Saves the picture as a file. Resolves to the reason where that failed. */
export async function savePicture(
  root: HTMLElement,
  scene: Scene,
  title: string,
  kind: 'svg' | 'png',
): Promise<string | null> {
  const name = fileName(OUTPUTS[kind], title.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, ''), 'slope')
  const copy = standalone(root, scene)
  if (kind === 'svg') {
    download(new Blob([new XMLSerializer().serializeToString(copy)], { type: OUTPUTS.svg.type }), name)
    return null
  }
  try {
    copy.prepend(await fontFaces())
    download(await drawnAt(copy, scene), name)
    return null
  } catch {
    return t('slope.thePictureCouldNotBeDrawn')
  }
}

/** Puts the shipped fonts into the picture, since an image cannot load files. */
async function fontFaces(): Promise<SVGStyleElement> {
  const rules = [...document.styleSheets].flatMap((sheet) =>
    [...sheet.cssRules].filter((rule) => rule instanceof CSSFontFaceRule && rule.cssText.includes('Sofia')),
  )
  const faces = await Promise.all(
    rules.map(async (rule) => {
      const source = /url\("?([^")]+)"?\)/.exec(rule.cssText)?.[1] ?? ''
      const font = await (await fetch(new URL(source, rule.parentStyleSheet?.href ?? location.href))).blob()
      const data = await new Promise<string>((read) => {
        const reader = new FileReader()
        reader.onload = () => read(reader.result as string)
        reader.readAsDataURL(font)
      })
      return rule.cssText.replace(/url\("?[^")]+"?\)/, `url(${data})`)
    }),
  )
  const style = document.createElementNS(SVG, 'style')
  style.textContent = faces.join('\n')
  return style
}

async function drawnAt(picture: SVGSVGElement, { width, height }: Scene): Promise<Blob> {
  const scale = Math.min(SCALE, MAX_PIXELS / Math.max(width, height))
  const image = new Image()
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(new XMLSerializer().serializeToString(picture))}`
  await image.decode()
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(width * scale)
  canvas.height = Math.round(height * scale)
  present(canvas.getContext('2d')).drawImage(image, 0, 0, canvas.width, canvas.height)
  return new Promise((done, failed) => canvas.toBlob((blob) => (blob ? done(blob) : failed(new Error('no picture')))))
}
