/**
 * From a line of the plan to what is put on the bar. {@link org.yarbel.core.card.Resolver} works a line out for one
 * lifter's {@link org.yarbel.core.card.MaxNumbers} and the kit; {@link org.yarbel.core.card.WarmUpRamp} leads up to its
 * first set; {@link org.yarbel.core.card.BackOffTable} says beforehand what each back-off becomes for every load the
 * top set may come out at, so that a phone looks loads up and computes none.
 */
@NullMarked
package org.yarbel.core.card;

import org.jspecify.annotations.NullMarked;
