import type { FabricationRecord } from '@fleam/contract/fabrication/schemas'
import type { ForecastEvidence } from '@fleam/contract/forecasting/schemas'
import { appraise } from '@fleam/core/appraisal'
import { leadingComparison } from '@fleam/core/comparison'
import type { FabricationDocument } from '@fleam/core/fabrication'
import {
  evenShareOfPile,
  type Forecast,
  type ForecastFigure,
  forecastFigure,
  forecastModel,
  spreadsFrom,
  TESTS_FOR_OWN,
  testsToSettle,
} from '@fleam/core/forecasting'
import { lazy, memo, Suspense, useMemo } from 'react'
import Button from 'react-bootstrap/Button'
import { useEvidence } from '../../data/queries.ts'
import { useAppraised } from '../../parts/appraised-context.ts'
import { OpenFigure } from '../../parts/figure.tsx'
import { FoldedPart, useOpenParts } from '../../parts/folded.tsx'
import { Progress } from '../../parts/progress.tsx'
import { Failed, Loading } from '../../parts/states.tsx'
import css from './forecast.module.css'
import { SwingBars } from './swing-bars.tsx'
import { useForecast } from './use-forecast.ts'

const ForecastChart = lazy(() => import('./forecast-chart.tsx'))

/** How sure the verdict is: how often making is cheaper when what is uncertain moves, and what moves it most. */
export function HowSure({ record }: { record: FabricationRecord }) {
  const { document, appraisal } = useAppraised()
  const evidence = useEvidence(record.id)
  const at = leadingComparison(appraisal.piles, appraisal.comparisons)
  if (at === null || !appraisal.comparisons[at]?.verdict) return null
  if (evidence.isError) return <Failed error={evidence.error} retry={() => void evidence.refetch()} />
  if (!evidence.data) return <Loading what="what the forecast rests on" />
  return <ForecastSection document={document} at={at} evidence={evidence.data} record={record} />
}

interface ForecastSectionProps {
  document: FabricationDocument
  at: number
  evidence: ForecastEvidence
  record: FabricationRecord
}

function ForecastSection({ document, at, evidence, record }: ForecastSectionProps) {
  const pile = document.offers?.[at]?.pile ?? ''
  const pileId = record.piles.find((other) => other.name === pile)?.id ?? ''
  const offer = document.offers?.[at]?.name ?? ''
  const model = useMemo(() => forecastModel(document, at), [document, at])
  const evidenceOfPile = useMemo(
    () => ({
      yields: evidence.tests.flatMap((test) => test.shares[pileId] ?? []),
      minutesPerUnit: evidence.tests.flatMap((test) => test.minutesPerUnit ?? []),
      apPrices: evidence.apPrices,
      offerPrices: evidence.offers.find((other) => other.name === offer)?.prices ?? [],
    }),
    [evidence, pileId, offer],
  )
  const spreads = useMemo(() => (model ? spreadsFrom(model, evidenceOfPile) : null), [model, evidenceOfPile])
  const { forecast, progress, cancel, again } = useForecast(model, spreads)
  const parts = useOpenParts('verdict.forecast')
  if (!model || !spreads) return null
  const tests = evidenceOfPile.yields.length
  const { portions = null, pileYield = null } = appraise(document).comparisons[at]?.breakEven ?? {}
  const even = { ofPile: evenShareOfPile(model, portions), onPlates: pileYield }
  return (
    <section aria-labelledby="how-sure" className="how-sure">
      <h2 id="how-sure">How sure is it</h2>
      {forecast && progress === null ? <ForecastSentence forecast={forecast} pile={pile} /> : null}
      <p className="quiet">
        {tests < TESTS_FOR_OWN
          ? `It rests on assumed yields: ${tests === 0 ? 'no test' : tests === 1 ? 'one test' : 'two tests'} of this cut style so far, and three are needed before the kitchen’s own speak.`
          : `It rests on ${tests} of the kitchen’s own tests.`}{' '}
        <Settle even={even} yields={evidenceOfPile.yields} assumed={model.centre.yield} />
      </p>
      {progress === null ? (
        forecast ? null : (
          <Button variant="outline-dark" onClick={again}>
            Draw the forecast
          </Button>
        )
      ) : (
        <div className={css.forecastProgress}>
          <Progress what="Draws" done={progress} of={1} />
          <Button size="sm" variant="outline-dark" onClick={cancel}>
            Break off
          </Button>
        </div>
      )}
      {forecast && progress === null ? (
        <FoldedPart part={{ id: 'forecast', title: 'What moves it most' }} parts={parts}>
          <div className={css.forecastColumns}>
            <ForecastPictures forecast={forecast} units={record.units} />
          </div>
        </FoldedPart>
      ) : null}
    </section>
  )
}

/** Drawn once a forecast is there, not at each step of the next one's progress. */
const ForecastPictures = memo(function ForecastPictures({ forecast, units }: { forecast: Forecast; units: number }) {
  const { format } = useAppraised()
  return (
    <>
      <Suspense fallback={<Loading what="the chart" />}>
        <ForecastChart forecast={forecast} money={format.money} />
      </Suspense>
      <SwingBars forecast={forecast} units={units} />
    </>
  )
})

function ForecastSentence({ forecast, pile }: { forecast: Forecast; pile: string }) {
  const { format } = useAppraised()
  const open = (figure: ForecastFigure, words: string) => (
    <OpenFigure explain={() => forecastFigure(forecast, figure)} format={format} className="strong">
      {words}
    </OpenFigure>
  )
  return (
    <p className={css.forecastSentence}>
      Making {pile} is cheaper in {open('probability', casesOf(forecast.probability))} cases. On average it{' '}
      {forecast.mean >= 0 ? 'keeps' : 'costs'} {open('mean', format.money(Math.abs(forecast.mean)))}{' '}
      {forecast.mean >= 0 ? '' : 'more '}a portion; in nine of ten cases between{' '}
      {open('low', format.money(forecast.low))} and {open('high', format.money(forecast.high))}.
    </p>
  )
}

/** Cases of a hundred; what is all but sure is not called sure. */
function casesOf(probability: number): string {
  const cases = Math.round(probability * 100)
  if (cases === 100) return 'more than 99 of 100'
  return cases === 0 ? 'fewer than 1 of 100' : `${cases} of 100`
}

interface SettleProps {
  /** The yield at which making and buying are even: of the whole pile as tests are weighed, and on the plates, as it is shown. */
  even: { ofPile: number | null; onPlates: number | null }
  yields: readonly number[]
  assumed: number
}

/** How many more weighings would settle it, as far as the yield goes. */
function Settle({ even: { ofPile, onPlates }, yields, assumed }: SettleProps) {
  const { format } = useAppraised()
  if (ofPile === null || onPlates === null) return null
  const more = testsToSettle(yields, assumed, ofPile)
  const even = `Making and buying are even at a yield of ${format.share(onPlates)} on the plates`
  if (more === 0) return <>{even}: as far as the yield goes, it is settled.</>
  if (more === null) return <>{even}, too near to what is weighed here for more weighings to settle it.</>
  return (
    <>
      {even}: {more} more {more === 1 ? 'weighing' : 'weighings'} would settle it.
    </>
  )
}
