import { Link } from 'react-router-dom'
import { SupplierTerms } from '../../parts/supplier-terms.tsx'
import { Containers } from './containers.tsx'
import { Cooks } from './cooks.tsx'
import { CooksWeek } from './cooks-week.tsx'
import { KitchenFields } from './kitchen-fields.tsx'

/** What a kitchen says of itself, to be changed at any time: wage, cooks, containers, suppliers, limits. */
export function Component() {
  return (
    <div className="room settings">
      <h1>Settings</h1>
      <KitchenFields />
      <Cooks />
      <CooksWeek />
      <Containers />
      <SupplierTerms />
      <section aria-labelledby="limits">
        <h2 id="limits">Limits out of the fridge</h2>
        <p>
          How long a batch may be out of the fridge, and every other caution as your own plan has it, stand in{' '}
          <Link to="/guide/cautions">Cautions</Link>. Local codes and your food safety plan go before.
        </p>
      </section>
    </div>
  )
}
