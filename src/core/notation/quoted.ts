import { SIGNS } from './fork'

const KEYWORD = /^(lands?|nothing|caught|over|ends in\b.*|of|finish|only in reply|(seen|when)\b.*|.*\swhen\s.*)$/i

/** The name, in quotes where the parser would read it as something else. */
export function bareOrQuoted(name: string): string {
  const clean = name.trim()
  const isPlain =
    ![...SIGNS].some((sign) => clean.includes(sign)) &&
    !/^\d/.test(clean) &&
    !/\s\d+([.,]\d+)?(\s*%|\s+of(\s+\d+([.,]\d+)?)?)?(\s+lands?)?$/.test(clean) &&
    !/\s{2}/.test(clean) &&
    !KEYWORD.test(clean)
  return isPlain ? clean : `"${clean}"`
}
