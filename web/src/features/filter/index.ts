export { default as FilterFields } from './FilterFields.vue'
export { default as TaskSettingDialog } from './TaskSettingDialog.vue'
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
