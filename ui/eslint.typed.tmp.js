import { defineConfigWithVueTs, vueTsConfigs } from '@vue/eslint-config-typescript'
import pluginVue from 'eslint-plugin-vue'
export default defineConfigWithVueTs(
  { ignores: ['src/api/schema.d.ts','*.js','*.mjs','*.ts','tests'] },
  pluginVue.configs['flat/base'],
  vueTsConfigs.baseTypeChecked ?? vueTsConfigs.base,
  { rules: { '@typescript-eslint/no-non-null-assertion': 'error','@typescript-eslint/no-unnecessary-condition':'error','@typescript-eslint/no-unnecessary-type-assertion':'error' } },
)
