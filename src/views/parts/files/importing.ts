import { CHART_KIND } from '../../../core/chart/chartKind'
import { fileName } from '../../../core/files/fileKinds'
import { downloadJson } from './download'

/** Imports a file as the kind of document that it states; the open chart stays where the file is not valid. */
export const importFile = async (file: File): Promise<void> => (await import('./taking')).takeIn(file)

/** Downloads the open chart as a file. */
export const downloadChart = (text: string, id: string): void => downloadJson(text, fileName(CHART_KIND, id))
