import type { LogbookSummaryAnswer } from '@fleam/contract/logbook/schemas'
import { Brought, BroughtMoney, lostIn } from '../../parts/brought.tsx'
import css from './logbook.module.css'

/** What cutting it ourselves brought, and where most of it was lost. */
export function WhatItBrought({ summary }: { summary: LogbookSummaryAnswer }) {
  const lost = lostIn(summary)
  const most = lost[0]?.amount ?? 1
  return (
    <section aria-label="What it brought">
      <p className="answer">
        <Brought summary={summary} />
      </p>
      {lost.length > 0 ? (
        <table className={css.lost}>
          <caption className="visually-hidden">Where it was lost</caption>
          <tbody>
            {lost.map(({ view, words, amount }) => (
              <tr key={view}>
                <th scope="row">{words}</th>
                <td className="number">
                  <BroughtMoney summary={summary} view={view} />
                </td>
                <td aria-hidden>
                  <div className={css.lostBar} style={{ width: `${(amount / most) * 100}%` }} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      <p className="quiet">These are views of the same money: overweight and light pieces lie within what was saved.</p>
    </section>
  )
}
