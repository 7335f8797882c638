import { defineAsyncComponent } from 'vue'

export { default as MiniPath } from './MiniPath.vue'
export { default as WaterPath } from './WaterPath.vue'
export { fromPassport, toPassport, withPassport, type InsideForm } from './inside'
export { insideAfter, tubsOf } from './trays'
export { blankFilter, fromFilter, likeFilter, toInput, type FilterForm } from './form'
export {
  useAdvice,
  useCreateFilter,
  useDeleteFilter,
  useFilter,
  useFilters,
  useRestoreFilter,
  useSetCleaned,
  useSetTask,
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
export const TrayPicture = defineAsyncComponent(() => import('./TrayPicture.vue'))
export const PlacesEditor = defineAsyncComponent(() => import('./PlacesEditor.vue'))
export const BuildFields = defineAsyncComponent(() => import('./BuildFields.vue'))
export const OwnSteps = defineAsyncComponent(() => import('./OwnSteps.vue'))
