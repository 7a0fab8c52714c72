/**
 * The contest's day. {@link org.yarbel.core.contest.RuleSet} is what a federation or a league says, as data. {@link
 * org.yarbel.core.contest.DayOdds} tells how likely loads are, and learns from each attempt; from it come the plan beforehand ({@link
 * org.yarbel.core.contest.AttemptPlan}, {@link org.yarbel.core.contest.TotalAim}), the next choices ({@link
 * org.yarbel.core.contest.NextAttempt}), and the table a phone takes along ({@link org.yarbel.core.contest.OddsTable}). {@link
 * org.yarbel.core.contest.WarmUpClock} counts back from the platform. {@link org.yarbel.core.contest.PointsFormula} has the published
 * formulas that compare totals over body masses. Tables of a meet are in {@code meet}, strongman in {@code strongman}.
 */
@NullMarked
package org.yarbel.core.contest;

import org.jspecify.annotations.NullMarked;
