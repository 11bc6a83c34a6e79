/** A share in tries of ten, with a decimal where it has one: 0.4 -> "4", 0.142 -> "1.4". */
export const ofTen = (share: number): string => String(Math.round(share * 100) / 10)
