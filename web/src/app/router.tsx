import { createBrowserRouter, type LoaderFunctionArgs } from 'react-router-dom'
import { Loading, NothingHere, RoomFailed } from '../parts/states.tsx'
import { askForFabrication } from './ask-ahead.ts'
import { Frame } from './frame.tsx'

const ID = /^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i

/** A link whose id is none leads nowhere: it is said in words, and the server is not asked. */
function requireIds({ params }: LoaderFunctionArgs): null {
  if (Object.values(params).some((id) => id !== undefined && !ID.test(id))) throw new Response('', { status: 404 })
  return null
}

/** The same, and the record is asked for at once. */
function recordOf(route: LoaderFunctionArgs): null {
  requireIds(route)
  askForFabrication(route)
  return null
}

/** Each room loads its own code when it is opened. */
export const router = createBrowserRouter([
  {
    element: <Frame />,
    errorElement: <RoomFailed />,
    hydrateFallbackElement: <Loading what="the room" />,
    children: [
      { path: '/', lazy: () => import('../rooms/today/today.tsx') },
      { path: '/bench', lazy: () => import('../rooms/bench/start/start.tsx') },
      { path: '/bench/:id', loader: recordOf, lazy: () => import('../rooms/bench/bench.tsx') },
      { path: '/bench/:id/entry', loader: requireIds, lazy: () => import('../rooms/bench/entry/entry.tsx') },
      { path: '/card/:styleId', loader: requireIds, lazy: () => import('../rooms/card/card.tsx') },
      { path: '/verdict', lazy: () => import('../rooms/verdict/latest.tsx') },
      { path: '/verdict/styles', lazy: () => import('../rooms/verdict/styles-compared.tsx') },
      { path: '/verdict/:id', loader: recordOf, lazy: () => import('../rooms/verdict/verdict.tsx') },
      { path: '/verdict/:id/card', loader: requireIds, lazy: () => import('../rooms/verdict/factor-card.tsx') },
      { path: '/buying', lazy: () => import('../rooms/buying/compare.tsx') },
      { path: '/buying/prices', lazy: () => import('../rooms/buying/prices.tsx') },
      { path: '/buying/articles/:articleId', loader: requireIds, lazy: () => import('../rooms/buying/article.tsx') },
      { path: '/buying/lists', lazy: () => import('../rooms/buying/lists.tsx') },
      { path: '/buying/parted', lazy: () => import('../rooms/buying/parted.tsx') },
      { path: '/buying/meals', lazy: () => import('../rooms/buying/meals.tsx') },
      { path: '/buying/receiving', lazy: () => import('../rooms/receiving/receiving.tsx') },
      { path: '/buying/receiving/new', lazy: () => import('../rooms/receiving/receive.tsx') },
      { path: '/buying/lots/:lotId', loader: requireIds, lazy: () => import('../rooms/receiving/lot.tsx') },
      { path: '/buying/lots/:lotId/claim', loader: requireIds, lazy: () => import('../rooms/receiving/claim.tsx') },
      { path: '/buying/cold', lazy: () => import('../rooms/receiving/cold.tsx') },
      { path: '/plan', lazy: () => import('../rooms/plan/plans.tsx') },
      { path: '/plan/:planId', loader: requireIds, lazy: () => import('../rooms/plan/plan.tsx') },
      { path: '/plan/:planId/rest', loader: requireIds, lazy: () => import('../rooms/plan/rest/rest.tsx') },
      {
        path: '/plan/:planId/schedule',
        loader: requireIds,
        lazy: () => import('../rooms/plan/schedule/schedule.tsx'),
      },
      { path: '/wall', lazy: () => import('../rooms/wall/wall.tsx') },
      { path: '/knife', lazy: () => import('../rooms/knife/piece.tsx') },
      { path: '/knife/bonded', lazy: () => import('../rooms/knife/bonded.tsx') },
      { path: '/knife/racks', lazy: () => import('../rooms/knife/racks.tsx') },
      { path: '/knife/plates', lazy: () => import('../rooms/knife/plates.tsx') },
      { path: '/logbook/suppliers', lazy: () => import('../rooms/logbook/suppliers/suppliers.tsx') },
      { path: '/logbook', lazy: () => import('../rooms/logbook/logbook.tsx') },
      { path: '/guide', lazy: () => import('../rooms/guide/guide.tsx') },
      { path: '/guide/cautions', lazy: () => import('../rooms/guide/cautions-page.tsx') },
      { path: '/guide/:styleId', loader: requireIds, lazy: () => import('../rooms/guide/style-page.tsx') },
      { path: '/guide/:styleId/change', loader: requireIds, lazy: () => import('../rooms/guide/style-editor.tsx') },
      { path: '/settings', lazy: () => import('../rooms/settings/settings.tsx') },
      { path: '*', element: <NothingHere /> },
    ],
  },
])
