import { defineAsyncComponent } from 'vue'

export { default as MiniPath } from './MiniPath.vue'
export { default as WaterPath } from './WaterPath.vue'
export { blankFilter, fromFilter, toInput, type FilterForm } from './form'
export {
  useCreateFilter,
  useDeleteFilter,
  useFilter,
  useFilters,
  useRestoreFilter,
  useSetCleaned,
  useSiteFilters,
  useTemplates,
  useUpdateFilter,
  type Filter,
  type Stage,
  type Task,
} from './queries'

/** Loaded where a filter is described, so that the first page need not carry its controls. */
export const FilterFields = defineAsyncComponent(() => import('./FilterFields.vue'))
export const DraftPath = defineAsyncComponent(() => import('./DraftPath.vue'))
export const TaskSettingDialog = defineAsyncComponent(() => import('./TaskSettingDialog.vue'))
