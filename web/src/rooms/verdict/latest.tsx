import { Link, Navigate } from 'react-router-dom'
import { useFabrications } from '../../data/queries.ts'
import { Empty, Failed, Loading } from '../../parts/states.tsx'

/** The verdict without a record is the latest finished one. */
export function Component() {
  const fabrications = useFabrications()
  if (fabrications.isError && !fabrications.data)
    return <Failed error={fabrications.error} retry={() => void fabrications.refetch()} />
  if (!fabrications.data) return <Loading what="the latest verdict" />
  const latest = fabrications.data.find((row) => row.status === 'closed')
  if (latest) return <Navigate to={`/verdict/${latest.id}`} replace />
  return (
    <Empty title="No verdict yet">
      <p>
        A verdict needs one finished fabrication. <Link to="/bench">Go to the bench</Link>
      </p>
    </Empty>
  )
}
