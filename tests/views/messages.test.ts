import { readdirSync, readFileSync } from 'node:fs'
import ts from 'typescript'
import de from '../../src/words/de.json' with { type: 'json' }
import english from '../../src/words/en.json' with { type: 'json' }
import add from '../../src/words/add.json' with { type: 'json' }
import charts from '../../src/words/charts.json' with { type: 'json' }
import files from '../../src/words/files.json' with { type: 'json' }
import finding from '../../src/words/finding.json' with { type: 'json' }
import holds from '../../src/words/holds.json' with { type: 'json' }
import learn from '../../src/words/learn.json' with { type: 'json' }
import inspector from '../../src/words/inspector.json' with { type: 'json' }
import keys from '../../src/words/keys.json' with { type: 'json' }
import match from '../../src/words/match.json' with { type: 'json' }
import rehearse from '../../src/words/rehearse.json' with { type: 'json' }
import rules from '../../src/words/rules.json' with { type: 'json' }
import runs from '../../src/words/runs.json' with { type: 'json' }
import score from '../../src/words/score.json' with { type: 'json' }
import scenario from '../../src/words/scenario.json' with { type: 'json' }
import settings from '../../src/words/settings.json' with { type: 'json' }
import shelf from '../../src/words/shelf.json' with { type: 'json' }
import slope from '../../src/words/slope.json' with { type: 'json' }
import train from '../../src/words/train.json' with { type: 'json' }
import worksheet from '../../src/words/worksheet.json' with { type: 'json' }
import { t } from '../../src/words'
import { t as addWords } from '../../src/words/add'
import { t as inspectorWords } from '../../src/words/inspector'

const en = {
  ...english,
  add,
  charts,
  files,
  finding,
  holds,
  inspector,
  keys,
  learn,
  match,
  rehearse,
  rules,
  runs,
  scenario,
  score,
  settings,
  shelf,
  slope,
  train,
  worksheet,
}
const ROOT = new URL('../../src/', import.meta.url)
const LAYERS = ['views', 'components', 'stores', 'app']
const sources = LAYERS.flatMap((layer) =>
  readdirSync(new URL(layer, ROOT), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.(ts|vue)$/.test(name))
    .map((name) => ({ name: `${layer}/${name}`, text: readFileSync(new URL(`${layer}/${name}`, ROOT), 'utf8') })),
)
const messages = new Map(
  Object.entries(en).flatMap(([area, words]) => Object.entries(words).map(([word, text]) => [`${area}.${word}`, text])),
)
const placesOf = (message: string) => [...message.matchAll(/\{(\w+)\}/g)].map(([, name]) => name)

/** The call that a text begins with, whatever follows it. */
function firstCall(node: ts.Node): ts.CallExpression | undefined {
  if (ts.isCallExpression(node) && ts.isIdentifier(node.expression)) return node
  return ts.forEachChild(node, firstCall)
}

/** What a call of `t` that begins at `start` gives to the places of its message. */
function givenAt(source: string, start: number, wanted: Set<string>): string[] {
  const call = firstCall(ts.createSourceFile('call.ts', source.slice(start), ts.ScriptTarget.Latest, true))
  const [, given, many] = call?.arguments ?? []
  if (!given) return []
  if (!ts.isObjectLiteralExpression(given)) return ['n']
  const names = given.properties.map(({ name }) => name?.getText() ?? '')
  return many && wanted.has('n') ? [...names, 'n'] : names
}

describe('the words of the interface', () => {
  it('are all said somewhere', () => {
    const all = sources.map(({ text }) => text).join('\n')
    const unsaid = [...messages.keys()].filter((key) => !new RegExp(`['"]${key}['"]`).test(all))
    expect(unsaid).toEqual([])
  })

  it('get what stands in their braces, no more and no less', () => {
    const wrong = sources.flatMap(({ name, text }) =>
      [...text.matchAll(/\bt\('([\w.]+)'/g)].flatMap((found) => {
        const wanted = new Set(placesOf(messages.get(found[1]) ?? ''))
        const given = givenAt(text, found.index, wanted)
        const isFilled = given.length === wanted.size && given.every((one) => wanted.has(one))
        return isFilled ? [] : [`${name}: ${found[1]} is given ${given.join(', ')}, wants ${[...wanted].join(', ')}`]
      }),
    )
    expect(wrong).toEqual([])
    expect(sources.length).toBeGreaterThan(150)
  })

  it('are in the other language those of English, with the same places, and all of the frame and the settings', () => {
    const others = Object.entries<Record<string, string>>(de).flatMap(([area, words]) =>
      Object.entries(words).map(([word, text]) => [`${area}.${word}`, text] as const),
    )
    for (const [key, text] of others) {
      expect([key, messages.has(key)]).toEqual([key, true])
      expect([key, placesOf(text).sort()]).toEqual([key, placesOf(messages.get(key) ?? '').sort()])
    }
    expect(Object.keys(de.frame).sort()).toEqual(Object.keys(en.frame).sort())
    expect(Object.keys(de.keys).sort()).toEqual(Object.keys(en.keys).sort())
    expect(Object.keys(de.scenario).sort()).toEqual(Object.keys(en.scenario).sort())
    expect(Object.keys(de.settings).sort()).toEqual(Object.keys(en.settings).sort())
  })

  it('are found where a template takes a sentence apart', () => {
    const keypaths = sources.flatMap(({ text }) =>
      [...text.matchAll(/:?keypath="([^"]+)"/g)].flatMap(([, path]) =>
        path.includes("'") ? [...path.matchAll(/'(\w+\.\w+)'/g)].map(([, key]) => key) : [path],
      ),
    )
    expect(keypaths.length).toBeGreaterThan(10)
    expect(keypaths.filter((key) => !messages.has(key))).toEqual([])
  })

  it('tell one from many, and leave signs of the notation as they are', () => {
    expect([t('count.move', 1), t('count.move', 3), t('count.move', 0)]).toEqual(['1 move', '3 moves', '0 moves'])
    expect(inspectorWords('inspector.landHere', { names: 'Armbar' }, 1)).toBe('Armbar lands here.')
    expect(inspectorWords('inspector.landHere', { names: 'Armbar, Kimura' }, 2)).toBe('Armbar, Kimura land here.')
    expect(addWords('add.theMoveAndWhereItLeads')).toContain('(where it ends) > our answer')
  })
})
