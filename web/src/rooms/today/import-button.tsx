import { useNavigate } from 'react-router-dom'
import { v7 as newId } from 'uuid'
import { useImportDocument } from '../../data/queries.ts'
import { JsonFileButton } from '../../parts/json-file-button.tsx'

/** Takes in a fabrication document from a file; what is wrong with it is said field by field. */
export function ImportButton() {
  const navigate = useNavigate()
  const importing = useImportDocument()
  return (
    <JsonFileButton
      words="Import a record"
      what="Fabrication document"
      isPending={importing.isPending}
      error={importing.error}
      onRead={(document) =>
        importing.mutate({ id: newId(), document }, { onSuccess: ({ record }) => navigate(`/verdict/${record.id}`) })
      }
    />
  )
}
