/**
 * The contest. So far {@link org.yarbel.core.contest.PointsFormula}: the published formulas that compare totals over body
 * masses.
 */
@NullMarked
package org.yarbel.core.contest;

import org.jspecify.annotations.NullMarked;
