import type { Schemas } from '@/shared/api/client'

type Stage = Schemas['FilterView']['stages'][number]

/** A washable stage of which nothing else is known. */
export const stage = (id: number, kind: Stage['kind'], name: string): Stage => ({
  id,
  kind,
  name,
  label: '',
  quantity: 1,
  make: 'WASHABLE',
  bagged: false,
  size: '',
  lasting: {},
})

/** A canister with foam and bio media, as the server tells of it. */
export const WEIR = {
  id: 4,
  tankId: 2,
  version: 3,
  name: 'Weir',
  kind: 'CANISTER',
  direction: 'BOTTOM_UP',
  rating: {},
  cleaned: { on: '2026-03-01', sureness: 'EXACT' },
  tasks: [],
  stages: [stage(1, 'COARSE_FOAM', 'coarse foam'), stage(2, 'BIO_MEDIA', 'bio media')],
  passport: { shutOff: 'NONE', chambers: [] },
  placesStated: false,
  doubts: [],
}
