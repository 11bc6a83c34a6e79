/** 0.387 -> "39". */
export declare function hundred(value: number): string
/** 0.0314 -> "+3", -0.09 -> "−9", 0.001 -> "0". */
export declare function signed(value: number): string
/**
 * What a change brings per hundred exchanges, small ones with a decimal: 0.031 -> "+3", -0.004 -> "−0.4", 0 -> "no
 * change".
 */
export declare function changeText(value: number): string
/** 0.38709 -> "38.71". */
export declare function finer(value: number): string
/** A share of exchanges, with a decimal only where it is small: 0.286 -> "29", 0.0123 -> "1.2". */
export declare function share(value: number): string
/** What a loose end or a leak costs per hundred exchanges: one decimal, and never "0.0" for something. */
export declare function costText(value: number): string
/** 240 -> "4:00"; null -> "none". */
export declare function clockText(seconds: number | null): string
/** "4:00", "240" or "none" (also "never") to seconds or null; undefined where it is none of them. */
export declare function readClock(text: string): number | null | undefined
/** When something was saved. */
export declare function savedText(at: number, now: number): string
/** "1 move", "3 moves". */
export declare function counted(n: number, one: string, many?: string): string
