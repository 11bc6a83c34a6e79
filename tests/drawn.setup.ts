import { config } from '@vue/test-utils'
import { ElButton, ElInput } from 'element-plus'
import { i18n } from '../src/words'

/* What the application, and its build, give to every component. */
config.global.plugins.push(i18n)
config.global.components = { ...config.global.components, ElButton, ElInput }
