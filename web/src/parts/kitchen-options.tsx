/** What a kitchen weighs in, as a choice. */
export const UnitOptions = () => (
  <>
    <option value="metric">grams and kilos</option>
    <option value="imperial">pounds and ounces</option>
  </>
)

/** What a plate is that is lighter than was wanted, as a choice. */
export const LightPlateOptions = () => (
  <>
    <option value="whole">a whole plate</option>
    <option value="by-weight">the part of a plate it weighs</option>
  </>
)

/** How a kitchen writes decimals, as a choice. */
export const DecimalOptions = () => (
  <>
    <option value="point">with a point, 1,234.5</option>
    <option value="comma">with a comma, 1 234,5</option>
  </>
)
