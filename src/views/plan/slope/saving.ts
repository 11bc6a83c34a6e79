import { sure, present } from '../../../core/sure'
import { fileName, OUTPUTS } from '../../../core/files/fileKinds'
import { download } from '../../parts/files/download'
import { measureText } from './measureText'
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

/** What a saved picture says above itself, and what its marks mean below. */
export interface Captions {
  head: string
  legend: readonly { color: string; text: string }[]
}

/** The face of the names in the picture, as attributes. */
const FONT = { 'font-family': "'Sofia Sans Condensed Variable', sans-serif", 'font-size': 15, 'font-weight': 650 }
/** Room above and below a saved picture for its captions, and a mark of the legend, in pixels. */
const [CAPTION, SWATCH] = [36, 28]

/** The picture as a separate SVG: text stays text, fonts are named, styles are written on each element. */
export function standalone(root: HTMLElement, { width, height }: Size): SVGSVGElement {
  const whole = empty({ width, height }, getComputedStyle(root).backgroundColor)
  for (const group of root.querySelectorAll('.moving, .heads')) {
    const copy = withLook(group)
    copy.removeAttribute('transform')
    whole.append(copy)
  }
  return whole
}

/** A picture that is one SVG already, as a separate file. */
export function copied(picture: SVGSVGElement, ground: string): SVGSVGElement {
  const whole = empty(picture.viewBox.baseVal, ground)
  whole.append(...[...picture.children].map(withLook))
  return whole
}

/** The picture with what it is above it, and below it what its marks mean. */
export function captioned(picture: SVGSVGElement, { head, legend }: Captions): SVGSVGElement {
  const { width, height } = picture.viewBox.baseVal
  const whole = empty(
    { width, height: height + 2 * CAPTION },
    picture.firstElementChild?.getAttribute('fill') ?? 'none',
  )
  const inside = document.createElementNS(SVG, 'g')
  inside.setAttribute('transform', `translate(0 ${CAPTION})`)
  inside.append(...picture.children)
  whole.append(inside, written(head, 12, 24))
  let x = 12
  for (const { color, text } of legend) {
    const y = height + CAPTION + 14
    whole.append(rect({ x, y, width: SWATCH, height: 8, fill: color }), written(text, x + SWATCH + 8, y + 9))
    x += SWATCH + 8 + measureText(text) + 24
  }
  return whole
}

interface Size {
  width: number
  height: number
}

function empty({ width, height }: Size, ground: string): SVGSVGElement {
  const whole = document.createElementNS(SVG, 'svg')
  whole.setAttribute('xmlns', SVG)
  whole.setAttribute('viewBox', `0 0 ${width} ${height}`)
  whole.setAttribute('width', String(width))
  whole.setAttribute('height', String(height))
  whole.append(rect({ width, height, fill: ground }))
  return whole
}

function rect(attributes: Record<string, string | number>): SVGRectElement {
  const made = document.createElementNS(SVG, 'rect')
  for (const [name, value] of Object.entries(attributes)) made.setAttribute(name, String(value))
  return made
}

function written(text: string, x: number, y: number): SVGTextElement {
  const made = document.createElementNS(SVG, 'text')
  made.textContent = text
  const look = { x, y, fill: getComputedStyle(document.body).color, ...FONT }
  for (const [name, value] of Object.entries(look)) made.setAttribute(name, String(value))
  return made
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

/** Saves a picture as a file. Resolves to the reason where that failed. */
export async function savePicture(copy: SVGSVGElement, title: string, kind: 'svg' | 'png'): Promise<string | null> {
  const name = fileName(OUTPUTS[kind], title.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, ''), 'slope')
  if (kind === 'svg') {
    download(new Blob([new XMLSerializer().serializeToString(copy)], { type: OUTPUTS.svg.type }), name)
    return null
  }
  try {
    copy.prepend(await fontFaces())
    download(await drawnAt(copy), name)
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

async function drawnAt(picture: SVGSVGElement): Promise<Blob> {
  const { width, height } = picture.viewBox.baseVal
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
